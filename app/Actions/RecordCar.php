<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\Group;
use Illuminate\Support\Facades\DB;

/** Records a group's car: as a correction of its newest version, or as a new one. */
final class RecordCar
{
    public function __invoke(Group $group, \Skivo\Core\Build\Car $choices, bool $asNewVersion, ?string $reason): Car
    {
        return DB::transaction(function () use ($group, $choices, $asNewVersion, $reason): Car {
            Group::query()->whereKey($group->id)->lockForUpdate()->firstOrFail();
            $current = $group->newestCar();
            $car = $current === null || $asNewVersion
                ? $group->cars()->make(['version' => ($current->version ?? 0) + 1])
                : $current;
            $car->choices = $choices;
            if ($car->version > 1) {
                $car->reason = $reason;
            }
            $car->save();

            return $car;
        });
    }
}
