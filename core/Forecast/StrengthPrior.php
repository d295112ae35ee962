<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\EnergySource;

/** What is known beforehand of the push of a kind of drive over what the model has: ln p ~ N(ln P, car²), ln P ~ N(mean, class²). */
final readonly class StrengthPrior
{
    /**
     * @param float $mean of ln P
     * @param float $class standard deviation of ln P from class to class
     * @param float $car likewise of ln p within a class
     * @param array{float, float, int<2, max>} $grid of ln p: from, to, steps
     */
    private function __construct(
        public float $mean,
        public float $class,
        public float $car,
        public array $grid,
    ) {}

    public static function of(EnergySource $source): self
    {
        return $source->winds()
            // Rubber of different bands, knots that take up length, and a η that nobody measured: from memory.
            ? new self(0.0, 0.2, 0.12, [-0.76, 0.68, 20])
            // The emptying balloon gives back less than it took: Mullins 1969; the figures from memory and trial.
            : new self(-0.2231435513, 0.15, 0.1, [-0.80, 0.34, 20]);
    }
}
