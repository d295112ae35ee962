<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Statistics\Normal;

/**
 * What is known beforehand of the push of a kind of drive over what the model has: ln p ~ N(ln P, car²), ln P ~ N(mean, class²), and
 * in one class of some, one car of some, anything: balloons of another rubber, a leak that nobody saw, a nozzle half closed.
 */
final readonly class StrengthPrior
{
    /** Such a share of classes, and of cars, lies about there, with such a standard deviation (ln). From memory and trial. */
    private const ODD_CLASS = [0.2, 0.0, 0.5];
    /** What leaks or is half closed pushes less. */
    private const ODD_CAR = [0.12, -0.3, 0.3];

    /** Where the class's ln P is looked at, from its mean in standard deviations: closely about it, coarsely beyond. */
    private const PLACES = [
        -7.0, -5.8, -4.8, -4.0, -3.3, -2.7, -2.2, -1.8, -1.4, -1.0, -0.65, -0.3, 0.0, 0.3, 0.65, 1.0, 1.4, 1.8, 2.2, 2.7, 3.4, 4.2,
    ];

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
            ? new self(0.0, 0.2, 0.12, [-1.4, 0.84, 33])
            // The emptying balloon gives back less than it took: Mullins 1969; the figures from memory and trial.
            : new self(-0.2231435513, 0.2, 0.1, [-1.4, 0.46, 32]);
    }

    /** @return non-empty-list<array{float, float, float}> ln P, how likely it is, and the width that it stands for */
    public function steps(): array
    {
        $places = array_map(fn(float $place): float => $this->mean + $place * $this->class, self::PLACES);
        $last = count($places) - 1;

        return array_map(function (int $i) use ($places, $last): array {
            $width = ($places[min($last, $i + 1)] - $places[max(0, $i - 1)]) / ($i === 0 || $i === $last ? 1.0 : 2.0);

            return [$places[$i], self::density($places[$i] - $this->mean, $this->class, self::ODD_CLASS) * $width, $width];
        }, range(0, $last));
    }

    /** How likely a car's ln p is where its class has that ln P, but for a constant. */
    public function ofCar(float $logP, float $classLogP, bool $mayBeOdd = true): float
    {
        return self::density($logP - $classLogP, $this->car, $mayBeOdd ? self::ODD_CAR : [0.0, 0.0, 1.0]);
    }

    /** @param array{float, float, float} $odd share, middle and standard deviation */
    private static function density(float $off, float $deviation, array $odd): float
    {
        [$share, $middle, $wide] = $odd;

        return (1.0 - $share) * Normal::density($off / $deviation) / $deviation
            + $share * Normal::density(($off - $middle) / $wide) / $wide;
    }
}
