<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Support\Facades\Process;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Everything of this installation in one file, as bin/skivo backup writes it, for its administrator. */
final class BackupController
{
    /** A dump of a whole school takes no longer (s). */
    private const PATIENCE_S = 300;

    public function download(): BinaryFileResponse
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'backup');
        $database = config('database.connections.pgsql');
        Process::timeout(self::PATIENCE_S)->env(['PGPASSWORD' => (string) $database['password'], 'PGSSLMODE' => (string) $database['sslmode']])->run([
            config('skivo.pg_bin') . '/pg_dump', '-h', (string) $database['host'], '-p', (string) $database['port'], '-U', (string) $database['username'],
            '-Fc', '--no-owner', '--no-acl', '-f', $file, (string) config('skivo.backup_database'),
        ])->throw();

        return response()->download($file, 'skivo-' . now()->format('Y-m-d') . '.dump', ['Content-Type' => 'application/octet-stream'])->deleteFileAfterSend();
    }
}
