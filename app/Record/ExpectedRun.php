<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Forecast\ExpectedDistance;
use Skivo\Core\Measurement\Expected;

/** How far a group's next run goes, by whatever is known before it: what is typed is judged by that, wherever it is typed. */
final readonly class ExpectedRun
{
    /** Once so many other runs are known, parts say no more. */
    private const FEW = 5;

    /** @param Run|null $besides what is known apart from a run that is being corrected */
    public static function of(Challenge $challenge, Group $group, ?Run $besides = null): Expected
    {
        $known = DB::table('runs')->join('cars', 'cars.id', 'runs.car_id')->join('groups', 'groups.id', 'cars.group_id')
            ->where('groups.challenge_id', $challenge->id)->whereNull('groups.deleted_at')->whereNull('runs.deleted_at')
            ->whereNull('runs.void_reason')->where('runs.past_end', false)->where('runs.distance_m', '>', 0)
            ->whereIn('runs.kind', [RunKind::Try->value, RunKind::Practice->value])->whereNull('runs.surface')->whereNull('runs.ramp_m')
            ->when($besides !== null, static fn($runs) => $runs->where('runs.id', '<>', $besides?->id))
            ->get(['cars.group_id', 'cars.version', 'runs.distance_m']);
        [$own, $others] = $known->partition(static fn(\stdClass $run): bool => (int) $run->group_id === $group->id)->all();
        // By the newest version that ran: a change seldom makes a car ten times better.
        $own = $own->where('version', $own->max('version'));
        $distances = static fn($runs): array => array_values(
            $runs->map(static fn(\stdClass $run): float => (float) $run->distance_m)->all(),
        );
        $car = $own->isEmpty() && $others->count() < self::FEW ? $group->newestCar()?->choices : null;

        return ExpectedDistance::of(
            $distances($own),
            $car === null || $car->isEmpty() ? null : DesignForecast::ofParts($challenge, $car),
            $distances($others),
            $challenge->lane_length->quantity->si(),
        );
    }
}
