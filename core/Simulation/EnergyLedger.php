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

    /** By how much the account of the motion does not close, over the stored energy; 0 where nothing was stored. */
    public function closingError(): float
    {
        $miss = abs($this->thrustWork + $this->start - $this->rolling - $this->drag - $this->carriedOff);
        $of = max($this->stored, $this->start);

        return $of === 0.0 ? 0.0 : $miss / $of;
    }
}
