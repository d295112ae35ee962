<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\SignIn;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Sign-ins of an account, each listed and ended by itself. */
final readonly class SignIns
{
    public static function begin(User $user, string $browser): SignIn
    {
        return DB::transaction(static fn(): SignIn => $user->hasMany(SignIn::class)->create(['browser' => $browser, 'seen_at' => now()]));
    }

    /**
     * Ends sign-ins: one, or all but the one that is kept.
     *
     * @return int how many
     */
    public static function end(User $user, ?string $only = null, ?string $keep = null): int
    {
        return DB::transaction(static fn(): int => $user->signIns()
            ->when($only !== null, static fn($all) => $all->whereKey($only))
            ->when($keep !== null, static fn($all) => $all->whereKeyNot($keep))
            ->reorder()->update(['ended_at' => now()]));
    }
}
