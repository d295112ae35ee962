<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** The steps in which a car is built and its record is filled in; also what a challenge may leave free or hold equal. */
enum Step: string
{
    case Chassis = 'chassis';
    case Axles = 'axles';
    case Wheels = 'wheels';
    case Power = 'power';
    case Nozzle = 'nozzle';
    case Mass = 'mass';
    case Floor = 'floor';

    /** How much a step matters to a run, the least for what matters most: nozzle before balloon before mass before wheels. */
    public function rank(): int
    {
        return match ($this) {
            self::Nozzle => 0,
            self::Power => 1,
            self::Mass => 2,
            self::Wheels => 3,
            self::Axles => 4,
            self::Chassis => 5,
            self::Floor => 6,
        };
    }

    /**
     * The steps that make a car: all but what it runs on.
     *
     * @return list<self>
     */
    public static function ofCar(): array
    {
        return [self::Chassis, self::Axles, self::Wheels, self::Power, self::Nozzle, self::Mass];
    }

    /** @return list<CarAttribute> in the order in which they are asked */
    public function attributes(): array
    {
        /** @var array<string, list<CarAttribute>> $known */
        static $known = [];

        return $known[$this->value] ??= array_values(
            array_filter(CarAttribute::recorded(), fn(CarAttribute $attribute): bool => $attribute->step() === $this),
        );
    }
}
