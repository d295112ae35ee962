<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Trials\RunRecord;

/** Logs a run of a group's newest car under its next try. The same id sent again logs nothing new. */
final class LogRun
{
    public function __invoke(
        Group $group,
        string $id,
        RunRecord $record,
    ): Run {
        return DB::transaction(function () use ($group, $id, $record): Run {
            // One at a time for a group, so that two adults at two lanes get two numbers.
            Group::query()->whereKey($group->id)->lockForUpdate()->firstOrFail();
            $already = Run::query()->withTrashed()->find($id);
            if ($already !== null) {
                return $already;
            }
            $car = $group->carToRun();
            $run = new Run([
                'id' => $id,
                'try' => $car->tries($group->challenge->tries)->next(),
            ]);
            $run->put($record);
            $car->runs()->save($run);

            return $run;
        });
    }
}
