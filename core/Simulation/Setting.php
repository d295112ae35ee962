<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Layout;
use Skivo\Core\Measurement\Scale;

/**
 * The numbers that one turns to try a design: what a build sheet or the catalogue knows, from which the run
 * model's own parameters follow. Ranges are those of hand-made cars (common practice, no source).
 */
enum Setting: string
{
    case Bore = 'bore';
    case WiderBore = 'wider';
    case WidestBore = 'widest';
    case Outlets = 'outlets';
    case TubeLength = 'tube';
    case Angle = 'angle';
    case BalloonSize = 'size';
    case Balloons = 'balloons';
    case RelaxedDiameter = 'relaxed';
    case Film = 'film';
    case Pressure = 'pressure';
    case Mass = 'mass';
    case WheelDiameter = 'wheel';
    case WheelMass = 'wheelmass';
    case WheelInertia = 'kappa';
    case WheelLoss = 'crr';
    case AxleDiameter = 'axle';
    case AxleMass = 'axlemass';
    case BearingFriction = 'mu';
    case SpinningWheels = 'spin';
    case SurfaceLoss = 'surface';
    case MeasuredFriction = 'f';
    case Breakaway = 'breakaway';
    case ChassisWidth = 'width';
    case ChassisLength = 'length';
    case ChassisHeight = 'height';
    case StartSpeed = 'start';
    case Temperature = 'temp';

    public function label(): string
    {
        return match ($this) {
            self::Bore => 'Nozzle bore',
            self::WiderBore => 'Wider tube before it',
            self::WidestBore => 'Widest tube before that',
            self::Outlets => 'Outlets',
            self::TubeLength => 'Tube length, each',
            self::Angle => 'Nozzle angle, down',
            self::BalloonSize => 'Balloon, filled to',
            self::Balloons => 'Balloons',
            self::RelaxedDiameter => 'Balloon, relaxed',
            self::Film => 'Film thickness',
            self::Pressure => 'Balloon’s pressure, times the usual',
            self::Mass => 'Mass, ready to run',
            self::WheelDiameter => 'Wheels',
            self::WheelMass => 'Mass of one wheel',
            self::WheelInertia => 'Spin factor κ',
            self::WheelLoss => 'Rolling loss of the wheel',
            self::AxleDiameter => 'Axle diameter',
            self::AxleMass => 'Mass of one axle',
            self::BearingFriction => 'Bearing friction μ',
            self::SpinningWheels => 'Wheels spin on the axle',
            self::SurfaceLoss => 'Added by the surface',
            self::MeasuredFriction => 'Rolling f, measured',
            self::Breakaway => 'Breakaway ratio',
            self::ChassisWidth => 'Chassis width',
            self::ChassisLength => 'Chassis length',
            self::ChassisHeight => 'Chassis thickness',
            self::StartSpeed => 'Start speed, m/s',
            self::Temperature => 'Air, °C',
        };
    }

    /** Null for a plain number, which is shown as it is. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::Bore, self::WiderBore, self::WidestBore, self::WheelDiameter, self::AxleDiameter, self::Film, self::ChassisHeight => Scale::Part,
            self::TubeLength, self::BalloonSize, self::RelaxedDiameter, self::ChassisWidth, self::ChassisLength => Scale::Body,
            self::Mass, self::WheelMass, self::AxleMass => Scale::Weight,
            self::Outlets, self::Balloons, self::SpinningWheels => Scale::Count,
            default => null,
        };
    }

    /**
     * Least, greatest, usual value and the step of a slider, in SI. Zero means "none" for the wider tubes,
     * and "not measured, estimate it" for the rolling coefficient.
     *
     * @return array{float, float, float, float}
     */
    public function range(): array
    {
        return match ($this) {
            self::Bore => [0.002, 0.02, 0.006, 0.0005],
            self::WiderBore, self::WidestBore => [0.0, 0.04, 0.0, 0.0005],
            self::Outlets => [1.0, 12.0, 1.0, 1.0],
            self::TubeLength => [0.0, 0.5, 0.15, 0.01],
            self::Angle => [-45.0, 60.0, 0.0, 1.0],
            self::BalloonSize => [0.08, 0.40, Layout::USUAL_BALLOON, 0.005],
            self::Balloons => [1.0, 4.0, 1.0, 1.0],
            self::RelaxedDiameter => [0.02, 0.15, 0.06, 0.001],
            self::Film => [0.0001, 0.001, 0.00025, 0.00001],
            self::Pressure => [0.2, 5.0, 1.0, 0.05],
            self::Mass => [0.01, 0.4, 0.06, 0.001],
            self::WheelDiameter => [0.015, 0.2, 0.03, 0.001],
            self::WheelMass => [0.0002, 0.1, 0.0025, 0.0001],
            self::WheelInertia => [0.3, 1.0, 0.7, 0.01],
            self::WheelLoss => [0.001, 0.1, 0.006, 0.001],
            self::AxleDiameter => [0.001, 0.012, 0.003, 0.0005],
            self::AxleMass => [0.0, 0.05, 0.0008, 0.0001],
            self::BearingFriction => [0.01, 1.0, 0.3, 0.01],
            self::SpinningWheels => [0.0, 1.0, 0.0, 1.0],
            self::SurfaceLoss => [0.0, 0.2, 0.0, 0.001],
            self::MeasuredFriction => [0.0, 0.5, 0.0, 0.001],
            self::Breakaway => [1.0, 3.0, 1.2, 0.05],
            self::ChassisWidth => [0.02, 0.3, 0.075, 0.005],
            self::ChassisLength => [0.05, 0.5, 0.15, 0.005],
            self::ChassisHeight => [0.001, 0.15, 0.004, 0.001],
            self::StartSpeed => [0.0, 5.0, 0.0, 0.1],
            self::Temperature => [-10.0, 45.0, 20.0, 1.0],
        };
    }

    /**
     * Least and greatest value that the model computes with, in SI: wide enough for nearly everything that can be recorded of
     * a car. A ruler's own range is narrower, and stretches to where a car's value lies.
     *
     * @return array{float, float}
     */
    public function limits(): array
    {
        return match ($this) {
            self::Bore => [0.001, 0.1],
            self::WiderBore, self::WidestBore => [0.0, 0.1],
            self::Outlets => [1.0, 20.0],
            self::TubeLength => [0.0, 2.0],
            self::Angle => [-80.0, 80.0],
            self::BalloonSize => [0.01, 0.6],
            self::Balloons => [1.0, 8.0],
            self::RelaxedDiameter => [0.01, 0.3],
            self::Film => [0.00005, 0.002],
            self::Mass => [0.001, 10.0],
            self::WheelDiameter => [0.003, 0.6],
            self::WheelMass => [0.0001, 0.5],
            self::WheelLoss => [0.0005, 0.2],
            self::AxleDiameter => [0.0005, 0.05],
            self::AxleMass => [0.0, 0.5],
            self::MeasuredFriction => [0.0, 1.0],
            self::ChassisWidth => [0.005, 0.6],
            self::ChassisLength => [0.02, 1.0],
            self::ChassisHeight => [0.0003, 0.3],
            self::Temperature => [-30.0, 60.0],
            default => [$this->range()[0], $this->range()[1]],
        };
    }

    /** Those that a class turns first, in the order of the bench. */
    public function isMain(): bool
    {
        return in_array($this, [self::Bore, self::Outlets, self::BalloonSize, self::Mass, self::WheelDiameter, self::MeasuredFriction], true);
    }

    /**
     * Those along which a sweep makes sense.
     *
     * @return list<self>
     */
    public static function sweepable(): array
    {
        return [self::Bore, self::TubeLength, self::BalloonSize, self::Mass, self::WheelDiameter, self::AxleDiameter, self::BearingFriction, self::Angle];
    }
}
