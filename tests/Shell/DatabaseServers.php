<?php

declare(strict_types=1);

namespace Tests\Shell;

use PDO;
use RuntimeException;
use Tests\PowerCut;

/**
 * Three PostgreSQL servers as a school has them, each at an address of its own of this machine, with the settings that ship: a is the
 * primary at first, b and c are its standbys.
 */
final class DatabaseServers
{
    public const ADDRESSES = ['a' => '127.0.0.1', 'b' => '127.0.0.2', 'c' => '127.0.0.3'];

    private const BIN = '/usr/lib/postgresql/15/bin';
    private const SECRETS = [
        'postgres' => 'of the administrator', 'skivo' => 'of the owner', 'skivo_app' => 'of the application',
        'skivo_replica' => 'of the standbys',
    ];

    /** @param string $folder that PostgreSQL's user may write into */
    public function __construct(private readonly string $folder, public readonly int $port) {}

    /** A folder for that user, since neither PostgreSQL nor PgBouncer runs as root. */
    public static function folder(string $folder): string
    {
        is_dir($folder) || mkdir($folder);
        chmod($folder, 0700);
        if (posix_geteuid() === 0) {
            chown($folder, 'postgres');
            chgrp($folder, 'postgres');
        }

        return $folder;
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> the same, as that user
     */
    public static function asItsUser(array $words): array
    {
        return posix_geteuid() === 0
            ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--init-groups', 'env', 'HOME=/tmp', ...$words]
            : $words;
    }

    public static function secret(string $role): string
    {
        return self::SECRETS[$role];
    }

    /** Creates all three, and what Skivo needs in them, as docs/scaling.md has it. */
    public function start(): void
    {
        $secret = "{$this->folder}/secret";
        file_put_contents($secret, self::SECRETS['postgres']);
        chmod($secret, 0644);
        $this->run(
            [
                self::BIN . '/initdb', '-D', $this->data('a'), '-U', 'postgres', '--auth=scram-sha-256', "--pwfile={$secret}",
                '--encoding=UTF8', '--locale=C.UTF-8',
            ],
        );
        file_put_contents("{$this->data('a')}/postgresql.conf", "\ninclude 'skivo.conf'\n", FILE_APPEND);
        $this->settle('a');
        // Nobody is there yet to confirm.
        $this->boot('a', '-c synchronous_standby_names=');
        foreach (['skivo', 'skivo_app', 'skivo_replica'] as $role) {
            $this->sql(
                'a',
                'postgres',
                sprintf(
                    "CREATE ROLE %s LOGIN %s PASSWORD '%s'",
                    $role,
                    $role === 'skivo_replica' ? 'REPLICATION' : '',
                    self::SECRETS[$role],
                ),
            );
        }
        $this->sql('a', 'postgres', 'CREATE DATABASE skivo OWNER skivo');
        foreach (['b', 'c'] as $name) {
            $this->copy($name, 'a');
        }
        $this->run([self::BIN . '/pg_ctl', 'stop', '-m', 'fast', '-w', '-D', $this->data('a')]);
        array_map($this->boot(...), ['a', 'b', 'c']);
    }

    /** A standby from a copy of the primary. */
    private function copy(string $name, string $of): void
    {
        $this->run([self::BIN . '/pg_basebackup', '-D', $this->data($name), '-d', $this->whereTo($of), '-X', 'stream', '-c', 'fast', '-R']);
        $this->settle($name);
    }

    /** As when the power goes: no word of warning. */
    public function kill(string $name): void
    {
        $struck = PowerCut::of(PowerCut::pidIn("{$this->data($name)}/postmaster.pid"));
        for ($tries = 0; $tries < 200 && array_filter($struck, self::lives(...)) !== []; $tries++) {
            usleep(20_000);
        }
        unlink("{$this->data($name)}/postmaster.pid");
    }

    private static function lives(int $pid): bool
    {
        $status = @file_get_contents("/proc/{$pid}/status");

        return $status !== false && preg_match('/^State:\s*Z/m', $status) !== 1;
    }

    public function boot(string $name, string $also = ''): void
    {
        $address = self::ADDRESSES[$name];
        $this->run([
            self::BIN . '/pg_ctl', 'start', '-w', '-t', '60', '-D', $this->data($name), '-l', "{$this->folder}/{$name}.log",
            '-o', "-c listen_addresses={$address} -c port={$this->port} -c unix_socket_directories='' {$also}",
        ]);
    }

    /** Of those that are left, the one that has received the most: what was confirmed is on it. */
    public function farthest(string ...$names): string
    {
        $come = array_map(
            fn(string $name): string => (string) $this->sql(
                $name,
                'postgres',
                "SELECT lpad((pg_last_wal_receive_lsn() - '0/0')::text, 20, '0')",
            ),
            $names,
        );
        arsort($come);

        return $names[array_key_first($come)];
    }

    public function promote(string $name): void
    {
        $this->sql($name, 'postgres', 'SELECT pg_promote()');
    }

    public function follow(string $name, string $primary): void
    {
        $this->sql(
            $name,
            'postgres',
            sprintf("ALTER SYSTEM SET primary_conninfo = '%s'", str_replace("'", "''", $this->whereTo($primary))),
        );
        $this->sql($name, 'postgres', 'SELECT pg_reload_conf()');
    }

    /** Hears no more of its primary, as behind a cable that was cut; returns once it has let go. */
    public function leave(string $name): void
    {
        $this->sql($name, 'postgres', "ALTER SYSTEM SET primary_conninfo = ''");
        $this->sql($name, 'postgres', 'SELECT pg_reload_conf()');
        for ($tries = 0; $tries < 500 && $this->sql($name, 'postgres', 'SELECT count(*) FROM pg_stat_wal_receiver') > 0; $tries++) {
            usleep(20_000);
        }
    }

    /** A former primary takes back what only it had, and becomes a standby. */
    public function rewind(string $name, string $primary): void
    {
        // Before its first checkpoint, the new primary does not say that a time of its own began.
        $this->sql($primary, 'postgres', 'CHECKPOINT');
        $this->run([
            self::BIN . '/pg_rewind', '-D', $this->data($name), '-R',
            "--source-server={$this->whereTo($primary, 'postgres')} dbname=postgres",
        ]);
        // What it had copied of the other's own settings.
        $this->settle($name);
        file_put_contents(
            "{$this->data($name)}/postgresql.auto.conf",
            "primary_conninfo = '" . str_replace("'", "''", $this->whereTo($primary)) . "'\n",
        );
    }

    /** Whether a standby has all that the primary has written until now. */
    public function hasAllOf(string $name, string $primary): bool
    {
        $written = $this->sql($primary, 'postgres', 'SELECT pg_current_wal_lsn()');

        return $this->sql($name, 'postgres', "SELECT pg_last_wal_replay_lsn() >= '{$written}'") === true;
    }

    /** The first column of the first row of what a statement answers. */
    public function sql(string $name, string $database, string $statement): mixed
    {
        return $this->open($name, $database)->query($statement)->fetchColumn();
    }

    public function open(string $name, string $database): PDO
    {
        return new PDO(
            'pgsql:host=' . self::ADDRESSES[$name] . ";port={$this->port};dbname={$database}",
            'postgres',
            self::SECRETS['postgres'],
            [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
        );
    }

    public function stop(): void
    {
        foreach (array_keys(self::ADDRESSES) as $name) {
            if (is_file("{$this->data($name)}/postmaster.pid")) {
                $this->kill($name);
            }
        }
    }

    private function data(string $name): string
    {
        return "{$this->folder}/{$name}";
    }

    private function whereTo(string $name, string $role = 'skivo_replica'): string
    {
        return 'host=' . self::ADDRESSES[$name] . " port={$this->port} user={$role} password='" . self::SECRETS[$role] . "'";
    }

    /** The settings that ship, under its own name. */
    private function settle(string $name): void
    {
        $settings = (string) file_get_contents(dirname(__DIR__, 2) . '/deploy/servers/postgresql.conf');
        $file = "{$this->data($name)}/skivo.conf";
        file_put_contents($file, str_replace("cluster_name = 'skivo_a'", "cluster_name = 'skivo_{$name}'", $settings));
        posix_geteuid() === 0 && chown($file, 'postgres');
    }

    /** @param list<string> $words */
    private function run(array $words): void
    {
        // Into a file: what starts in the background would keep a pipe open.
        $process = proc_open(
            self::asItsUser($words),
            [['file', '/dev/null', 'r'], ['file', "{$this->folder}/said", 'w'], ['file', "{$this->folder}/said", 'a']],
            $pipes,
            '/',
        );
        if ($process === false || proc_close($process) !== 0) {
            throw new RuntimeException(implode(' ', $words) . "\n" . file_get_contents("{$this->folder}/said"));
        }
    }
}
