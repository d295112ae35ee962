<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ChangeAccount;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/** Gives an account a new password, by whoever looks after the machine: no mail is needed. */
final class ResetPassword extends Command
{
    protected $signature = 'skivo:password {email : of the account}';

    protected $description = 'Give an account a new password, print it once, and end where it is signed in';

    private const LETTERS = 16;

    public function handle(ChangeAccount $account): int
    {
        $email = mb_strtolower((string) $this->argument('email'));
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            $this->error("There is no account {$email}. Nothing was changed.");

            return self::FAILURE;
        }
        $password = Str::lower(Str::random(self::LETTERS));
        $account->password($user, $password);
        $this->info("The new password of {$email}: {$password}");
        $this->info(
            'Tell it to them, and let them change it under Menu, Account. Wherever they were signed in, they are no longer, and their tokens for programs open nothing any more.',
        );

        return self::SUCCESS;
    }
}
