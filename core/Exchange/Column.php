<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Choice;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

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
    case ChassisLength = 'chassis length';
    case ChassisWidth = 'chassis width';
    case ChassisHeight = 'chassis thickness';
    case ChassisMass = 'mass of the chassis';
    case Bearing = 'axle and bearing';
    case Wheelbase = 'wheelbase';
    case RearAxlePlace = 'rear axle, from the rear end';
    case Track = 'track';
    case RearTrack = 'rear track';
    case AxleDiameter = 'axle diameter';
    case AxleLength = 'axle length';
    case RearAxleLength = 'rear axle length';
    case AxleMass = 'mass of one axle';
    case BearingBore = 'bore of the bearing';
    case BearingLength = 'bearing length';
    case RearBearingLength = 'rear bearing length';
    case EndPlay = 'end play';
    case RearEndPlay = 'rear end play';
    case WheelThickness = 'wheel thickness';
    case WheelHub = 'wheel hub';
    case WheelHollow = 'wheel hollow';
    case WheelMass = 'mass of one wheel';
    case Balloons = 'balloons';
    case BalloonRelaxed = 'balloon, relaxed diameter';
    case BalloonMass = 'mass of one balloon';
    case Joint = 'joint';
    case BandTurns = 'turns of the band';
    case JointWidth = 'width of the joint, outside';
    case NeckWidth = 'width of the balloon’s neck';
    case WiderBore = 'wider tube before it';
    case WidestBore = 'widest tube before that';
    case NozzleAngle = 'nozzle points down by';
    case NozzleHeight = 'nozzle above the floor';
    case NozzleOverhang = 'nozzle sticks out behind';
    case NozzleMass = 'mass of the nozzle';
    case ExtrasMass = 'mass of everything else';
    case CarNote = 'car note';
    case Try = 'try';
    case Distance = 'distance';
    case Time = 'time';
    case Drift = 'drift';
    case DriftSide = 'drift side';
    case Load = 'load carried';
    case TotalTime = 'total time';
    case LimpMark = 'limp mark';
    case Filled = 'filled';
    case Lane = 'lane';
    case Void = 'void';
    case RunNote = 'run note';

    /** The choice of the car that the column holds; null for the others. */
    public function choice(): ?Choice
    {
        return match ($this) {
            self::BalloonDiameter, self::BalloonCircumference => Choice::BalloonSize,
            default => self::choices()[$this->name] ?? null,
        };
    }

    /** Whether a sheet has the column even where it holds nothing. */
    public function isAlwaysThere(): bool
    {
        return match ($this) {
            self::Group, self::Mark, self::Version, self::NozzleKind, self::NozzleBore, self::NozzleOutlets, self::NozzleLength,
            self::BalloonNominal, self::BalloonDiameter, self::BalloonCircumference, self::PumpStrokes, self::Mass,
            self::WheelKind, self::WheelDiameter, self::WheelMount, self::Chassis, self::Surface, self::CarNote,
            self::Try, self::Distance, self::Time, self::Void, self::RunNote => true,
            default => false,
        };
    }

    /** The unit of the column in a system of units; null where it has none. */
    public function unit(UnitSystem $units): ?Unit
    {
        return match ($this) {
            self::Distance, self::Drift, self::LimpMark => $units->unit(Scale::Distance),
            self::TotalTime => $units->unit(Scale::Stopwatch),
            self::Load => $units->unit(Scale::Weight),
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

    /** @return array<string, Choice> by the name that the column has here as well */
    private static function choices(): array
    {
        /** @var array<string, Choice>|null $byName */
        static $byName = null;

        return $byName ??= array_column(array_map(static fn(Choice $choice): array => [$choice->name, $choice], Choice::cases()), 1, 0);
    }
}
