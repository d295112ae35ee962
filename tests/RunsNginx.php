<?php

declare(strict_types=1);

namespace Tests;

/** The system's nginx before Skivo, by the settings that ship with it. */
trait RunsNginx
{
    /** The name and the port that the settings are written for. */
    private const NAME = 'skivo.school.example';

    /**
     * @param string $settings under deploy/servers
     * @param array<string, string> $here what stands for what of them
     * @param int $port that it answers on then
     *
     * @return resource the process
     */
    private function nginx(string $settings, string $folder, int $port, array $here)
    {
        is_dir($folder) || mkdir($folder);
        if (!is_file("{$folder}/cert.pem")) {
            exec(
                sprintf(
                    'openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj %s -keyout %2$s/key.pem -out %2$s/cert.pem 2>&1',
                    escapeshellarg('/CN=' . self::NAME),
                    escapeshellarg($folder),
                ),
                $said,
                $status,
            );
            self::assertSame(0, $status, implode("\n", $said));
        }
        $server = strtr((string) file_get_contents(dirname(__DIR__) . "/deploy/servers/{$settings}"), [
            'listen 443' => "listen 127.0.0.1:{$port}",
            '/etc/ssl/certs/skivo.school.example.pem' => "{$folder}/cert.pem",
            '/etc/ssl/private/skivo.school.example.key' => "{$folder}/key.pem",
        ] + $here);
        $user = posix_geteuid() === 0 ? "user root;\n" : '';
        $temporary = implode(
            '',
            array_map(
                static fn(string $of): string => "{$of}_temp_path {$folder}/{$of};\n",
                ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'],
            ),
        );
        file_put_contents(
            "{$folder}/nginx.conf",
            "{$user}pid {$folder}/nginx.pid;\nerror_log {$folder}/error.log;\nevents {}\nhttp {\naccess_log off;\n{$temporary}{$server}\n}\n",
        );
        exec('/usr/sbin/nginx -t -c ' . escapeshellarg("{$folder}/nginx.conf") . ' 2>&1', $checked, $status);
        self::assertSame(0, $status, implode("\n", $checked));
        $nginx = proc_open(
            ['/usr/sbin/nginx', '-c', "{$folder}/nginx.conf", '-g', 'daemon off;'],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
        );
        self::assertIsResource($nginx);
        for ($tries = 0; $tries < 200 && @fsockopen('127.0.0.1', $port) === false; $tries++) {
            usleep(50_000);
        }

        return $nginx;
    }
}
