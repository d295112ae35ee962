<?php

declare(strict_types=1);

namespace Tests\Feature\Sharing;

use App\Models\Challenge;
use App\Models\User;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;
use ZipArchive;

/** A challenge as one file, and back from it. */
final class ArchiveTest extends FeatureTestCase
{
    private string $folder = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/skivo-' . bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        exec('rm -rf ' . escapeshellarg($this->folder));
        parent::tearDown();
    }

    /** The demo's own challenges, which have everything: versions, races, notebooks, pictures, bench, checks, traces, both drives. */
    public function testWhatIsTakenAndReadBackIsTheSameToTheLastByte(): void
    {
        putenv('DEMO_PASSWORD=' . Scenario::PASSWORD);
        Artisan::call('db:seed', ['--class' => \Database\Seeders\DemoSeeder::class, '--force' => true]);
        $demo = User::query()->where('email', \Database\Seeders\DemoSeeder::EMAIL)->sole();
        $this->flushSession();
        $this->actingAs($demo);
        $before = $demo->challenges()->count();
        self::assertGreaterThan(1, $before);
        foreach ($demo->challenges()->orderBy('id')->pluck('id') as $id) {
            $first = $this->taken($id, "first-{$id}.zip");
            $this->post(
                '/challenges/archive',
                ['archive' => new UploadedFile($first, 'class.zip', 'application/zip', null, true)],
            )->assertSessionHasNoErrors();
            $copy = $demo->challenges()->latest('id')->firstOrFail();
            self::assertNotSame($id, $copy->id);
            $second = $this->taken($copy->id, "second-{$id}.zip");
            [$one, $other] = [self::files($first), self::files($second)];
            self::assertSame(array_keys($one), array_keys($other));
            foreach ($one as $name => $bytes) {
                // The class for the analysis names cars by their ids here; its figures are held below.
                if ($name !== 'class.json') {
                    self::assertSame($bytes, $other[$name], $name);
                }
            }
            Cache::flush();
            $answer = fn(int $of): array => preg_match_all(
                '~class="answer-(?:word|size)".*~',
                (string) $this->get("/challenges/{$of}/findings")->assertOk()->getContent(),
                $found,
            ) > 0
                ? $found[0]
                : [];
            self::assertNotSame([], $answer($id));
            self::assertSame($answer($id), $answer($copy->id));
            $this->get("/challenges/{$copy->id}")->assertOk();
        }
        self::assertSame(2 * $before, $demo->challenges()->count());
    }

    public function testThePackageSaysWhatIsWhat(): void
    {
        $file = $this->taken($this->class()->id, 'class.zip');
        $files = self::files($file);
        $package = json_decode($files['datapackage.json'], true, 32, JSON_THROW_ON_ERROR);
        self::assertSame('tabular-data-package', $package['profile']);
        $names = array_column($package['resources'], 'name');
        self::assertSame($names, array_unique($names));
        foreach ($package['resources'] as $resource) {
            // By the specification: lower case names, relative paths, a schema whose fields are the header's, and keys that lead somewhere.
            self::assertMatchesRegularExpression('/^[a-z0-9._-]+$/', $resource['name']);
            self::assertDoesNotMatchRegularExpression('~^(/|\\.\\.)|://~', $resource['path']);
            self::assertSame('tabular-data-resource', $resource['profile']);
            $lines = array_map(
                static fn(string $line): array => str_getcsv($line, ',', '"', ''),
                explode("\n", trim(explode("\n", $files[$resource['path']])[0])),
            );
            $fields = array_column($resource['schema']['fields'], 'name');
            self::assertSame($fields, $lines[0], $resource['name']);
            self::assertContains($resource['schema']['primaryKey'], $fields);
            foreach ($resource['schema']['fields'] as $field) {
                self::assertContains($field['type'], ['string', 'number', 'integer', 'boolean', 'date']);
            }
            foreach ($resource['schema']['foreignKeys'] ?? [] as $key) {
                self::assertContains($key['fields'], $fields);
                self::assertContains($key['reference']['resource'], $names);
            }
            $this->rowsHold($resource, $files);
        }
        self::assertStringNotContainsString('token', implode(array_keys($files)) . $files['data/devices.csv']);
        self::assertStringNotContainsString($this->educator->email, implode($files), 'no address of anybody');
    }

    /** @return iterable<string, array{string}> */
    public static function languages(): iterable
    {
        yield 'python' => ['python'];
        yield 'r' => ['r'];
    }

    #[DataProvider('languages')]
    public function testTheSnippetsOfTheDocsReadIt(string $language): void
    {
        $challenge = $this->class();
        $this->taken($challenge->id, 'class.zip');
        $docs = (string) file_get_contents(dirname(__DIR__, 3) . '/docs/formats.md');
        self::assertSame(1, preg_match("/```{$language}\\n(.*?)```/s", $docs, $found));
        $file = "{$this->folder}/read." . ($language === 'r' ? 'R' : 'py');
        file_put_contents($file, $found[1]);
        exec(
            'cd ' . escapeshellarg($this->folder) . ' && ' . (
                $language === 'r' ? 'Rscript --vanilla' : '/usr/bin/python3'
            ) . ' ' . escapeshellarg($file) . ' 2>&1',
            $said,
            $status,
        );
        self::assertSame(0, $status, implode("\n", $said));
        $mean = DB::table('runs')->join('cars', 'cars.id', '=', 'runs.car_id')->join('groups', 'groups.id', '=', 'cars.group_id')
            ->where('groups.challenge_id', $challenge->id)->whereNull('void_reason')->where('groups.name', 'Bowline')->avg('distance_m');
        self::assertMatchesRegularExpression('/Bowline\\D+' . preg_quote(number_format((float) $mean, 2), '/') . '/', implode("\n", $said));
    }

    public function testWhatIsNoArchiveIsSaidAndStoresNothing(): void
    {
        $challenge = $this->class();
        $good = $this->taken($challenge->id, 'class.zip');
        $before = Challenge::query()->count();
        file_put_contents("{$this->folder}/text.zip", 'nothing of the kind');
        $sent = fn(string $file): ?string => $this->post(
            '/challenges/archive',
            ['archive' => new UploadedFile($file, 'class.zip', 'application/zip', null, true)],
        )
                ->getSession()
                ->get('errors')
                ?->first('archive');
        self::assertSame(
            'Choose an archive of up to 100 MB.',
            $this->post('/challenges/archive')->getSession()->get('errors')->first('archive'),
        );
        self::assertSame('This is no ZIP file. Choose one that Skivo wrote.', $sent("{$this->folder}/text.zip"));
        self::assertSame(
            'This is no archive of a challenge. Choose one that Skivo wrote.',
            $sent($this->changed($good, static fn(ZipArchive $zip) => $zip->deleteName('datapackage.json'))),
        );
        self::assertSame(
            'A part of this archive is missing or was changed. Nothing was stored.',
            $sent($this->changed($good, static fn(ZipArchive $zip) => $zip->deleteName('data/runs.csv'))),
        );
        self::assertSame(
            'In this archive’s table runs, row 1, the column kind cannot be “nothing of the kind”. Nothing was stored. Take the archive again, or correct that cell.',
            $sent($this->changed($good, static fn(ZipArchive $zip) => $zip->addFromString(
                'data/runs.csv',
                str_replace(',try,', ',nothing of the kind,', (string) $zip->getFromName('data/runs.csv')),
            ))),
        );
        self::assertSame($before, Challenge::query()->count());
    }

    /** What could not have been typed does not come in by an archive, however the archive says it. */
    public function testAnArchiveIsHeldByTheRulesOfTheForms(): void
    {
        $challenge = $this->class();
        $good = $this->taken($challenge->id, 'class.zip');
        $before = Challenge::query()->count();
        $sent = fn(string $file): ?string => $this->post(
            '/challenges/archive',
            ['archive' => new UploadedFile($file, 'class.zip', 'application/zip', null, true)],
        )
                ->getSession()
                ->get('errors')
                ?->first('archive');
        $with = fn(
            string $table,
            string $pattern,
            string $by,
        ): string => $this->changed($good, static function (ZipArchive $zip) use ($table, $pattern, $by): void {
            $held = (string) $zip->getFromName("data/{$table}.csv");
            $made = (string) preg_replace($pattern, $by, $held, 1);
            self::assertNotSame($held, $made, $pattern);
            $zip->addFromString("data/{$table}.csv", $made);
        });
        $challenge->groups()->firstOrFail()->update(['asked_attribute' => 'nozzle_length', 'asked_to' => '0.2']);
        DB::table('challenges')->where('id', $challenge->id)->update(['tolerances' => '{"end-play": {"goodFrom": 0.001}}']);
        DB::table('check_readings')->insert(
            [
                'car_id' => DB::table('cars')->value('id'), 'item' => 'parallel', 'first_si' => 0.123, 'first_entered' => '12.3 cm',
                'second_si' => 0.122, 'second_entered' => '12.2 cm', 'updated_at' => now(),
            ],
        );
        DB::table('bench_readings')->insert(
            [
                'car_id' => DB::table('cars')->value('id'), 'test' => 'ramp', 'first_si' => 0.234, 'first_entered' => '23.4 cm',
                'made_at' => now(),
            ],
        );
        $good = $this->taken($challenge->id, 'class.zip');
        // A sibling of each in every table that people type into.
        foreach ([
            'design' => $with('challenges', '/,free,/', ',thirds,'),
            'asked_attribute' => $with('groups', '/nozzle_length/', 'colour'),
            'tolerances' => $with('challenges', '/""goodFrom"": 0\.001/', '""goodFrom"": 1e308'),
            'tolerances ' => $with('challenges', '/\{""goodFrom/', 'nothing of the kind'),
            'tolerances  ' => $with('challenges', '/""end-play""/', '""end-game""'),
            'goal' => $with('challenges', '/,farthest,/', ',nearest the moon,'),
            'lane_length_m' => $with('challenges', '/,6,"?6 m/', ',600,"6 m'),
            'choices' => $with('cars', '/(""nozzle_bore"": \{""si"": )[^,}]+/', '${1}5.0'),
            'choices ' => $with('cars', '/""nozzle_bore"": /', '""bore_of_a_gun"": '),
            'distance_m' => $with('runs', '/,(\d\.\d+),/', ',${1}e4,'),
            'kind' => $with('runs', '/,try,(?!dist)/', ',guess,'),
            'first_si' => $with('check_readings', '/,0\.123,/', ',123,'),
            'first_si ' => $with('bench_readings', '/,0\.234,/', ',234,'),
        ] as $column => $file) {
            self::assertMatchesRegularExpression(
                '/^In this archive’s table \w+, row \d+, the column ' . trim($column) . ' cannot be “.+”\. Nothing was stored\./',
                (string) $sent($file),
                $column,
            );
        }
        self::assertSame(
            'In this archive’s table challenges, row 1 does not fit the rest. Nothing was stored. Take the archive again, or correct that row.',
            $sent($with('challenges', '/,6,"?6 m"?,/', ',6,,')),
        );
        self::assertSame($before, Challenge::query()->count());
    }

    /** A small file that unpacks to a large one is refused before it fills the machine, wherever in it that lies. */
    public function testABombIsRefusedBeforeItIsUnpacked(): void
    {
        $good = $this->taken($this->class()->id, 'class.zip');
        $before = Challenge::query()->count();
        $sent = fn(string $file): ?string => $this->post(
            '/challenges/archive',
            ['archive' => new UploadedFile($file, 'class.zip', 'application/zip', null, true)],
        )
                ->getSession()
                ->get('errors')
                ?->first('archive');
        foreach ([
            'one long cell' => ['data/runs.csv', str_repeat('a', 60_000_000)],
            'many rows' => ['data/acts.csv', "id\n" . str_repeat("1\n", 200_000)],
            'many columns' => ['data/groups.csv', str_repeat('a,', 200_000) . "a\n"],
            'a package' => ['datapackage.json', str_repeat('[', 3_000_000)],
        ] as $what => [$name, $bytes]) {
            $peak = memory_get_usage();
            memory_reset_peak_usage();
            $bomb = $this->changed($good, static fn(ZipArchive $zip) => $zip->addFromString($name, $bytes));
            self::assertLessThan(400_000, filesize($bomb));
            self::assertContains(
                $sent($bomb),
                ['This archive is too large to be a class.', 'A part of this archive is missing or was changed. Nothing was stored.'],
                $what,
            );
            self::assertLessThan(160_000_000, memory_get_peak_usage() - $peak, $what);
        }
        self::assertSame($before, Challenge::query()->count());
    }

    /** Somebody may open a table of an archive in a spreadsheet: what a child called their car is no formula there. */
    public function testATextIsNoFormulaInAnArchiveAndComesBackAsItWas(): void
    {
        $challenge = $this->class();
        $names = ['=1+1', "'=2", '-bow-'];
        foreach ($names as $at => $name) {
            DB::table('groups')->where('challenge_id', $challenge->id)
                ->where('position', $challenge->groups()->orderBy('position')->pluck('position')[$at])
                ->update(['name' => $name]);
        }
        $file = $this->taken($challenge->id, 'class.zip');
        $cells = array_column(self::table(self::files($file)['data/groups.csv']), 'name');
        self::assertSame(["'=1+1", "''=2", "'-bow-"], array_slice($cells, 0, 3));
        $this->post(
            '/challenges/archive',
            ['archive' => new UploadedFile($file, 'class.zip', 'application/zip', null, true)],
        )->assertSessionHasNoErrors();
        self::assertSame(
            $names,
            Challenge::query()->latest('id')->firstOrFail()->groups()->orderBy('position')->limit(3)->pluck('name')->all(),
        );
    }

    public function testAllOfOnesOwnComesInOneFile(): void
    {
        $this->class();
        $this->class();
        $file = "{$this->folder}/all.zip";
        file_put_contents($file, (string) $this->get('/account/everything')->assertOk()->streamedContent());
        $names = array_keys(self::files($file));
        self::assertCount(3, $names);
        self::assertContains('about-me.json', $names);
    }

    private function taken(int $challenge, string $name): string
    {
        $response = $this->get("/challenges/{$challenge}/archive")->assertOk()->assertHeader('Content-Type', 'application/zip');
        file_put_contents("{$this->folder}/{$name}", $response->streamedContent());

        return "{$this->folder}/{$name}";
    }

    /** @param \Closure(ZipArchive): mixed $change */
    private function changed(string $file, \Closure $change): string
    {
        $other = "{$this->folder}/" . bin2hex(random_bytes(4)) . '.zip';
        copy($file, $other);
        $zip = new ZipArchive();
        $zip->open($other);
        $change($zip);
        $zip->close();

        return $other;
    }

    /**
     * Values are of their type, keys differ, and what refers to a row finds it.
     *
     * @param array<string, mixed> $resource
     * @param array<string, string> $files
     */
    private function rowsHold(array $resource, array $files): void
    {
        $rows = self::table($files[$resource['path']]);
        $keys = array_column($rows, $resource['schema']['primaryKey']);
        self::assertSame($keys, array_unique($keys), $resource['name']);
        foreach ($rows as $row) {
            foreach ($resource['schema']['fields'] as $field) {
                $value = $row[$field['name']];
                $where = "{$resource['name']}.{$field['name']}: {$value}";
                self::assertTrue($value !== '' || !($field['constraints']['required'] ?? false), $where);
                self::assertTrue($value === '' || match ($field['type']) {
                    'integer' => preg_match('/^-?\\d+$/', $value) === 1,
                    'number' => is_numeric($value),
                    'boolean' => in_array($value, ['true', 'false'], true),
                    default => true,
                }, $where);
            }
        }
        foreach ($resource['schema']['foreignKeys'] ?? [] as $key) {
            $there = array_column(self::table($files["data/{$key['reference']['resource']}.csv"]), $key['reference']['fields']);
            self::assertSame(
                [],
                array_diff(array_filter(array_column($rows, $key['fields'])), $there),
                "{$resource['name']}.{$key['fields']}",
            );
        }
    }

    /** @return list<array<string, string>> */
    private static function table(string $csv): array
    {
        $stream = fopen('php://memory', 'w+');
        self::assertIsResource($stream);
        fwrite($stream, $csv);
        rewind($stream);
        $header = fgetcsv($stream, null, ',', '"', '');
        $rows = [];
        while (($cells = fgetcsv($stream, null, ',', '"', '')) !== false) {
            $rows[] = array_combine((array) $header, array_map(strval(...), $cells));
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function files(string $file): array
    {
        $zip = new ZipArchive();
        self::assertTrue($zip->open($file));
        $files = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
        }
        $zip->close();
        ksort($files);

        return $files;
    }
}
