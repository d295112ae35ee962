<?php

declare(strict_types=1);

namespace App\Pages\Sharing;

use Illuminate\Support\Facades\Process;
use RuntimeException;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Everything of this installation in one file, as bin/skivo backup writes it, for its administrator. */
final class BackupController
{
    /** A dump of a whole school takes no longer (s). */
    private const PATIENCE_S = 300;

    private const NAME = 'skivo-backup-';

    public function download(): StreamedResponse
    {
        // What a download that was killed while it was written left behind.
        foreach (glob(sys_get_temp_dir() . '/' . self::NAME . '*') ?: [] as $old) {
            if ((int) @filemtime($old) < time() - 2 * self::PATIENCE_S) {
                @unlink($old);
            }
        }
        $file = (string) tempnam(sys_get_temp_dir(), self::NAME);
        try {
            $database = config('database.connections.pgsql');
            Process::timeout(self::PATIENCE_S)->env(
                ['PGPASSWORD' => (string) $database['password'], 'PGSSLMODE' => (string) $database['sslmode']],
            )->run([
                config('skivo.pg_bin') . '/pg_dump', '-h', (string) $database['host'], '-p', (string) $database['port'], '-U',
                (string) $database['username'],
                '-Fc', '--no-owner', '--no-acl', '-f', $file, (string) config('skivo.backup_database'),
            ])->throw();
            $whole = fopen($file, 'r') ?: throw new RuntimeException('The backup cannot be read.');
        } finally {
            // It is read on while it has no name: however the download ends, nothing stays.
            unlink($file);
        }

        return response()->streamDownload(
            static fn() => fpassthru($whole),
            'skivo-' . now()->format('Y-m-d') . '.dump',
            ['Content-Type' => 'application/octet-stream'],
        );
    }
}
