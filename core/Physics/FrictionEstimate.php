<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/**
 * The rolling coefficient from the parts: f ≈ C_rr + μ_b·(r_axle/r_wheel)·(1 − m_turning/m).
 *
 * What does not rest on the bearings does not rub in them: wheels and axles where the axle turns in its
 * bearing, the wheels alone where they spin on a fixed axle.
 */
final readonly class FrictionEstimate
{
    /**
     * @param float $rollingLoss C_rr of the wheel on the surface
     * @param float $bearingFriction μ_b of the axle in its bearing
     * @param float $axleDiameterM
     * @param float $wheelDiameterM
     * @param float $turningMassKg that does not rest on the bearings
     * @param float $massKg of the whole car
     */
    public static function coefficient(
        float $rollingLoss,
        float $bearingFriction,
        float $axleDiameterM,
        float $wheelDiameterM,
        float $turningMassKg,
        float $massKg,
    ): float {
        $resting = max(0.0, 1.0 - $turningMassKg / $massKg);

        return $rollingLoss + $bearingFriction * $axleDiameterM / $wheelDiameterM * $resting;
    }
}
