<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Archive\ChallengeArchive;
use App\Models\Challenge;
use Illuminate\Console\Command;

/** Writes a challenge's archive. */
final class Archive extends Command
{
    protected $signature = 'skivo:archive {challenge : the number in its address} {file}';

    protected $description = 'Write everything of a challenge into one file of open formats';

    public function handle(): int
    {
        $which = (string) $this->argument('challenge');
        $challenge = preg_match('/^\d{1,18}$/', $which) === 1 ? Challenge::query()->find((int) $which) : null;
        if ($challenge === null) {
            $this->error("There is no challenge {$which}. Nothing was written.");

            return self::FAILURE;
        }
        ChallengeArchive::write($challenge, (string) $this->argument('file'));
        $this->info("Written: {$challenge->name}.");

        return self::SUCCESS;
    }
}
