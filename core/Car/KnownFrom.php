<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Car\Attribute\AttributeRole;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Step;

/** What is known of a part of a car, and from where: what nobody measured stays unknown, however often it was looked at. */
enum KnownFrom: string
{
    case Measured = 'measured';
    case Kit = 'kit';
    case Nothing = 'nothing';

    public static function of(Car $car, Car $kit, Step $step): self
    {
        $source = $car->source() ?? EnergySource::Balloon;
        $looks = array_values(array_filter(
            CarAttribute::inRole(static fn(AttributeRole $role): bool => $role->isLook, $step),
            // Beside a balloon, a ramp is looked at no more.
            static fn(CarAttribute $each): bool => $each->belongsTo($source->blows() ? EnergySource::Balloon : $source),
        ));

        return match (true) {
            self::has($car, $looks) => self::Measured,
            self::has($kit, $looks), $car->kind(self::kind($step) ?? CarAttribute::Surface) !== null
                && self::kind($step) !== null => self::Kit,
            default => self::Nothing,
        };
    }

    /** @param list<CarAttribute> $attributes */
    private static function has(Car $car, array $attributes): bool
    {
        $isSaid = static fn(CarAttribute $each): bool => $car->has($each)
            || $each->role()->saidBy !== []
            && array_filter($each->role()->saidBy, static fn(CarAttribute $other): bool => !$car->has($other)) === [];

        return array_filter($attributes, static fn(CarAttribute $each): bool => !$isSaid($each)) === [];
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
