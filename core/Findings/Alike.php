<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** One car in a set of comparable ones. */
final readonly class Alike
{
    /**
     * @param float $x what it chose of the tested attribute (SI); of two kinds 0 and 1
     * @param float $y its outcome, brought to the set's median car
     * @param float $error standard error of what was adjusted, half of it
     */
    public function __construct(
        public ComparedCar $car,
        public float $x,
        public float $y,
        public float $error,
    ) {}
}
