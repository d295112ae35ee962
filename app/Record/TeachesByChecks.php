<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Skivo\Core\Forecast\CheckedCars;

/** Works out, and writes down, what the failed checks of a class say to its educator's other classes. */
interface TeachesByChecks
{
    public function __invoke(Challenge $challenge): CheckedCars;
}
