<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/** The axle that a band turns, with its wheels: how thick where it winds, and how its rims hold the floor. */
final readonly class DrivenAxle
{
    /**
     * @param float $axleRadiusM to the middle of the strand that winds on it, 0.2 mm to 5 cm
     * @param float $wheelRadiusM 2 mm to 50 cm
     * @param float $loadShare of the car's weight that stands on it, 0.01 to 1
     * @param float $staticFriction μ_s of its rims on the floor, 0.01 to 3
     * @param float $kineticFriction μ_k while they slip, no more than μ_s
     * @param float $spinInertiaKgM2 J of axle and wheels, 1e-10 to 1 kg·m²
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $axleRadiusM,
        public float $wheelRadiusM,
        public float $loadShare,
        public float $staticFriction,
        public float $kineticFriction,
        public float $spinInertiaKgM2,
    ) {
        OutOfRangeException::check('drive.axle_radius_m', $axleRadiusM, 0.0002, 0.05);
        OutOfRangeException::check('drive.wheel_radius_m', $wheelRadiusM, 0.002, 0.5);
        OutOfRangeException::check('drive.driven_load_share', $loadShare, 0.01, 1.0);
        OutOfRangeException::check('drive.static_friction', $staticFriction, 0.01, 3.0);
        OutOfRangeException::check('drive.kinetic_friction', $kineticFriction, 0.01, $staticFriction);
        OutOfRangeException::check('drive.spin_inertia_kg_m2', $spinInertiaKgM2, 1e-10, 1.0);
    }

    /** What so many turns take up of the chain (m). */
    public function woundM(float $turns): float
    {
        return 2.0 * M_PI * $this->axleRadiusM * $turns;
    }

    /** Axle radius over wheel radius: what is left of the band's pull at the rim. */
    public function gear(): float
    {
        return $this->axleRadiusM / $this->wheelRadiusM;
    }
}
