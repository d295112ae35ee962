<?php

declare(strict_types=1);

namespace Tests;

/** bin/skivo, in a folder of its own, as a person would run it. */
trait RunsSkivo
{
    private string $var;

    /** @return array{int, string} exit status, and what it said */
    private function skivo(string ...$words): array
    {
        // Nothing of the tests' own settings: theirs is another database.
        $environment = ['VAR' => $this->var] + array_intersect_key(getenv(), array_flip(['PATH', 'HOME', 'USER', 'LANG', 'TMPDIR']));
        // Into a file: what starts in the background would keep a pipe open.
        $out = tempnam(sys_get_temp_dir(), 'skivo');
        $process = proc_open([dirname(__DIR__) . '/bin/skivo', ...$words], [0 => ['file', '/dev/null', 'r'], 1 => ['file', $out, 'w'], 2 => ['file', $out, 'a']], $pipes, null, $environment);
        self::assertIsResource($process);
        $status = proc_close($process);
        $said = (string) file_get_contents($out);
        unlink($out);

        return [$status, $said];
    }

    private function freePort(): int
    {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);

        return (int) explode(':', (string) stream_socket_get_name($server, false))[1];
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
