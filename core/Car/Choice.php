<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/**
 * Every choice a group makes about its car, in the order in which a car is built: its name, the scale it
 * is read on, and the range outside which it must be a slip of the pen.
 *
 * What is said of axle, bearing and track holds for both axles, unless the rear one has its own value.
 * The ranges are common practice, no source, set wide: they catch centimetres typed as metres, not odd cars.
 */
enum Choice: string
{
    case Chassis = 'chassis';
    case ChassisLength = 'chassis_length';
    case ChassisWidth = 'chassis_width';
    case ChassisHeight = 'chassis_height';
    case ChassisMass = 'chassis_mass';
    case Bearing = 'bearing';
    case Wheelbase = 'wheelbase';
    case RearAxlePlace = 'rear_axle_place';
    case Track = 'track';
    case RearTrack = 'rear_track';
    case AxleDiameter = 'axle_diameter';
    case AxleLength = 'axle_length';
    case RearAxleLength = 'rear_axle_length';
    case AxleMass = 'axle_mass';
    case BearingBore = 'bearing_bore';
    case BearingLength = 'bearing_length';
    case RearBearingLength = 'rear_bearing_length';
    case EndPlay = 'end_play';
    case RearEndPlay = 'rear_end_play';
    case WheelKind = 'wheel_kind';
    case WheelDiameter = 'wheel_diameter';
    case WheelThickness = 'wheel_thickness';
    case WheelHub = 'wheel_hub';
    case WheelHollow = 'wheel_hollow';
    case WheelMass = 'wheel_mass';
    case WheelMount = 'wheel_mount';
    case Balloons = 'balloons';
    case BalloonNominal = 'balloon_nominal';
    case BalloonRelaxed = 'balloon_relaxed';
    case BalloonSize = 'balloon_size';
    case PumpStrokes = 'pump_strokes';
    case BalloonMass = 'balloon_mass';
    case Joint = 'joint';
    case BandTurns = 'band_turns';
    case JointWidth = 'joint_width';
    case NeckWidth = 'neck_width';
    case NozzleKind = 'nozzle_kind';
    case NozzleBore = 'nozzle_bore';
    case WiderBore = 'wider_bore';
    case WidestBore = 'widest_bore';
    case NozzleOutlets = 'nozzle_outlets';
    case NozzleLength = 'nozzle_length';
    case NozzleAngle = 'nozzle_angle';
    case NozzleHeight = 'nozzle_height';
    case NozzleOverhang = 'nozzle_overhang';
    case NozzleMass = 'nozzle_mass';
    case ExtrasMass = 'extras_mass';
    case Mass = 'mass';
    case Surface = 'surface';

    public function label(): string
    {
        return match ($this) {
            self::Chassis => 'Chassis',
            self::ChassisLength => 'Chassis length',
            self::ChassisWidth => 'Chassis width',
            self::ChassisHeight => 'Chassis thickness',
            self::ChassisMass => 'Mass of the chassis',
            self::Bearing => 'Axle and bearing',
            self::Wheelbase => 'Wheelbase',
            self::RearAxlePlace => 'Rear axle, from the rear end',
            self::Track => 'Track',
            self::RearTrack => 'Rear track',
            self::AxleDiameter => 'Axle diameter',
            self::AxleLength => 'Axle length',
            self::RearAxleLength => 'Rear axle length',
            self::AxleMass => 'Mass of one axle',
            self::BearingBore => 'Bore of the bearing',
            self::BearingLength => 'Bearing length',
            self::RearBearingLength => 'Rear bearing length',
            self::EndPlay => 'End play',
            self::RearEndPlay => 'Rear end play',
            self::WheelKind => 'Wheel kind',
            self::WheelDiameter => 'Wheel diameter',
            self::WheelThickness => 'Wheel thickness, at the rim',
            self::WheelHub => 'Wheel thickness, at the hub',
            self::WheelHollow => 'Its hollow faces',
            self::WheelMass => 'Mass of one wheel',
            self::WheelMount => 'Wheels are',
            self::Balloons => 'Balloons',
            self::BalloonNominal => 'Balloon, nominal size',
            self::BalloonRelaxed => 'Balloon, relaxed diameter',
            self::BalloonSize => 'Balloon, filled to',
            self::PumpStrokes => 'Pump strokes',
            self::BalloonMass => 'Mass of one balloon',
            self::Joint => 'Joint',
            self::BandTurns => 'Turns of the band',
            self::JointWidth => 'Width of the joint, outside',
            self::NeckWidth => 'Width of the balloon’s neck',
            self::NozzleKind => 'Nozzle kind',
            self::NozzleBore => 'Nozzle bore',
            self::WiderBore => 'Wider tube before it',
            self::WidestBore => 'Widest tube before that',
            self::NozzleOutlets => 'Outlets',
            self::NozzleLength => 'Nozzle length',
            self::NozzleAngle => 'Nozzle points down by',
            self::NozzleHeight => 'Nozzle above the floor',
            self::NozzleOverhang => 'Nozzle sticks out behind',
            self::NozzleMass => 'Mass of the nozzle',
            self::ExtrasMass => 'Mass of everything else',
            self::Mass => 'Mass, ready to run',
            self::Surface => 'Surface',
        };
    }

    /** Null for a choice among kinds. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::ChassisHeight, self::AxleDiameter, self::BearingBore, self::EndPlay, self::RearEndPlay, self::WheelDiameter, self::WheelThickness, self::WheelHub, self::JointWidth, self::NeckWidth, self::NozzleBore, self::WiderBore, self::WidestBore => Scale::Part,
            self::ChassisLength, self::ChassisWidth, self::Wheelbase, self::RearAxlePlace, self::Track, self::RearTrack, self::AxleLength, self::RearAxleLength, self::BearingLength, self::RearBearingLength, self::BalloonNominal, self::BalloonRelaxed, self::BalloonSize, self::NozzleLength, self::NozzleHeight, self::NozzleOverhang => Scale::Body,
            self::ChassisMass, self::AxleMass, self::WheelMass, self::BalloonMass, self::NozzleMass, self::ExtrasMass, self::Mass => Scale::Weight,
            self::Balloons, self::PumpStrokes, self::BandTurns, self::NozzleOutlets => Scale::Count,
            self::NozzleAngle => Scale::Angle,
            default => null,
        };
    }

    /** Whether it is a length or a mass, typed with a unit. */
    public function isQuantity(): bool
    {
        return !$this->isKind() && !$this->isCount();
    }

    /** Whether it is a whole number: things counted, or degrees. */
    public function isCount(): bool
    {
        return $this->scale() === Scale::Count || $this->scale() === Scale::Angle;
    }

    /** Whether it is a word rather than a number. */
    public function isKind(): bool
    {
        return $this->scale() === null;
    }

    /**
     * Least and greatest value that is taken for real, in SI, as a count or in degrees.
     *
     * @return array{float, float}
     *
     * @throws \LogicException for a choice among kinds
     */
    public function range(): array
    {
        return match ($this) {
            self::ChassisLength => [0.02, 1.0],
            self::ChassisWidth => [0.005, 0.6],
            self::ChassisHeight => [0.0003, 0.3],
            self::ChassisMass => [0.0001, 5.0],
            self::Wheelbase, self::AxleLength, self::RearAxleLength => [0.01, 1.0],
            self::RearAxlePlace => [0.0, 1.0],
            self::Track, self::RearTrack => [0.01, 0.8],
            self::AxleDiameter, self::BearingBore => [0.0005, 0.05],
            self::AxleMass => [0.0, 0.5],
            self::BearingLength, self::RearBearingLength => [0.002, 0.8],
            self::EndPlay, self::RearEndPlay => [0.0, 0.1],
            self::WheelDiameter => [0.003, 0.6],
            self::WheelThickness, self::WheelHub => [0.0003, 0.1],
            self::WheelMass, self::NozzleMass => [0.0001, 0.5],
            self::Balloons => [1.0, 6.0],
            self::BalloonNominal => [0.02, 1.5],
            self::BalloonRelaxed => [0.01, 0.3],
            self::BalloonSize => [0.02, 4.0],
            self::PumpStrokes => [1.0, 500.0],
            self::BalloonMass => [0.0001, 0.1],
            self::BandTurns => [1.0, 30.0],
            self::JointWidth, self::NeckWidth => [0.001, 0.15],
            self::NozzleBore, self::WiderBore, self::WidestBore => [0.0005, 0.1],
            self::NozzleOutlets => [1.0, 50.0],
            self::NozzleLength => [0.0, 2.0],
            self::NozzleAngle => [-90.0, 180.0],
            self::NozzleHeight, self::NozzleOverhang => [0.0, 0.6],
            self::ExtrasMass => [0.0, 5.0],
            self::Mass => [0.001, 10.0],
            default => throw new \LogicException("{$this->name} has no range."),
        };
    }

    /**
     * Between these lie the cars that classes build; what lies outside is asked about. Common practice, no source, set wide.
     *
     * @return array{float, float}|null in SI; null where nothing is unusual
     */
    public function usual(): ?array
    {
        return match ($this) {
            self::Mass => [0.008, 0.5],
            self::ChassisLength => [0.03, 0.5],
            self::ChassisWidth => [0.01, 0.3],
            self::Wheelbase => [0.03, 0.4],
            self::Track, self::RearTrack => [0.03, 0.3],
            self::AxleLength, self::RearAxleLength => [0.03, 0.4],
            self::AxleDiameter => [0.001, 0.012],
            self::BearingBore => [0.0015, 0.02],
            self::WheelDiameter => [0.01, 0.15],
            self::NozzleBore => [0.0015, 0.025],
            self::WiderBore, self::WidestBore => [0.003, 0.04],
            self::NozzleLength => [0.01, 0.6],
            self::BalloonNominal => [0.03, 0.6],
            self::BalloonSize => [0.03, 1.5],
            default => null,
        };
    }

    /** Whether a value is one that hardly any car has: perhaps typed in another unit. */
    public function isUnusual(float $si): bool
    {
        $usual = $this->usual();

        return $usual !== null && ($si < $usual[0] || $si > $usual[1]);
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
        return $this->scale() === Scale::Weight ? Dimension::Mass : Dimension::Length;
    }

    /** A stored SI value as a quantity again. */
    public function quantity(float $si): Quantity
    {
        return Quantity::fromSi($si, $this->dimension());
    }

    /** The choice about the front or both axles for which this is the rear one's own value. */
    public function ofBothAxles(): ?self
    {
        return match ($this) {
            self::RearTrack => self::Track,
            self::RearAxleLength => self::AxleLength,
            self::RearBearingLength => self::BearingLength,
            self::RearEndPlay => self::EndPlay,
            default => null,
        };
    }

    /** @return list<self> */
    public static function quantities(): array
    {
        return array_values(array_filter(self::cases(), static fn(self $choice): bool => $choice->isQuantity()));
    }
}
