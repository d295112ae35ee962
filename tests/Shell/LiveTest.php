<?php

declare(strict_types=1);

namespace Tests\Shell;

use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Encryption\Encrypter;
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
        $signed = static fn(int $challenge): string => "/live/{$challenge}?signature=" . hash_hmac(
            'sha256',
            "/live/{$challenge}",
            $settings['APP_KEY'],
        );
        $get = fn(string $path, ?string $tag = null, string $method = 'GET'): array => $this->ask(
            "http://127.0.0.1:{$port}{$path}",
            $tag === null ? [] : ["If-None-Match: {$tag}"],
            $method,
        );
        [$first, $headers, $body] = $get($signed(1));
        self::assertSame(200, $first);
        self::assertMatchesRegularExpression('/^"\d+"$/', $body);
        self::assertSame($body, $headers['etag']);
        self::assertSame('Skivo', $headers['x-served-by']);
        self::assertSame(
            $headers['etag'],
            $this->ask("http://127.0.0.1:{$port}{$signed(1)}", ['Accept-Encoding: gzip'])[1]['etag'],
            'as browsers ask, too',
        );
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
        $this->database('skivo', 'skivo_app', $settings['DB_PASSWORD'])->exec(
            'SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename = current_user AND pid <> pg_backend_pid()',
        );
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

    public function testTheFloorIsToldToItsTabletsAsTheFrameworkTellsIt(): void
    {
        $port = $this->freePort();
        [$status, $said] = $this->skivo('start', '--port', (string) $port);
        self::assertSame(0, $status, $said);
        $settings = parse_ini_file("{$this->var}/.env", false, INI_SCANNER_RAW);
        self::assertIsArray($settings);
        $database = $this->database('skivo', 'skivo_app', $settings['DB_PASSWORD']);
        $join = static fn(string $token, string $role, string $challenge = '1') => $database->exec(
            "INSERT INTO devices (id, challenge_id, role, name, token_hash, seen_at, created_at)
            VALUES (gen_random_uuid(), {$challenge}, '{$role}', 'tablet', '" . hash('sha256', $token) . "', now(), now())",
        );
        $join('atTheLane', 'log');
        $join('onTheWall', 'board');
        $join('elsewhere', 'log', '2');
        $ask = function (string $token, string $query = '') use ($port): array {
            [$status, $headers, $body] = $this->ask(
                "http://127.0.0.1:{$port}/challenges/1/floor{$query}",
                ['Accept: application/json', 'X-Beside: yes', "Authorization: Bearer {$token}"],
            );

            return [$status, $headers, json_decode($body, true)];
        };
        // What comes with a token of its own was drawn by the framework; from then on it is told as it was drawn.
        [$status, , $drawn] = $ask('atTheLane');
        self::assertSame(200, $status);
        self::assertArrayHasKey('token', $drawn);
        [$status, $headers, $told] = $ask('atTheLane');
        self::assertSame([200, 'Skivo'], [$status, $headers['x-served-by']]);
        self::assertArrayNotHasKey('set-cookie', $headers);
        self::assertSame(array_diff_key($drawn, ['token' => '']), $told);
        self::assertArrayHasKey('token', $ask('atTheLane', '?renew=1')[2], 'a page that lost its token gets one');
        // As browsers send it.
        $key = (string) base64_decode(substr($settings['APP_KEY'], strlen('base64:')), true);
        $cookie = (new Encrypter($key, 'AES-256-CBC'))->encryptString(CookieValuePrefix::create('skivo_device', $key) . 'atTheLane');
        [$status, , $body] = $this->ask(
            "http://127.0.0.1:{$port}/challenges/1/floor",
            ['Accept: application/json', 'X-Beside: yes', 'Cookie: skivo_device=' . urlencode($cookie)],
        );
        self::assertSame([200, $told], [$status, json_decode($body, true)]);
        // By whom it may not be seen, it is not.
        self::assertSame([404, 401], [$ask('elsewhere')[0], $ask('nobody')[0]]);
        self::assertNotSame(200, $ask('onTheWall')[0]);
        // What changed is drawn anew, once; who was not seen lately is noted; who was cut off sees nothing more.
        $database->exec("UPDATE challenges SET name = name || '.' WHERE id = 1");
        self::assertGreaterThan($told['revision'], $ask('atTheLane')[2]['revision']);
        self::assertArrayNotHasKey('token', $ask('atTheLane')[2]);
        $database->exec("UPDATE challenges SET name = name || '.' WHERE id = 1");
        $drawing = fopen("{$this->var}/cache/drawing-1", 'c');
        self::assertIsResource($drawing);
        flock($drawing, LOCK_EX);
        self::assertSame($told['revision'] + 1, $ask('atTheLane')[2]['revision'], 'while somebody draws, it is told as it was');
        fclose($drawing);
        self::assertSame($told['revision'] + 2, $ask('atTheLane')[2]['revision']);
        $database->exec("UPDATE devices SET seen_at = now() - interval '2 minutes'");
        self::assertSame(200, $ask('atTheLane')[0]);
        self::assertSame(1, $database->query("SELECT count(*) FROM devices WHERE seen_at > now() - interval '1 minute'")->fetchColumn());
        $database->exec('UPDATE devices SET revoked_at = now()');
        self::assertSame(401, $ask('atTheLane')[0]);
    }
}
