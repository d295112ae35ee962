<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\CarAttribute;

/** Where teachers disagree about what goes farther, as a claim that a class's own cars may support or not. */
enum School: string
{
    case MoreAir = 'air';
    case WiderNozzle = 'nozzle';
    case MoreOutlets = 'outlets';
    case LighterCar = 'mass';
    case LargerWheels = 'wheels';
    case TurningAxle = 'mount';
    case Joint = 'joint';
    case ClearGap = 'gap';
    case NozzleDown = 'angle';

    public function factor(): CarAttribute
    {
        return match ($this) {
            self::MoreAir => CarAttribute::BalloonSize,
            self::WiderNozzle => CarAttribute::NozzleBore,
            self::MoreOutlets => CarAttribute::NozzleOutlets,
            self::LighterCar => CarAttribute::Mass,
            self::LargerWheels => CarAttribute::WheelDiameter,
            self::TurningAxle => CarAttribute::WheelMount,
            self::Joint => CarAttribute::Joint,
            self::ClearGap => CarAttribute::EndPlay,
            self::NozzleDown => CarAttribute::NozzleAngle,
        };
    }

    /** @return non-empty-list<CarAttribute> every way in which a class may have recorded it */
    public function factors(): array
    {
        return $this === self::MoreAir ? [CarAttribute::BalloonSize, CarAttribute::PumpStrokes] : [$this->factor()];
    }

    /** Whether the claim is that more of the factor goes farther (1) or less (−1); 0 where it only claims a difference. */
    public function direction(): int
    {
        return match ($this) {
            self::LighterCar => -1,
            // Of the two kinds "fixed" comes first in the alphabet, so "more" is spinning.
            self::TurningAxle => -1,
            self::Joint => 0,
            default => 1,
        };
    }
}
