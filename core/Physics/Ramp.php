<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/**
 * A slope that a car rolls down from rest before the start line, which is at its foot: m·g·h becomes movement but for what rolling
 * takes, f·m·g·cos α over d/cos α, that is f·m·g·d. The air is left out: a toy car is slow there.
 */
final readonly class Ramp
{
    /**
     * @param float $heightM from which the car is let go, above the floor, 1 mm to 5 m
     * @param float $lengthM along the floor, from below the release to the foot, 1 cm to 20 m
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $heightM,
        public float $lengthM,
    ) {
        OutOfRangeException::check('ramp.height_m', $heightM, 0.001, 5.0);
        OutOfRangeException::check('ramp.length_m', $lengthM, 0.01, 20.0);
    }

    /** m·g·h (J). */
    public function potentialJ(float $massKg): float
    {
        return $massKg * Constants::GRAVITY_M_S2 * $this->heightM;
    }

    /** The greatest f with which a car starts to roll down it: h/(b·d). */
    public function greatestFriction(float $breakawayRatio): float
    {
        return $this->heightM / ($breakawayRatio * $this->lengthM);
    }

    /**
     * v at the foot (m/s): ½·m_eff·v² = m·g·(h − f·d); 0 where it does not roll down.
     *
     * @param float $inertiaKg m_eff
     */
    public function speedMS(Vehicle $vehicle, float $inertiaKg): float
    {
        return $vehicle->rollingCoefficient >= $this->greatestFriction($vehicle->breakawayRatio)
            ? 0.0
            : sqrt(
                2.0 * $vehicle->massKg * Constants::GRAVITY_M_S2 * (
                    $this->heightM - $vehicle->rollingCoefficient * $this->lengthM
                ) / $inertiaKg,
            );
    }
}
