<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

/** The wheels of a car, all alike (m). */
final readonly class Wheels
{
    /** @param float $hubThickness at the hub, where the axle goes through; as at the rim where the wheel is solid */
    public function __construct(
        public float $diameter,
        public float $thickness,
        public float $hubThickness,
    ) {}
}
