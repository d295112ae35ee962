<?php

declare(strict_types=1);

namespace Skivo\Core\Library;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Challenge\Age;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;

/**
 * A plan that is ready to be set: what a class asks, of which age and for how long, and how its groups divide the question among
 * them so that an answer can come of it. Each is tried from plan to answer with simulated classes.
 */
enum LessonPlan: string
{
    case WiderNozzle = 'wider_nozzle';
    case LighterCar = 'lighter_car';
    case FullerBalloon = 'fuller_balloon';
    case ShorterStraw = 'shorter_straw';
    case FasterNozzle = 'faster_nozzle';
    case BiggerWheels = 'bigger_wheels';
    case SecondBalloon = 'second_balloon';
    case BalloonOrBand = 'balloon_or_band';

    public function question(): Question
    {
        return match ($this) {
            self::WiderNozzle => new Question(CarAttribute::NozzleBore),
            self::LighterCar => new Question(CarAttribute::Mass),
            self::FullerBalloon => new Question(CarAttribute::BalloonSize),
            self::ShorterStraw => new Question(CarAttribute::NozzleLength),
            self::FasterNozzle => new Question(CarAttribute::NozzleBore, Outcome::Time),
            self::BiggerWheels => new Question(CarAttribute::WheelDiameter),
            self::SecondBalloon => new Question(CarAttribute::Balloons, Outcome::Distance, '1', '2'),
            self::BalloonOrBand => new Question(
                CarAttribute::EnergySource,
                Outcome::Distance,
                EnergySource::Balloon->value,
                EnergySource::ElasticBand->value,
            ),
        };
    }

    public function age(): Age
    {
        return in_array($this, [self::LighterCar, self::FullerBalloon], true) ? Age::SevenToNine : Age::TenToFourteen;
    }

    public function goal(): Goal
    {
        return $this === self::FasterNozzle ? Goal::Fastest : Goal::Farthest;
    }

    public function scoring(): Scoring
    {
        return $this === self::LighterCar ? Scoring::Best : Scoring::Mean;
    }

    /** @return list<int> minutes of each session */
    public function sessionsMin(): array
    {
        return match ($this) {
            self::FullerBalloon => [45],
            self::LighterCar => [60],
            self::WiderNozzle, self::SecondBalloon => [90],
            self::ShorterStraw => [50, 50],
            self::BalloonOrBand => [60, 60],
            self::FasterNozzle, self::BiggerWheels => [120],
        };
    }

    public function groups(): int
    {
        return match ($this) {
            self::FullerBalloon => 6,
            self::FasterNozzle => 10,
            default => 8,
        };
    }

    public function tries(): int
    {
        return $this === self::FullerBalloon ? 2 : 3;
    }

    public function laneM(): float
    {
        return match ($this) {
            self::FullerBalloon, self::LighterCar => 5.0,
            self::FasterNozzle => 4.0,
            default => 8.0,
        };
    }

    /** Over which times are taken (m). */
    public function timedM(): ?float
    {
        return $this === self::FasterNozzle ? 2.0 : null;
    }

    /** What groups may choose; the rest is alike for all, or no cars are alike. */
    public function free(): Step
    {
        return match ($this) {
            self::WiderNozzle, self::ShorterStraw, self::FasterNozzle => Step::Nozzle,
            self::LighterCar => Step::Mass,
            self::FullerBalloon, self::SecondBalloon, self::BalloonOrBand => Step::Power,
            self::BiggerWheels => Step::Wheels,
        };
    }

    /**
     * The two that groups compare: in SI, or the names of parts or kinds.
     *
     * @return array{float, float}|array{string, string}
     */
    public function values(): array
    {
        return match ($this) {
            self::WiderNozzle, self::FasterNozzle => [0.006, 0.009],
            self::LighterCar => [0.055, 0.075],
            self::FullerBalloon => [0.17, 0.20],
            self::ShorterStraw => [0.06, 0.18],
            self::BiggerWheels => ['bottle caps', 'optical discs'],
            self::SecondBalloon => ['1', '2'],
            self::BalloonOrBand => [EnergySource::Balloon->value, EnergySource::ElasticBand->value],
        };
    }

    /** Whether half the groups build each, or every group builds one, runs it, and rebuilds it as the other. */
    public function design(): Design
    {
        return in_array($this, [self::ShorterStraw, self::BiggerWheels], true) ? Design::HalfAndHalf : Design::ChangeOneThing;
    }

    /** The two as cars of a kit. */
    public function contrast(Kit $kit = new Kit()): Contrast
    {
        return new Contrast($this->question()->attribute, ...[...$this->values(), $kit]);
    }
}
