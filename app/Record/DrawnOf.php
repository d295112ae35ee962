<?php

declare(strict_types=1);

namespace App\Record;

use Illuminate\Support\Facades\Cache;

/** What was drawn or found of a challenge and is held with its names, so that it goes when the challenge is deleted for good. */
final readonly class DrawnOf
{
    private const KEEP_SECONDS = 172_800;

    public static function hold(int $challenge, string $key, mixed $value, int $seconds): void
    {
        $keys = Cache::get(self::keys($challenge), []);
        if (is_array($keys) && !in_array($key, $keys, true)) {
            Cache::put(self::keys($challenge), [...$keys, $key], self::KEEP_SECONDS);
        }
        Cache::put($key, $value, $seconds);
    }

    /** @param iterable<int> $challenges */
    public static function forget(iterable $challenges): void
    {
        foreach ($challenges as $challenge) {
            $keys = Cache::pull(self::keys($challenge), []);
            array_map(Cache::forget(...), is_array($keys) ? $keys : []);
        }
    }

    private static function keys(int $challenge): string
    {
        return "drawn-of:{$challenge}";
    }
}
