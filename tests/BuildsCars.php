<?php

declare(strict_types=1);

namespace Tests;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;

/** Cars to test with, from numbers as one would note them. */
trait BuildsCars
{
    /** @param array<string, float|int|string|null> $values by choice, in mm, g, as counts, in degrees or as the name of a kind; null leaves one out */
    private static function car(array $values): Car
    {
        $quantities = $counts = $kinds = [];
        foreach ($values as $key => $value) {
            $choice = CarAttribute::from($key);
            if ($value === null) {
                continue;
            }
            if ($choice->isKind()) {
                $kinds[$key] = (string) $value;
            } elseif ($choice->isCount()) {
                $counts[$key] = (int) $value;
            } else {
                $quantities[$key] = new Entry(
                    Quantity::fromSi($value / 1000, $choice->dimension()),
                    $value . ($choice->dimension() === Dimension::Mass ? ' g' : ' mm'),
                );
            }
        }

        return new Car($quantities, $counts, $kinds);
    }
}
