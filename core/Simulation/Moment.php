<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** One moment of a simulated run. */
final readonly class Moment
{
    public function __construct(
        public float $timeS,
        public float $distanceM,
        public float $speedMS,
        /** Of all balloons, along the nozzle (N). */
        public float $thrustN,
        /** Rolling resistance (N). */
        public float $resistanceN,
        /** Air resistance (N). */
        public float $dragN,
        /** Of one balloon (m³). */
        public float $volumeM3,
    ) {}
}
