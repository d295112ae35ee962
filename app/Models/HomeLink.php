<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;

/**
 * A link by which one group goes on at home, until a day.
 *
 * @property int $id
 * @property int $group_id
 * @property string $token_hash
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable $ends_at
 * @property CarbonImmutable|null $revoked_at
 * @property-read Group $group
 * @property-read Collection<int, HomeItem> $items
 */
final class HomeLink extends Model
{
    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['group_id', 'token_hash', 'ends_at', 'revoked_at'];

    protected $hidden = ['token_hash'];

    protected $casts = ['created_at' => 'immutable_datetime', 'ends_at' => 'immutable_datetime', 'revoked_at' => 'immutable_datetime'];

    /** @return array{string, string} a token that nobody can find out again, and its hash */
    public static function token(): array
    {
        $token = Str::random(32);

        return [$token, hash('sha256', $token)];
    }

    /** The one with this token, as long as it opens anything. */
    public static function withToken(string $token): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))->whereNull('revoked_at')->where('ends_at', '>', now())
            ->whereHas('group.challenge')->with(['group.challenge', 'group.cars', 'items'])->first();
    }

    public function isOpen(): bool
    {
        return $this->revoked_at === null && $this->ends_at->isFuture();
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return HasMany<HomeItem, $this> the newest first, without their pictures */
    public function items(): HasMany
    {
        return $this->hasMany(HomeItem::class)->select(HomeItem::COLUMNS)->orderByDesc('made_at')->orderByDesc('id');
    }
}
