<?php

declare(strict_types=1);

namespace Skivo\Core\Sheet;

use Skivo\Core\Build\Choice;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Quantity\UnitSystem;

/** The columns of a class sheet, in their order. The value is the name in the header, without the unit. */
enum Column: string
{
    case Group = 'group';
    case Mark = 'mark';
    case Version = 'version';
    case NozzleKind = 'nozzle';
    case NozzleBore = 'nozzle bore';
    case NozzleOutlets = 'outlets';
    case NozzleLength = 'nozzle length';
    case BalloonNominal = 'balloon nominal';
    case BalloonDiameter = 'balloon diameter';
    case BalloonCircumference = 'balloon circumference';
    case PumpStrokes = 'pump strokes';
    case Mass = 'mass';
    case WheelKind = 'wheels';
    case WheelDiameter = 'wheel diameter';
    case WheelMount = 'wheel mount';
    case Chassis = 'chassis';
    case Surface = 'surface';
    case CarNote = 'car note';
    case Try = 'try';
    case Distance = 'distance';
    case Time = 'time';
    case Void = 'void';
    case RunNote = 'run note';

    /** The choice of the car that the column holds; null for the others. */
    public function choice(): ?Choice
    {
        return match ($this) {
            self::NozzleKind => Choice::NozzleKind,
            self::NozzleBore => Choice::NozzleBore,
            self::NozzleOutlets => Choice::NozzleOutlets,
            self::NozzleLength => Choice::NozzleLength,
            self::BalloonNominal => Choice::BalloonNominal,
            self::BalloonDiameter, self::BalloonCircumference => Choice::BalloonSize,
            self::PumpStrokes => Choice::PumpStrokes,
            self::Mass => Choice::Mass,
            self::WheelKind => Choice::WheelKind,
            self::WheelDiameter => Choice::WheelDiameter,
            self::WheelMount => Choice::WheelMount,
            self::Chassis => Choice::Chassis,
            self::Surface => Choice::Surface,
            default => null,
        };
    }

    /** The unit of the column in a system of units; null where it has none. */
    public function unit(UnitSystem $units): ?Unit
    {
        return match ($this) {
            self::Distance => $units->unit(Scale::Distance),
            self::Time => $units->unit(Scale::Stopwatch),
            default => $this->choice()?->bareUnit($units),
        };
    }

    /** The header as written, as in "nozzle bore (mm)". */
    public function header(UnitSystem $units): string
    {
        $unit = $this->unit($units);

        return $unit === null ? $this->value : "{$this->value} ({$unit->value})";
    }

    /** The column of that name, or null. */
    public static function named(string $name): ?self
    {
        return self::tryFrom(trim((string) preg_replace('/\s+/u', ' ', mb_strtolower($name))));
    }
}
