<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** A recorded value that the run model can't compute with, and what it could (SI, as a count or in degrees). */
final readonly class Beyond
{
    public function __construct(
        public float $value,
        public float $least,
        public float $greatest,
    ) {}
}
