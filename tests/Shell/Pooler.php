<?php

declare(strict_types=1);

namespace Tests\Shell;

use RuntimeException;

/** PgBouncer before three database servers, with the settings that ship. */
final class Pooler
{
    /** @var resource|null */
    private mixed $process = null;

    /** @param string $folder that its user may write into */
    public function __construct(private readonly string $folder, public readonly int $port, private readonly int $databasePort) {}

    /** To the primary; one that runs takes it over as it goes. */
    public function points(string $primary): void
    {
        $settings = strtr((string) file_get_contents(dirname(__DIR__, 2) . '/deploy/servers/pgbouncer.ini'), [
            'host=10.0.0.11 ' => 'host=' . DatabaseServers::ADDRESSES[$primary] . ' ',
            'port=5432' => "port={$this->databasePort}",
            'listen_port = 6432' => "listen_port = {$this->port}",
            '/etc/pgbouncer/userlist.txt' => "{$this->folder}/userlist.txt",
            '/var/log/postgresql/pgbouncer.log' => "{$this->folder}/log",
            '/var/run/postgresql/pgbouncer.pid' => "{$this->folder}/pid",
        ]);
        file_put_contents("{$this->folder}/pgbouncer.ini", $settings);
        file_put_contents("{$this->folder}/userlist.txt", '"skivo_app" "' . DatabaseServers::secret('skivo_app') . "\"\n");
        chmod("{$this->folder}/pgbouncer.ini", 0644);
        chmod("{$this->folder}/userlist.txt", 0644);
        if ($this->process !== null) {
            posix_kill($this->pid(), SIGHUP);
        }
    }

    public function start(): void
    {
        @unlink("{$this->folder}/pid");
        $process = proc_open(
            DatabaseServers::asItsUser(['/usr/sbin/pgbouncer', '-q', "{$this->folder}/pgbouncer.ini"]),
            [['file', '/dev/null', 'r'], ['file', "{$this->folder}/said", 'a'], ['file', "{$this->folder}/said", 'a']],
            $pipes,
            '/',
        );
        for ($tries = 0; $tries < 250 && @fsockopen('127.0.0.1', $this->port) === false; $tries++) {
            usleep(20_000);
        }
        if ($process === false || !proc_get_status($process)['running']) {
            throw new RuntimeException((string) file_get_contents("{$this->folder}/said"));
        }
        $this->process = $process;
    }

    public function kill(): void
    {
        if ($this->process !== null) {
            posix_kill($this->pid(), SIGKILL);
            proc_close($this->process);
            $this->process = null;
        }
    }

    private function pid(): int
    {
        return $this->process === null ? 0 : proc_get_status($this->process)['pid'];
    }
}
