<?php

declare(strict_types=1);

namespace Tests\Shell;

use Illuminate\Support\Str;
use PDO;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\Long;
use Tests\MakesAClassOverHttp;
use Tests\PowerCut;
use Tests\RunsSkivo;

/** A run that was confirmed survives whatever happens to the machine; one that was not is sent again, and is there once. */
final class NeverLostTest extends TestCase
{
    use MakesAClassOverHttp;
    use RunsSkivo;

    private const DEVICES = 8;
    private const MANY_GROUPS = 36;
    private const STARTS = 4;

    private int $port;

    private int $challenge = 0;

    /** @var list<int> */
    private array $groups = [];

    protected function setUp(): void
    {
        $this->var = $this->folder('never-lost');
        $this->forget();
        mkdir($this->var);
        chmod($this->var, 0755);
        $this->port = $this->freePort();
        $this->openBrowser("http://127.0.0.1:{$this->port}");
    }

    protected function tearDown(): void
    {
        $this->skivo('stop');
        $this->forget();
    }

    public function testKillingAnyPartInTheMiddleOfTrafficLosesAndDoublesNothing(): void
    {
        $this->start();
        $numbers = [];
        $confirmedFirst = 0;
        // Each part once; by --long three times, at other moments of a request.
        foreach (range(1, Long::or(8, 24)) as $number) {
            $numbers[$id = (string) Str::uuid()] = $number;
            $kill = match ($number % 8) {
                2 => fn() => $this->kill("{$this->var}/run/php-fpm.pid", true),
                4 => fn() => $this->kill("{$this->var}/run/nginx.pid", true),
                6 => fn() => $this->kill("{$this->cluster()}/postmaster.pid", false),
                default => null,
            };
            $status = $this->log($id, $number, $kill, $number % 3 * 4000);
            $confirmedFirst += $status === 201 ? 1 : 0;
            if ($kill !== null) {
                self::assertSame(0, $this->skivo('start', '--empty')[0]);
            }
            for ($again = 0; $status !== 201 && $status !== 200 && $again < 10; $again++) {
                usleep(200_000);
                $status = $this->log($id, $number);
            }
            self::assertContains($status, [200, 201], "run {$number}");
        }
        // And all of them once more, as a device does that never heard the answer.
        foreach (array_slice($numbers, -6, preserve_keys: true) as $id => $number) {
            self::assertSame(200, $this->log($id, $number));
        }
        // What says something else under an id that is taken is no second sending, and changes nothing.
        self::assertSame(409, $this->log((string) array_key_last($numbers), 1));

        self::assertGreaterThanOrEqual(intdiv(count($numbers), 2), $confirmedFirst, 'most were safe at once');
        $ids = array_keys($numbers);
        sort($ids);
        self::assertSame($ids, $this->stored());
    }

    public function testAFullDiskIsSaidAndNothingConfirmedIsLost(): void
    {
        exec('mount -t tmpfs -o size=260m tmpfs ' . escapeshellarg($this->var) . ' 2>/dev/null', $said, $mounted);
        if ($mounted !== 0) {
            self::markTestSkipped('Only root can make a small disk to fill.');
        }
        try {
            chmod($this->var, 0755);
            $this->start();
            $before = (string) Str::uuid();
            self::assertSame(201, $this->log($before, 1));
            // To the last byte, whatever the database has set aside for itself.
            exec('dd if=/dev/zero of=' . escapeshellarg("{$this->var}/ballast") . ' bs=4k 2>/dev/null');
            $refused = [];
            for ($number = 2; $number < 400 && count($refused) < 3; $number++) {
                $id = (string) Str::uuid();
                $status = $this->log($id, $number);
                if ($status === 201) {
                    continue;
                }
                self::assertGreaterThanOrEqual(500, $status);
                $refused[$id] = $this->said();
            }
            self::assertNotSame([], $refused, 'the disk was not full');
            self::assertStringContainsString('no room left on the disk', implode(' ', $refused));

            unlink("{$this->var}/ballast");
            self::assertSame(0, $this->skivo('start', '--empty')[0]);
            foreach (array_keys($refused) as $id) {
                self::assertContains($this->log($id, 7), [200, 201]);
            }
            self::assertContains($before, $this->stored());
            self::assertSame([], array_diff(array_keys($refused), $this->stored()));
        } finally {
            $this->skivo('stop');
            exec('umount ' . escapeshellarg($this->var));
        }
    }

    public function testABackupComesBackEvenUnderLoadAndABrokenOneDoesNot(): void
    {
        $this->start();
        $kept = (string) Str::uuid();
        self::assertSame(201, $this->log($kept, 1));
        $file = "{$this->var}/kept.dump";
        [$status, $said] = $this->skivo('backup', $file);
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('1 educators, 1 challenges, 3 groups, 1 runs', $said);
        self::assertSame(1, $this->skivo('backup', $file)[0], 'a file that is there is not written over');

        $later = (string) Str::uuid();
        self::assertSame(201, $this->log($later, 2));
        file_put_contents("{$this->var}/broken.dump", substr((string) file_get_contents($file), 0, (int) (0.8 * filesize($file))));
        file_put_contents("{$this->var}/other.dump", 'no backup at all');
        foreach (['broken.dump', 'other.dump', 'missing.dump'] as $bad) {
            [$status, $said] = $this->skivo('restore', "{$this->var}/{$bad}", '--yes');
            self::assertSame(1, $status, $bad);
            self::assertCount(2, $this->stored(), $said);
        }
        [$status, $said] = $this->skivo('restore', $file);
        self::assertSame(1, $status, 'it asks first');
        self::assertStringContainsString('It would replace  1 educators, 1 challenges, 3 groups, 2 runs', $said);

        // While the lane goes on logging: each run that was confirmed is in what is served, or in what was kept aside.
        $confirmed = [];
        $restore = $this->inBackground('restore', $file, '--yes');
        for ($number = 3; proc_get_status($restore)['running']; $number++) {
            $id = (string) Str::uuid();
            if ($this->log($id, $number) === 201) {
                $confirmed[] = $id;
            }
        }
        self::assertGreaterThan(3, count($confirmed), 'it was under load');
        self::assertContains($kept, $served = $this->stored());
        self::assertSame(200, $this->log($kept, 1), 'it serves again');
        // What was replaced was kept aside, and comes back the same way.
        $aside = glob("{$this->var}/backups/before-restore-*.dump") ?: [];
        self::assertCount(1, $aside);
        self::assertSame(0, $this->skivo('restore', $aside[0], '--yes')[0]);
        $replaced = $this->stored();
        self::assertContains($later, $replaced);
        self::assertSame([], array_values(array_diff($confirmed, $served, $replaced)), count($confirmed) . ' were confirmed meanwhile');
    }

    public function testOldAndNewVersionsKeepTheirDataApart(): void
    {
        $this->start();
        $kept = (string) Str::uuid();
        self::assertSame(201, $this->log($kept, 1));
        // As a newer Skivo would leave it.
        $this->owner()->exec("INSERT INTO migrations (migration, batch) VALUES ('2099_01_01_000001_something_new', 9)");
        $file = "{$this->var}/newer.dump";
        self::assertSame(0, $this->skivo('backup', $file)[0]);
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(1, $status, $said);
        self::assertStringContainsString('was made by a newer Skivo than this one', $said);
        $this->owner()->exec("DELETE FROM migrations WHERE migration LIKE '2099%'");
        [$status, $said] = $this->skivo('restore', $file, '--yes');
        self::assertSame(1, $status, $said);
        self::assertStringContainsString('was made by a newer Skivo than this one', $said);
        self::assertSame(200, $this->log($kept, 1), 'what was there is served as before');

        // As an older one would: a step is still to come, and cannot be taken, since its tables are there.
        $step = (string) $this->owner()->query('SELECT min(migration) FROM migrations')->fetchColumn();
        $this->owner()->exec("DELETE FROM migrations WHERE migration = '{$step}'");
        $old = "{$this->var}/older.dump";
        self::assertSame(0, $this->skivo('backup', $old)[0]);
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(1, $status, $said);
        self::assertSame(1, preg_match('~a copy of everything was kept in (\S+)~', $said, $found), $said);
        self::assertStringContainsString('could not be brought up to date', $said);
        self::assertFileExists($found[1]);
        $this->owner()->exec("INSERT INTO migrations (migration, batch) VALUES ('{$step}', 1)");
        self::assertSame(0, $this->skivo('start', '--empty')[0]);
        [$status, $said] = $this->skivo('restore', $old, '--yes');
        self::assertSame(1, $status, $said);
        self::assertStringContainsString('could not be brought up to date', $said);
        self::assertSame(200, $this->log($kept, 1), 'what was there is served as before');
        self::assertSame([$kept], $this->stored());
    }

    /** Whoever looks after it starts it again and again on a run day: every start is one, and what devices log meanwhile is there. */
    #[Group('long')]
    public function testItStartsAgainAndAgainUnderTraffic(): void
    {
        $this->start(self::MANY_GROUPS);
        $traffic = new Traffic(
            "{$this->site}/challenges/{$this->challenge}/runs",
            ["Cookie: {$this->cookies()}", "X-CSRF-TOKEN: {$this->token}"],
            $this->groups,
            self::DEVICES,
        );
        for ($start = 1; $start <= self::STARTS; $start++) {
            $traffic->goOn(self::DEVICES);
            $said = "{$this->var}/start-{$start}";
            $starting = $this->process(dirname(__DIR__, 2), $said, ['start', '--empty']);
            $state = proc_get_status($starting);
            $traffic->goOnUntil(static function () use ($starting, &$state): bool {
                $state = $state['running'] ? proc_get_status($starting) : $state;

                return !$state['running'];
            }, 120.0);
            self::assertSame(0, $state['exitcode'], (string) file_get_contents($said));
        }
        $traffic->finish();
        sort($traffic->confirmed);
        self::assertSame($traffic->confirmed, $this->stored());
        self::assertSame([], array_diff(array_keys($traffic->statuses), [0, 200, 201, 502, 503, 504]), 'what is away is no fault');
    }

    /** Starts it with one educator and a class, signed in. */
    private function start(int $groups = 3): void
    {
        [$status, $said] = $this->skivo('start', '--port', (string) $this->port, '--empty');
        self::assertSame(0, $status, $said);
        $this->challenge = $this->makeClass(
            implode("\n", array_map(static fn(int $number): string => "Group {$number}", range(1, $groups))),
        );
        $this->groups = array_map(intval(...), $this->owner()->query('SELECT id FROM groups ORDER BY id')->fetchAll(PDO::FETCH_COLUMN));
        self::assertCount($groups, $this->groups);
    }

    /** Logs a run; so many microseconds after it was sent, something happens. */
    private function log(string $id, int $number, ?callable $meanwhile = null, int $after = 0): int
    {
        curl_setopt_array($this->client, [
            CURLOPT_URL => "{$this->site}/challenges/{$this->challenge}/runs",
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => json_encode(['id' => $id, 'group' => $this->groups[$number % 3], 'distance' => (string) (200 + $number)]),
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', "X-CSRF-TOKEN: {$this->token}"],
        ]);
        $several = curl_multi_init();
        curl_multi_add_handle($several, $this->client);
        $sent = hrtime(true);
        do {
            curl_multi_exec($several, $running);
            if ($meanwhile !== null && (hrtime(true) - $sent) / 1000 >= $after) {
                $meanwhile();
                $meanwhile = null;
            }
            curl_multi_select($several, 0.0005);
        } while ($running > 0);
        curl_multi_remove_handle($several, $this->client);
        if ($meanwhile !== null) {
            $meanwhile();
        }

        return curl_getinfo($this->client, CURLINFO_RESPONSE_CODE);
    }

    private function said(): string
    {
        return (string) curl_multi_getcontent($this->client);
    }

    /** As when the power goes: no word of warning. */
    private function kill(string $pidFile, bool $withChildren): void
    {
        $pid = PowerCut::pidIn($pidFile);
        $withChildren ? PowerCut::of($pid) : posix_kill($pid, SIGKILL);
    }

    /** @return list<string> the ids of all runs, in order */
    private function stored(): array
    {
        return $this->owner()->query('SELECT id::text FROM runs ORDER BY id::text')->fetchAll(PDO::FETCH_COLUMN);
    }

    private function owner(): PDO
    {
        return $this->database('skivo', 'skivo', trim((string) file_get_contents("{$this->var}/.owner")));
    }
}
