<?php

declare(strict_types=1);

namespace App\Language;

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
            Goal::Farthest, Goal::Straightest => Label::of($award->goal),
            Goal::Fastest => Text::of('run.goal_words.fastest_over', ['length' => $length]),
            Goal::NearestMark => Text::of('run.goal_words.nearest_the_mark_at', ['length' => $length]),
            Goal::HeaviestLoad => Text::of('run.goal_words.heaviest_load_over', ['length' => $length]),
        };
    }

    /** As in "farther". */
    public static function better(Goal $goal): string
    {
        return match ($goal) {
            Goal::Farthest => Text::of('run.better.farther'),
            Goal::Fastest => Text::of('run.better.faster'),
            Goal::Straightest => Text::of('run.better.straighter'),
            Goal::NearestMark => Text::of('run.better.nearer'),
            Goal::HeaviestLoad => Text::of('run.goal_words.more_heavily_loaded'),
        };
    }

    /** As in "shorter": what a car is against the leader. */
    public static function worse(Goal $goal): string
    {
        return match ($goal) {
            Goal::Farthest => Text::of('run.worse.shorter'),
            Goal::Fastest => Text::of('run.worse.slower'),
            Goal::Straightest => Text::of('run.goal_words.less_straight'),
            Goal::NearestMark => Text::of('run.goal_words.farther_off'),
            Goal::HeaviestLoad => Text::of('run.goal_words.less_loaded'),
        };
    }

    /** What the numbers of a table are, as in "Distances (cm)". */
    public static function figures(Goal $goal, UnitSystem $units): string
    {
        $unit = $units->symbol($goal->scale());

        return match ($goal) {
            Goal::Farthest => Text::of('run.goal_words.distances_in', ['unit' => $unit]),
            Goal::Fastest => Text::of('run.goal_words.times_in', ['unit' => $unit]),
            Goal::Straightest => Text::of('run.goal_words.drift_for_the_distance_in', ['unit' => $unit]),
            Goal::NearestMark => Text::of('run.goal_words.distances_from_the_mark_in', ['unit' => $unit]),
            Goal::HeaviestLoad => Text::of('run.goal_words.loads_in', ['unit' => $unit]),
        };
    }

    /** What stands where a car has no score yet. */
    public static function missing(Goal $goal): string
    {
        return match ($goal) {
            Goal::Farthest, Goal::NearestMark => Text::of('run.goal_words.no_run'),
            Goal::Fastest => Text::of('run.goal_words.no_time'),
            Goal::Straightest => Text::of('run.goal_words.no_drift'),
            Goal::HeaviestLoad => Text::of('run.goal_words.no_load'),
        };
    }

    /** What a run needs for the goal besides where it stopped; null for nothing. */
    public static function needs(Goal $goal): ?string
    {
        return match ($goal) {
            Goal::Farthest, Goal::NearestMark => null,
            Goal::Fastest => Text::of('run.needs.time'),
            Goal::Straightest => Text::of('run.goal_words.the_drift'),
            Goal::HeaviestLoad => Text::of('run.goal_words.the_load_carried_far_enough'),
        };
    }
}
