<?php

declare(strict_types=1);

namespace Skivo\Core\Run;

/** What the model says a design does. SI throughout. */
final readonly class SimulatedRun
{
    /**
     * @param bool $moves whether the car starts at all
     * @param Moment|null $balloonEmpty where the car was when its balloon went limp; null where it stopped first or did not start
     * @param list<Moment> $trajectory from start to stop; empty unless asked for
     */
    public function __construct(
        public bool $moves,
        public float $distanceM,
        public float $stopTimeS,
        public float $peakSpeedMS,
        /** ∫ thrust dt, along the nozzle (N·s). */
        public float $impulseNS,
        public float $initialGaugePressurePa,
        public float $initialExitSpeedMS,
        /** Of all balloons together (N). */
        public float $initialThrustN,
        /** Of all balloons together (m³/s). */
        public float $initialFlowM3S,
        public ?Moment $balloonEmpty,
        public EnergyLedger $energy,
        public array $trajectory,
    ) {}
}
