<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/**
 * Where the energy of a wound band went, in J. It closes: start + drive work = rolling + drag + slip + end. What was stored
 * and did not become drive work is what the rubber kept as heat, and what a chain still held.
 */
final readonly class ElasticLedger
{
    public function __construct(
        /** The work of winding, without what the rubber keeps. */
        public float $stored,
        /** What the band did on the axle, less what a tied one took back. */
        public float $driveWork,
        /** ∫ R dx. */
        public float $rolling,
        /** ∫ F_D dx. */
        public float $drag,
        /** ∫ μ_k·N·|u − v| dt. */
        public float $slip,
        /** Kinetic energy at the start. */
        public float $start,
        /** Of wheels that still spin where the car has stopped. */
        public float $end,
    ) {}
}
