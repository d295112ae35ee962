<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/**
 * Where the energy of a run went, in J. Two accounts that must close:
 *
 * stored = jet and nozzle + thrust work; thrust work + start = rolling + drag + carried off.
 */
final readonly class EnergyLedger
{
    public function __construct(
        /** ∫ p·Q dt: given up by rubber and air while the car ran. */
        public float $stored,
        /** ∫ T·cos θ dx: did push the car. */
        public float $thrustWork,
        /** ∫ R dx. */
        public float $rolling,
        /** ∫ F_D dx. */
        public float $drag,
        /** Kinetic energy that left with the air that the balloon had carried along. */
        public float $carriedOff,
        /** Kinetic energy at the start. */
        public float $start,
    ) {}

    /**
     * What the jet and the nozzle's losses took. Below zero only for a car that rolls faster than half the
     * speed of its jet: the air then brings along energy of its own motion.
     */
    public function jetAndNozzle(): float
    {
        return $this->stored - $this->thrustWork;
    }
}
