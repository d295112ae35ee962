<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Assert;

/** Comparison to so many digits. */
trait AgreesClosely
{
    private static function assertRelative(float $expected, float $actual, float $tolerance, string $what = ''): void
    {
        $miss = abs($actual - $expected) / max(abs($expected), 1e-300);
        Assert::assertLessThanOrEqual($tolerance, $miss, "{$what}: expected {$expected}, got {$actual}");
    }
}
