<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\Reading;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Trials\RunRecord;

/** Logs a run of a group's newest car under its next try. The same id sent again logs nothing new. */
final class LogRun
{
    /** @param list<string> $readings that were taken for it */
    public function __invoke(Group $group, string $id, RunRecord $record, array $readings = []): Run
    {
        return DB::transaction(function () use ($group, $id, $record, $readings): Run {
            // One at a time for a group, so that two adults at two lanes get two numbers.
            $held = Group::query()->whereKey($group->id)->lockForUpdate()->firstOrFail();
            $already = Run::query()->withTrashed()->find($id);
            if ($already !== null) {
                return $already;
            }
            $car = $group->carToRun();
            $run = new Run(['id' => $id, 'try' => $car->tries($group->challenge)->next()]);
            $run->put($record);
            $car->runs()->save($run);
            if ($readings !== []) {
                Reading::query()->where('challenge_id', $group->challenge_id)->whereNull('run_id')->whereKey($readings)->update(['run_id' => $run->id]);
            }
            // Whoever runs is mended, and has had its turn.
            if ($held->is_repairing || $held->skipped_try !== null) {
                $held->update(['is_repairing' => false, 'skipped_try' => null, 'skipped_at' => null]);
            }

            return $run;
        });
    }
}
