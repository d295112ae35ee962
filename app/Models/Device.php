<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Auth\Authenticatable;
use Illuminate\Contracts\Auth\Access\Authorizable as AuthorizableContract;
use Illuminate\Contracts\Auth\Authenticatable as AuthenticatableContract;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\Access\Authorizable;
use Skivo\Core\People\DeviceRole;

/**
 * A tablet, a board or an instrument that joined one challenge, without an account.
 *
 * @property string $id
 * @property int $challenge_id
 * @property int|null $group_id
 * @property DeviceRole $role
 * @property string $name
 * @property string $token_hash
 * @property bool $is_waiting to be let in, because the mark that it picked is another tablet's
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable|null $seen_at
 * @property CarbonImmutable|null $revoked_at
 * @property-read Challenge $challenge
 * @property-read Group|null $group
 */
final class Device extends Model implements AuthenticatableContract, AuthorizableContract
{
    use Authenticatable;
    use Authorizable;
    use HasUuids;

    public const COOKIE = 'skivo_device';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['role', 'group_id', 'name', 'token_hash', 'seen_at', 'revoked_at', 'is_waiting'];

    protected $hidden = ['token_hash'];

    protected $casts = [
        'role' => DeviceRole::class,
        'created_at' => 'immutable_datetime',
        'seen_at' => 'immutable_datetime',
        'revoked_at' => 'immutable_datetime',
        'is_waiting' => 'boolean',
    ];

    protected $attributes = ['is_waiting' => false];

    /** The device with this token, unless it was cut off. */
    public static function withToken(?string $token): ?self
    {
        return $token === null || $token === '' ? null
            : self::query()->where('token_hash', self::hash($token))->whereNull('revoked_at')->whereHas('challenge')->first();
    }

    /** The device that had this token until it was cut off; null where none had. */
    public static function formerly(?string $token): ?self
    {
        return $token === null || $token === ''
            ? null
            : self::query()->where('token_hash', self::hash($token))->whereNotNull('revoked_at')->first();
    }

    public static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    /** @return BelongsTo<Challenge, $this> */
    public function challenge(): BelongsTo
    {
        return $this->belongsTo(Challenge::class);
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    public function isFor(Challenge $challenge, DeviceRole ...$roles): bool
    {
        return !$this->is_waiting && $this->challenge_id === $challenge->id && in_array($this->role, $roles, true);
    }

    /** It has none: its token is all it knows. */
    public function getAuthPassword(): string
    {
        return '';
    }

    public function getRememberTokenName(): string
    {
        return '';
    }
}
