<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\LinearModel;
use Skivo\Core\Statistics\StudentT;

/**
 * Several choices at once: multiple regression of the cars' means on the numbers that vary, only where the class's cars
 * can separate them. Else it names the pair that is confounded.
 *
 * Separable: at least three cars more than there are coefficients, and no variance inflation factor above ten
 * (Marquardt, Technometrics 12, 591, 1970).
 */
final readonly class SeveralFactors
{
    private const SPARE_CARS = 3;

    private const GREATEST_INFLATION = 10.0;

    /**
     * @param list<CarAttribute> $factors the numbers that vary, in the order of the coefficients
     * @param list<float> $slopes of each, the others held (m or s for each SI unit)
     * @param list<Interval> $intervals at 95 %
     * @param list<float> $pValues
     * @param array{CarAttribute, CarAttribute}|null $confounded the pair that stands in the way
     * @param int $cars that have all of them on record
     */
    private function __construct(
        public array $factors,
        public array $slopes,
        public array $intervals,
        public array $pValues,
        public ?array $confounded,
        public int $cars,
    ) {}

    /** @param list<ComparedCar> $cars */
    public static function of(array $cars): self
    {
        // Of a balloon's two sizes, the measured one.
        $factors = array_values(
            array_filter(Confounding::varying($cars), static fn(CarAttribute $factor): bool => $factor->explainsAsNumber()),
        );
        if (in_array(CarAttribute::BalloonSize, $factors, true)) {
            $factors = array_values(array_filter($factors, static fn(CarAttribute $factor): bool => $factor !== CarAttribute::PumpStrokes));
        }
        $rows = $y = [];
        foreach ($cars as $car) {
            $row = array_map(static fn(CarAttribute $factor): float|string|null => $car->choices->explanation($factor), $factors);
            if (!in_array(null, $row, true)) {
                $rows[] = array_map(floatval(...), $row);
                $y[] = $car->sample->mean();
            }
        }
        if (count($factors) < 2 || count($rows) < count($factors) + 1 + self::SPARE_CARS) {
            return new self($factors, [], [], [], null, count($rows));
        }
        // Centred and scaled, so that the inflation can be read off, and nothing is lost to large numbers.
        [$scaled, $spread] = self::scaled($rows);
        $model = in_array(0.0, $spread, true) ? null : LinearModel::fit($scaled, $y);
        if ($model === null || self::inflation($model) > self::GREATEST_INFLATION) {
            return new self($factors, [], [], [], self::closest($cars, $factors), count($rows));
        }
        $t = new StudentT($model->degreesOfFreedom);
        $slopes = $intervals = $pValues = [];
        foreach ($spread as $j => $unit) {
            $slope = $model->coefficients[$j + 1] / $unit;
            $error = $model->errors[$j + 1] / $unit;
            $slopes[] = $slope;
            $intervals[] = Interval::around($slope, $t->intervalFactor() * $error);
            $pValues[] = $error > 0.0 ? $t->bothTails($slope / $error) : 0.0;
        }

        return new self($factors, $slopes, $intervals, $pValues, null, count($rows));
    }

    public function isSeparable(): bool
    {
        return $this->slopes !== [];
    }

    /** How many more cars it would take to tell so many choices apart. */
    public function carsMissing(): int
    {
        return max(0, count($this->factors) + 1 + self::SPARE_CARS - $this->cars);
    }

    /**
     * A column of ones, then every factor less its mean, in units of its own length.
     *
     * @param list<list<float>> $rows
     *
     * @return array{list<list<float>>, list<float>}
     */
    private static function scaled(array $rows): array
    {
        $spread = $means = [];
        foreach (array_keys($rows[0]) as $j) {
            $column = array_column($rows, $j);
            $means[$j] = array_sum($column) / count($column);
            $spread[$j] = sqrt(array_sum(array_map(static fn(float $value): float => ($value - $means[$j]) ** 2, $column)));
        }
        $scaled = array_map(
            static fn(array $row): array => [
                1.0, ...array_map(
                    static fn(int $j): float => $spread[$j] > 0.0 ? ($row[$j] - $means[$j]) / $spread[$j] : 0.0,
                    array_keys($row),
                ),
            ],
            $rows,
        );

        return [$scaled, array_values($spread)];
    }

    /** The greatest variance inflation factor: with columns of unit length, a coefficient's variance over the residual one. */
    private static function inflation(LinearModel $model): float
    {
        $variance = $model->residualDeviation ** 2;

        return $variance === 0.0
            ? 0.0
            : max(0.0, ...array_map(static fn(float $error): float => $error ** 2 / $variance, array_slice($model->errors, 1)));
    }

    /**
     * @param list<ComparedCar> $cars
     * @param list<CarAttribute> $factors
     *
     * @return array{CarAttribute, CarAttribute}
     */
    private static function closest(array $cars, array $factors): array
    {
        $pair = [$factors[0], $factors[1]];
        $most = -1.0;
        foreach ($factors as $i => $one) {
            foreach (array_slice($factors, $i + 1) as $other) {
                $share = Confounding::shareOf($cars, $one, $other) ?? -1.0;
                if ($share > $most) {
                    [$most, $pair] = [$share, [$one, $other]];
                }
            }
        }

        return $pair;
    }
}
