<?php

declare(strict_types=1);

namespace App\Pages\DryRun;

use App\Models\Challenge;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Forecast\State;

/**
 * What is known of the hands that build a car, for a page that lets somebody turn its sizes: numbers alone, under a key that only that page
 * has.
 */
final readonly class KeptState
{
    private const KEEP_SECONDS = 86_400;

    /** @return string the key under which it is held for a day */
    public static function keep(Challenge $challenge, State $state): string
    {
        $key = "{$challenge->id}-" . hash('xxh128', serialize($state) . config('skivo.build'));
        Cache::put("state:{$key}", $state, self::KEEP_SECONDS);

        return $key;
    }

    public static function of(string $key): ?State
    {
        $state = Cache::get("state:{$key}");

        return $state instanceof State ? $state : null;
    }
}
