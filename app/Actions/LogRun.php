<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Act;
use App\Models\Car;
use App\Models\Group;
use App\Models\Reading;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\RunRecord;

/** Logs a run of a group's newest car under its next try. The same id sent again logs nothing new. */
final class LogRun
{
    /** Within this time (s) two adults may be typing the same run. */
    private const SAME_WITHIN_S = 60;

    /**
     * @param list<string> $readings that were taken for it
     * @param bool $isAnother whether it is known to be another run than one that was logged a moment ago elsewhere
     *
     * @throws LooksLikeOneRunException where another device logged one like it a moment ago
     */
    public function __invoke(Group $group, string $id, RunRecord $record, Actor $by, array $readings = [], bool $isAnother = true): Run
    {
        return DB::transaction(function () use ($group, $id, $record, $by, $readings, $isAnother): Run {
            // One at a time for a group, so that two adults at two lanes get two numbers.
            $held = Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $already = Run::query()->withTrashed()->find($id);
            if ($already !== null) {
                return $already;
            }
            $car = CarToRun::of($group);
            $twin = $isAnother ? null : self::twin($car, $record, $by);
            if ($twin !== null) {
                throw new LooksLikeOneRunException($twin);
            }
            $run = new Run(['id' => $id, 'try' => $car->tries($group->challenge)->nextOf($record)]);
            $run->put($record);
            $car->runs()->save($run);
            if ($readings !== []) {
                Reading::query()->where('challenge_id', $group->challenge_id)
                    ->whereNull('run_id')
                    ->whereKey($readings)
                    ->update(['run_id' => $run->id]);
            }
            // Whoever runs is mended, and has had its turn.
            $stood = [];
            if ($held->is_repairing || $held->skipped_try !== null) {
                $stood = ChangeOrder::standing($held);
                $held->update(['is_repairing' => false, 'skipped_try' => null, 'skipped_at' => null]);
            }
            ChangeRun::act($run->setRelation('car', $car->setRelation('group', $held)), $by, 'logged', $stood);

            return $run;
        });
    }

    /** What somebody else logged for the same car just now, and which may be the same run. */
    public static function twin(Car $car, RunRecord $record, Actor $by): ?Act
    {
        $mine = $by->columns();
        $recent = Act::query()->where('kind', 'logged')->where('made_at', '>', now()->subSeconds(self::SAME_WITHIN_S))
            ->whereHas('run', static fn($runs) => $runs->where('car_id', $car->id)->whereNull('runs.deleted_at'))
            ->with(['run', 'user', 'device'])->orderByDesc('id')->get();

        return $recent->first(static fn(Act $act): bool => $act->run !== null && $act->run->record()->mayBeSameRunAs($record)
            && [$act->user_id, $act->device_id, $act->seat] !== [$mine['user_id'], $mine['device_id'], $mine['seat']]);
    }
}
