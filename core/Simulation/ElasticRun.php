<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** What the model says a car with a wound band does. SI throughout. */
final readonly class ElasticRun extends SimulatedRun
{
    /**
     * @param bool $slipsAtFirst whether its wheels spin from the start
     * @param Moment|null $bandFree where the car was when its band fell off; null where it never did
     * @param list<Moment> $trajectory from start to stop; empty unless asked for
     */
    public function __construct(
        bool $moves,
        float $distanceM,
        float $stopTimeS,
        float $peakSpeedMS,
        /** For how long its wheels slipped (s). */
        public float $slipTimeS,
        /** η·F (N). */
        public float $initialBandForceN,
        /** That at the rim of the wheels (N). */
        public float $initialDriveForceN,
        public bool $slipsAtFirst,
        ?Moment $bandFree,
        EnergyLedger $energy,
        array $trajectory = [],
    ) {
        parent::__construct($moves, $distanceM, $stopTimeS, $peakSpeedMS, $bandFree, $energy, $trajectory);
    }
}
