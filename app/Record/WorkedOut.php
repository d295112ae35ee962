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
        $key = "worked-out:{$what}:" . hash('xxh128', serialize($from)) . ':' . config('skivo.build');

        return Cache::remember($key, self::KEEP_SECONDS, static fn(): array => [$work()])[0];
    }
}
