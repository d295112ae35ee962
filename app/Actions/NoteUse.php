<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\ApiToken;
use App\Models\Device;
use App\Models\SignIn;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/** Notes when a device, a token or a sign-in was last used: seldom enough that a poll a second writes no row a second. */
final readonly class NoteUse
{
    private const OF_DEVICES_S = 60;
    private const OF_SIGN_INS_S = 300;

    public static function device(?Device $device): ?Device
    {
        self::note($device, 'seen_at', $device?->seen_at, self::OF_DEVICES_S);

        return $device;
    }

    public static function token(?ApiToken $token): ?ApiToken
    {
        self::note($token, 'used_at', $token?->used_at, self::OF_DEVICES_S);

        return $token;
    }

    public static function signIn(SignIn $signIn): void
    {
        self::note($signIn, 'seen_at', $signIn->seen_at, self::OF_SIGN_INS_S);
    }

    private static function note(?Model $of, string $column, ?CarbonImmutable $last, int $everyS): void
    {
        if ($of !== null && ($last === null || $last->lessThan(now()->subSeconds($everyS)))) {
            $of->forceFill([$column => now()])->saveQuietly();
        }
    }
}
