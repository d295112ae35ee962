<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\Device;
use App\Models\User;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * For what a person at their own device, or at one that joined, did.
 *
 * @property int|null $user_id
 * @property string|null $device_id
 * @property-read User|null $user
 * @property-read Device|null $device
 */
trait MadeBySomebody
{
    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Device, $this> */
    public function device(): BelongsTo
    {
        return $this->belongsTo(Device::class);
    }

    /** Whether anybody is known to have done it. */
    public function isKnown(): bool
    {
        return $this->user_id !== null || $this->device_id !== null;
    }

    /** Who it was, as people know them. */
    public function by(): string
    {
        return $this->user->name ?? $this->device->name ?? __('frame.gone_device');
    }

    /** @return array{user_id: int|null, device_id: string|null} the columns that say who */
    public static function madeBy(User|Device $by): array
    {
        return ['user_id' => $by instanceof User ? $by->id : null, 'device_id' => $by instanceof Device ? $by->id : null];
    }
}
