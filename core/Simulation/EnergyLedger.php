<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/**
 * Where the energy of a run went, in J. The accounts must close:
 *
 * - balloon: stored = jet and nozzle + push; band: stored = what the rubber kept and what was left wound + push;
 * - ramp: potential = rolled away on it + start;
 * - push + start = rolling + drag + carried off + slip + end.
 */
final readonly class EnergyLedger
{
    public function __construct(
        /** ∫ p·Q dt: given up by rubber and air while the car ran; or the work of winding a band. */
        public float $stored,
        /** ∫ T·cos θ dx: did push the car; or what a band did on the axle, less what a tied one took back. */
        public float $push,
        /** ∫ R dx, on the floor. */
        public float $rolling,
        /** ∫ F_D dx. */
        public float $drag,
        /** Kinetic energy that left with the air that the balloon had carried along. */
        public float $carriedOff,
        /** Kinetic energy at the start line. */
        public float $start,
        /** ∫ μ_k·N·|u − v| dt: heat where driven wheels slip. */
        public float $slip = 0.0,
        /** Of wheels that still spin where the car has stopped. */
        public float $end = 0.0,
        /** m·g·h of a ramp. */
        public float $potential = 0.0,
    ) {}

    /**
     * What was stored and did not push: the jet and the nozzle's losses, or what a band's rubber kept as heat. Below zero only
     * for a car that rolls faster than half the speed of its jet: the air then brings along energy of its own motion.
     */
    public function lost(): float
    {
        return $this->stored - $this->push;
    }

    /** All that was put in, by filling, winding or lifting. */
    public function putIn(): float
    {
        return $this->stored + $this->potential;
    }

    /** What was left on the ramp itself. */
    public function rolledOnRamp(): float
    {
        return $this->potential > 0.0 ? $this->potential - $this->start : 0.0;
    }

    /** What moved the car along the floor, against floor, axles and air. */
    public function moved(): float
    {
        return $this->rolling + $this->drag + $this->carriedOff;
    }
}
