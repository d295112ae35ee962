<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** What the model says a car with a balloon does. SI throughout. */
final readonly class BalloonRun extends SimulatedRun
{
    /**
     * @param Moment|null $balloonEmpty where the car was when its balloon went limp; null where it stopped first or did not start
     * @param list<Moment> $trajectory from start to stop; empty unless asked for
     */
    public function __construct(
        bool $moves,
        float $distanceM,
        float $stopTimeS,
        float $peakSpeedMS,
        /** ∫ thrust dt, along the nozzle (N·s). */
        public float $impulseNS,
        public float $initialGaugePressurePa,
        public float $initialExitSpeedMS,
        /** Of all balloons together (N). */
        public float $initialThrustN,
        /** Of all balloons together, through the nozzle (m³/s). */
        public float $initialFlowM3S,
        ?Moment $balloonEmpty,
        EnergyLedger $energy,
        array $trajectory,
    ) {
        parent::__construct($moves, $distanceM, $stopTimeS, $peakSpeedMS, $balloonEmpty, $energy, $trajectory);
    }
}
