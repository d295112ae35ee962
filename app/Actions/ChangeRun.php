<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Group;
use App\Models\Run;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Trials\RunRecord;

/** Corrects, takes back or puts back a logged run. What stood there before stays on record. */
final class ChangeRun
{
    public function edit(Run $run, User $user, Group $group, RunRecord $record): void
    {
        DB::transaction(function () use ($run, $user, $group, $record): void {
            $this->lock($run, $group);
            $before = $this->onRecord($run);
            $run->put($record);
            if ($run->car->group_id !== $group->id) {
                $car = $group->carToRun();
                $run->car()->associate($car);
                $run->try = $car->tries($group->challenge->tries)->next();
            }
            $this->keepTryFree($run);
            $run->save();
            $after = $this->onRecord($run);
            if ($before !== $after) {
                $this->record($run, $user, 'edited', $before, $after);
            }
        });
    }

    public function undo(Run $run, User $user): void
    {
        DB::transaction(function () use ($run, $user): void {
            $this->lock($run);
            $run->delete();
            $this->record($run, $user, 'undone', $this->onRecord($run), []);
        });
    }

    public function restore(Run $run, User $user): void
    {
        DB::transaction(function () use ($run, $user): void {
            $this->lock($run);
            $this->keepTryFree($run);
            $run->restore();
            $this->record($run, $user, 'restored', [], $this->onRecord($run));
        });
    }

    private function lock(Run $run, ?Group $also = null): void
    {
        $run->load('car.group');
        Group::query()->whereKey(array_unique(array_filter([$run->car->group_id, $also?->id])))->orderBy('id')->lockForUpdate()->get();
    }

    /** A run that counts needs a try number that no other run of its car has. */
    private function keepTryFree(Run $run): void
    {
        $taken = Run::query()->where('car_id', $run->car_id)->where('id', '<>', $run->id)->whereNull('void_reason')->pluck('try')->all();
        if ($run->void_reason === null && in_array($run->try, $taken, true)) {
            for ($try = 1; in_array($try, $taken, true); $try++);
            $run->try = $try;
        }
    }

    /** @return array<string, string|int|null> */
    private function onRecord(Run $run): array
    {
        return [
            'group' => $run->car->group->name,
            'version' => $run->car->version,
            'try' => $run->try,
            'distance' => $run->distance?->text,
            'time' => $run->time?->text,
            'drift' => $run->drift === null ? null : trim("{$run->drift->text} {$run->drift_side?->value}"),
            'load' => $run->load?->text,
            'void' => $run->void_reason?->value,
            'note' => $run->note,
        ];
    }

    /**
     * @param array<string, string|int|null> $before
     * @param array<string, string|int|null> $after
     */
    private function record(Run $run, User $user, string $kind, array $before, array $after): void
    {
        $run->changes()->create(['user_id' => $user->id, 'kind' => $kind, 'before' => $before, 'after' => $after]);
    }
}
