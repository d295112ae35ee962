<?php

declare(strict_types=1);

namespace Tests;

use PDO;

/** bin/skivo, in a folder of its own, as a person would run it. */
trait RunsSkivo
{
    private string $var;

    /** @var array<string, string> further settings in its environment */
    private array $environment = [];

    /** A folder that the database's user may enter, wherever the checkout is. */
    private function folder(string $name): string
    {
        $parent = sys_get_temp_dir() . '/skivo-' . substr(hash('sha256', __DIR__), 0, 8);
        is_dir($parent) || mkdir($parent);
        chmod($parent, 0755);

        return "{$parent}/{$name}";
    }

    /** @return array{int, string} exit status, and what it said */
    private function skivo(string ...$words): array
    {
        return $this->skivoOf(dirname(__DIR__), ...$words);
    }

    /** @return array{int, string} exit status, and what it said */
    private function skivoOf(string $root, string ...$words): array
    {
        // Into a file: what starts in the background would keep a pipe open.
        $out = tempnam(sys_get_temp_dir(), 'skivo');
        $status = proc_close($this->process($root, $out, $words));
        $said = (string) file_get_contents($out);
        unlink($out);

        return [$status, $said];
    }

    /** @return resource a process that goes on by itself */
    private function inBackground(string ...$words)
    {
        return $this->process(dirname(__DIR__), '/dev/null', $words);
    }

    /**
     * @param array<array-key, string> $words
     *
     * @return resource
     */
    private function process(string $root, string $out, array $words)
    {
        // Nothing of the tests' own settings: theirs is another database.
        $environment = $this->environment + ['VAR' => $this->var] + array_intersect_key(
            getenv(),
            array_flip(['PATH', 'HOME', 'USER', 'LANG', 'TMPDIR']),
        );
        $process = proc_open(
            [$root . '/bin/skivo', ...array_values($words)],
            [0 => ['file', '/dev/null', 'r'], 1 => ['file', $out, 'w'], 2 => ['file', $out, 'a']],
            $pipes,
            null,
            $environment,
        );
        self::assertIsResource($process);

        return $process;
    }

    private function database(string $database, string $role, string $password): PDO
    {
        $settings = parse_ini_file("{$this->var}/.env", false, INI_SCANNER_RAW);
        self::assertIsArray($settings);

        return new PDO(
            "pgsql:host=127.0.0.1;port={$settings['DB_PORT']};dbname={$database}",
            $role,
            $password,
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
    }

    /** None of those that the system hands to outgoing connections: one of them may take it before a server does. */
    private function freePort(): int
    {
        do {
            $port = random_int(10000, 32000);
            $server = @stream_socket_server("tcp://127.0.0.1:{$port}");
        } while ($server === false);
        fclose($server);

        return $port;
    }

    private function forget(): void
    {
        exec('rm -rf ' . escapeshellarg($this->cluster()) . ' ' . escapeshellarg($this->var));
    }

    /** Where the database is: as root in a folder that others may not enter, outside of it. */
    private function cluster(): string
    {
        $outside = '/var/lib/postgresql/skivo-' . substr(hash('sha256', $this->var), 0, 12);

        return is_dir($outside) ? $outside : "{$this->var}/pg";
    }
}
