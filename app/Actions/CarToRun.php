<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\Group;
use App\Record\ClassPlan;
use Skivo\Core\Car\Car as Choices;

/** The car that something is recorded of: the newest version, or one of which nothing is recorded yet. Within a transaction. */
final readonly class CarToRun
{
    public static function of(Group $group): Car
    {
        $car = $group->newestCar();
        if ($car === null) {
            $car = $group->cars()->make(['version' => 1]);
            $car->choices = ClassPlan::of($group->loadMissing('challenge')->challenge)->asBuilt(new Choices(), $group);
            $car->save();
        }

        return $car;
    }
}
