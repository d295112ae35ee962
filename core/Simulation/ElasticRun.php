<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** What the model says a car with a wound band does. SI throughout. */
final readonly class ElasticRun
{
    /**
     * @param bool $moves whether the car starts at all
     * @param bool $slipsAtFirst whether its wheels spin from the start
     * @param Moment|null $bandFree where the car was when its band fell off; null where it never did
     */
    public function __construct(
        public bool $moves,
        public float $distanceM,
        public float $stopTimeS,
        public float $peakSpeedMS,
        /** For how long its wheels slipped (s). */
        public float $slipTimeS,
        /** η·F (N). */
        public float $initialBandForceN,
        /** That at the rim of the wheels (N). */
        public float $initialDriveForceN,
        public bool $slipsAtFirst,
        public ?Moment $bandFree,
        public ElasticLedger $energy,
    ) {}
}
