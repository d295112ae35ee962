<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\MakesAClassOverHttp;
use Tests\RunsSkivo;

/** Sign-ins and what is kept between requests, in Redis where one is named. */
final class RedisTest extends TestCase
{
    use MakesAClassOverHttp;
    use RunsSkivo;

    /** @var resource|null */
    private mixed $redis = null;

    private int $redisPort;

    protected function setUp(): void
    {
        $this->var = $this->folder('redis');
        $this->forget();
        mkdir($this->var);
        chmod($this->var, 0755);
        $this->redisPort = $this->freePort();
    }

    protected function tearDown(): void
    {
        $this->stopRedis();
        $this->skivo('stop');
        $this->forget();
    }

    public function testAServerThatStartsAnewKnowsWhoIsSignedIn(): void
    {
        $this->startRedis();
        $port = $this->freePort();
        file_put_contents("{$this->var}/.env", "CACHE_STORE=redis\nSESSION_DRIVER=shared\nREDIS_PORT={$this->redisPort}\n");
        [$status, $said] = $this->skivo('start', '--empty', '--port', (string) $port);
        self::assertSame(0, $status, $said);
        $this->openBrowser("http://127.0.0.1:{$port}");
        $challenge = $this->makeClass("One\nTwo");
        self::assertGreaterThan(0, (int) shell_exec("redis-cli -p {$this->redisPort} dbsize"));
        self::assertSame([], glob("{$this->var}/storage/framework/sessions/*"), 'no session lies in a file');
        self::assertSame(0, $this->skivo('stop')[0]);
        self::assertSame(0, $this->skivo('start', '--empty', '--port', (string) $port)[0]);
        self::assertStringContainsString('Two', $this->page("/challenges/{$challenge}"));

        $this->stopRedis();
        curl_exec($this->client);
        self::assertSame(503, curl_getinfo($this->client, CURLINFO_RESPONSE_CODE), 'it is said that something is away');
        $this->startRedis();
        $this->page('/sign-in');
    }

    private function startRedis(): void
    {
        $redis = proc_open(
            ['redis-server', '--port', (string) $this->redisPort, '--bind', '127.0.0.1', '--save', '', '--dir', $this->var],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        self::assertIsResource($redis);
        $this->redis = $redis;
        for ($tries = 0; $tries < 200 && @fsockopen('127.0.0.1', $this->redisPort) === false; $tries++) {
            usleep(20_000);
        }
    }

    private function stopRedis(): void
    {
        if (is_resource($this->redis)) {
            proc_terminate($this->redis, SIGKILL);
            proc_close($this->redis);
            $this->redis = null;
        }
    }
}
