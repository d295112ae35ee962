<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/** The car as it rolls: its mass, the spin of its wheels, and what holds it back. */
final readonly class Vehicle
{
    /**
     * @param float $massKg as weighed with the balloons empty, 1 g to 10 kg
     * @param float $wheelEquivalentMassKg Σ κ·m of the wheels: what their spin adds to inertia, 0 to 5 kg
     * @param float $rollingCoefficient f: resistance over the load on the floor, 0.0005 to 1
     * @param float $breakawayRatio b: what it takes to start over what it takes to roll, 1 to 5
     * @param float $bodyDragAreaM2 C_D·A of the car without its balloons, 0 to 0.5 m²
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public float $massKg,
        public float $rollingCoefficient,
        public float $wheelEquivalentMassKg = 0.0,
        public float $breakawayRatio = 1.0,
        public float $bodyDragAreaM2 = 0.0,
    ) {
        OutOfRangeException::check('car.mass_kg', $massKg, 0.001, 10.0);
        OutOfRangeException::check('car.wheel_equivalent_mass_kg', $wheelEquivalentMassKg, 0.0, 5.0);
        OutOfRangeException::check('car.rolling_coefficient', $rollingCoefficient, 0.0005, 1.0);
        OutOfRangeException::check('car.breakaway_ratio', $breakawayRatio, 1.0, 5.0);
        OutOfRangeException::check('car.body_drag_area_m2', $bodyDragAreaM2, 0.0, 0.5);
    }
}
