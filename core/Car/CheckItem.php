<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Scale;

/** What is checked on a car before it runs, in the order in which it is done. */
enum CheckItem: string
{
    case Spin = 'spin';
    case EndPlay = 'end-play';
    case Wobble = 'wobble';
    case Parallel = 'parallel';
    case Drift = 'drift';
    case Airtight = 'airtight';
    case BalloonClears = 'balloon-clears';
    case NozzleStraight = 'nozzle';
    case PointsOff = 'points';

    public function label(): string
    {
        return match ($this) {
            self::Spin => 'Wheels turn freely',
            self::EndPlay => 'End play',
            self::Wobble => 'Wheels square and centred',
            self::Parallel => 'Axles parallel',
            self::Drift => 'Rolls straight by hand',
            self::Airtight => 'Joint airtight',
            self::BalloonClears => 'Balloon clears the floor',
            self::NozzleStraight => 'Nozzle straight and open',
            self::PointsOff => 'Points cut off',
        };
    }

    /** How it is done, in a line. */
    public function how(): string
    {
        return match ($this) {
            self::Spin => 'Lift the car, flick the stiffest wheel once, and time it until it stands.',
            self::EndPlay => 'Push an axle all the way to one side, then to the other. How far does it slide?',
            self::Wobble => 'Turn each wheel slowly past a fingertip. How far does the rim come and go?',
            self::Parallel => 'Measure from axle to axle along the left side, then along the right.',
            self::Drift => 'Roll the car gently along a straight line. How far off is it, and after what distance?',
            self::Airtight => 'Fill the balloon, close the nozzle with a fingertip, measure; wait ten seconds, measure again. How much smaller is it?',
            self::BalloonClears => 'Fill the balloon to running size and look under it.',
            self::NozzleStraight => 'Look along the tube: straight to the rear, round, no dent.',
            self::PointsOff => 'No sharp end of skewer or wire is left.',
        };
    }

    /** What the reading is called. */
    public function readingLabel(): string
    {
        return match ($this) {
            self::Spin => 'Turns for',
            self::EndPlay => 'Slides',
            self::Wobble => 'Comes and goes',
            self::Parallel => 'Left side',
            self::Drift => 'Off the line',
            self::Airtight => 'Lost in 10 s',
            self::BalloonClears, self::NozzleStraight, self::PointsOff => 'Is it so?',
        };
    }

    /** What a second reading is called; null where there is one only. */
    public function secondLabel(): ?string
    {
        return match ($this) {
            self::Parallel => 'Right side',
            self::Drift => 'After',
            default => null,
        };
    }

    /** Whether it is answered with yes or no rather than measured. */
    public function isQuestion(): bool
    {
        return $this === self::BalloonClears || $this === self::NozzleStraight || $this === self::PointsOff;
    }

    /** Of what was read; null for a question. */
    public function scale(): ?Scale
    {
        return match ($this) {
            self::Spin => Scale::Stopwatch,
            self::EndPlay, self::Wobble, self::Parallel, self::Airtight => Scale::Part,
            self::Drift => Scale::Distance,
            default => null,
        };
    }

    public function dimension(): Dimension
    {
        return $this === self::Spin ? Dimension::Time : Dimension::Length;
    }

    /** Of what is judged: the reading itself, an angle (°) between the axles, or a drift for the distance. */
    public function judgedScale(): ?Scale
    {
        return match ($this) {
            self::Parallel => Scale::Angle,
            self::Drift => Scale::Slope,
            default => $this->scale(),
        };
    }

    /** Greatest reading that is taken for real, in SI. */
    public function greatest(): float
    {
        return match ($this) {
            self::Spin => 600.0,
            self::EndPlay, self::Wobble => 0.1,
            self::Parallel => 1.0,
            self::Drift => 20.0,
            self::Airtight => 1.0,
            default => 1.0,
        };
    }

    /** The limits it is judged by unless the challenge sets its own. Common practice, no source. */
    public function usualTolerance(): ?Tolerance
    {
        return match ($this) {
            self::Spin => new Tolerance(2.0, null, 1.0, null),
            self::EndPlay => new Tolerance(0.001, 0.002, 0.0003, 0.004),
            self::Wobble => new Tolerance(null, 0.001, null, 0.003),
            self::Parallel => new Tolerance(null, 0.5, null, 1.0),
            self::Drift => new Tolerance(null, 0.05, null, 0.15),
            self::Airtight => new Tolerance(null, 0.003, null, 0.010),
            default => null,
        };
    }
}
