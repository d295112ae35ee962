<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

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

    public function label(): string
    {
        return match ($this) {
            self::Chassis => 'Chassis',
            self::Axles => 'Axles',
            self::Wheels => 'Wheels',
            self::Power => 'Balloon',
            self::Nozzle => 'Nozzle',
            self::Mass => 'Mass',
            self::Floor => 'Floor',
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

    /** @return list<Choice> in the order in which they are asked */
    public function choices(): array
    {
        return array_values(array_filter(Choice::cases(), fn(Choice $choice): bool => self::of($choice) === $this));
    }

    /** The choices that most runs are understood by; the others are worth having, and asked for further down. */
    public static function isMain(Choice $choice): bool
    {
        return match ($choice) {
            Choice::Chassis, Choice::ChassisLength, Choice::ChassisWidth, Choice::ChassisHeight,
            Choice::Bearing, Choice::Wheelbase, Choice::Track, Choice::AxleDiameter, Choice::AxleLength, Choice::BearingBore, Choice::BearingLength, Choice::EndPlay,
            Choice::WheelKind, Choice::WheelDiameter, Choice::WheelThickness, Choice::WheelHub, Choice::WheelHollow, Choice::WheelMount,
            Choice::Balloons, Choice::BalloonNominal, Choice::BalloonSize, Choice::PumpStrokes, Choice::Joint, Choice::BandTurns,
            Choice::NozzleKind, Choice::NozzleBore, Choice::NozzleOutlets, Choice::NozzleLength, Choice::NozzleAngle, Choice::NozzleHeight, Choice::NozzleOverhang,
            Choice::Mass, Choice::Surface => true,
            default => false,
        };
    }

    public static function of(Choice $choice): self
    {
        return match ($choice) {
            Choice::Chassis, Choice::ChassisLength, Choice::ChassisWidth, Choice::ChassisHeight, Choice::ChassisMass => self::Chassis,
            Choice::Bearing, Choice::Wheelbase, Choice::RearAxlePlace, Choice::Track, Choice::RearTrack, Choice::AxleDiameter, Choice::AxleLength,
            Choice::RearAxleLength, Choice::AxleMass, Choice::BearingBore, Choice::BearingLength, Choice::RearBearingLength, Choice::EndPlay, Choice::RearEndPlay => self::Axles,
            Choice::WheelKind, Choice::WheelDiameter, Choice::WheelThickness, Choice::WheelHub, Choice::WheelHollow, Choice::WheelMass, Choice::WheelMount => self::Wheels,
            Choice::Balloons, Choice::BalloonNominal, Choice::BalloonRelaxed, Choice::BalloonSize, Choice::PumpStrokes, Choice::BalloonMass,
            Choice::Joint, Choice::BandTurns, Choice::JointWidth, Choice::NeckWidth => self::Power,
            Choice::NozzleKind, Choice::NozzleBore, Choice::WiderBore, Choice::WidestBore, Choice::NozzleOutlets, Choice::NozzleLength,
            Choice::NozzleAngle, Choice::NozzleHeight, Choice::NozzleOverhang, Choice::NozzleMass => self::Nozzle,
            Choice::ExtrasMass, Choice::Mass => self::Mass,
            Choice::Surface => self::Floor,
        };
    }
}
