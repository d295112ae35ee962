<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/** Where no model stands behind the cars: only what nobody could tell apart is compared. */
final readonly class NoAdjustment implements Adjustment
{
    public function factor(string $car, array $sizes, Outcome $outcome): ?float
    {
        return $sizes === [] ? 1.0 : null;
    }

    public function knows(CarAttribute $attribute, Outcome $outcome): bool
    {
        return in_array($attribute, self::KNOWN, true);
    }
}
