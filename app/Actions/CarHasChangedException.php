<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Car;

/** Somebody else changed a car's record, or its check card, while it was being filled in. */
final class CarHasChangedException extends \RuntimeException
{
    public function __construct(
        /** As it is now. */
        public readonly Car $car,
    ) {
        parent::__construct('The car was changed by somebody else in the meantime.');
    }
}
