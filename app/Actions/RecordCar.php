<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\CarChange;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\Run;
use App\Models\User;
use App\Record\ClassPlan;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Car\Revision;

/** Records a group's car: as a correction of its newest version, or as a new one. What a correction replaces stays on record. */
final class RecordCar
{
    /**
     * @param bool|null $asNewVersion whether the car was changed, and not only its record; null where nobody said
     * @param string|null $seen which car in which edition was looked at, as edition() has it; null to change whatever is there
     *
     * @throws CarHasChangedException where somebody else changed it since
     * @throws ChangedOrCorrectedException where the car has run, and that has to be said
     */
    public function __invoke(
        Group $group,
        Choices $choices,
        ?bool $asNewVersion,
        ?string $reason,
        User|Device $by,
        ?string $seen = null,
    ): Car {
        return DB::transaction(function () use ($group, $choices, $asNewVersion, $reason, $by, $seen): Car {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $current = $group->newestCar();
            $before = $current?->choices;
            $choices = ClassPlan::of($group->loadMissing('challenge')->challenge)->asBuilt($choices, $group);
            if ($current !== null && $seen !== null && $seen !== self::edition($current)) {
                throw new CarHasChangedException($current);
            }
            $hasRun = $current?->runs()->exists() === true;
            $revision = Revision::of($before, $choices, $hasRun);
            if ($current !== null && $revision === Revision::Nothing) {
                return $this->explained($current, $asNewVersion === true ? null : $reason);
            }
            $earlier = $asNewVersion === true && $hasRun ? null : $this->versionBefore($current, $choices);
            if ($current !== null && $earlier !== null && (!$hasRun || $asNewVersion === false)) {
                return $this->join($current, $earlier);
            }
            if ($current !== null && $revision === Revision::Change && $asNewVersion === null) {
                throw new ChangedOrCorrectedException([[$current, $choices]]);
            }
            $isNew = $current === null || ($asNewVersion === true && $hasRun && !$current->choices->isEmpty());
            $car = $isNew ? $group->cars()->make(['version' => ($current->version ?? 0) + 1]) : $current;
            $car->choices = $choices;
            if ($car === $current) {
                $car->edition++;
            }
            if ($car->version > 1 && ($car !== $current || $reason !== null)) {
                $car->reason = $reason;
            }
            $car->save();
            if ($car === $current && $before?->isEmpty() === false) {
                $this->keep($car, $before, $choices, $by);
            }
            $this->noteNewCautions($group->challenge, $choices);

            return $car;
        });
    }

    /** What this car calls for and nobody has read yet waits for the educator, and its steps with it. */
    private function noteNewCautions(Challenge $challenge, Choices $choices): void
    {
        $new = array_column(ClassPlan::of($challenge)->safety()->newCautionsOf($choices), 'value');
        $unread = array_values(array_unique([...$challenge->safety_unread, ...$new]));
        if ($unread !== $challenge->safety_unread) {
            $challenge->update(['safety_unread' => $unread]);
        }
    }

    /** The version before, where the car is as it was then. */
    private function versionBefore(?Car $current, Choices $choices): ?Car
    {
        if ($current === null || $current->version === 1) {
            return null;
        }
        $before = $current->group->cars()->where('version', '<', $current->version)->reorder('version', 'desc')->first();

        return $before !== null && !$before->choices->isEmpty() && $before->choices->changesTo($choices) === [] ? $before : null;
    }

    /** A change that was undone, or that never was, makes no version: what hangs on it is of the version before. */
    private function join(Car $car, Car $earlier): Car
    {
        $free = static fn(string $table, string $key): Builder => DB::table($table)->where('car_id', $car->id)
            ->whereNotIn($key, DB::table($table)->where('car_id', $earlier->id)->pluck($key));
        $taken = Run::query()->where('car_id', $earlier->id)->pluck('try')->all();
        foreach (Run::query()->withTrashed()->where('car_id', $car->id)->orderBy('logged_at')->get() as $run) {
            while (in_array($run->try, $taken, true)) {
                $run->try++;
            }
            $taken[] = $run->try;
            $run->car()->associate($earlier);
            $run->save();
        }
        foreach (['check_readings' => 'item', 'predictions' => 'try', 'allowances' => 'rule'] as $table => $key) {
            $free($table, $key)->update(['car_id' => $earlier->id]);
        }
        foreach (['bench_readings', 'entries', 'car_changes'] as $table) {
            DB::table($table)->where('car_id', $car->id)->update(['car_id' => $earlier->id]);
        }
        $car->delete();
        $earlier->edition++;
        $earlier->save();

        return $earlier;
    }

    /** Nothing was changed, but for the words why it once was. */
    private function explained(Car $car, ?string $reason): Car
    {
        if ($car->version > 1 && $reason !== null) {
            $car->update(['reason' => $reason]);
        }

        return $car;
    }

    /** What a form carries so that two who fill in the same sheet notice each other. */
    public static function edition(?Car $car): string
    {
        return $car === null ? '0' : "{$car->version}.{$car->edition}";
    }

    private function keep(Car $car, Choices $before, Choices $after, User|Device $by): void
    {
        $old = $new = [];
        foreach ($before->changesTo($after) as $choice) {
            $old[$choice->value] = self::typed($before, $choice);
            $new[$choice->value] = self::typed($after, $choice);
        }
        if ($before->note !== $after->note) {
            $old['note'] = $before->note;
            $new['note'] = $after->note;
        }
        if ($new !== []) {
            $car->changes()->create(CarChange::madeBy($by) + ['before' => $old, 'after' => $new]);
        }
    }

    private static function typed(Choices $car, CarAttribute $choice): string|int|null
    {
        return ($car->quantities[$choice->value] ?? null)->text ?? $car->counts[$choice->value] ?? $car->kind($choice);
    }
}
