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
        /** Of all balloons, along the nozzle; or what a band does at the floor through the driven wheels (N). */
        public float $thrustN,
        /** Rolling resistance (N). */
        public float $resistanceN,
        /** Air resistance (N). */
        public float $dragN,
        /** Of one balloon (m³). */
        public float $volumeM3,
        /** What the drive has done so far (J), where its force times the way does not say it: of wheels that slip. */
        public ?float $pushedJ = null,
        /** What has become warmth so far (J), likewise. */
        public ?float $warmedJ = null,
    ) {}
}
