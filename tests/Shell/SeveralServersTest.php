<?php

declare(strict_types=1);

namespace Tests\Shell;

use PDO;
use PHPUnit\Framework\TestCase;
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
    use MakesAClassOverHttp;
    use RunsNginx;
    use RunsSkivo;

    private const DEVICES = 12;
    private const GROUPS = 39;

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

    protected function setUp(): void
    {
        $this->var = $this->folder('several-servers');
        exec('rm -rf ' . escapeshellarg($this->var));
        mkdir($this->var);
        chmod($this->var, 0755);
        $this->databases = new DatabaseServers(DatabaseServers::folder("{$this->var}/databases"), $this->freePort());
        $this->databases->start();
        foreach ([1, 2] as $number) {
            $this->poolers[] = $pooler = new Pooler(DatabaseServers::folder("{$this->var}/pooler{$number}"), $this->freePort(), $this->databases->port);
            $pooler->points('a', ['b', 'c']);
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

    public function testWhicheverPartDiesWhatWasConfirmedIsThereOnce(): void
    {
        $this->startServers();
        $this->startBalancer();
        $this->openBrowser('https://' . self::NAME . ":{$this->port}");
        curl_setopt($this->client, CURLOPT_RESOLVE, [self::NAME . ":{$this->port}:127.0.0.1"]);
        $this->challenge = $this->makeClass(implode("\n", array_map(static fn(int $i): string => "Group {$i}", range(1, self::GROUPS))));

        $this->whoWroteReadsItAndOthersReadReplicas();
        $this->aBackupGoesThroughThePooler();

        $groups = array_map(intval(...), $this->databases->open('a', 'skivo')->query('SELECT id FROM groups ORDER BY id')->fetchAll(PDO::FETCH_COLUMN));
        $traffic = new Traffic("https://127.0.0.1:{$this->port}/challenges/{$this->challenge}/runs", ['Host: ' . self::NAME, "Cookie: {$this->cookies()}", "X-CSRF-TOKEN: {$this->token}"], $groups, self::DEVICES);
        $traffic->goOn(self::RUNS);
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
        foreach (['b', 'c'] as $standby) {
            $this->databases->kill($standby);
            $traffic->goOn(self::RUNS);
            self::assertSame(200, $this->asks(), 'pages are read from what is left');
            $this->databases->boot($standby);
            $traffic->goOnUntil(fn(): bool => $this->databases->hasAllOf($standby, 'a'), 30.0);
        }
        // With no standby left nothing is confirmed, since it would be on one disk alone; with one, what waited is.
        array_map($this->databases->kill(...), ['b', 'c']);
        $traffic->goOnUntil(fn(): bool => $this->databases->sql('a', 'skivo', "SELECT count(*) FROM pg_stat_activity WHERE wait_event = 'SyncRep' OR wait_event_type = 'Lock'") >= self::DEVICES / 2, 30.0);
        [$waiting, $again] = [count($traffic->confirmed), $traffic->again];
        $traffic->goOnUntil(static fn(): bool => $traffic->again > $again, 30.0);
        self::assertLessThanOrEqual($waiting + self::DEVICES / 2, count($traffic->confirmed));
        $this->databases->boot('b');
        $traffic->goOn(self::RUNS);
        $this->databases->boot('c');
        $traffic->goOnUntil(fn(): bool => $this->databases->hasAllOf('c', 'a'), 30.0);

        $this->databases->kill('a');
        $again = $traffic->again;
        $traffic->goOnUntil(static fn(): bool => $traffic->again >= $again + self::DEVICES, 30.0);
        $primary = $this->databases->farthest('b', 'c');
        $standby = $primary === 'b' ? 'c' : 'b';
        $this->databases->promote($primary);
        $this->databases->follow($standby, $primary);
        foreach ($this->poolers as $pooler) {
            $pooler->points($primary, [$standby]);
        }
        $traffic->goOn(self::RUNS);
        self::assertSame(200, $this->asks());
        // The former primary comes back, as a standby, and what only it had is gone from it.
        $this->databases->rewind('a', $primary);
        $this->databases->boot('a');
        $traffic->goOnUntil(fn(): bool => $this->databases->hasAllOf('a', $primary), 30.0);
        foreach ($this->poolers as $pooler) {
            $pooler->points($primary, [$standby, 'a']);
        }
        $traffic->goOn(self::RUNS);
        $traffic->finish();

        $stored = $this->databases->open($primary, 'skivo')->query('SELECT id::text FROM runs')->fetchAll(PDO::FETCH_COLUMN);
        sort($stored);
        $confirmed = $traffic->confirmed;
        sort($confirmed);
        self::assertSame($confirmed, $stored, 'none is lost, and none is there twice');
        self::assertSame(count($confirmed), count(array_unique($confirmed)));
        $tries = $this->databases->sql($primary, 'skivo', 'SELECT count(*) - count(DISTINCT (car_id, try)) FROM runs');
        self::assertSame(0, (int) $tries, 'each has a try of its own');
        self::assertSame([], array_diff(array_keys($traffic->statuses), [0, 200, 201, 502, 503, 504]), 'a part that is away is no fault, and said as what it is');
        if (getenv('SERVERS_SAY') !== false) {
            fwrite(STDERR, sprintf("%d runs confirmed, %d sendings again %s, longest silence %.1f s\n", count($confirmed), $traffic->again, json_encode($traffic->statuses), $traffic->silence));
        }
    }

    /** While the standbys stand still: who has written sees it, and somebody else sees what they had. */
    private function whoWroteReadsItAndOthersReadReplicas(): void
    {
        foreach (['b', 'c'] as $standby) {
            $this->databases->sql($standby, 'skivo', 'SELECT pg_wal_replay_pause()');
        }
        $this->send("/challenges/{$this->challenge}/groups", ['names' => 'Latecomers']);
        self::assertStringContainsString('Latecomers', $this->page("/challenges/{$this->challenge}"));
        $other = curl_copy_handle($this->client);
        $isSession = static fn(string $line): bool => str_contains($line, 'skivo_session');
        curl_setopt($other, CURLOPT_COOKIELIST, 'ALL');
        foreach (array_filter(curl_getinfo($this->client, CURLINFO_COOKIELIST), $isSession) as $line) {
            curl_setopt($other, CURLOPT_COOKIELIST, $line);
        }
        $page = (string) curl_exec($other);
        self::assertStringContainsString('Group 39', $page);
        self::assertStringNotContainsString('Latecomers', $page, 'a replica answered');
        foreach (['b', 'c'] as $standby) {
            $this->databases->sql($standby, 'skivo', 'SELECT pg_wal_replay_resume()');
        }
        // Whatever is only shown can be read where nothing can be written.
        foreach (['', '/findings', '/findings/sure', '/report', '/runs', '/plan', '/groups', '/room', '/sharing', '/what-if'] as $page) {
            self::assertSame(200, $this->asks($page), $page);
        }
    }

    private function aBackupGoesThroughThePooler(): void
    {
        $top = $this->var;
        $this->var = $this->servers[0];
        [$status, $said] = $this->skivo('backup', "{$top}/all.dump");
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('1 educators, 1 challenges, 40 groups', $said);
        self::assertStringContainsString('restore it there', $this->skivo('restore', "{$top}/all.dump", '--yes')[1]);
        $this->var = $top;
        self::assertSame([200], array_values(array_unique(array_map(fn(): int => $this->asks(), range(1, 12)))), 'what it set for itself stays with it');
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
                "APP_KEY={$key}", 'DB_HOST=127.0.0.1', "DB_PORT={$pooler}", 'DB_USERNAME=skivo_app', 'DB_PASSWORD="' . DatabaseServers::secret('skivo_app') . '"',
                'DB_READ_HOST=127.0.0.1', 'DB_READ_DATABASE=skivo_read', 'DB_BACKUP_DATABASE=skivo_backup',
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
        array_map($this->startServer(...), [0, 1]);
    }

    private function startServer(int $number): void
    {
        $top = $this->var;
        $this->var = $this->servers[$number];
        [$status, $said] = $this->skivo('start', '--empty', '--port', (string) $this->ports[$number], '--name', self::NAME);
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
            'listen 80' => "listen 127.0.0.1:{$this->freePort()}", '10.0.0.21:8484' => "127.0.0.1:{$this->ports[0]}", '10.0.0.22:8484' => "127.0.0.1:{$this->ports[1]}",
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
        curl_setopt_array($client, [CURLOPT_URL => "{$this->site}/challenges/{$this->challenge}{$page}", CURLOPT_HTTPGET => true, CURLOPT_COOKIELIST => 'ALL', CURLOPT_HTTPHEADER => ["Cookie: {$this->cookies()}"]]);
        curl_exec($client);

        return curl_getinfo($client, CURLINFO_RESPONSE_CODE);
    }

    /** The sign-in, to be sent by others. */
    private function cookies(): string
    {
        foreach (curl_getinfo($this->client, CURLINFO_COOKIELIST) as $line) {
            $parts = explode("\t", $line);
            if ($parts[5] === 'skivo_session') {
                return "skivo_session={$parts[6]}";
            }
        }
        self::fail('nobody is signed in');
    }
}
