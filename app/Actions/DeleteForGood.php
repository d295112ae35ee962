<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\PageKey;
use App\Models\Challenge;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Deletes a challenge or an account with everything that hangs on it. Nothing brings it back but a backup. */
final class DeleteForGood
{
    public function challenge(Challenge $challenge): void
    {
        DB::transaction(static fn() => $challenge->forceDelete());
    }

    public function account(User $user): void
    {
        DB::transaction(static fn() => $user->delete());
        PageKey::revokeAll($user);
    }
}
