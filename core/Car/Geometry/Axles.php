<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

/** Both axles of a car in their bearings (m). */
final readonly class Axles
{
    /**
     * @param float $rear of the rear axle, from the rear end of the chassis
     * @param float $frontTrack from the middle of one wheel to the middle of the other
     * @param float $frontLength of the axle itself
     * @param float $frontBearing length of the bearing
     */
    public function __construct(
        public float $rear,
        public float $wheelbase,
        public float $diameter,
        public float $bearingBore,
        public float $frontTrack,
        public float $rearTrack,
        public float $frontLength,
        public float $rearLength,
        public float $frontBearing,
        public float $rearBearing,
    ) {}
}
