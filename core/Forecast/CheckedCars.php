<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Statistics\Estimate;

/**
 * The cars of one class that were checked and of which the friction is known: each beside the middle of its class, so that
 * what differs from class to class takes no part.
 */
final readonly class CheckedCars
{
    /** Workmanship differs from car to car by so much (standard deviation of ln w): the prior's middle. From memory. */
    private const BETWEEN_CARS = 0.4;

    /** @param list<array{list<float>, float}> $rows of each car: which of the checks it failed, and ln w, both over their standard deviation */
    private function __construct(public array $rows) {}

    /** @param list<array{list<float>, float}> $rows as they were worked out of a class before */
    public static function ofRows(array $rows): self
    {
        return new self($rows);
    }

    /**
     * @param list<array{list<CheckItem>, Estimate}> $cars of each group one: what it failed of CheckShifts::LOOKED_AT, and ln w as read
     */
    public static function of(array $cars): self
    {
        $weights = array_map(static fn(array $car): float => 1.0 / (self::BETWEEN_CARS ** 2 + $car[1]->standardUncertainty ** 2), $cars);
        if (count($cars) < 2) {
            return new self([]);
        }
        $failed = array_map(static fn(array $car): array => array_map(
            static fn(CheckItem $item): float => in_array($item, $car[0], true) ? 1.0 : 0.0,
            CheckShifts::LOOKED_AT,
        ), $cars);
        $usual = array_map(
            static fn(int $item): float => self::middle(array_map(static fn(array $own): float => $own[$item], $failed), $weights),
            array_keys(CheckShifts::LOOKED_AT),
        );
        $mean = self::middle(array_map(static fn(array $car): float => $car[1]->value, $cars), $weights);
        $rows = [];
        foreach ($cars as $index => [, $read]) {
            $root = sqrt($weights[$index]);
            $rows[] = [
                array_map(static fn(float $own, float $of): float => $root * ($own - $of), $failed[$index], $usual),
                $root * ($read->value - $mean),
            ];
        }

        return new self($rows);
    }

    /**
     * @param list<float> $values
     * @param list<float> $weights
     */
    private static function middle(array $values, array $weights): float
    {
        return array_sum(
            array_map(static fn(float $value, float $weight): float => $value * $weight, $values, $weights),
        ) / array_sum($weights);
    }
}
