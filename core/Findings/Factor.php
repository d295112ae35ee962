<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Choice;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\Tube;

/** What distance may be set against: a recorded choice, or a number that follows from choices. */
enum Factor: string
{
    case NozzleBore = 'bore';
    case OutletArea = 'outlet-area';
    case NozzleLength = 'nozzle-length';
    case BalloonSize = 'balloon-size';
    case PumpStrokes = 'strokes';
    case BalloonNominal = 'balloon-nominal';
    case Mass = 'mass';
    case WheelDiameter = 'wheel-diameter';
    case NozzleKind = 'nozzle-kind';
    case Outlets = 'outlets';
    case WheelKind = 'wheel-kind';
    case WheelMount = 'wheel-mount';
    case Chassis = 'chassis';
    case Surface = 'surface';
    case Balloons = 'balloons';
    case NozzleAngle = 'nozzle-angle';
    case EndPlay = 'end-play';
    case Bearing = 'bearing';
    case Joint = 'joint';

    public function label(): string
    {
        return match ($this) {
            self::NozzleBore => 'nozzle bore',
            self::OutletArea => 'outlet area',
            self::NozzleLength => 'nozzle length',
            self::BalloonSize => 'balloon size, filled',
            self::PumpStrokes => 'pump strokes',
            self::BalloonNominal => 'balloon size, nominal',
            self::Mass => 'mass',
            self::WheelDiameter => 'wheel diameter',
            self::NozzleKind => 'kind of nozzle',
            self::Outlets => 'number of outlets',
            self::WheelKind => 'kind of wheels',
            self::WheelMount => 'wheel mounting',
            self::Chassis => 'chassis',
            self::Surface => 'surface',
            self::Balloons => 'number of balloons',
            self::NozzleAngle => 'nozzle angle',
            self::EndPlay => 'end play',
            self::Bearing => 'axle and bearing',
            self::Joint => 'joint',
        };
    }

    /** The scale of a factor that is a number; null for kinds. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::NozzleBore, self::WheelDiameter, self::EndPlay => Scale::Part,
            self::OutletArea => Scale::Area,
            self::NozzleLength, self::BalloonSize, self::BalloonNominal => Scale::Body,
            self::Mass => Scale::Weight,
            self::PumpStrokes => Scale::Count,
            self::NozzleAngle => Scale::Angle,
            default => null,
        };
    }

    public function isNumber(): bool
    {
        return $this->scale() !== null;
    }

    /** What the car has for it: a number in SI units, a kind, or null where it was not recorded. */
    public function of(Car $car): float|string|null
    {
        return match ($this) {
            self::NozzleBore => $car->number(Choice::NozzleBore),
            self::OutletArea => $car->number(Choice::NozzleBore) === null
                ? null
                : ($car->number(Choice::NozzleOutlets) ?? 1.0) * (new Tube($car->number(Choice::NozzleBore)))->areaM2(),
            self::NozzleLength => $car->number(Choice::NozzleLength),
            self::BalloonSize => $car->number(Choice::BalloonSize) === null
                ? null
                : ($car->balloonMeasuredAs ?? SizeMeasure::Diameter)->diameterM($car->number(Choice::BalloonSize)),
            self::PumpStrokes => $car->number(Choice::PumpStrokes),
            self::BalloonNominal => $car->number(Choice::BalloonNominal),
            self::Mass => $car->number(Choice::Mass),
            self::WheelDiameter => $car->number(Choice::WheelDiameter),
            self::NozzleKind => $car->kind(Choice::NozzleKind),
            self::Outlets => $car->number(Choice::NozzleOutlets) === null ? null : (string) (int) $car->number(Choice::NozzleOutlets),
            self::WheelKind => $car->kind(Choice::WheelKind),
            self::WheelMount => $car->kind(Choice::WheelMount),
            self::Chassis => $car->kind(Choice::Chassis),
            self::Surface => $car->kind(Choice::Surface),
            self::Balloons => $car->number(Choice::Balloons) === null ? null : (string) (int) $car->number(Choice::Balloons),
            self::NozzleAngle => $car->number(Choice::NozzleAngle),
            self::EndPlay => $car->number(Choice::EndPlay),
            self::Bearing => $car->kind(Choice::Bearing),
            self::Joint => $car->kind(Choice::Joint),
        };
    }
}
