<?php

declare(strict_types=1);

namespace App\Http\Requests\Concerns;

use App\Models\Challenge;
use Skivo\Core\Quantity\UnitSystem;

/** In a form of a challenge, a number without a unit means the class's own. */
trait InUnitsOfTheClass
{
    private function units(): UnitSystem
    {
        $challenge = $this->route('challenge');

        return $challenge instanceof Challenge ? $challenge->units : UnitSystem::Metric;
    }
}
