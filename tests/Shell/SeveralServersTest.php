<?php

declare(strict_types=1);

namespace Tests\Shell;

use PDO;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Tests\CopiesTheTree;
use Tests\MakesAClassOverHttp;
use Tests\PowerCut;
use Tests\RunsNginx;
use Tests\RunsSkivo;

/**
 * Two servers of Skivo behind a balancer, each with a pooler before a primary and two standbys, with the settings that ship: whichever
 * of them dies, what was confirmed is there, once.
 */
final class SeveralServersTest extends TestCase
{
    use CopiesTheTree;
    use MakesAClassOverHttp;
    use RunsNginx;
    use RunsSkivo;

    private const DEVICES = 12;
    private const GROUPS = 39;

    private const POLLS = 200;

    /** Confirmed between one death and the next. */
    private const RUNS = 40;

    private DatabaseServers $databases;

    /** @var list<Pooler> one on each server */
    private array $poolers = [];

    /** @var list<string> folders of the servers */
    private array $servers = [];

    /** @var list<int> their ports */
    private array $ports = [];

    /** @var resource|null */
    private mixed $balancer = null;

    private int $port;

    private int $challenge;

    /** @var list<int> */
    private array $groups = [];

    protected function setUp(): void
    {
        $this->var = $this->folder('several-servers');
        exec('rm -rf ' . escapeshellarg($this->var));
        mkdir($this->var);
        chmod($this->var, 0755);
        $this->databases = new DatabaseServers(DatabaseServers::folder("{$this->var}/databases"), $this->freePort());
        $this->databases->start();
        foreach ([1, 2] as $number) {
            $this->poolers[] = $pooler = new Pooler(
                DatabaseServers::folder("{$this->var}/pooler{$number}"),
                $this->freePort(),
                $this->databases->port,
            );
            $pooler->points('a');
            $pooler->start();
            $this->servers[] = "{$this->var}/server{$number}";
            $this->ports[] = $this->freePort();
        }
        $this->port = $this->freePort();
    }

    protected function tearDown(): void
    {
        $top = $this->var;
        $this->killBalancer();
        foreach ($this->servers as $this->var) {
            $this->skivo('stop');
        }
        foreach ($this->poolers as $pooler) {
            $pooler->kill();
        }
        $this->databases->stop();
        exec('rm -rf ' . escapeshellarg($top));
    }

    #[Group('long')]
    public function testWhicheverPartDiesWhatWasConfirmedIsThereOnce(): void
    {
        $this->startServers();
        $this->startBalancer();
        $this->openBrowser('https://' . self::NAME . ":{$this->port}");
        curl_setopt($this->client, CURLOPT_RESOLVE, [self::NAME . ":{$this->port}:127.0.0.1"]);
        $this->challenge = $this->makeClass(implode("\n", array_map(static fn(int $i): string => "Group {$i}", range(1, self::GROUPS))));
        $this->groups = array_map(
            intval(...),
            $this->databases->open('a', 'skivo')->query('SELECT id FROM groups ORDER BY id')->fetchAll(PDO::FETCH_COLUMN),
        );

        $traffic = $this->traffic();
        $this->says($traffic);
        $this->serversDie($traffic);
        $this->standbysDie($traffic);
        $primary = $this->thePrimaryDies($traffic);
        $primary = $this->thePrimaryIsCutOff($traffic, $primary);
        $this->anotherVersionComes($traffic, $primary);
        $traffic->finish();

        $this->isThereOnce($traffic->confirmed, $primary);
        $tries = $this->databases->sql($primary, 'skivo', 'SELECT count(*) - count(DISTINCT (car_id, try)) FROM runs');
        self::assertSame(0, (int) $tries, 'each has a try of its own');
        self::assertSame(
            [],
            array_diff(array_keys($traffic->statuses), [0, 200, 201, 502, 503, 504]),
            'a part that is away is no fault, and said as what it is',
        );
        if (getenv('SERVERS_SAY') !== false) {
            fwrite(
                STDERR,
                sprintf(
                    "%d runs confirmed, %d sendings again %s, longest silence %.1f s\n",
                    count($traffic->confirmed),
                    $traffic->again,
                    json_encode($traffic->statuses),
                    $traffic->silence,
                ),
            );
        }
        $this->aBackupComesBack($traffic->confirmed, $primary);
    }

    /** How fast two servers answer, with nothing amiss; the devices, the servers and the databases share this machine. */
    private function says(Traffic $traffic): void
    {
        $traffic->goOn(5 * self::RUNS);
        if (getenv('SERVERS_SAY') === false) {
            return;
        }
        [$log, $logSlow] = self::medianAndSlow($traffic->took);
        fwrite(
            STDERR,
            sprintf(
                "%d devices that never rest: a run is confirmed in %.0f ms (median), %.0f ms (95 %%)\n",
                self::DEVICES,
                1e3 * $log,
                1e3 * $logSlow,
            ),
        );
        $page = html_entity_decode($this->page("/challenges/{$this->challenge}"));
        foreach (['live', 'state'] as $asked) {
            self::assertSame(1, preg_match("~data-{$asked}=\"([^\"]+)\"~", $page, $found), $page);
            $times = [];
            for ($i = 0; $i < self::POLLS; $i++) {
                $client = curl_copy_handle($this->client);
                curl_setopt_array(
                    $client,
                    [
                        CURLOPT_URL => $this->site . $found[1], CURLOPT_HTTPGET => true, CURLOPT_COOKIELIST => 'ALL',
                        CURLOPT_HTTPHEADER => ['Accept: application/json', 'X-Beside: yes', "Cookie: {$this->cookies()}"],
                    ],
                );
                curl_exec($client);
                self::assertSame(200, curl_getinfo($client, CURLINFO_RESPONSE_CODE), $asked);
                $times[] = curl_getinfo($client, CURLINFO_STARTTRANSFER_TIME) - curl_getinfo($client, CURLINFO_PRETRANSFER_TIME);
            }
            [$median, $slow] = self::medianAndSlow($times);
            fwrite(STDERR, sprintf("%s: %.1f ms (median), %.1f ms (95 %%)\n", $asked, 1e3 * $median, 1e3 * $slow));
        }
    }

    /**
     * @param list<float> $times
     *
     * @return array{float, float}
     */
    private static function medianAndSlow(array $times): array
    {
        sort($times);

        return [$times[intdiv(count($times), 2)], $times[(int) (0.95 * count($times))]];
    }

    private function serversDie(Traffic $traffic): void
    {
        foreach ([0, 1] as $server) {
            $this->killServer($server);
            $traffic->goOn(self::RUNS);
            $this->startServer($server);
            $traffic->goOn(self::RUNS);
        }
        foreach ($this->poolers as $pooler) {
            $pooler->kill();
            $traffic->goOn(self::RUNS);
            $pooler->start();
            $traffic->goOn(self::RUNS);
        }
        $this->killBalancer();
        $traffic->goOnUntil(static fn(): bool => $traffic->again > 2 * self::DEVICES, 20.0);
        $this->startBalancer();
        $traffic->goOn(self::RUNS);
    }

    private function standbysDie(Traffic $traffic): void
    {
        foreach (['b', 'c'] as $standby) {
            $this->databases->kill($standby);
            $traffic->goOn(self::RUNS);
            self::assertSame(200, $this->asks(), 'pages are read from what is left');
            $this->databases->boot($standby);
            $traffic->goOnUntil(fn(): bool => $this->databases->hasAllOf($standby, 'a'), 30.0);
        }
        // With no standby left nothing is confirmed, since it would be on one disk alone; with one, what waited is.
        array_map($this->databases->kill(...), ['b', 'c']);
        $traffic->goOnUntil(fn(): bool => $this->waitAt('a') >= self::DEVICES / 2, 30.0);
        [$waiting, $again] = [count($traffic->confirmed), $traffic->again];
        $traffic->goOnUntil(static fn(): bool => $traffic->again > $again, 30.0);
        self::assertLessThanOrEqual($waiting + self::DEVICES / 2, count($traffic->confirmed));
        $this->databases->boot('b');
        $traffic->goOn(self::RUNS);
        $this->databases->boot('c');
        $traffic->goOnUntil(fn(): bool => $this->databases->hasAllOf('c', 'a'), 30.0);
    }

    /** @return string which one is the primary then */
    private function thePrimaryDies(Traffic $traffic): string
    {
        $this->databases->kill('a');
        $again = $traffic->again;
        $traffic->goOnUntil(static fn(): bool => $traffic->again >= $again + self::DEVICES, 30.0);
        $primary = $this->databases->farthest('b', 'c');
        $this->databases->promote($primary);
        $this->databases->follow($primary === 'b' ? 'c' : 'b', $primary);
        foreach ($this->poolers as $pooler) {
            $pooler->points($primary);
        }
        $traffic->goOn(self::RUNS);
        self::assertSame(200, $this->asks());
        $this->comesBack('a', $primary, $traffic);

        return $primary;
    }

    /**
     * It lives, but nobody who looks after it knows, and its standbys and one of the servers have gone over to another: two primaries.
     * What the other server still writes into the old one is never confirmed.
     *
     * @return string which one is the primary then
     */
    private function thePrimaryIsCutOff(Traffic $traffic, string $cutOff): string
    {
        $others = array_values(array_diff(array_keys(DatabaseServers::ADDRESSES), [$cutOff]));
        array_map($this->databases->leave(...), $others);
        $traffic->goOnUntil(fn(): bool => $this->waitAt($cutOff) > 0, 30.0);
        $primary = $this->databases->farthest(...$others);
        $standby = array_values(array_diff($others, [$primary]))[0];
        $this->databases->promote($primary);
        $this->databases->follow($standby, $primary);
        $this->poolers[0]->points($primary);
        $traffic->goOnUntil(fn(): bool => $this->waitAt($cutOff) > 0, 30.0);
        $traffic->goOn(self::RUNS, 120.0);
        self::assertGreaterThan(0, $this->waitAt($cutOff), 'the old one lives, and is asked');
        self::assertSame(
            't',
            $this->databases->sql($cutOff, 'postgres', "SELECT CASE WHEN pg_is_in_recovery() THEN 'f' ELSE 't' END"),
            'and takes itself for the primary',
        );
        $this->poolers[1]->points($primary);
        $this->databases->kill($cutOff);
        $traffic->goOn(self::RUNS);
        $this->comesBack($cutOff, $primary, $traffic);

        return $primary;
    }

    /** One after the other, with the database brought up to date before; the older one goes on meanwhile. */
    private function anotherVersionComes(Traffic $traffic, string $primary): void
    {
        $root = $this->nextVersion();
        $top = $this->var;
        $this->var = $this->servers[0];
        $this->environment = ['DB_OWNER_PASSWORD' => DatabaseServers::secret('skivo')];
        [$status, $said] = $this->skivoOf(
            $root,
            'migrate',
            '--host',
            DatabaseServers::ADDRESSES[$primary],
            '--port',
            (string) $this->databases->port,
        );
        $this->environment = [];
        $this->var = $top;
        self::assertSame(0, $status, $said);
        $traffic->goOn(2 * self::RUNS);
        foreach ([0, 1] as $server) {
            $this->var = $this->servers[$server];
            self::assertSame(0, $this->skivo('stop')[0]);
            $this->var = $top;
            $traffic->goOn(self::RUNS);
            $this->startServer($server, $root);
            $traffic->goOn(2 * self::RUNS);
        }
        self::assertSame(200, $this->asks());
        $this->var = $this->servers[1];
        [$status, $said] = $this->skivo('start', '--empty', '--port', (string) $this->ports[1], '--name', self::NAME);
        $this->var = $top;
        self::assertSame(1, $status);
        self::assertStringContainsString('newer Skivo', $said, 'the older one does not start on what the newer one has changed');
    }

    /** This tree with a column more. */
    private function nextVersion(): string
    {
        $root = "{$this->var}/next";
        $this->copyTree($root);
        file_put_contents("{$root}/database/migrations/2999_01_01_000001_next_version.php", <<<'PHP'
            <?php

            use Illuminate\Database\Migrations\Migration;
            use Illuminate\Database\Schema\Blueprint;
            use Illuminate\Support\Facades\Schema;

            return new class extends Migration {
                public function up(): void
                {
                    Schema::table('runs', static fn(Blueprint $table) => $table->text('of_the_next_version')->nullable());
                }
            };
            PHP);

        return $root;
    }

    /**
     * The database is dropped, and put back as docs/scaling.md has it: what the backup holds is there, and the servers go on.
     *
     * @param list<string> $confirmed
     */
    private function aBackupComesBack(array $confirmed, string $primary): void
    {
        $this->aBackupGoesThroughThePooler();
        $later = $this->traffic();
        $later->goOn(self::RUNS);
        $later->finish();
        array_map($this->killServer(...), [0, 1]);
        $administrator = $this->databases->open($primary, 'postgres');
        $administrator->exec('DROP DATABASE skivo WITH (FORCE)');
        $administrator->exec('CREATE DATABASE skivo OWNER skivo');
        $restore = sprintf(
            'PGPASSFILE=/dev/null PGPASSWORD=%s /usr/lib/postgresql/15/bin/pg_restore --no-owner --no-acl --exit-on-error -h %s -p %d -U skivo -d skivo %s 2>&1',
            escapeshellarg(DatabaseServers::secret('skivo')),
            DatabaseServers::ADDRESSES[$primary],
            $this->databases->port,
            escapeshellarg("{$this->var}/all.dump"),
        );
        exec($restore, $said, $status);
        self::assertSame(0, $status, implode("\n", $said));
        $top = $this->var;
        $this->var = $this->servers[0];
        $this->environment = ['DB_OWNER_PASSWORD' => DatabaseServers::secret('skivo')];
        [$status, $said] = $this->skivoOf(
            "{$top}/next",
            'migrate',
            '--host',
            DatabaseServers::ADDRESSES[$primary],
            '--port',
            (string) $this->databases->port,
        );
        self::assertSame(0, $status, $said);
        $this->environment = [];
        $this->var = $top;
        array_map(fn(int $server) => $this->startServer($server, "{$top}/next"), [0, 1]);
        $this->isThereOnce($confirmed, $primary);
        $after = $this->traffic();
        $after->goOn(self::RUNS);
        $after->finish();
        $this->isThereOnce([...$confirmed, ...$after->confirmed], $primary);
    }

    /** A former primary, as a standby; what only it had is gone from it. */
    private function comesBack(string $former, string $primary, Traffic $traffic): void
    {
        $this->databases->rewind($former, $primary);
        $this->databases->boot($former);
        $traffic->goOnUntil(fn(): bool => $this->databases->hasAllOf($former, $primary), 30.0);
        $traffic->goOn(self::RUNS);
    }

    /** How many writings wait at a primary for a standby, or for one that does. */
    private function waitAt(string $primary): int
    {
        return (int) $this->databases->sql(
            $primary,
            'skivo',
            "SELECT count(*) FROM pg_stat_activity WHERE wait_event = 'SyncRep' OR wait_event_type = 'Lock'",
        );
    }

    /** @param list<string> $confirmed ids of runs */
    private function isThereOnce(array $confirmed, string $primary): void
    {
        $stored = $this->databases->open($primary, 'skivo')->query('SELECT id::text FROM runs')->fetchAll(PDO::FETCH_COLUMN);
        sort($stored);
        sort($confirmed);
        self::assertSame($confirmed, $stored, 'none is lost, and none is there twice');
        self::assertSame(count($confirmed), count(array_unique($confirmed)));
    }

    private function traffic(): Traffic
    {
        return new Traffic(
            "https://127.0.0.1:{$this->port}/challenges/{$this->challenge}/runs",
            ['Host: ' . self::NAME, "Cookie: {$this->cookies()}", "X-CSRF-TOKEN: {$this->token}"],
            $this->groups,
            self::DEVICES,
        );
    }

    private function aBackupGoesThroughThePooler(): void
    {
        $top = $this->var;
        $this->var = $this->servers[0];
        [$status, $said] = $this->skivoOf("{$top}/next", 'backup', "{$top}/all.dump");
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('1 educators, 1 challenges, 39 groups', $said);
        self::assertStringContainsString('restore it there', $this->skivoOf("{$top}/next", 'restore', "{$top}/all.dump", '--yes')[1]);
        $this->var = $top;
        self::assertSame(
            [200],
            array_values(array_unique(array_map(fn(): int => $this->asks(), range(1, 12)))),
            'what it set for itself stays with it',
        );
    }

    /** The first of them brings the database up to date, straight at the primary; both have one key. */
    private function startServers(): void
    {
        $key = 'base64:' . base64_encode(random_bytes(32));
        foreach ($this->servers as $number => $folder) {
            mkdir($folder);
            chmod($folder, 0755);
            $pooler = (string) $this->poolers[$number]->port;
            file_put_contents("{$folder}/.env", implode("\n", [
                "APP_KEY={$key}", 'DB_HOST=127.0.0.1', "DB_PORT={$pooler}", 'DB_USERNAME=skivo_app',
                'DB_PASSWORD="' . DatabaseServers::secret('skivo_app') . '"',
                'DB_BACKUP_DATABASE=skivo_backup',
                'CACHE_STORE=database', 'SESSION_DRIVER=shared', 'SESSION_SECURE_COOKIE=true', 'TRUSTED_PROXIES=127.0.0.1', '',
            ]));
        }
        $top = $this->var;
        $this->var = $this->servers[0];
        [$status, $said] = $this->skivo('start', '--empty', '--port', (string) $this->ports[0], '--name', self::NAME);
        self::assertSame(1, $status, $said);
        self::assertStringContainsString('bin/skivo migrate', $said);
        $this->environment = ['DB_OWNER_PASSWORD' => DatabaseServers::secret('skivo')];
        [$status, $said] = $this->skivo('migrate', '--host', DatabaseServers::ADDRESSES['a'], '--port', (string) $this->databases->port);
        self::assertSame(0, $status, $said);
        $this->environment = [];
        $this->var = $top;
        array_map(fn(int $server) => $this->startServer($server), [0, 1]);
    }

    private function startServer(int $number, ?string $root = null): void
    {
        $top = $this->var;
        $this->var = $this->servers[$number];
        [$status, $said] = $this->skivoOf(
            $root ?? dirname(__DIR__, 2),
            'start',
            '--empty',
            '--port',
            (string) $this->ports[$number],
            '--name',
            self::NAME,
        );
        $this->var = $top;
        self::assertSame(0, $status, $said);
    }

    private function killServer(int $number): void
    {
        foreach (['php-fpm.pid', 'nginx.pid'] as $file) {
            PowerCut::of(PowerCut::pidIn("{$this->servers[$number]}/run/{$file}"));
        }
    }

    private function startBalancer(): void
    {
        $this->balancer = $this->nginx('nginx-balancer.conf', "{$this->var}/balancer", $this->port, [
            'listen 80' => "listen 127.0.0.1:{$this->freePort()}", '10.0.0.21:8484' => "127.0.0.1:{$this->ports[0]}",
            '10.0.0.22:8484' => "127.0.0.1:{$this->ports[1]}",
        ]);
    }

    private function killBalancer(): void
    {
        if (is_resource($this->balancer)) {
            PowerCut::of(proc_get_status($this->balancer)['pid']);
            proc_close($this->balancer);
            $this->balancer = null;
        }
    }

    /** What a page of the class answers to who has written nothing lately. */
    private function asks(string $page = ''): int
    {
        $client = curl_copy_handle($this->client);
        curl_setopt_array(
            $client,
            [
                CURLOPT_URL => "{$this->site}/challenges/{$this->challenge}{$page}", CURLOPT_HTTPGET => true, CURLOPT_COOKIELIST => 'ALL',
                CURLOPT_HTTPHEADER => ["Cookie: {$this->cookies()}"],
            ],
        );
        curl_exec($client);

        return curl_getinfo($client, CURLINFO_RESPONSE_CODE);
    }
}
