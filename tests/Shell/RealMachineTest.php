<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\PowerCut;
use Tests\RunsSkivo;

/** What a machine does while Skivo starts on it: others look on, others hold locks, and numbers are given again. */
final class RealMachineTest extends TestCase
{
    use RunsSkivo;

    protected function setUp(): void
    {
        $this->var = $this->folder('real machine');
        $this->forget();
        mkdir($this->var);
        chmod($this->var, 0755);
    }

    protected function tearDown(): void
    {
        $this->environment = [];
        $this->skivo('stop');
        $this->forget();
    }

    public function testNoPasswordIsAnArgumentAndWhatWasLeftBehindStopsNoStart(): void
    {
        $port = (string) $this->freePort();
        // Watched from the first moment: every argument of every process, as any user of the machine sees them.
        $seen = "{$this->var}/seen";
        $watch = proc_open([PHP_BINARY, '-r', <<<'PHP'
            $seen = [];
            while (!file_exists($argv[1] . '.stop')) {
                foreach (glob('/proc/[0-9]*/cmdline') as $each) {
                    $line = @file_get_contents($each);
                    if (is_string($line)) { $seen[$line] = true; }
                }
            }
            file_put_contents($argv[1], implode("\n", array_keys($seen)));
            PHP, $seen], [], $pipes);
        self::assertIsResource($watch);
        self::assertSame(0, $this->skivo('start', '--port', $port, '--empty')[0]);
        $secrets = [trim((string) file_get_contents("{$this->var}/.owner")), $this->setting('DB_PASSWORD')];
        $dump = "{$this->var}/all.dump";
        self::assertSame(0, $this->skivo('backup', $dump)[0]);
        self::assertSame(0, $this->skivo('restore', $dump, '--yes')[0]);
        // As an older one left it.
        $this->owner()->exec(
            "DELETE FROM migrations WHERE migration = '2026_01_01_000028_learners_in_all'; ALTER TABLE plans DROP COLUMN learners",
        );
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('Updating the database', $said);

        // A settings file of another day has an older password.
        $settings = (string) file_get_contents("{$this->var}/.env");
        file_put_contents("{$this->var}/.env", str_replace($this->setting('DB_PASSWORD'), 'of-another-day', $settings));
        self::assertSame(0, $this->skivo('start', '--empty')[0]);
        $secrets[] = $this->setting('DB_PASSWORD');
        self::assertNotContains('of-another-day', $secrets);
        self::assertSame(
            '1',
            (string) $this->database('skivo', 'skivo_app', $this->setting('DB_PASSWORD'))->query('SELECT 1')->fetchColumn(),
        );
        touch("{$seen}.stop");
        proc_close($watch);
        $arguments = (string) file_get_contents($seen);
        self::assertStringContainsString('pg_dump', $arguments, 'it looked while that ran');
        foreach (array_unique($secrets) as $secret) {
            self::assertGreaterThan(15, strlen($secret));
            self::assertStringNotContainsString($secret, $arguments);
        }

        // The copy of this night stays until the newer one is whole.
        self::assertSame(0, $this->skivo('backup', '--into', "{$this->var}/nights")[0]);
        $night = (glob("{$this->var}/nights/*.dump") ?: [''])[0];
        $whole = (string) file_get_contents($night);
        mkdir("{$night}.part");
        self::assertSame(1, $this->skivo('backup', '--into', "{$this->var}/nights")[0]);
        self::assertSame($whole, file_get_contents($night));
        rmdir("{$night}.part");
        self::assertSame(0, $this->skivo('backup', '--into', "{$this->var}/nights")[0]);

        // Its database is killed while one connection works on: that keeps a new one from starting.
        $asks = [
            'env', 'PGCONNECT_TIMEOUT=5', '/usr/lib/postgresql/15/bin/psql', '-h', '127.0.0.1', '-p', $this->setting('DB_PORT'),
            '-U', 'skivo_app', '-d', 'skivo', '-c', 'SELECT count(*) FROM generate_series(1, 3000000000) AS a',
        ];
        $busy = proc_open($asks, [2 => ['file', '/dev/null', 'a']], $pipes, null, [
            'PGPASSWORD' => $this->setting('DB_PASSWORD'),
        ] + getenv());
        self::assertIsResource($busy);
        do {
            usleep(20_000);
            $works = (int) $this->owner()
                ->query(
                    "SELECT count(*) FROM pg_stat_activity WHERE state = 'active' AND query LIKE '%generate_series(1, 3000000000)%' AND usename = 'skivo_app'",
                )
                ->fetchColumn();
        } while ($works === 0);
        posix_kill(PowerCut::pidIn("{$this->cluster()}/postmaster.pid"), SIGKILL);
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(0, $status, $said);
        proc_terminate($busy);
        proc_close($busy);

        // The number that the database had is another program's by now: that goes on.
        self::assertSame(0, $this->skivo('stop')[0]);
        $innocent = proc_open(['sleep', '600'], [], $pipes);
        self::assertIsResource($innocent);
        $number = proc_get_status($innocent)['pid'];
        file_put_contents(
            "{$this->cluster()}/postmaster.pid",
            "{$number}\n{$this->cluster()}\n" . time() . "\n{$this->setting('DB_PORT')}\n\n127.0.0.1\n  1 1\nready   \n",
        );
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(0, $status, $said);
        self::assertTrue(proc_get_status($innocent)['running']);
        proc_terminate($innocent);
        proc_close($innocent);

        // A full disk says so.
        $this->environment = ['LEAST_ROOM_MB' => '999999999'];
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(1, $status);
        self::assertMatchesRegularExpression(
            '/the disk that holds .* is full: \d+ MB are free, and Skivo needs 999999999 MB\. Make room/',
            $said,
        );
    }

    /** A fresh machine updates itself in its first minutes: that is waited for, and said; another fault is not. */
    public function testAnotherProgramThatInstallsPackagesIsWaitedFor(): void
    {
        $stub = "{$this->var}/bin";
        mkdir($stub);
        mkdir("{$this->var}/run");
        file_put_contents("{$stub}/apt-get", <<<'SH'
            #!/bin/sh
            n=$(cat "$0.count" 2>/dev/null || echo 0); echo $((n + 1)) >"$0.count"
            [ "$n" -lt "$(cat "$0.fails")" ] || exit 0
            cat "$0.says" >&2
            exit 100
            SH);
        chmod("{$stub}/apt-get", 0755);
        $run = function (string $says, int $fails) use ($stub): array {
            file_put_contents("{$stub}/apt-get.says", $says);
            file_put_contents("{$stub}/apt-get.fails", (string) $fails);
            @unlink("{$stub}/apt-get.count");
            exec('PATH=' . escapeshellarg($stub) . ':$PATH VAR=' . escapeshellarg($this->var)
                . ' ROOT=' . escapeshellarg(dirname(__DIR__, 2))
                . ' APT_WAITS_S=0.01 bash -c ' . escapeshellarg(
                    'set -euo pipefail; . "$ROOT/deploy/common.sh"; as_root=(); apt_get install something',
                ) . ' 2>&1', $said, $status);

            return [$status, implode("\n", $said), (int) file_get_contents("{$stub}/apt-get.count")];
        };
        foreach (
            [
                'E: Could not get lock /var/lib/dpkg/lock-frontend. It is held by process 811 (unattended-upgr)',
                'E: Unable to lock directory /var/lib/apt/lists/',
            ] as $held
        ) {
            [$status, $said, $asked] = $run($held, 3);
            self::assertSame([0, 4], [$status, $asked]);
            self::assertSame(1, substr_count($said, 'another program is installing packages'));
        }
        [$status, $said, $asked] = $run('E: Unable to locate package something', 3);
        self::assertNotSame(0, $status);
        self::assertSame(1, $asked);
        self::assertStringNotContainsString('waiting', $said);
    }

    private function setting(string $name): string
    {
        $settings = parse_ini_file("{$this->var}/.env", false, INI_SCANNER_RAW);

        return trim((string) ($settings[$name] ?? ''), '"');
    }

    private function owner(): \PDO
    {
        return $this->database('skivo', 'skivo', trim((string) file_get_contents("{$this->var}/.owner")));
    }
}
