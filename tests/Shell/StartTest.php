<?php

declare(strict_types=1);

namespace Tests\Shell;

use PDO;
use PHPUnit\Framework\TestCase;
use Tests\Long;
use Tests\PowerCut;
use Tests\RunsSkivo;

/** bin/skivo start and stop, from nothing, in a folder of their own, whatever happened before. */
final class StartTest extends TestCase
{
    use RunsSkivo;

    protected function setUp(): void
    {
        // With a space, as people name their folders.
        $this->var = $this->folder('start test');
        $this->forget();
        mkdir($this->var);
        chmod($this->var, 0755);
    }

    protected function tearDown(): void
    {
        $this->skivo('stop');
        $this->forget();
    }

    public function testStartsFromNothingAgainAndAfterAnAccident(): void
    {
        $port = $this->freePort();
        [$status, $said] = $this->skivo('start', '--port', (string) $port);
        self::assertSame(0, $status, $said);
        self::assertStringContainsString("http://127.0.0.1:{$port}", $said);
        self::assertStringContainsString('demo@skivo.example', $said);
        self::assertStringContainsString('Sign in', $this->page($port));
        self::assertSame(1, preg_match('/password\s+(\S+)/', $said, $first));
        $this->othersReadNothing();

        [$status, $again] = $this->skivo('start');
        self::assertSame(0, $status, $again);
        self::assertStringContainsString("http://127.0.0.1:{$port}", $again, 'the port is remembered');
        self::assertStringContainsString($first[1], $again, 'the demo is the same');
        self::assertStringNotContainsString('Creating the database', $again);

        // Torn down behind its back, as when a laptop's battery gives out: each master, with its workers left behind.
        $accidents = 0;
        foreach (["{$this->cluster()}/postmaster.pid", "{$this->var}/run/php-fpm.pid", "{$this->var}/run/nginx.pid"] as $pidFile) {
            foreach (Long::or(['start'], ['start', 'stop']) as $command) {
                posix_kill(PowerCut::pidIn($pidFile), SIGKILL);
                [$status, $said] = $this->skivo($command);
                self::assertSame(0, $status, "{$command} after {$pidFile}: {$said}");
                self::assertSame($command === 'start', $this->page($port) !== '', "{$command} after {$pidFile}");
                if ($command === 'stop') {
                    self::assertSame(0, $this->skivo('start')[0]);
                }
                $accidents++;
            }
        }
        self::assertSame(Long::or(3, 6), $accidents);
        // And each worker of both servers in turn: the masters replace them.
        foreach (['php-fpm', 'nginx'] as $server) {
            foreach (PowerCut::workersOf(PowerCut::pidIn("{$this->var}/run/{$server}.pid")) as $worker) {
                posix_kill($worker, SIGKILL);
                self::assertTrue($this->comesToAnswer($port), "a worker of {$server}");
            }
        }
        // Without their pid files they are found, too.
        array_map(unlink(...), ["{$this->var}/run/php-fpm.pid", "{$this->var}/run/nginx.pid"]);
        [$status, $stopped] = $this->skivo('stop');
        self::assertSame(0, $status, $stopped);
        self::assertSame('', $this->page($port));
        self::assertSame(0, $this->skivo('stop')[0], 'stopping twice is no fault');
    }

    public function testATakenPortIsSaidBeforeAnythingIsTouchedAndNoDatabaseIsDeleted(): void
    {
        mkdir($this->var . '/pg', 0700);
        file_put_contents("{$this->var}/pg/PG_VERSION", "15\n");
        file_put_contents("{$this->var}/pg/precious", 'all runs of a year');
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);
        $taken = (int) explode(':', (string) stream_socket_get_name($server, false))[1];

        [$status, $said] = $this->skivo('start', '--port', (string) $taken, '--empty');
        self::assertSame(1, $status);
        self::assertMatchesRegularExpression(
            "/port {$taken} on 127.0.0.1 is taken by php\\S* \\(process " . getmypid() . ', in .*Nothing was changed/',
            $said,
        );
        self::assertStringNotContainsString('Creating the database', $said);

        $port = $this->freePort();
        [$status, $said] = $this->skivo('start', '--port', (string) $port, '--empty');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('Nothing of it was deleted', $said);
        self::assertCount(1, glob("{$this->var}/pg-aside-*/precious") ?: []);
        self::assertStringContainsString('create your own account', $said);
        self::assertStringNotContainsString('demo@skivo.example', $said);

        self::assertSame(1, $this->skivo('start', '--port', (string) $taken)[0]);
        self::assertStringContainsString('Sign in', $this->page($port), 'what runs goes on');

        // The mark that the database is whole is lost: what it holds is not.
        $this->owner()->exec(
            "INSERT INTO users (name, email, password, created_at, updated_at) VALUES ('Tester', 'tester@skivo.example', 'x', now(), now())",
        );
        self::assertSame(0, $this->skivo('stop')[0]);
        unlink("{$this->cluster()}/skivo-ready");
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('It holds 1 educators', $said);
        self::assertSame(1, (int) $this->owner()->query('SELECT count(*) FROM users')->fetchColumn());

        // A restore that was cut short between its steps.
        self::assertSame(0, $this->skivo('stop')[0]);
        self::assertSame(0, $this->skivo('start', '--empty')[0]);
        $this->owner('postgres')->exec('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = \'skivo\'');
        $this->owner('postgres')->exec('ALTER DATABASE skivo RENAME TO skivo_replaced');
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('A restore was cut short', $said);
        self::assertSame(1, (int) $this->owner()->query('SELECT count(*) FROM users')->fetchColumn());

        // Gone altogether: never an empty one in its place.
        $this->owner('postgres')->exec('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = \'skivo\'');
        $this->owner('postgres')->exec('ALTER DATABASE skivo RENAME TO elsewhere');
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame(1, $status, $said);
        self::assertStringContainsString("the database 'skivo' is not there any more", $said);
        self::assertSame(
            0,
            (int) $this->owner('postgres')->query("SELECT count(*) FROM pg_database WHERE datname = 'skivo'")->fetchColumn(),
        );
    }

    public function testAStopDuringAStartWaitsForItAndBothComeToAnEnd(): void
    {
        $port = $this->freePort();
        self::assertSame(0, $this->skivo('start', '--port', (string) $port, '--empty')[0]);
        foreach ([100, 700, 1500, 2500] as $milliseconds) {
            $start = $this->inBackground('start', '--empty');
            usleep($milliseconds * 1000);
            [$status, $said] = $this->skivo('stop');
            self::assertSame(0, $status, $said);
            self::assertSame(0, proc_close($start), "after {$milliseconds} ms");
            self::assertSame('', $this->page($port));
        }
        self::assertSame(0, $this->skivo('start', '--empty')[0]);
        self::assertStringContainsString('Sign in', $this->page($port));
    }

    public function testTheServerHoldsOutAgainstTheNetworkItIsOpenTo(): void
    {
        $port = $this->freePort();
        [$status, $said] = $this->skivo(
            'start',
            '--port',
            (string) $port,
            '--host',
            '0.0.0.0',
            '--name',
            'boathouse.skivo.example',
            '--empty',
        );
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('anyone on the same network can now open this page', $said);
        self::assertMatchesRegularExpression('~Tablets on the same network open http://[\d.]+:\d+/join~', $said);
        // The choice is kept, until it is taken back.
        [$status, $said] = $this->skivo('start', '--host', '127.0.0.1', '--empty');
        self::assertSame([0, false], [$status, str_contains($said, 'Tablets on the same network')], $said);
        $this->skivo('start', '--tablets', '--empty');
        [$status, $said] = $this->skivo('start', '--empty');
        self::assertSame([0, true], [$status, str_contains($said, 'Tablets on the same network')], $said);

        // Names: its own addresses and those given; any other is a page elsewhere that had its name point here.
        $answers = fn(string $host): int => (int) shell_exec(
            "curl -s -o /dev/null -w '%{http_code}' -H 'Host: {$host}' http://127.0.0.1:{$port}/sign-in",
        );
        foreach (["127.0.0.1:{$port}", "localhost:{$port}", 'boathouse.skivo.example', gethostname() . '.local'] as $ours) {
            self::assertSame(200, $answers($ours), $ours);
        }
        foreach (['evil.example', '10.1.2.3', '127.0.0.1.evil.example', 'boathouse-skivo.example'] as $other) {
            self::assertSame(421, $answers($other), $other);
        }

        // The headers that keep a browser from harm stand on everything, found or not, ours or nginx's.
        $built = '/build/assets/' . basename((string) current(glob(dirname(__DIR__, 2) . '/public/build/assets/*.js') ?: []));
        foreach (['/sign-in', '/nothing', '/build/nothing.js', $built, '/icon.svg', '/dry-run/metric/run', '/live/1'] as $path) {
            $headers = (string) shell_exec("curl -s -D - -o /dev/null 'http://127.0.0.1:{$port}{$path}'");
            self::assertSame(1, preg_match_all('/^Content-Security-Policy: default-src \'self\'/mi', $headers), "{$path}\n{$headers}");
            self::assertSame(1, preg_match_all('/^X-Content-Type-Options: nosniff/mi', $headers), $path);
        }

        // Who has no cookie leaves no session behind, and who comes back with one can sign in all the same.
        $sessions = fn(): int => count(glob("{$this->var}/storage/framework/sessions/*") ?: []);
        for ($visit = 0; $visit < 20; $visit++) {
            $this->page($port);
        }
        self::assertSame(0, $sessions());
        $jar = "{$this->var}/cookies";
        $page = (string) shell_exec('curl -s -c ' . escapeshellarg($jar) . " http://127.0.0.1:{$port}/register");
        self::assertSame(1, preg_match('/name="_token" value="(\w+)"/', $page, $token));
        $form = http_build_query(
            [
                '_token' => $token[1], 'name' => 'Tester', 'email' => 'tester@skivo.example', 'password' => 'a long password',
                'password_confirmation' => 'a long password',
            ],
        );
        shell_exec(
            'curl -s -o /dev/null -b '
                . escapeshellarg($jar)
                . ' -c '
                . escapeshellarg($jar)
                . " --data '{$form}' http://127.0.0.1:{$port}/register",
        );
        self::assertStringContainsString(
            'Welcome, Tester',
            (string) shell_exec('curl -s -b ' . escapeshellarg($jar) . " http://127.0.0.1:{$port}/challenges"),
        );
        self::assertSame(1, $sessions());
        // What a page asks beside a person's doings neither stores the session nor uses up what is to be said next.
        $file = glob("{$this->var}/storage/framework/sessions/*")[0];
        $before = (string) file_get_contents($file);
        shell_exec('curl -s -H "X-Beside: yes" -b ' . escapeshellarg($jar) . " http://127.0.0.1:{$port}/challenges");
        self::assertSame($before, (string) file_get_contents($file));

        // More connections than a school has devices, each of which never ends its request.
        $half = proc_open(
            [
                'bash', '-c',
                'ulimit -n 4096; exec php -r ' . escapeshellarg(
                    'for ($i = 0; $i < 1100; $i++) { $s = stream_socket_client("tcp://127.0.0.1:'
                        . $port
                        . '"); fwrite($s, "GET / HTTP/1.1\r\nHost: x"); $all[] = $s; } echo "open\n"; fgets(STDIN);',
                ),
            ],
            [['pipe', 'r'], ['pipe', 'w'], STDERR],
            $pipes,
        );
        self::assertIsResource($half);
        self::assertSame("open\n", fgets($pipes[1]));
        for ($tablet = 0; $tablet < 40; $tablet++) {
            self::assertStringContainsString('Sign in', $this->page($port));
        }
        fclose($pipes[0]);
        proc_close($half);

        // The application reads and writes rows, and owns nothing.
        $settings = parse_ini_file("{$this->var}/.env", false, INI_SCANNER_RAW);
        self::assertIsArray($settings);
        $app = new PDO("pgsql:host=127.0.0.1;port={$settings['DB_PORT']};dbname=skivo", $settings['DB_USERNAME'], $settings['DB_PASSWORD']);
        self::assertSame(1, (int) $app->query('SELECT count(*) FROM users')->fetchColumn());
        self::assertFalse(
            (bool) $app->query('SELECT rolsuper OR rolcreatedb OR rolcreaterole FROM pg_roles WHERE rolname = current_user')->fetchColumn(),
        );
        self::assertSame(
            0,
            (int) $app->query(
                'SELECT count(*) FROM pg_class WHERE relowner = (SELECT oid FROM pg_roles WHERE rolname = current_user)',
            )->fetchColumn(),
        );
        self::assertStringNotContainsString($settings['DB_PASSWORD'], (string) file_get_contents("{$this->var}/.owner"));

        // Deleted by whoever looks after the machine.
        [$status, $said] = $this->skivo('delete', 'account', 'nobody@skivo.example', '--yes');
        self::assertSame(1, $status);
        self::assertStringContainsString('There is no account nobody@skivo.example. Nothing was deleted.', $said);
        self::assertSame(0, $this->skivo('delete', 'account', 'Tester@skivo.example', '--yes')[0]);
        self::assertSame(0, (int) $app->query('SELECT count(*) FROM users')->fetchColumn());
        $this->othersReadNothing();
    }

    public function testACheckoutWhoseFolderHasASpaceInItsName(): void
    {
        $root = dirname(__DIR__, 2);
        $copy = "{$this->var}/our class";
        mkdir($copy, 0755);
        foreach (
            [
                'app', 'artisan', 'bin', 'bootstrap', 'composer.json', 'config', 'core', 'database', 'deploy', 'package.json',
                'package-lock.json', 'php-packages.txt', 'public', 'resources', 'routes', 'vendor', 'vite.config.js',
            ] as $each
        ) {
            $this->copy("{$root}/{$each}", "{$copy}/{$each}");
        }
        mkdir("{$copy}/node_modules/vite", 0755, true);
        copy("{$root}/node_modules/.skivo-stamp", "{$copy}/node_modules/.skivo-stamp");
        if (is_dir("{$root}/lang")) {
            $this->copy("{$root}/lang", "{$copy}/lang");
        }
        $this->var = "{$copy}/var";
        $port = $this->freePort();

        [$status, $said] = $this->skivoOf($copy, 'start', '--port', (string) $port, '--empty');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('Sign in', $this->page($port));
        self::assertSame(0, $this->skivoOf($copy, 'stop')[0]);
        $this->forget();
        $this->var = dirname($copy);
    }

    /** By links where the disk is the same, so that it takes no time. */
    private function copy(string $from, string $to): void
    {
        [$from, $to] = [escapeshellarg($from), escapeshellarg($to)];
        exec("cp -al {$from} {$to} 2>/dev/null || { rm -rf {$to}; cp -a {$from} {$to}; }", $said, $status);
        self::assertSame(0, $status);
    }

    private function othersReadNothing(): void
    {
        exec('find ' . escapeshellarg($this->var) . ' -type f -perm /077 ! -name cookies', $open);
        self::assertSame([], $open, 'no file is open to other users of the machine');
    }

    private function owner(string $database = 'skivo'): PDO
    {
        return $this->database($database, 'skivo', trim((string) file_get_contents("{$this->var}/.owner")));
    }

    private function comesToAnswer(int $port): bool
    {
        for ($tries = 0; $tries < 100; $tries++) {
            if ($this->page($port) !== '') {
                return true;
            }
            usleep(50_000);
        }

        return false;
    }

    private function page(int $port): string
    {
        return (string) @file_get_contents("http://127.0.0.1:{$port}/sign-in");
    }
}
