<?php

declare(strict_types=1);

namespace Tests\Shell;

use PHPUnit\Framework\TestCase;
use Tests\RunsSkivo;

/** Skivo as a school serves it: behind nginx with TLS, by the settings that ship with it. */
final class SchoolServerTest extends TestCase
{
    use RunsSkivo;

    private const NAME = 'skivo.school.example';

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
        $this->tls($inner, $outer, $plain);

        [$redirect, $headers] = $this->get("http://127.0.0.1:{$plain}/challenges");
        self::assertSame(301, $redirect);
        self::assertStringStartsWith('https://' . self::NAME . '/challenges', $headers['location']);
        [$status, $headers] = $this->get("https://127.0.0.1:{$outer}/challenges");
        self::assertSame(302, $status);
        self::assertStringStartsWith('https://' . self::NAME, $headers['location']);
        [$status, $headers, $page] = $this->get("https://127.0.0.1:{$outer}/sign-in");
        self::assertSame(200, $status);
        self::assertStringContainsString('max-age=', $headers['strict-transport-security']);
        self::assertStringContainsStringIgnoringCase('secure', $headers['set-cookie']);
        self::assertStringNotContainsString('http://', (string) preg_replace('~xmlns(:\w+)?="[^"]*"~', '', $page), 'nothing on it is asked for in the clear');
        // Somebody else's word on who asks is not taken, and another name opens nothing.
        self::assertSame(421, $this->get("http://127.0.0.1:{$inner}/sign-in", ['Host: evil.example'])[0]);
        self::assertStringContainsString(":{$inner}", $this->get("http://127.0.0.1:{$inner}/challenges")[1]['location']);
        // As much as a class's archive may be gets as far as the application, and more does not.
        self::assertSame([419, 413, 413], [
            $this->sends("https://127.0.0.1:{$outer}/challenges/archive", 40), $this->sends("https://127.0.0.1:{$outer}/challenges/archive", 120),
            $this->sends("https://127.0.0.1:{$outer}/sign-in", 40),
        ]);
    }

    /** The configuration that ships, with ports and a certificate of its own. */
    private function tls(int $inner, int $outer, int $plain): void
    {
        $folder = "{$this->var}/tls";
        mkdir($folder);
        exec(sprintf('openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj %s -keyout %s/key.pem -out %s/cert.pem 2>&1', escapeshellarg('/CN=' . self::NAME), $folder, $folder), $said, $status);
        self::assertSame(0, $status, implode("\n", $said));
        $server = strtr((string) file_get_contents(dirname(__DIR__, 2) . '/deploy/nginx-tls.conf'), [
            'listen 80' => "listen 127.0.0.1:{$plain}", 'listen 443' => "listen 127.0.0.1:{$outer}", '127.0.0.1:8484' => "127.0.0.1:{$inner}",
            '/etc/ssl/certs/skivo.school.example.pem' => "{$folder}/cert.pem", '/etc/ssl/private/skivo.school.example.key' => "{$folder}/key.pem",
        ]);
        $user = posix_geteuid() === 0 ? "user root;\n" : '';
        file_put_contents("{$folder}/nginx.conf", "{$user}pid {$folder}/nginx.pid;\nerror_log {$folder}/error.log;\nevents {}\nhttp {\naccess_log off;\nclient_body_temp_path {$folder}/body;\nproxy_temp_path {$folder}/proxy;\nfastcgi_temp_path {$folder}/f;\nuwsgi_temp_path {$folder}/u;\nscgi_temp_path {$folder}/s;\n{$server}\n}\n");
        exec("/usr/sbin/nginx -t -c {$folder}/nginx.conf 2>&1", $checked, $status);
        self::assertSame(0, $status, implode("\n", $checked));
        $this->nginx = proc_open(['/usr/sbin/nginx', '-c', "{$folder}/nginx.conf", '-g', 'daemon off;'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes) ?: null;
        for ($tries = 0; $tries < 100 && @fsockopen('127.0.0.1', $outer) === false; $tries++) {
            usleep(50_000);
        }
    }

    /**
     * @param list<string> $more headers
     *
     * @return array{int, array<string, string>, string}
     */
    private function get(string $address, array $more = ['Host: ' . self::NAME]): array
    {
        $headers = [];
        $client = curl_init($address);
        curl_setopt_array($client, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0, CURLOPT_HTTPHEADER => $more,
            CURLOPT_HEADERFUNCTION => static function ($client, string $line) use (&$headers): int {
                [$name, $value] = explode(':', $line, 2) + [1 => ''];
                $headers[strtolower(trim($name))] = trim($value);

                return strlen($line);
            },
        ]);
        $body = (string) curl_exec($client);

        return [curl_getinfo($client, CURLINFO_RESPONSE_CODE), $headers, $body];
    }

    /** What is answered to so many MB from somebody who is not signed in. */
    private function sends(string $address, int $megabytes): int
    {
        $client = curl_init($address);
        curl_setopt_array($client, [
            CURLOPT_RETURNTRANSFER => true, CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0, CURLOPT_POST => true,
            CURLOPT_HTTPHEADER => ['Host: ' . self::NAME, 'Expect:', 'Content-Type: application/octet-stream'], CURLOPT_POSTFIELDS => str_repeat('x', $megabytes * 1_000_000),
        ]);
        curl_exec($client);

        return curl_getinfo($client, CURLINFO_RESPONSE_CODE);
    }
}
