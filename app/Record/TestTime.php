<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Run;
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
        $logged = Run::query()->whereIn('car_id', array_keys($record->carsById()))
            ->where('logged_at', '>=', CarbonImmutable::now()->subHours(self::SESSION_HOURS));
        $first = $logged->min('logged_at');

        return new self(
            $plan->plan->minutes(Phase::Redesign) + $runs->minutes($plan->plan->heat_min),
            is_string($first)
                ? $plan->timetable($record->groups->count())->leftMin(CarbonImmutable::parse($first)->diffInSeconds() / 60)
                : null,
        );
    }

    public function fits(): bool
    {
        return $this->leftMin === null || $this->takesMin <= $this->leftMin;
    }
}
