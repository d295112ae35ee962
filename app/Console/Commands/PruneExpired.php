<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\PurgeRemoved;
use Illuminate\Console\Command;

/** Deletes for good what was removed long ago. */
final class PruneExpired extends Command
{
    protected $signature = 'skivo:prune';

    protected $description = 'Delete for good what was removed more than ' . PurgeRemoved::DAYS . ' days ago';

    public function handle(PurgeRemoved $purge): int
    {
        $purge();

        return self::SUCCESS;
    }
}
