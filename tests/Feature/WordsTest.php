<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Exchange\Column;
use Tests\Scenario;

/**
 * Every word that a person reads stands in lang/: a class whose own words are all Greek is shown in a language that is made
 * up here, and no English is left on any page.
 */
final class WordsTest extends FeatureTestCase
{
    /** What stays as it is in every language: units, symbols, keys of the keyboard, names of formats and of parts. */
    private const SAME_EVERYWHERE = [
        'Skivo',
        'CSV',
        'SVG',
        'PDF',
        'UTC',
        'USB',
        'JSON',
        'UTF',
        'min',
        'Esc',
        'Enter',
        'Page',
        'CFR',
        'log',
        'http',
        'https',
        'bin',
        'skivo',
        'start',
        'host',
        'localhost',
        'token',
        'Spearman',
        'Welch',
        'Student',
        'Grubbs',
        'Marquardt',
        'example',
        'demo',
        'com',
        'ics',
        'Crr',
        // ICU has no months of this language that is none.
        'January',
        'February',
        'March',
        'April',
        'May',
        'June',
        'July',
        'August',
        'September',
        'October',
        'November',
        'December',
    ];

    /** Where names stand that are stored or read as they are: of parts, of columns, of kinds. */
    private const STORED_NAMES = ['Catalogue.php', 'CarAttribute.php', 'Kit.php', 'WheelMount.php', 'Plan.php', 'Lock.php'];

    /** What looks like a line and is a relation between models, a file, or a place in the JSON of a design. */
    private const NO_LINES = '/^(car\.group|run\.car\.|bench\.csv$|car\.\w+_(kg|m2)$|script\.dialog)/';

    public function testNoEnglishIsLeftOnAnyPageInAnotherLanguage(): void
    {
        putenv('DEMO_PASSWORD=' . Scenario::PASSWORD);
        Artisan::call('skivo:demo');
        $user = User::query()->where('email', 'demo@skivo.example')->sole();
        $challenge = $user->challenges()->where('name', 'Cross the Slipway')->sole();
        $this->sayAllInGreek($user, $challenge);
        $this->speakPseudo();
        $this->actingAs($user);

        $left = [];
        foreach ($this->pages($challenge) as $page) {
            $response = $this->get($page);
            self::assertContains($response->getStatusCode(), [200, 302], $page . ' ' . $response->exception?->getMessage());
            foreach ($this->englishOn((string) $response->getContent()) as $words) {
                $left[$words] ??= $page;
            }
        }
        $this->app?->make('auth')->guard()->logout();
        foreach (['/sign-in', '/register', '/join', '/nowhere'] as $page) {
            foreach ($this->englishOn((string) $this->get($page)->getContent()) as $words) {
                $left[$words] ??= $page;
            }
        }
        self::assertSame([], $left);
    }

    public function testEveryLineIsUsedAndEveryUseHasItsLine(): void
    {
        $lines = array_keys($this->lines());
        $sources = '';
        foreach (['app', 'core', 'resources/views', 'tests/Spoken.php', 'database/seeders', 'routes'] as $folder) {
            $sources .= implode(
                "\n",
                array_map(file_get_contents(...), is_file(base_path($folder)) ? [base_path($folder)] : $this->files(base_path($folder))),
            );
        }
        preg_match_all('/[\'"]([a-z_]+(?:\.[A-Za-z0-9_{}\$>()-]+)+)[\'"]/', $sources, $found);
        foreach ($this->scripts() as $code) {
            preg_match_all('/[\'"`]([a-z_]+(?:\.[a-z_{}$]+)+)[\'"`]/', $code, $said);
            array_push($found[1], ...array_map(static fn(string $key): string => 'script.' . str_replace('${', '{$', $key), $said[1]));
        }
        $used = array_unique($found[1]);
        // "diagnosis.cause.{$cause->key}.why" stands for every line of that shape.
        $patterns = array_map(
            static fn(string $use): string => '/^' . preg_replace('/\\\\\{.*?\\\\\}/', '[^.]+', preg_quote($use, '/')) . '(?:\.|$)/',
            array_filter($used, static fn(string $use): bool => str_contains($use, '{')),
        );
        $exact = array_flip($used);
        $files = array_map(static fn(string $file): string => basename($file, '.php'), glob(lang_path('en/*.php')) ?: []);

        $unused = array_filter($lines, static function (string $line) use ($exact, $patterns): bool {
            for ($part = $line; $part !== ''; $part = substr($part, 0, (int) strrpos($part, '.'))) {
                if (isset($exact[$part])) {
                    return false;
                }
            }
            foreach ($patterns as $pattern) {
                if (preg_match($pattern, $line) === 1) {
                    return false;
                }
            }

            // Reached by class and case: App\Language\Label.
            return !str_starts_with($line, 'labels.') && !str_starts_with($line, 'car.');
        });
        self::assertSame([], array_values($unused), 'lines that nothing says');

        $missing = array_filter($used, static fn(string $use): bool => !str_contains($use, '{') && in_array(
            explode('.', $use)[0],
            $files,
            true,
        )
            && preg_match(self::NO_LINES, $use) !== 1 && !in_array($use, $lines, true)
            && trans($use) === $use && Route::has($use) === false && !view()->exists($use));
        self::assertSame([], array_values($missing), 'lines that are said and don’t exist');
    }

    public function testNoSentenceStandsInCodeOrInAScript(): void
    {
        $found = [];
        foreach ([...$this->files(base_path('core')), ...$this->files(base_path('app'))] as $file) {
            // The machine's keeper reads the commands in the language of the scripts that call them.
            if (str_contains($file, 'app/Console/') || str_ends_with($file, 'Exception.php')) {
                continue;
            }
            $inExceptions = false;
            foreach (\PhpToken::tokenize((string) file_get_contents($file)) as $token) {
                // What an exception says to a programmer, to the end of its statement.
                $inExceptions = (
                    $inExceptions
                        || preg_match('/(Exception|Fault|OutOfRangeException|self)$/', $token->text) === 1
                        && $token->is([T_STRING, T_NAME_FULLY_QUALIFIED])
                )
                    && $token->text !== ';';
                if (
                    !$inExceptions
                    && $token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE])
                    && preg_match('/[A-Za-z]+ [a-z]+ [a-z]+ [a-z]+/', $token->text) === 1
                    && !in_array(basename($file), self::STORED_NAMES, true)
                ) {
                    $found[] = basename($file) . ": {$token->text}";
                }
            }
        }
        foreach ($this->scripts() as $file => $code) {
            preg_match_all('/([\'"`])((?:(?!\1)[^\\\\\n])*)\1/', $code, $strings);
            foreach ($strings[2] as $string) {
                if (
                    preg_match('/\b[A-Za-z]{2,} [a-z]{2,}(?: [a-z]+)?\b/', $string) === 1
                    && preg_match('/[<>{}=;()\[\]#]|^[\w-]+( [\w-]+)*$|^\./', $string) !== 1
                ) {
                    $found[] = basename($file) . ": {$string}";
                }
            }
        }
        self::assertSame([], $found);
    }

    /** @return array<string, string> every script without its comments, by its file */
    private function scripts(): array
    {
        $scripts = [];
        foreach ([...(glob(resource_path('js/*/*.js')) ?: []), ...(glob(resource_path('js/*.js')) ?: [])] as $file) {
            $scripts[$file] = (string) preg_replace(
                ['~/\*.*?\*/~s', '~^\s*//.*$|(?<=[;,{}]) //.*$~m'],
                '',
                (string) file_get_contents($file),
            );
        }

        return $scripts;
    }

    /** @return array<string, string> every line, by its whole key */
    private function lines(): array
    {
        $lines = [];
        $walk = static function (array $part, string $key) use (&$walk, &$lines): void {
            foreach ($part as $name => $line) {
                is_array($line) ? $walk($line, "{$key}.{$name}") : $lines["{$key}.{$name}"] = $line;
            }
        };
        foreach (glob(lang_path('en/*.php')) ?: [] as $file) {
            $walk(require $file, basename($file, '.php'));
        }

        return $lines;
    }

    /** Every line with its letters replaced, but for its places and its markup. */
    private function speakPseudo(): void
    {
        $letters = array_combine(
            range('a', 'z'),
            mb_str_split('ăƀćđĕƒģĥĭĵķļɱńŏƥɋŕśţŭʋŵχŷž'),
        ) + array_combine(range('A', 'Z'), mb_str_split('ĂƁĆĐĔƑĢĤĬĴĶĻƜŃŎƤɊŔŚŢŬƲŴΧŶŽ'));
        $pseudo = [];
        foreach ($this->lines() as $key => $line) {
            $pseudo[$key] = implode('', array_map(
                static fn(string $part): string => preg_match('/^(<.*>|:[A-Za-z_0-9]+|&\w+;|\|)$/s', $part) === 1
                    ? $part
                    : strtr($part, $letters),
                preg_split('/(<[^>]*>|:[A-Za-z_0-9]+|&\w+;|\|)/', $line, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [],
            ));
        }
        app('translator')->addLines($pseudo, 'en_XA');
        app()->setLocale('en_XA');
    }

    /** The class's own words, so that whatever Latin letters remain are ours. */
    private function sayAllInGreek(User $user, Challenge $challenge): void
    {
        DB::table('users')->update(['name' => 'Ωμέγα']);
        $user->refresh();
        DB::table('challenges')->update(['name' => 'Πλοίο', 'question' => 'Γιατί;']);
        DB::statement("UPDATE groups SET name = 'Ομάδα ' || id");
        DB::table('runs')->update(['note' => null]);
        DB::table('cars')->update(['note' => null, 'reason' => null]);
        DB::table('check_readings')->whereNotNull('note')->whereRaw('first_si IS NOT NULL OR answer IS NOT NULL')->update(['note' => null]);
        // What a correction changed stays on record.
        DB::table('acts')->where('kind', 'edited')->update(['before' => DB::raw("before - 'note'"), 'after' => DB::raw("after - 'note'")]);
        DB::table('allowances')->update(['reason' => 'ναι']);
        DB::table('entries')->whereIn('kind', ['note', 'wish'])->update(['payload' => DB::raw("jsonb_build_object('text', 'ναι')")]);
    }

    /** @return list<string> */
    private function pages(Challenge $challenge): array
    {
        $group = $challenge->groups()->firstOrFail();
        $rebuilt = $challenge->groups()->whereHas('cars', static fn($cars) => $cars->where('version', '>', 1))->firstOrFail();
        $run = $challenge->runs()->firstOrFail();
        $race = $challenge->races()->first() ?? Scenario::race($challenge);
        $base = "/challenges/{$challenge->id}";

        return [
            '/challenges', '/challenges/new', '/account', $base, "{$base}/runs", "{$base}/runs?edit={$run->id}", "{$base}/plan",
            "{$base}/plan/materials", "{$base}/plan/materials/labels",
            "{$base}/plan/cuts", "{$base}/plan/steps", "{$base}/plan/steps/booklet", "{$base}/plan/steps/templates",
            "{$base}/plan/materials/note", "{$base}/groups/{$group->id}/steps", "{$base}/plan/timetable", "{$base}/plan/safety",
            "{$base}/plan/brief/class", "{$base}/plan/brief/helpers", "{$base}/groups", "{$base}/groups/{$group->id}",
            "{$base}/groups/{$group->id}/car", "{$base}/groups/{$rebuilt->id}/car/versions", "{$base}/groups/{$group->id}/own",
            "{$base}/check", "{$base}/check/tolerances",
            "{$base}/groups/{$group->id}/check", "{$base}/groups/{$group->id}/diagnosis?seen=veers",
            "{$base}/groups/{$group->id}/diagnosis?seen=does-not-start", "{$base}/bench",
            "{$base}/groups/{$group->id}/bench", "{$base}/dry-run", "{$base}/parts?kind=nozzle", "{$base}/devices", "{$base}/sheet",
            "{$base}/findings", "{$base}/findings/choices", "{$base}/findings/work", "{$base}/findings/beliefs", "{$base}/cars",
            "{$base}/groups/{$group->id}/why",
            "{$base}/findings/choices?against=wheel_kind", "{$base}/findings/sure", "{$base}/findings/awards", "{$base}/report",
            "{$base}/report/notebooks", "{$base}/report/certificates", "{$base}/runs/{$run->id}/trace",
            ...array_map(
                static fn(string $station): string => "{$base}/groups/{$rebuilt->id}/at/{$station}",
                ['idea', 'build', 'check', 'guess', 'why', 'change'],
            ),
            "{$base}/groups/{$rebuilt->id}/notebook", "{$base}/room", "{$base}/devices/cards", "{$base}/races", "{$base}/races/{$race->id}",
        ];
    }

    /** @return list<string> runs of English words that a reader would see */
    private function englishOn(string $html): array
    {
        $html = (string) preg_replace('~<(script|style|template|time)\b.*?</\1>|<!--.*?-->|<(code|kbd)\b.*?</\2>~s', ' ', $html);
        preg_match_all('~\b(?:aria-label|title|placeholder|alt|aria-valuetext)="([^"]*)"~', $html, $attributes);
        preg_match_all('~<input[^>]*\bvalue="([^"]*)"~', $html, $values);
        $text = html_entity_decode(
            strip_tags((string) preg_replace('~<[^>]+>~', "\n", $html)) . "\n" . implode("\n", $attributes[1]),
            ENT_QUOTES | ENT_HTML5,
        );
        $own = [
            ...array_merge(...array_map(static fn($part): array => [$part->name, ...$part->alsoCalled], Catalogue::standard()->parts)),
            ...array_column(Joint::cases(), 'value'), ...array_map(static fn(Column $column): string => $column->name, Column::all()),
        ];
        usort($own, static fn(string $a, string $b): int => strlen($b) <=> strlen($a));
        $text = str_ireplace($own, ' ', $text);
        $text = (string) preg_replace(
            '/\b(?:' . implode('|', self::SAME_EVERYWHERE) . ')\b|[\w.+-]+@[\w.-]+|https?:\S+|\b\w+\.\w+\b/u',
            ' ',
            $text,
        );
        preg_match_all('/(?<![\p{L}\p{M}])[A-Za-z]{3,}(?![\p{L}\p{M}])(?:[ ,]+[A-Za-z]{2,}(?![\p{L}\p{M}]))*/u', $text, $found);

        return array_values(array_unique($found[0]));
    }

    /** @return list<string> */
    private function files(string $folder): array
    {
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
