<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ChangeAccount;
use App\Models\User;
use Illuminate\Console\Command;

/** Says whose account may take a backup of everything in the browser. */
final class Administrator extends Command
{
    protected $signature = 'skivo:administrator {email : of the account} {--no : no longer}';

    protected $description = 'Let an account take backups of everything in the browser';

    public function handle(ChangeAccount $account): int
    {
        $email = mb_strtolower((string) $this->argument('email'));
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            $this->error("There is no account {$email}. Nothing was changed.");

            return self::FAILURE;
        }
        $account->administrator($user, !$this->option('no'));
        $this->info(
            $this->option('no') ? "{$email} is an administrator no longer." : "{$email} is an administrator: Menu, Account has the backup.",
        );

        return self::SUCCESS;
    }
}
