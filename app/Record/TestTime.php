<?php

declare(strict_types=1);

namespace App\Record;

use Carbon\CarbonImmutable;
use Skivo\Core\Findings\NextTest;
use Skivo\Core\Session\Phase;
use Skivo\Core\Session\RunOrder;

/** How long the next test takes, and how much of the session is left for it. */
final readonly class TestTime
{
    /** Who logged nothing for so long is no longer at the lane (hours). */
    private const SESSION_HOURS = 6;

    private const AT_ONCE_S = 60;

    /** @param float|null $leftMin null where no session is under way */
    private function __construct(public float $takesMin, public ?float $leftMin) {}

    public static function of(ClassRecord $record, NextTest $next): self
    {
        $plan = ClassPlan::of($record->challenge);
        $tries = max(array_map(static fn($change): int => $change->car->sample->n, $next->changes));
        $runs = new RunOrder(count($next->changes), $tries, $record->challenge->lanes);
        $logged = $record->loggedSince(CarbonImmutable::now()->subHours(self::SESSION_HOURS));
        // Runs that came in all at once were brought in by a table: nobody is at the lane.
        $isUnderWay = $logged !== [] && $logged[0]->diffInSeconds($logged[count($logged) - 1]) >= self::AT_ONCE_S;

        return new self(
            $plan->plan->minutes(Phase::Redesign) + $runs->minutes($plan->plan->heat_min),
            $isUnderWay ? $plan->timetable($record->groups->count())->leftMin($logged[0]->diffInSeconds() / 60) : null,
        );
    }

    public function fits(): bool
    {
        return $this->leftMin === null || $this->takesMin <= $this->leftMin;
    }
}
