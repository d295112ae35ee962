<?php

declare(strict_types=1);

namespace App\Forms;

use App\Language\Words;
use App\Models\Challenge;
use Skivo\Core\Measurement\UnitSystem;

/**
 * In a form of a challenge, a number without a unit means the one that stood beside the field: the form says which units it
 * was drawn in, since the class may have been switched to others before it is sent.
 */
trait InUnitsOfTheClass
{
    private function units(): UnitSystem
    {
        $typed = $this->input('typed_in');
        $challenge = $this->route('challenge');

        return (is_string($typed) ? UnitSystem::tryFrom($typed) : null) ?? (
            $challenge instanceof Challenge ? $challenge->units : UnitSystem::Metric
        );
    }

    private function words(): Words
    {
        return new Words($this->units());
    }
}
