<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Challenge;
use App\Models\Race;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Race\Lot;
use Skivo\Core\Race\RacePlan;

/** Sets a race, draws its order anew before it has begun, ends it and opens it again. */
final class SetRace
{
    public function __invoke(Challenge $challenge, RacePlan $plan, ?Entry $length): Race
    {
        return DB::transaction(static function () use ($challenge, $plan, $length): Race {
            $race = $challenge->races()->make([
                'kind' => $plan->kind,
                'entrants' => array_map(intval(...), $plan->entrants),
                'best_of' => $plan->bestOf,
                'lanes' => $plan->lanes,
                'lot' => $plan->lot,
                'broken_loses' => $plan->brokenLoses,
                'repair_min' => $plan->repairMin,
            ]);
            $race->length = $length;
            $race->created_at = CarbonImmutable::now();
            $race->save();

            return $race;
        });
    }

    /** @throws RaceHasBegunException */
    public function drawAnew(Race $race): void
    {
        DB::transaction(static function () use ($race): void {
            $held = self::notBegun($race);
            // From the same order as every lot is drawn: that of the numbers of the groups.
            $entrants = $held->entrants;
            sort($entrants);
            $lot = random_int(1, Lot::GREATEST);
            $held->update(['lot' => $lot, 'entrants' => array_map(intval(...), Lot::order(array_map(strval(...), $entrants), $lot))]);
            $race->refresh();
        });
    }

    public function end(Race $race, bool $isOver): void
    {
        DB::transaction(static fn(): bool => $race->update(['ended_at' => $isOver ? CarbonImmutable::now() : null]));
    }

    /** @throws RaceHasBegunException what has happened is not thrown away: such a race can be ended */
    public function remove(Race $race): void
    {
        DB::transaction(static fn(): ?bool => self::notBegun($race)->delete());
    }

    private static function notBegun(Race $race): Race
    {
        $held = Race::query()->whereKey($race->id)->lock(Lock::ROW)->firstOrFail();

        return $held->events()->exists() ? throw new RaceHasBegunException() : $held;
    }
}
