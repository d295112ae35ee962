<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Simulation\Setting;

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

    public function claim(): string
    {
        return match ($this) {
            self::MoreAir => 'Fill it as far as it goes',
            self::WiderNozzle => 'A wide nozzle beats one that blows longer',
            self::MoreOutlets => 'A bundle beats a single tube',
            self::LighterCar => 'A light car goes farther',
            self::LargerWheels => 'Large wheels roll farther',
            self::TurningAxle => 'Wheels fixed to a turning axle beat wheels that spin on it',
            self::Joint => 'It matters how the balloon is joined',
            self::ClearGap => 'A clear gap at the axle rolls farther than almost none',
            self::NozzleDown => 'A nozzle pointed slightly down goes farther',
        };
    }

    /** The other side of the argument. */
    public function otherwise(): string
    {
        return match ($this) {
            self::MoreAir => 'a large balloon meets more air',
            self::WiderNozzle => 'a narrow one pushes for longer',
            self::MoreOutlets => 'one tube leaks less and blows longer',
            self::LighterCar => 'a heavy car runs on',
            self::LargerWheels => 'large wheels are heavy',
            self::TurningAxle => 'wheels on a fixed axle carry less in their bearings',
            self::Joint => 'any airtight joint will do',
            self::ClearGap => 'a loose axle wanders',
            self::NozzleDown => 'only a straight push is all forward',
        };
    }

    public function factor(): Factor
    {
        return match ($this) {
            self::MoreAir => Factor::BalloonSize,
            self::WiderNozzle => Factor::NozzleBore,
            self::MoreOutlets => Factor::Outlets,
            self::LighterCar => Factor::Mass,
            self::LargerWheels => Factor::WheelDiameter,
            self::TurningAxle => Factor::WheelMount,
            self::Joint => Factor::Joint,
            self::ClearGap => Factor::EndPlay,
            self::NozzleDown => Factor::NozzleAngle,
        };
    }

    /** @return non-empty-list<Factor> every way in which a class may have recorded it */
    public function factors(): array
    {
        return $this === self::MoreAir ? [Factor::BalloonSize, Factor::PumpStrokes] : [$this->factor()];
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

    /** What to turn in the run model to hear its opinion; null where it has none. */
    public function setting(): ?Setting
    {
        return match ($this) {
            self::MoreAir => Setting::BalloonSize,
            self::WiderNozzle => Setting::Bore,
            self::MoreOutlets => Setting::Outlets,
            self::LighterCar => Setting::Mass,
            self::LargerWheels => Setting::WheelDiameter,
            self::TurningAxle => Setting::SpinningWheels,
            self::NozzleDown => Setting::Angle,
            self::Joint, self::ClearGap => null,
        };
    }
}
