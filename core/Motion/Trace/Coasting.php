<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Trace;

/** How a car slowed down once nothing pushed it any more. */
final readonly class Coasting
{
    public function __construct(
        /** (m/s²) */
        public float $deceleration,
        /** Half of its 95 % interval. */
        public float $decelerationHalf,
        /** f, with what the wheels store in spin; air resistance is in it. */
        public float $rollingCoefficient,
        /** Half of its 95 % interval. */
        public float $rollingHalf,
    ) {}
}
