<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Device;
use Illuminate\Http\Request;

/**
 * What a page gives along with everything that its tablet keeps: who made it. A tablet that was handed on to another group sends
 * what still waits as the group's that made it.
 */
final class Sender
{
    public const HEADER = 'X-Sender';

    public static function of(Device $device): string
    {
        return "{$device->id}." . self::seal($device->id);
    }

    /** Null where nothing is said, or what is said is not sealed by this Skivo; a device that was cut off is none any more. */
    public static function device(Request $request): ?Device
    {
        [$id, $seal] = explode('.', (string) $request->header(self::HEADER)) + ['', ''];

        return $id !== '' && hash_equals(self::seal($id), $seal)
            ? Device::query()->whereKey($id)->whereNull('revoked_at')->whereHas('challenge')->first() : null;
    }

    private static function seal(string $id): string
    {
        return hash_hmac('sha256', "sender|{$id}", (string) config('app.key'));
    }
}
