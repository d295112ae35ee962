<?php

declare(strict_types=1);

namespace App\Actions;

use App\Access\Actor;
use App\Models\Act;
use App\Models\Group;
use App\Models\Run;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;

/** Corrects, takes back or puts back a logged run. What stood there before stays on record. */
final class ChangeRun
{
    /**
     * @param callable(Run): RunRecord $record what is to stand there, of the run as it is now
     * @param int|null $edition of the run that was looked at; null to change whatever is there
     *
     * @throws RunHasChangedException where somebody else changed it since
     */
    public function edit(Run $run, Actor $by, Group $group, callable $record, ?int $edition = null): void
    {
        DB::transaction(function () use ($run, $by, $group, $record, $edition): void {
            $this->lock($run, $group);
            if ($edition !== null && $run->edition !== $edition) {
                throw new RunHasChangedException($run);
            }
            $before = $run->onRecord();
            $run->put($record($run));
            if ($run->car->group_id !== $group->id) {
                $car = CarToRun::of($group);
                $run->car()->associate($car);
                $run->try = $car->tries($group->challenge)->nextOf($run->record());
            }
            $this->keepTryFree($run);
            $this->save($run, $by, 'edited', $before);
        });
    }

    /**
     * Puts back what stood there before a correction, column by column.
     *
     * @param array<string, mixed> $columns as onRecord() gave them
     */
    public function putBack(Run $run, Actor $by, array $columns): void
    {
        DB::transaction(function () use ($run, $by, $columns): void {
            $this->lock($run);
            $before = $run->onRecord();
            $run->setRawAttributes(array_merge($run->getAttributes(), array_intersect_key($columns, $before)));
            $run->unsetRelation('car')->load('car.group');
            $this->keepTryFree($run);
            $this->save($run, $by, 'edited', $before);
        });
    }

    public function undo(Run $run, Actor $by): void
    {
        DB::transaction(function () use ($run, $by): void {
            $this->lock($run);
            $before = $run->onRecord();
            $run->edition++;
            $run->save();
            $run->delete();
            self::act($run, $by, 'undone', $before);
        });
    }

    public function restore(Run $run, Actor $by): void
    {
        DB::transaction(function () use ($run, $by): void {
            $this->lock($run);
            $this->keepTryFree($run);
            $run->edition++;
            $run->restore();
            self::act($run, $by, 'restored', [], $run->onRecord());
        });
    }

    /**
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    public static function act(Run $run, Actor $by, string $kind, array $before = [], array $after = []): Act
    {
        return Act::query()->create($by->columns() + [
            'challenge_id' => $run->car->group->challenge_id,
            'group_id' => $run->car->group_id,
            'run_id' => $run->id,
            'kind' => $kind,
            'before' => $before,
            'after' => $after,
        ]);
    }

    /** @param array<string, mixed> $before */
    private function save(Run $run, Actor $by, string $kind, array $before): void
    {
        $after = $run->onRecord();
        if ($before !== $after) {
            $run->edition++;
            self::act($run, $by, $kind, $before, $after);
        }
        $run->save();
    }

    private function lock(Run $run, ?Group $also = null): void
    {
        $run->load('car.group');
        Group::query()->whereKey(array_unique(array_filter([$run->car->group_id, $also?->id])))->orderBy('id')->lock(Lock::ROW)->get();
        // As it is now, with nobody else at it.
        $run->refresh()->load('car.group');
    }

    /** A run that counts needs a try number that no other run of its car has. */
    private function keepTryFree(Run $run): void
    {
        if ($run->void_reason !== null || !$run->record()->isTry()) {
            return;
        }
        $taken = Run::query()->where('car_id', $run->car_id)->where('id', '<>', $run->id)->whereNull('void_reason')
            ->where('kind', RunKind::Try)->whereNull('surface')->whereNull('ramp_m')->pluck('try')->all();
        if (in_array($run->try, $taken, true)) {
            for ($try = 1; in_array($try, $taken, true); $try++);
            $run->try = $try;
        }
    }
}
