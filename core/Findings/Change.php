<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** One group's car with one thing changed, as a test would have it. */
final readonly class Change
{
    public function __construct(
        public ComparedCar $car,
        public float|string $from,
        public float|string $to,
        /** How far along the class's span of the attribute, from −1 to 1. */
        public float $span,
        /** ln of the factor on its distance, by the run model; null where that has none. */
        public ?float $byModel,
    ) {}
}
