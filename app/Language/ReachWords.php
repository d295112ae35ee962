<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Reach;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** How far a car came, or whatever an award asks for: a figure that a run past the end bounds is said as a bound. */
final readonly class ReachWords
{
    /** As in "714 cm", "at least 714 cm" or, of a best one, "past the end". */
    public static function said(?Reach $reach, Award $award, Scoring $scoring, UnitSystem $units): string
    {
        return match (true) {
            $reach === null => '–',
            $reach->isBound && $scoring === Scoring::Best && $award->goal === Goal::Farthest => Text::of('run.reach.past_the_end'),
            $reach->isBound => Text::of('run.reach.at_least', ['value' => $units->show($reach->value, $award->goal->scale())]),
            default => $units->show($reach->value, $award->goal->scale()),
        };
    }

    /** The same for a column under its unit, as in "≥ 714". */
    public static function figure(?Reach $reach, Award $award, Scoring $scoring, UnitSystem $units): string
    {
        return match (true) {
            $reach === null => '–',
            $reach->isBound && $scoring === Scoring::Best && $award->goal === Goal::Farthest => Text::of('run.reach.past_the_end'),
            default => ($reach->isBound ? '≥ ' : '') . $units->figure($reach->value, $award->goal->scale()),
        };
    }

    /** The mean of a car's tries, as in "at least 714 cm". */
    public static function mean(Tries $tries, UnitSystem $units): string
    {
        $farthest = new Award(Goal::Farthest);

        return self::said(Reach::of($farthest, $tries, Scoring::Mean), $farthest, Scoring::Mean, $units);
    }

    /** How far it went on average, most likely, where the lane was too short to tell; null where it was not. */
    public static function estimate(Tries $tries, UnitSystem $units): ?string
    {
        $sample = $tries->distances();
        $reach = Reach::of(new Award(Goal::Farthest), $tries, Scoring::Mean);

        return $sample === null || $reach?->isBound !== true || abs($sample->mean() - $reach->value) < 1e-9
            ? null : Text::of('run.reach.estimate', ['value' => $units->show($sample->mean(), Scale::Distance)]);
    }
}
