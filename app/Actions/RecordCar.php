<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\CarChange;
use App\Models\Device;
use App\Models\Group;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Car as Choices;
use Skivo\Core\Car\CarAttribute;

/** Records a group's car: as a correction of its newest version, or as a new one. What a correction replaces stays on record. */
final class RecordCar
{
    /**
     * @param string|null $seen which car in which edition was looked at, as edition() has it; null to change whatever is there
     *
     * @throws CarHasChangedException where somebody else changed it since
     */
    public function __invoke(
        Group $group,
        Choices $choices,
        bool $asNewVersion,
        ?string $reason,
        User|Device $by,
        ?string $seen = null,
    ): Car {
        return DB::transaction(function () use ($group, $choices, $asNewVersion, $reason, $by, $seen): Car {
            Group::query()->whereKey($group->id)->lock(Lock::ROW)->firstOrFail();
            $current = $group->newestCar();
            $before = $current?->choices;
            if ($current !== null && $seen !== null && $seen !== self::edition($current)) {
                throw new CarHasChangedException($current);
            }
            if ($current !== null && $asNewVersion && $before?->changesTo($choices) === [] && $before->note === $choices->note) {
                return $current;
            }
            $car = $current === null || $asNewVersion
                ? $group->cars()->make(['version' => ($current->version ?? 0) + 1])
                : $current;
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

            return $car;
        });
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
