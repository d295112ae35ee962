<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;
use App\Models\Group;

/** The car that something is recorded of: the newest version, or one of which nothing is recorded yet. Within a transaction. */
final readonly class CarToRun
{
    public static function of(Group $group): Car
    {
        return $group->newestCar() ?? $group->cars()->create(['version' => 1]);
    }
}
