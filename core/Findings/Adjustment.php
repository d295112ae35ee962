<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/** What the run model says that a car's outcome would be with other sizes, its own workmanship kept. */
interface Adjustment
{
    /** The sizes of which the run model knows what they do. */
    public const KNOWN = [
        CarAttribute::Mass, CarAttribute::WheelDiameter, CarAttribute::BalloonSize, CarAttribute::NozzleBore,
        CarAttribute::NozzleLength, CarAttribute::NozzleAngle, CarAttribute::TurnsWound, CarAttribute::ChainLength,
        CarAttribute::WindingDiameter, CarAttribute::RampHeight,
    ];

    /**
     * @param string $car its id
     * @param array<string, float> $sizes (SI) in place of the car's own, by the value of their CarAttribute
     *
     * @return float|null times its own outcome; null where the model can't say
     */
    public function factor(string $car, array $sizes, Outcome $outcome): ?float;

    /** Whether the model knows what a size does. */
    public function knows(CarAttribute $attribute, Outcome $outcome): bool;
}
