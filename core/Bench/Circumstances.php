<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Statistics\Estimate;

/** What a bench test needs to know of the car besides its readings. */
final readonly class Circumstances
{
    /**
     * @param float $massKg of the car, ready to run, balloon empty
     * @param float $massUncertaintyKg standard
     * @param float $rollingInertia m_eff/m while it rolls without thrust: 1 and what its wheels' spin adds
     * @param float $startingInertia m_eff/m as it starts: with the air in the balloon and half of what that displaces
     * @param Estimate $friction f as known so far: of the first stretch's thrust, the resistance is a part
     * @param \Closure(float): float $pressureAt the model's gauge pressure (Pa) of a balloon filled to a diameter (m)
     * @param float $loadShare of the weight on the driven axle
     * @param \Closure(float): float $pullAt what the model's band pulls while it is wound, by turns (N)
     */
    public function __construct(
        public float $massKg,
        public float $massUncertaintyKg,
        public float $rollingInertia,
        public float $startingInertia,
        public Estimate $friction,
        public \Closure $pressureAt,
        public float $loadShare,
        public \Closure $pullAt,
    ) {}
}
