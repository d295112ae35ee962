<?php

declare(strict_types=1);

namespace App\Pages\Findings;

/** A line from 0 to the most that any car has, 200 px wide with a margin for the dots. */
final readonly class IntervalBar
{
    private const MARGIN = 4;
    private const LENGTH = 192;

    /** @param float $most above 0 */
    public function __construct(private float $most) {}

    public function x(float $value): float
    {
        return round(self::MARGIN + min(1.0, max(0.0, $value / $this->most)) * self::LENGTH, 1);
    }
}
