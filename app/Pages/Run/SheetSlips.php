<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Actions\ImportPlan;
use App\Models\Challenge;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Forecast\ExpectedDistance;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;

/** Which runs of a run table are more likely slips than right, by the others on it and on record: looked at before they are stored. */
final readonly class SheetSlips
{
    /** @return array<int, Remark> by the object id of a run of the plan */
    public static function in(ImportPlan $plan, Challenge $challenge): array
    {
        $onRecord = array_values(array_map(floatval(...), DB::table('runs')->join('cars', 'cars.id', 'runs.car_id')->join(
            'groups',
            'groups.id',
            'cars.group_id',
        )
            ->where('groups.challenge_id', $challenge->id)->whereNull('groups.deleted_at')->whereNull('runs.deleted_at')
            ->whereNull('runs.void_reason')->where('runs.distance_m', '>', 0)->pluck('distance_m')->all()));
        $runs = [];
        foreach ($plan->runsByCar as $key => $versions) {
            foreach ($versions as $version => $rows) {
                foreach ($rows as $row) {
                    if (
                        $row->record->distance !== null
                        && $row->record->void === null
                        && !$row->record->pastEnd
                        && $row->record->distance->quantity->si() > 0.0
                    ) {
                        $runs[] = [$row, "{$key} {$version}", $row->record->distance->quantity->si()];
                    }
                }
            }
        }
        $slips = [];
        foreach ($runs as $at => [$row, $car, $distance]) {
            [$own, $others] = [[], $onRecord];
            foreach ($runs as $other => [, $ofCar, $went]) {
                if ($other !== $at) {
                    $ofCar === $car ? $own[] = $went : $others[] = $went;
                }
            }
            $slip = ExpectedDistance::of(
                $own,
                null,
                $others,
                $challenge->lane_length->quantity->si(),
            )->slip($distance, $challenge->units->unit(Scale::Distance));
            if ($slip !== null) {
                $slips[spl_object_id($row)] = $slip->question(Scale::Distance);
            }
        }

        return $slips;
    }
}
