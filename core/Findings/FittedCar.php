<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** A car among those that were compared for one attribute and one outcome. */
final readonly class FittedCar
{
    public function __construct(
        public ComparedCar $car,
        /** The tested attribute (SI); 0 and 1 of two kinds. */
        public float $x,
        /** Its mean outcome, as it was. */
        public float $y,
        /** The same with all else that differs brought to the middle of the class, as far as the run model and the class know. */
        public float $evened,
    ) {}
}
