<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Tests\RunsSkivo;

/** bin/skivo start and stop, from nothing, in a folder of their own. */
final class StartTest extends TestCase
{
    use RunsSkivo;

    protected function setUp(): void
    {
        $this->var = dirname(__DIR__, 2) . '/var/start-test';
        $this->forget();
        mkdir($this->var, 0755, true);
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

        [$status, $again] = $this->skivo('start');
        self::assertSame(0, $status, $again);
        self::assertStringContainsString("http://127.0.0.1:{$port}", $again, 'the port is remembered');
        self::assertStringContainsString($first[1], $again, 'the demo is the same');
        self::assertStringNotContainsString('Creating the database', $again);

        // The database is torn down behind its back, as when a laptop's battery gives out.
        posix_kill((int) explode("\n", (string) file_get_contents("{$this->cluster()}/postmaster.pid"))[0], SIGKILL);
        usleep(500_000);
        [$status, $mended] = $this->skivo('start');
        self::assertSame(0, $status, $mended);
        self::assertStringContainsString('Sign in', $this->page($port));

        [$status, $stopped] = $this->skivo('stop');
        self::assertSame(0, $status, $stopped);
        self::assertSame('', $this->page($port));
        self::assertSame(0, $this->skivo('stop')[0], 'stopping twice is no fault');
    }

    public function testATakenPortIsSaidAndAHalfMadeDatabaseIsMadeAnew(): void
    {
        mkdir("{$this->var}/pg", 0700);
        file_put_contents("{$this->var}/pg/PG_VERSION", "15\n");
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);
        $taken = (int) explode(':', (string) stream_socket_get_name($server, false))[1];

        [$status, $said] = $this->skivo('start', '--port', (string) $taken, '--empty');
        self::assertSame(1, $status);
        self::assertStringContainsString("port {$taken} on 127.0.0.1 is taken", $said);
        self::assertStringContainsString('Creating the database', $said);

        [$status, $said] = $this->skivo('start', '--port', (string) $this->freePort(), '--empty');
        self::assertSame(0, $status, $said);
        self::assertStringContainsString('create your own account', $said);
        self::assertStringNotContainsString('demo@skivo.example', $said);
    }

    public function testOpeningItToTheNetworkIsWarnedOf(): void
    {
        [$status, $said] = $this->skivo('start', '--port', (string) $this->freePort(), '--host', '0.0.0.0', '--empty');

        self::assertSame(0, $status, $said);
        self::assertStringContainsString('anyone on the same network can now open this page', $said);
    }

    private function page(int $port): string
    {
        return (string) @file_get_contents("http://127.0.0.1:{$port}/sign-in");
    }
}
