<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;
use Skivo\Core\People\MemberRole;

/**
 * A link that lets educators into a challenge or a school, until it ends or is revoked.
 *
 * @property int $id
 * @property int|null $challenge_id
 * @property int|null $school_id
 * @property int $user_id who made it
 * @property MemberRole|null $role in the challenge
 * @property string $token_hash
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $revoked_at
 * @property-read Challenge|null $challenge
 * @property-read School|null $school
 * @property-read User $user
 */
final class Invitation extends Model
{
    public const DAYS = 14;

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'role', 'token_hash', 'expires_at', 'revoked_at'];

    protected $hidden = ['token_hash'];

    protected $casts = [
        'role' => MemberRole::class, 'created_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime',
        'revoked_at' => 'immutable_datetime',
    ];

    /** @return array{string, string} a token that nobody can find out again, and its hash */
    public static function token(): array
    {
        $token = Str::random(40);

        return [$token, hash('sha256', $token)];
    }

    /** The one with this token, as long as it opens anything. */
    public static function withToken(string $token): ?self
    {
        $found = self::query()->where('token_hash', hash('sha256', $token))->whereNull('revoked_at')->where('expires_at', '>', now())
            ->with(['challenge', 'school', 'user'])->first();

        return $found?->challenge === null && $found?->school === null ? null : $found;
    }

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    /** @return BelongsTo<School, $this> */
    public function school(): BelongsTo
    {
        return $this->belongsTo(School::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
