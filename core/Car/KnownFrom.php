<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Step;

/** What is known of a part of a car, and from where: what nobody measured stays unknown, however often it was looked at. */
enum KnownFrom: string
{
    case Measured = 'measured';
    case Kit = 'kit';
    case Nothing = 'nothing';

    /** What tells how a part looks. */
    private const LOOKS = [
        'chassis' => [CarAttribute::ChassisLength, CarAttribute::ChassisWidth],
        'axles' => [CarAttribute::Wheelbase],
        'wheels' => [CarAttribute::WheelDiameter],
        'power' => [CarAttribute::BalloonSize],
        'nozzle' => [CarAttribute::NozzleBore],
        'mass' => [CarAttribute::Mass],
        'floor' => [CarAttribute::Surface],
    ];

    /** What else says the same of a part: where axles sit, or how full a balloon is. */
    private const INSTEAD = [
        'axles' => [CarAttribute::RearAxlePlace, CarAttribute::FrontAxlePlace],
        'power' => [CarAttribute::PumpStrokes],
    ];

    public static function of(Car $car, Car $kit, Step $step): self
    {
        $source = $car->source() ?? EnergySource::Balloon;
        [$looks, $instead] = match (true) {
            $step === Step::Power
                && $source->winds() => [
                    [CarAttribute::ChainLength, CarAttribute::TurnsWound],
                    [CarAttribute::BandsInChain, CarAttribute::BandLength, CarAttribute::TurnsWound],
                ],
            $step === Step::Power && !$source->blows() => [[CarAttribute::RampHeight], [CarAttribute::RampHeight]],
            default => [self::LOOKS[$step->value], self::INSTEAD[$step->value] ?? self::LOOKS[$step->value]],
        };

        return match (true) {
            self::has($car, $looks), self::has($car, $instead) => self::Measured,
            self::has($kit, $looks), $car->kind(self::kind($step) ?? CarAttribute::Surface) !== null
                && self::kind($step) !== null => self::Kit,
            default => self::Nothing,
        };
    }

    /** @param list<CarAttribute> $attributes */
    private static function has(Car $car, array $attributes): bool
    {
        return array_filter($attributes, static fn(CarAttribute $each): bool => !$car->has($each)) === [];
    }

    /** The kind of a part from which the parts list knows how it looks. */
    private static function kind(Step $step): ?CarAttribute
    {
        return match ($step) {
            Step::Chassis => CarAttribute::Chassis,
            Step::Wheels => CarAttribute::WheelKind,
            Step::Nozzle => CarAttribute::NozzleKind,
            default => null,
        };
    }
}
