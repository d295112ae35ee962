<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\PageKey;
use App\Models\ApiToken;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Creates an educator's account, changes its password, and ends where it is signed in. */
final class ChangeAccount
{
    public function create(string $name, string $email, #[\SensitiveParameter] string $password): User
    {
        return DB::transaction(static fn(): User => User::query()->create(['name' => $name, 'email' => $email, 'password' => $password]));
    }

    public function administrator(User $user, bool $is): void
    {
        DB::transaction(static fn(): bool => $user->forceFill(['is_administrator' => $is])->save());
    }

    /**
     * @param string|null $keep the sign-in that stays; every other ends
     * @param bool $endTokens whether what programs read by ends as well
     */
    public function password(User $user, #[\SensitiveParameter] string $password, ?string $keep = null, bool $endTokens = true): void
    {
        DB::transaction(function () use ($user, $password, $keep, $endTokens): void {
            $user->update(['password' => $password]);
            $this->endSignIns($user, null, $keep);
            if ($endTokens) {
                $user->apiTokens()->whereNull('revoked_at')->update(['revoked_at' => now()]);
            }
        });
    }

    /**
     * @param list<string> $scopes values of Scope
     *
     * @return string the token, known this once
     */
    public function makeToken(User $user, string $name, array $scopes): string
    {
        return DB::transaction(static function () use ($user, $name, $scopes): string {
            [$token, $hash] = ApiToken::token();
            $user->apiTokens()->create(['name' => $name, 'token_hash' => $hash, 'scopes' => $scopes]);

            return $token;
        });
    }

    public function revokeToken(ApiToken $token): void
    {
        DB::transaction(static fn(): bool => $token->update(['revoked_at' => now()]));
    }

    /**
     * What was kept in other browsers to stay signed in opens nothing either.
     *
     * @return int how many were ended
     */
    public function endSignIns(User $user, ?string $only = null, ?string $keep = null): int
    {
        return DB::transaction(static function () use ($user, $only, $keep): int {
            $user->forceFill(['remember_token' => Str::random(60)])->saveQuietly();
            PageKey::revokeAll($user);

            return SignIns::end($user, $only, $keep);
        });
    }
}
