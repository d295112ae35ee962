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

    /** @param float|null $leftMin null where no session is under way */
    private function __construct(public float $takesMin, public ?float $leftMin) {}

    public static function of(ClassRecord $record, NextTest $next): self
    {
        $plan = ClassPlan::of($record->challenge);
        $tries = max(array_map(static fn($change): int => $change->car->sample->n, $next->changes));
        $runs = new RunOrder(count($next->changes), $tries, $record->challenge->lanes);
        $first = $record->firstLoggedSince(CarbonImmutable::now()->subHours(self::SESSION_HOURS));

        return new self(
            $plan->plan->minutes(Phase::Redesign) + $runs->minutes($plan->plan->heat_min),
            $first === null ? null : $plan->timetable($record->groups->count())->leftMin($first->diffInSeconds() / 60),
        );
    }

    public function fits(): bool
    {
        return $this->leftMin === null || $this->takesMin <= $this->leftMin;
    }
}
