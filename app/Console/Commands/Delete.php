<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\DeleteForGood;
use App\Models\Challenge;
use App\Models\User;
use Illuminate\Console\Command;

/** Deletes a challenge or an account for good, by whoever looks after the machine. */
final class Delete extends Command
{
    protected $signature
        = 'skivo:delete {what : challenge or account} {which : the number in the address of the challenge, or the email of the account} {--yes : without asking}';

    protected $description = 'Delete a challenge or an account for good, with all that hangs on it';

    public function handle(DeleteForGood $delete): int
    {
        $which = (string) $this->argument('which');
        $found = match ($this->argument('what')) {
            'challenge' => preg_match('/^\d{1,18}$/', $which) === 1 ? Challenge::withTrashed()->find((int) $which) : null,
            'account' => User::query()->where('email', mb_strtolower($which))->first(),
            default => false,
        };
        if ($found === false) {
            $this->error('Say what to delete: challenge NUMBER, or account EMAIL.');

            return self::INVALID;
        }
        if ($found === null) {
            $this->error("There is no {$this->argument('what')} {$which}. Nothing was deleted.");

            return self::FAILURE;
        }
        $name = $found instanceof Challenge
            ? "the challenge “{$found->name}” with its {$found->groups()->withTrashed()->count()} groups and {$found->runs()->withTrashed()->count()} runs"
            : "the account {$found->email} with its {$found->challenges()->withTrashed()->count()} challenges";
        if (!$this->option('yes') && !$this->confirm("Delete {$name} for good?")) {
            $this->error('Nothing was deleted. Say --yes to delete without being asked.');

            return self::FAILURE;
        }
        $found instanceof Challenge ? $delete->challenge($found) : $delete->account($found);
        $this->info("Deleted: {$name}.");

        return self::SUCCESS;
    }
}
