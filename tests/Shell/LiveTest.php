<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\AsksOverHttp;
use Tests\RunsSkivo;

/** Whether anything has changed: answered without the framework, and only to who has a signed address. */
final class LiveTest extends TestCase
{
    use AsksOverHttp;
    use RunsSkivo;

    protected function setUp(): void
    {
        $this->var = $this->folder('live');
        $this->forget();
        mkdir($this->var);
        chmod($this->var, 0755);
    }

    protected function tearDown(): void
    {
        $this->skivo('stop');
        $this->forget();
    }

    public function testOneNumberIsToldToWhoHasTheAddress(): void
    {
        $port = $this->freePort();
        [$status, $said] = $this->skivo('start', '--port', (string) $port);
        self::assertSame(0, $status, $said);
        $settings = parse_ini_file("{$this->var}/.env", false, INI_SCANNER_RAW);
        self::assertIsArray($settings);
        $signed = static fn(int $challenge): string => "/live/{$challenge}?signature=" . hash_hmac('sha256', "/live/{$challenge}", $settings['APP_KEY']);
        $get = fn(string $path, ?string $tag = null, string $method = 'GET'): array => $this->ask("http://127.0.0.1:{$port}{$path}", $tag === null ? [] : ["If-None-Match: {$tag}"], $method);
        [$first, $headers, $body] = $get($signed(1));
        self::assertSame(200, $first);
        self::assertMatchesRegularExpression('/^"\d+"$/', $body);
        self::assertSame($body, $headers['etag']);
        self::assertSame('Skivo', $headers['x-served-by']);
        self::assertArrayNotHasKey('set-cookie', $headers, 'no session is begun');
        self::assertSame([304, ''], [$get($signed(1), $body)[0], $get($signed(1), $body)[2]]);
        // Something changes, and the number with it.
        $this->database('skivo', 'skivo_app', $settings['DB_PASSWORD'])->exec("UPDATE challenges SET name = name || '.' WHERE id = 1");
        [$changed, , $number] = $get($signed(1), $body);
        self::assertSame(200, $changed);
        self::assertNotSame($body, $number);
        // An address that nobody signed opens nothing, whatever is changed of one that somebody did.
        self::assertSame(403, $get('/live/1')[0]);
        self::assertSame(403, $get(str_replace('/live/1', '/live/2', $signed(1)))[0]);
        self::assertSame(403, $get($signed(1) . '0')[0]);
        self::assertSame(403, $get($signed(1) . '&also=1')[0]);
        self::assertSame(405, $get($signed(1), null, 'POST')[0]);
        // Connections that died are made anew.
        $this->database('skivo', 'skivo_app', $settings['DB_PASSWORD'])->exec('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = current_user AND pid <> pg_backend_pid()');
        $answers = array_map(static fn(): int => $get($signed(1))[0], range(1, 20));
        self::assertSame([200], array_values(array_unique($answers)));
        if (getenv('LIVE_SPEED') !== false) {
            $took = [];
            for ($i = 0; $i < 400; $i++) {
                $begun = hrtime(true);
                $get($signed(1), $number);
                $took[] = (hrtime(true) - $begun) / 1e6;
            }
            sort($took);
            fwrite(STDERR, sprintf("an unchanged poll: median %.2f ms, 95 %% %.2f ms\n", $took[200], $took[380]));
        }
    }
}
