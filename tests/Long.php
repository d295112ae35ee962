<?php

declare(strict_types=1);

namespace Tests;

/**
 * What takes longer than every run of the tests may, by bin/skivo test --long: whole tests in the group "long", and more of the same
 * where a test asks here. CONTRIBUTING.md lists both, each with its reason.
 */
final readonly class Long
{
    public static function is(): bool
    {
        return getenv('SKIVO_LONG') !== false;
    }

    /**
     * @template T
     *
     * @param T $often in every run of the tests
     * @param T $long by --long
     *
     * @return T
     */
    public static function or(mixed $often, mixed $long): mixed
    {
        return self::is() ? $long : $often;
    }
}
