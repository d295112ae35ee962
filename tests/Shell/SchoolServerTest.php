<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\AsksOverHttp;
use Tests\RunsNginx;
use Tests\RunsSkivo;

/** Skivo as a school serves it: behind nginx with TLS, by the settings that ship with it. */
final class SchoolServerTest extends TestCase
{
    use AsksOverHttp;
    use RunsNginx;
    use RunsSkivo;

    private const AS_NAMED = ['Host: ' . self::NAME];

    /** @var resource|null the system's nginx before Skivo */
    private mixed $nginx = null;

    protected function setUp(): void
    {
        $this->var = $this->folder('school-server');
        $this->forget();
        mkdir($this->var);
        chmod($this->var, 0755);
    }

    protected function tearDown(): void
    {
        if (is_resource($this->nginx)) {
            proc_terminate($this->nginx);
            proc_close($this->nginx);
        }
        $this->skivo('stop');
        $this->forget();
    }

    public function testBehindTlsEverythingSaysHttpsAndALargeArchiveComesIn(): void
    {
        [$inner, $outer, $plain] = [$this->freePort(), $this->freePort(), $this->freePort()];
        self::assertSame(0, $this->skivo('start', '--port', (string) $inner, '--name', self::NAME)[0]);
        file_put_contents("{$this->var}/.env", "SESSION_SECURE_COOKIE=true\nTRUSTED_PROXIES=127.0.0.1\n", FILE_APPEND);
        [$status, $said] = $this->skivo('start', '--port', (string) $inner, '--name', self::NAME);
        self::assertSame(0, $status, $said);
        $this->nginx = $this->nginx(
            'nginx-tls.conf',
            "{$this->var}/tls",
            $outer,
            ['listen 80' => "listen 127.0.0.1:{$plain}", '127.0.0.1:8484' => "127.0.0.1:{$inner}"],
        );

        [$redirect, $headers] = $this->ask("http://127.0.0.1:{$plain}/challenges", self::AS_NAMED);
        self::assertSame(301, $redirect);
        self::assertStringStartsWith('https://' . self::NAME . '/challenges', $headers['location']);
        [$status, $headers] = $this->ask("https://127.0.0.1:{$outer}/challenges", self::AS_NAMED);
        self::assertSame(302, $status);
        self::assertStringStartsWith('https://' . self::NAME, $headers['location']);
        [$status, $headers, $page] = $this->ask("https://127.0.0.1:{$outer}/sign-in", self::AS_NAMED);
        self::assertSame(200, $status);
        self::assertStringContainsString('max-age=', $headers['strict-transport-security']);
        self::assertStringContainsStringIgnoringCase('secure', $headers['set-cookie']);
        self::assertStringNotContainsString(
            'http://',
            (string) preg_replace('~xmlns(:\w+)?="[^"]*"~', '', $page),
            'nothing on it is asked for in the clear',
        );
        // Somebody else's word on who asks is not taken, and another name opens nothing.
        self::assertSame(421, $this->ask("http://127.0.0.1:{$inner}/sign-in", ['Host: evil.example'])[0]);
        self::assertStringContainsString(":{$inner}", $this->ask("http://127.0.0.1:{$inner}/challenges", self::AS_NAMED)[1]['location']);
        $sends = fn(string $address, int $megabytes): int => $this->ask(
            $address,
            [...self::AS_NAMED, 'Content-Type: application/octet-stream'],
            'POST',
            str_repeat('x', $megabytes * 1_000_000),
        )[0];
        // As much as a class's archive may be gets as far as the application, and more does not.
        self::assertSame([419, 413, 413], [
            $sends("https://127.0.0.1:{$outer}/challenges/archive", 40), $sends("https://127.0.0.1:{$outer}/challenges/archive", 120),
            $sends("https://127.0.0.1:{$outer}/sign-in", 40),
        ]);
    }
}
