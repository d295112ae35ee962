<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Session\FileSessionHandler;

/**
 * Sessions in files that are always whole: one that is killed while it writes, or finds the disk full, leaves the session
 * as it was, and nobody is signed out by it.
 */
final class WholeFileSessions extends FileSessionHandler
{
    public function write($sessionId, $data): bool
    {
        $beside = (string) tempnam($this->path, 'new');
        if (@file_put_contents($beside, $data) !== strlen($data)) {
            unlink($beside);

            return false;
        }

        return rename($beside, "{$this->path}/{$sessionId}");
    }
}
