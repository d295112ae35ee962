<?php

declare(strict_types=1);

namespace App\Record;

use Illuminate\Support\Facades\Cache;

/** What simulated runs showed, kept under all that it was worked out from: what is the same is not worked out again. */
final readonly class WorkedOut
{
    private const KEEP_SECONDS = 86_400;

    /**
     * @template T of object
     *
     * @param array<array-key, mixed> $from everything that it depends on, but the code
     * @param \Closure(): (T|null) $work
     *
     * @return T|null
     */
    public static function from(string $what, array $from, \Closure $work): ?object
    {
        return Cache::remember(self::key($what, $from), self::KEEP_SECONDS, static fn(): array => [$work()])[0];
    }

    /**
     * The same, where it was worked out before; null where it was not.
     *
     * @param array<array-key, mixed> $from
     */
    public static function known(string $what, array $from): ?object
    {
        return (Cache::get(self::key($what, $from)) ?? [null])[0];
    }

    /** @param array<array-key, mixed> $from */
    private static function key(string $what, array $from): string
    {
        return "worked-out:{$what}:" . hash('xxh128', serialize($from)) . ':' . config('skivo.build');
    }
}
