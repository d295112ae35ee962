<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** A straight round tube: one segment of a nozzle. */
final readonly class Tube
{
    public function __construct(
        public float $boreM,
        public float $lengthM = 0.0,
    ) {}

    public function areaM2(): float
    {
        return M_PI / 4 * $this->boreM ** 2;
    }
}
