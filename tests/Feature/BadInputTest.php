<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use DOMDocument;
use DOMElement;
use DOMXPath;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\People\DeviceRole;
use Tests\Long;
use Tests\Scenario;

/**
 * Whatever is sent in any field of any form of a class is taken, or refused in words that name the cure: nothing breaks, nothing is
 * half-saved, and the page comes back with what was typed.
 */
final class BadInputTest extends FeatureTestCase
{
    private const SEED = 20_261_127;

    /**
     * So many of the things below are sent in each field; of fields that stand there once for each row, in those of one row, or by --long
     * in all.
     */
    private const TRIES = 2;

    /** What nobody means, and somebody sends; one is no text at all. */
    private const SENT = [
        '', '   ', '-1', '0', '1e999', 'NaN', '12,5', '1.2.3', '99999999999999999999', '१२३', '🎈🎈', '<b>bold</b>', '"quoted" & more',
        "a\0b", "\u{202E}turned",
        'null', '../../etc', "two\nlines", ['a list'], 'LONG',
    ];

    /** Tables that tell nothing of a class. */
    private const BESIDE = ['sessions', 'cache', 'cache_locks', 'jobs', 'failed_jobs', 'migrations', 'revisions'];

    private Randomizer $chance;

    /** All that is stored before a request. */
    private string $before = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->chance = new Randomizer(new Xoshiro256StarStar(self::SEED));
        $this->withoutMiddleware(ThrottleRequests::class);
    }

    #[TestWith([null, 60])]
    #[TestWith([DeviceRole::Log, 2])]
    #[TestWith([DeviceRole::Group, 8])]
    public function testEveryFieldOfEveryFormTakesAnythingOrRefusesItInWords(?DeviceRole $role, int $least): void
    {
        $challenge = $this->class();
        if ($role !== null) {
            $this->atDevice(
                AdmitDevices::join(
                    $challenge,
                    $role,
                    'tablet',
                    $role === DeviceRole::Group ? $challenge->groups()->firstOrFail() : null,
                )[0],
            );
        }
        $forms = $this->forms($challenge);
        self::assertGreaterThan($least, count($forms), 'the pages have forms');
        // Each request is taken back, so that all of them begin with the same.
        $this->before = $this->stored();
        [$sent, $refused, $wrong] = [0, 0, []];
        foreach ($forms as [$page, $method, $action, $fields, $texts]) {
            foreach (self::apart(array_keys($fields)) as $name) {
                foreach ($this->chance->pickArrayKeys(self::SENT, self::TRIES) as $which) {
                    $value = self::SENT[$which] === 'LONG' ? str_repeat('long ', 20_000) : self::SENT[$which];
                    $sent++;
                    DB::beginTransaction();
                    $said = $this->judged(
                        $page,
                        $method,
                        $action,
                        self::filled([$name => $value] + $fields),
                        in_array($name, $texts, true) ? $value : null,
                        $refused,
                    );
                    DB::rollBack();
                    if ($said !== '') {
                        $wrong[] = "{$method} {$action} from {$page}: {$name} = " . substr(
                            (string) json_encode($value, JSON_INVALID_UTF8_SUBSTITUTE),
                            0,
                            40,
                        ) . ": {$said}";
                    }
                }
            }
        }
        self::assertSame([], $wrong, "of {$sent} requests, {$refused} of them refused");
        self::assertGreaterThan($least, $refused, "of {$sent} requests");
    }

    /**
     * @param list<string> $names
     *
     * @return list<string>
     */
    private static function apart(array $names): array
    {
        $one = [];
        foreach ($names as $name) {
            $one[(string) preg_replace('/\d+/', 'N', $name)] ??= $name;
        }

        return Long::or(array_values($one), $names);
    }

    /**
     * @param array<string, mixed> $data
     * @param mixed $typed in a field; null where it was none that is typed in
     *
     * @return string what is wrong with the answer; empty where nothing is
     */
    private function judged(string $page, string $method, string $action, array $data, mixed $typed, int &$refused): string
    {
        session()->forget('errors');
        $answer = $this->from($page)->call($method, $action, $data);
        if ($answer->getStatusCode() >= 500) {
            return self::fault($answer);
        }
        $errors = session('errors')?->getBag('default')->all() ?? [];
        if ($errors === [] && $answer->getStatusCode() !== 422) {
            return '';
        }
        $refused++;
        foreach ($errors as $error) {
            if (preg_match('/^[a-z_]+\.[a-z_.]+$|:[a-z_]{3,}|\bvalidation\b/', $error) === 1) {
                return "it says “{$error}”";
            }
        }
        if ($this->stored() !== $this->before) {
            return 'it was refused, and something was saved';
        }
        if (!$answer->isRedirect()) {
            return '';
        }
        $back = $this->get((string) $answer->headers->get('Location'));

        if ($back->getStatusCode() >= 500) {
            return 'the page does not come back: ' . self::fault($back);
        }

        return is_string($typed)
            && preg_match('/^[^\\s\\0]{3,}$/', $typed) === 1
            && $back->isOk()
            && !str_contains((string) $back->getContent(), e($typed))
            ? 'what was typed is lost'
            : '';
    }

    private static function fault(TestResponse $answer): string
    {
        return "{$answer->getStatusCode()} " . (
            $answer->exception === null
                ? ''
                : substr(
                    "{$answer->exception->getMessage()} at " . basename($answer->exception->getFile()) . ":{$answer->exception->getLine()}",
                    0,
                    300,
                )
        );
    }

    /** All that is stored, as one number. */
    private function stored(): string
    {
        static $query = null;
        $query ??= 'SELECT md5(string_agg(part, \'\')) FROM (' . implode(' UNION ALL ', array_map(
            static fn(string $table): string => "SELECT '{$table}' || coalesce(md5(string_agg(t::text, '' ORDER BY t::text)), '') AS part FROM {$table} t",
            array_diff(array_column(DB::select("SELECT tablename FROM pg_tables WHERE schemaname = 'public'"), 'tablename'), self::BESIDE),
        )) . ') parts';

        return DB::scalar($query);
    }

    /** @return array<string, array{string, string, string, array<string, mixed>, list<string>}> page, method, action, fields with what stands in them, and those that are typed in; each form once */
    private function forms(Challenge $challenge): array
    {
        $forms = [];
        foreach ($this->pages($challenge) as $page) {
            $answer = $this->get($page);
            if ($answer->getStatusCode() !== 200 || !str_starts_with((string) $answer->headers->get('Content-Type'), 'text/html')) {
                continue;
            }
            $document = new DOMDocument();
            @$document->loadHTML('<?xml encoding="UTF-8">' . $answer->getContent());
            $path = new DOMXPath($document);
            foreach ($path->query('//form') ?: [] as $form) {
                assert($form instanceof DOMElement);
                $id = $form->getAttribute('id');
                $fields = $texts = [];
                foreach (
                    [
                        ...($path->query('.//*[@name]', $form) ?: []),
                        ...($id === '' ? [] : ($path->query("//*[@form='{$id}'][@name]") ?: [])),
                    ] as $field
                ) {
                    assert($field instanceof DOMElement);
                    $fields += self::field($field);
                    // For browsers that keep passwords, an address stands where nobody sees it.
                    if ($field->getAttribute('autocomplete') === 'username') {
                        continue;
                    }
                    if (
                        $field->nodeName === 'textarea'
                        || ($field->nodeName === 'input' && in_array($field->getAttribute('type'), ['', 'text'], true))
                    ) {
                        $texts[] = $field->getAttribute('name');
                    }
                }
                $method = strtoupper((string) ($fields['_method'] ?? ($form->getAttribute('method') ?: 'GET')));
                $action = preg_replace('#^https?://[^/]+#', '', $form->getAttribute('action')) ?: $page;
                unset($fields['_method'], $fields['_token']);
                if ($fields !== [] && !str_ends_with($action, '/sign-out')) {
                    // The same form for another group is the same form.
                    $forms["{$method} " . preg_replace('#[0-9a-f-]{36}|\d+#', 'N', $action) . ' ' . implode(',', array_keys($fields))] ??= [
                        $page, $method, $action, $fields, $texts,
                    ];
                }
            }
        }

        return $forms;
    }

    /** @return list<string> every page of a class, by its routes */
    private function pages(Challenge $challenge): array
    {
        $with = [
            '{challenge}' => (string) $challenge->id, '{group}' => (string) $challenge->groups()
                ->firstOrFail()->id, '{run}' => $challenge
                ->runs()
                ->firstOrFail()->id,
            '{test}' => 'ramp', '{for}' => 'class', '{figure}' => 'answer', '{race}' => (string) Scenario::race($challenge)->id,
        ];
        $pages = ['/challenges/new', '/account', '/library', '/units'];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (
                in_array('GET', $route->methods(), true)
                && str_contains($route->uri(), '{challenge}')
                && !str_starts_with($route->uri(), 'api/')
            ) {
                $uris = str_contains($route->uri(), '{station}')
                    ? array_map(
                        static fn(string $each): string => str_replace('{station}', $each, $route->uri()),
                        ['idea', 'build', 'check', 'guess', 'run', 'why', 'next'],
                    )
                    : [$route->uri()];
                foreach ($uris as $uri) {
                    $page = '/' . strtr($uri, $with);
                    str_contains($page, '{') || $pages[] = $page;
                }
            }
        }

        return $pages;
    }

    /** @return array<string, mixed> its name, and what stands in it */
    private static function field(DOMElement $field): array
    {
        $name = $field->getAttribute('name');
        $type = $field->getAttribute('type');
        if ($field->nodeName === 'select') {
            foreach ($field->getElementsByTagName('option') as $option) {
                if ($option->hasAttribute('selected')) {
                    return [$name => $option->getAttribute('value')];
                }
            }

            return [$name => $field->getElementsByTagName('option')->item(0)?->getAttribute('value') ?? ''];
        }
        if (in_array($type, ['checkbox', 'radio'], true) && !$field->hasAttribute('checked')) {
            return [];
        }

        return $type === 'file' ? [] : [$name => $field->nodeName === 'textarea' ? $field->textContent : $field->getAttribute('value')];
    }

    /**
     * @param array<string, mixed> $fields by their names, as in "a[b][]"
     *
     * @return array<string, mixed>
     */
    private static function filled(array $fields): array
    {
        parse_str(implode('&', array_map(
            static fn(string $name, mixed $value): string => is_array($value)
                ? urlencode("{$name}[]") . '=' . urlencode((string) $value[0]) : urlencode($name) . '=' . urlencode((string) $value),
            array_keys($fields),
            $fields,
        )), $filled);

        return $filled;
    }
}
