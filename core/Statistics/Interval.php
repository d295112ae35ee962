<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** A range that a value lies in, as likely as its confidence says. In the unit of what was measured. */
final readonly class Interval
{
    public function __construct(
        public float $low,
        public float $high,
        public float $confidence = 0.95,
    ) {}

    public static function around(float $middle, float $halfWidth, float $confidence = 0.95): self
    {
        return new self($middle - $halfWidth, $middle + $halfWidth, $confidence);
    }

    public function contains(float $value): bool
    {
        return $this->low <= $value && $value <= $this->high;
    }
}
