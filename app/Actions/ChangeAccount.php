<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Creates an educator's account, and changes its password. */
final class ChangeAccount
{
    public function create(string $name, string $email, #[\SensitiveParameter] string $password): User
    {
        return DB::transaction(static fn(): User => User::query()->create(['name' => $name, 'email' => $email, 'password' => $password]));
    }

    public function password(User $user, #[\SensitiveParameter] string $password): void
    {
        DB::transaction(static fn(): bool => $user->update(['password' => $password]));
    }
}
