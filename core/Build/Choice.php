<?php

declare(strict_types=1);

namespace Skivo\Core\Build;

use Skivo\Core\Quantity\Dimension;
use Skivo\Core\Quantity\Quantity;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Quantity\UnitSystem;

/**
 * Every choice a group makes about its car, in the order of a build sheet: its name, the scale it is
 * read on, and the range outside which it must be a slip of the pen.
 *
 * The ranges are common practice, no source, set wide: they catch centimetres typed as metres, not odd cars.
 */
enum Choice: string
{
    case NozzleKind = 'nozzle_kind';
    case NozzleBore = 'nozzle_bore';
    case NozzleOutlets = 'nozzle_outlets';
    case NozzleLength = 'nozzle_length';
    case BalloonNominal = 'balloon_nominal';
    case BalloonSize = 'balloon_size';
    case PumpStrokes = 'pump_strokes';
    case Mass = 'mass';
    case WheelKind = 'wheel_kind';
    case WheelDiameter = 'wheel_diameter';
    case WheelMount = 'wheel_mount';
    case Chassis = 'chassis';
    case Surface = 'surface';

    public function label(): string
    {
        return match ($this) {
            self::NozzleKind => 'Nozzle kind',
            self::NozzleBore => 'Nozzle bore',
            self::NozzleOutlets => 'Outlets',
            self::NozzleLength => 'Nozzle length',
            self::BalloonNominal => 'Balloon, nominal size',
            self::BalloonSize => 'Balloon, filled to',
            self::PumpStrokes => 'Pump strokes',
            self::Mass => 'Mass, ready to run',
            self::WheelKind => 'Wheel kind',
            self::WheelDiameter => 'Wheel diameter',
            self::WheelMount => 'Wheels are',
            self::Chassis => 'Chassis',
            self::Surface => 'Surface',
        };
    }

    /** Null for a choice among kinds. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::NozzleBore, self::WheelDiameter => Scale::Part,
            self::NozzleLength, self::BalloonNominal, self::BalloonSize => Scale::Body,
            self::Mass => Scale::Weight,
            self::NozzleOutlets, self::PumpStrokes => Scale::Count,
            default => null,
        };
    }

    /** Whether it is a length or a mass, typed with a unit. */
    public function isQuantity(): bool
    {
        return $this->scale() !== null && $this->scale() !== Scale::Count;
    }

    public function isCount(): bool
    {
        return $this->scale() === Scale::Count;
    }

    /** Whether it is a word rather than a number. */
    public function isKind(): bool
    {
        return $this->scale() === null;
    }

    /**
     * Least and greatest value that is taken for real, in SI or as a count.
     *
     * @return array{float, float}
     *
     * @throws \LogicException for a choice among kinds
     */
    public function range(): array
    {
        return match ($this) {
            self::NozzleBore => [0.0005, 0.1],
            self::NozzleOutlets => [1.0, 50.0],
            self::NozzleLength => [0.0, 2.0],
            self::BalloonNominal => [0.02, 1.5],
            self::BalloonSize => [0.02, 4.0],
            self::PumpStrokes => [1.0, 500.0],
            self::Mass => [0.001, 10.0],
            self::WheelDiameter => [0.003, 0.6],
            default => throw new \LogicException("{$this->name} has no range."),
        };
    }

    /** Why a value is refused, with the cure; null where it is fine. */
    public function complaint(float $value, UnitSystem $units): ?string
    {
        [$least, $greatest] = $this->range();
        if ($value >= $least && $value <= $greatest) {
            return null;
        }
        $scale = $this->scale() ?? Scale::Count;

        return "{$this->label()} must be from {$units->show($least, $scale, 1)} to {$units->show($greatest, $scale, 1)}. Check the unit.";
    }

    /** The unit of a number typed without one; null for counts and kinds. */
    public function bareUnit(UnitSystem $units): ?Unit
    {
        $scale = $this->scale();

        return $scale === null ? null : $units->unit($scale);
    }

    public function dimension(): Dimension
    {
        return $this === self::Mass ? Dimension::Mass : Dimension::Length;
    }

    /** A stored SI value as a quantity again. */
    public function quantity(float $si): Quantity
    {
        return Quantity::fromSi($si, $this->dimension());
    }

    /** @return list<self> */
    public static function quantities(): array
    {
        return array_values(array_filter(self::cases(), static fn(self $choice): bool => $choice->isQuantity()));
    }
}
