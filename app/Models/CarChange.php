<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A correction of a car's record: what stood there before.
 *
 * @property int $id
 * @property array<string, string|int|null> $before by choice, as typed
 * @property array<string, string|int|null> $after by choice, as typed
 * @property CarbonImmutable $made_at
 * @property-read User|null $user
 * @property-read Device|null $device
 */
final class CarChange extends Model
{
    public const CREATED_AT = 'made_at';

    public const UPDATED_AT = null;

    protected $dateFormat = 'Y-m-d H:i:s.vP';

    protected $fillable = ['user_id', 'device_id', 'before', 'after'];

    protected $casts = ['before' => 'array', 'after' => 'array', 'made_at' => 'immutable_datetime'];

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }

    /** Who it was, as people know them. */
    public function by(): string
    {
        return $this->user->name ?? $this->device->name ?? 'a device that is gone';
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
