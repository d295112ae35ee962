<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;

/** Where teachers disagree, as a claim that a class's own cars may support or not. */
enum Belief: string
{
    case MoreAir = 'more_air';
    case WiderNozzle = 'wider_nozzle';
    case MoreOutlets = 'more_outlets';
    case LighterCar = 'lighter_car';
    case LargerWheels = 'larger_wheels';
    case TurningAxle = 'turning_axle';
    case Joint = 'joint';
    case ClearGap = 'clear_gap';
    case NozzleDown = 'nozzle_down';
    case TwoBalloons = 'two_balloons';
    case LongWheelbase = 'long_wheelbase';
    case WideTrack = 'wide_track';
    case WideChassis = 'wide_chassis';
    case Release = 'release';
    case LipCut = 'lip_cut';
    case DeepNeck = 'deep_neck';
    case WheelsHeld = 'wheels_held';
    case BearingsHeld = 'bearings_held';
    case FilledBy = 'filled_by';
    case BandOrBalloon = 'band_or_balloon';
    case MoreTurns = 'more_turns';
    case Ballast = 'ballast';
    case Tyres = 'tyres';
    case FilledWhen = 'filled_when';
    case HollowOut = 'hollow_out';
    case Streamlined = 'streamlined';
    case Floor = 'floor';

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
            self::TwoBalloons => CarAttribute::Balloons,
            self::LongWheelbase => CarAttribute::Wheelbase,
            self::WideTrack => CarAttribute::Track,
            self::WideChassis => CarAttribute::ChassisWidth,
            self::Release => CarAttribute::Release,
            self::LipCut => CarAttribute::LipCut,
            self::DeepNeck => CarAttribute::NeckDepth,
            self::WheelsHeld => CarAttribute::WheelHold,
            self::BearingsHeld => CarAttribute::BearingHold,
            self::FilledBy => CarAttribute::FilledBy,
            self::BandOrBalloon => CarAttribute::EnergySource,
            self::MoreTurns => CarAttribute::TurnsWound,
            self::Ballast => CarAttribute::Ballast,
            self::Tyres => CarAttribute::Tyre,
            self::FilledWhen => CarAttribute::FilledWhen,
            self::HollowOut => CarAttribute::WheelHollow,
            self::Streamlined => CarAttribute::Nose,
            self::Floor => CarAttribute::Surface,
        };
    }

    /**
     * Whether cars that are driven so can say anything of it: of turns only those with a band, of a source of energy only two sources.
     *
     * @param list<EnergySource> $sources of a class's cars
     */
    public function concerns(array $sources): bool
    {
        return match ($this) {
            self::BandOrBalloon => in_array(EnergySource::ElasticBand, $sources, true) && in_array(EnergySource::Balloon, $sources, true),
            self::Ballast, self::Tyres => in_array(EnergySource::ElasticBand, $sources, true),
            default => array_filter($sources, $this->factor()->belongsTo(...)) !== [],
        };
    }

    /** @return non-empty-list<CarAttribute> every way in which a class may have recorded it */
    public function factors(): array
    {
        return $this === self::MoreAir ? [CarAttribute::BalloonSize, CarAttribute::PumpStrokes] : [$this->factor()];
    }

    /**
     * What it is said to be good for. One may hold for distance and fail for speed, so each is ruled by itself.
     *
     * @return non-empty-list<Outcome>
     */
    public function outcomes(): array
    {
        return match ($this) {
            self::LongWheelbase, self::WideTrack => [Outcome::Straightness, Outcome::Distance],
            self::WideChassis => [Outcome::Distance, Outcome::Straightness],
            self::Joint, self::NozzleDown, self::Release, self::LipCut, self::DeepNeck, self::FilledBy => [Outcome::Distance],
            self::WheelsHeld, self::BearingsHeld => [Outcome::Distance, Outcome::Straightness],
            self::ClearGap => [Outcome::Distance, Outcome::Straightness],
            self::Tyres, self::FilledWhen, self::HollowOut, self::Floor => [Outcome::Distance],
            default => [Outcome::Distance, Outcome::Time],
        };
    }

    /** Whether the claim is that more of the factor does better (1) or less (−1); 0 where it only claims a difference. */
    public function direction(): int
    {
        return match ($this) {
            self::LighterCar => -1,
            // Of the two kinds "fixed" comes first in the alphabet, so "more" is spinning.
            self::TurningAxle => -1,
            self::Joint, self::Release, self::LipCut, self::WheelsHeld, self::BearingsHeld, self::FilledBy, self::Tyres,
            self::FilledWhen, self::HollowOut, self::Streamlined, self::Floor => 0,
            default => 1,
        };
    }

    /** As in "wider_nozzle_farther". */
    public function code(Outcome $outcome): string
    {
        return $this->value . ($this->direction() === 0 ? '_matters' . (
            $outcome === Outcome::Distance ? '' : "_{$outcome->value}"
        ) : match ($outcome) {
            Outcome::Distance => '_farther',
            Outcome::Time => '_faster',
            Outcome::Straightness => '_straighter',
        });
    }
}
