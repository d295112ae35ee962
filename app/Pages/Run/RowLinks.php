<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Models\Challenge;
use Closure;

/** Addresses of many things of one challenge: the route is resolved once, and each thing's key put in its place. */
final readonly class RowLinks
{
    /** A key that no thing has. */
    private const PLACE = '0000-0000';

    /** @return Closure(int|string): string the address by the key of a thing */
    public static function of(string $route, Challenge $challenge): Closure
    {
        $pattern = route($route, [$challenge, self::PLACE]);

        return static fn(int|string $key): string => str_replace(self::PLACE, rawurlencode((string) $key), $pattern);
    }
}
