<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Device;
use App\Models\Group;
use App\Models\Run;
use App\Models\RunChange;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Quantity\Entry;
use Skivo\Core\Quantity\QuantityReader;
use Skivo\Core\Quantity\Unit;
use Skivo\Core\Trials\Inflation;
use Skivo\Core\Trials\InflationKind;
use Skivo\Core\Trials\RunRecord;
use Skivo\Core\Trials\Side;
use Skivo\Core\Trials\VoidReason;

/** Corrects, takes back or puts back a logged run. What stood there before stays on record. */
final class ChangeRun
{
    /**
     * @param int|null $edition of the run that was looked at; null to change whatever is there
     *
     * @throws RunHasChanged where somebody else changed it since
     */
    public function edit(Run $run, User|Device $by, Group $group, RunRecord $record, ?int $edition = null): void
    {
        DB::transaction(function () use ($run, $by, $group, $record, $edition): void {
            $this->lock($run, $group);
            if ($edition !== null && $run->edition !== $edition) {
                throw new RunHasChanged($run);
            }
            $before = self::onRecord($run);
            $run->put($record);
            if ($run->car->group_id !== $group->id) {
                $car = $group->carToRun();
                $run->car()->associate($car);
                $run->try = $car->tries($group->challenge)->next();
            }
            $this->keepTryFree($run);
            $after = self::onRecord($run);
            if ($before !== $after) {
                $run->edition++;
                $this->record($run, $by, 'edited', $before, $after);
            }
            $run->save();
        });
    }

    public function undo(Run $run, User|Device $by): void
    {
        DB::transaction(function () use ($run, $by): void {
            $this->lock($run);
            $run->edition++;
            $run->save();
            $run->delete();
            $this->record($run, $by, 'undone', self::onRecord($run), []);
        });
    }

    public function restore(Run $run, User|Device $by): void
    {
        DB::transaction(function () use ($run, $by): void {
            $this->lock($run);
            $this->keepTryFree($run);
            $run->edition++;
            $run->restore();
            $this->record($run, $by, 'restored', [], self::onRecord($run));
        });
    }

    /** @return array<string, string|int|null> what is on record, as typed */
    public static function onRecord(Run $run): array
    {
        return [
            'group' => $run->car->group->name,
            'version' => $run->car->version,
            'try' => $run->try,
            'distance' => $run->distance?->text,
            'time' => $run->time?->text,
            'total time' => $run->total_time?->text,
            'limp mark' => $run->limp?->text,
            'drift' => $run->drift === null ? null : trim("{$run->drift->text} {$run->drift_side?->value}"),
            'load' => $run->load?->text,
            'balloon' => $run->inflation_kind === null ? null : trim("{$run->inflation_kind->value} " . ($run->inflation_size->text ?? $run->inflation_strokes)),
            'lane' => $run->lane,
            'void' => $run->void_reason?->value,
            'note' => $run->note,
        ];
    }

    /**
     * The other way round: what onRecord() wrote. Every text has its unit, so none is needed.
     *
     * @param array<string, string|int|null> $held
     */
    public static function fromRecord(array $held): RunRecord
    {
        $read = static fn(string|int|null $typed, Unit $unit): ?Entry => $typed === null ? null : (new QuantityReader())->read((string) $typed, $unit);
        $drift = explode(' ', (string) ($held['drift'] ?? ''));
        $side = Side::tryFrom((string) end($drift));
        $balloon = explode(' ', (string) ($held['balloon'] ?? ''), 2);
        $kind = InflationKind::tryFrom($balloon[0]);

        return new RunRecord(
            $read($held['distance'] ?? null, Unit::Metre),
            $read($held['time'] ?? null, Unit::Second),
            VoidReason::tryFrom((string) ($held['void'] ?? '')),
            isset($held['note']) ? (string) $held['note'] : null,
            $read($side === null ? $held['drift'] ?? null : implode(' ', array_slice($drift, 0, -1)), Unit::Metre),
            $side,
            $read($held['load'] ?? null, Unit::Kilogram),
            $kind === null ? null : new Inflation($kind, $read($kind === InflationKind::Diameter || $kind === InflationKind::Circumference ? $balloon[1] ?? null : null, Unit::Metre), $kind === InflationKind::Strokes ? (int) ($balloon[1] ?? 0) : null),
            $read($held['limp mark'] ?? null, Unit::Metre),
            $read($held['total time'] ?? null, Unit::Second),
            isset($held['lane']) ? (int) $held['lane'] : null,
        );
    }

    private function lock(Run $run, ?Group $also = null): void
    {
        $run->load('car.group');
        Group::query()->whereKey(array_unique(array_filter([$run->car->group_id, $also?->id])))->orderBy('id')->lockForUpdate()->get();
        // As it is now, with nobody else at it.
        $run->refresh()->load('car.group');
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

    /**
     * @param array<string, string|int|null> $before
     * @param array<string, string|int|null> $after
     */
    private function record(Run $run, User|Device $by, string $kind, array $before, array $after): void
    {
        $run->changes()->create(RunChange::madeBy($by) + [
            'kind' => $kind,
            'before' => $before,
            'after' => $after,
        ]);
    }
}
