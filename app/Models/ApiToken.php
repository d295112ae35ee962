<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * A token by which a program of an educator's reads what they may see.
 *
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property list<string> $scopes
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $used_at
 * @property CarbonImmutable|null $expires_at
 * @property CarbonImmutable|null $revoked_at
 * @property-read User $user
 */
final class ApiToken extends Model
{
    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['name', 'token_hash', 'scopes', 'used_at', 'expires_at', 'revoked_at'];

    protected $hidden = ['token_hash'];

    protected $casts = [
        'scopes' => 'array', 'created_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime',
        'revoked_at' => 'immutable_datetime',
    ];

    /** @return array{string, string} a token that nobody can find out again, and its hash */
    public static function token(): array
    {
        $token = 'skivo_' . Str::random(40);

        return [$token, hash('sha256', $token)];
    }

    /** The one with this token, as long as it opens anything. */
    public static function withToken(?string $token): ?self
    {
        return $token === null || $token === '' ? null : self::query()->where('token_hash', hash('sha256', $token))->whereNull('revoked_at')
            ->where(static fn($open) => $open->whereNull('expires_at')->orWhere('expires_at', '>', now()))->with('user')->first();
    }

    public static function isKnown(?string $token): bool
    {
        return $token !== null && $token !== '' && self::query()->where('token_hash', hash('sha256', $token))->exists();
    }

    public function may(Scope $scope): bool
    {
        return in_array($scope->value, $this->scopes, true);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
