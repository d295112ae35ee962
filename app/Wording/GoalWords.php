<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** A goal in words. */
final readonly class GoalWords
{
    /** As in "Fastest over 1 m". */
    public static function award(Award $award, UnitSystem $units): string
    {
        $length = $units->show($award->lengthM ?? 0.0, Scale::Lane);

        return match ($award->goal) {
            Goal::Farthest, Goal::Straightest => $award->goal->label(),
            Goal::Fastest => "Fastest over {$length}",
            Goal::NearestMark => "Nearest the mark at {$length}",
            Goal::HeaviestLoad => "Heaviest load over {$length}",
        };
    }

    /** As in "farther". */
    public static function better(Goal $goal): string
    {
        return match ($goal) {
            Goal::Farthest => 'farther',
            Goal::Fastest => 'faster',
            Goal::Straightest => 'straighter',
            Goal::NearestMark => 'nearer',
            Goal::HeaviestLoad => 'more heavily loaded',
        };
    }

    /** As in "shorter": what a car is against the leader. */
    public static function worse(Goal $goal): string
    {
        return match ($goal) {
            Goal::Farthest => 'shorter',
            Goal::Fastest => 'slower',
            Goal::Straightest => 'less straight',
            Goal::NearestMark => 'farther off',
            Goal::HeaviestLoad => 'less loaded',
        };
    }

    /** What the numbers of a table are, as in "Distances in cm". */
    public static function figures(Goal $goal, UnitSystem $units): string
    {
        $unit = $units->symbol($goal->scale());

        return match ($goal) {
            Goal::Farthest => "Distances in {$unit}",
            Goal::Fastest => "Times in {$unit}",
            Goal::Straightest => "Drift for the distance, in {$unit}",
            Goal::NearestMark => "Distances from the mark, in {$unit}",
            Goal::HeaviestLoad => "Loads in {$unit}",
        };
    }

    /** What stands where a car has no score yet. */
    public static function missing(Goal $goal): string
    {
        return match ($goal) {
            Goal::Farthest, Goal::NearestMark => 'no run',
            Goal::Fastest => 'no time',
            Goal::Straightest => 'no drift',
            Goal::HeaviestLoad => 'no load',
        };
    }

    /** What a run needs for the goal besides where it stopped; null for nothing. */
    public static function needs(Goal $goal): ?string
    {
        return match ($goal) {
            Goal::Farthest, Goal::NearestMark => null,
            Goal::Fastest => 'a time',
            Goal::Straightest => 'the drift',
            Goal::HeaviestLoad => 'the load, carried far enough,',
        };
    }
}
