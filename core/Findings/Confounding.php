<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Statistics\LeastSquares;

/**
 * Choices that go along with each other across a class, so that its results can't tell which of the two did it.
 *
 * How closely: the share of one choice that the other accounts for. For two numbers r², for a kind and a number η² (the
 * share of the squares that lies between kinds), for two kinds Cramér's V².
 */
final readonly class Confounding
{
    /** From here on two choices are called confounded: a correlation of 0.9. Common practice, no source. */
    public const FROM = 0.81;

    /** Fewer cars can't tell any two choices apart. */
    public const FEWEST_CARS = 4;

    /** @param float $share from 0 (apart) to 1 (one says the other) */
    private function __construct(
        public CarAttribute $one,
        public CarAttribute $other,
        public float $share,
    ) {}

    /** What goes along with a choice; null where this pair does not speak of it. */
    public function besides(CarAttribute $choice): ?CarAttribute
    {
        return match ($choice) {
            $this->one => $this->other,
            $this->other => $this->one,
            default => null,
        };
    }

    /**
     * Every pair of choices that is confounded here, in the order in which choices matter to a run: nozzle before balloon
     * before mass before wheels.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<self>
     */
    public static function among(array $cars): array
    {
        $varying = self::varying($cars);
        $found = [];
        foreach ($varying as $i => $one) {
            foreach (array_slice($varying, $i + 1) as $other) {
                $share = self::shareOf($cars, $one, $other);
                if ($share !== null && $share >= self::FROM && !self::sayTheSame($one, $other)) {
                    $found[] = new self($one, $other, $share);
                }
            }
        }
        return $found;
    }

    /**
     * The choices in which the cars differ, of those that at least four of them have on record. A kind that only one car has
     * makes no difference that could be told.
     *
     * @param list<ComparedCar> $cars
     *
     * @return list<CarAttribute>
     */
    public static function varying(array $cars): array
    {
        return array_values(array_filter(Difference::compared(), static function (CarAttribute $factor) use ($cars): bool {
            $values = self::known($cars, $factor);
            if (count($values) < self::FEWEST_CARS) {
                return false;
            }
            if (!$factor->explainsAsNumber()) {
                $held = array_count_values(
                    array_map(static fn(float|string $kind): string => mb_strtolower(trim((string) $kind)), $values),
                );

                return count(array_filter($held, static fn(int $cars): bool => $cars > 1)) > 1;
            }
            foreach ($values as $value) {
                if (!Difference::isSame($factor, $value, $values[0])) {
                    return true;
                }
            }

            return false;
        }));
    }

    /**
     * Null where fewer than four cars have both on record, or one of them is the same on all those.
     *
     * @param list<ComparedCar> $cars
     */
    public static function shareOf(array $cars, CarAttribute $one, CarAttribute $other): ?float
    {
        $x = $y = [];
        foreach ($cars as $car) {
            $a = $car->choices->explanation($one);
            $b = $car->choices->explanation($other);
            if ($a !== null && $b !== null) {
                $x[] = is_string($a) ? mb_strtolower(trim($a)) : $a;
                $y[] = is_string($b) ? mb_strtolower(trim($b)) : $b;
            }
        }
        if (count($x) < self::FEWEST_CARS || count(array_unique($x, SORT_REGULAR)) < 2 || count(array_unique($y, SORT_REGULAR)) < 2) {
            return null;
        }

        return match (true) {
            $one->explainsAsNumber()
                && $other->explainsAsNumber() => LeastSquares::fit(array_map(floatval(...), $x), array_map(floatval(...), $y))?->rSquared,
            $one->explainsAsNumber() => self::between($y, array_map(floatval(...), $x)),
            $other->explainsAsNumber() => self::between($x, array_map(floatval(...), $y)),
            default => self::cramer($x, $y),
        };
    }

    /** A kind of wheels and their diameter are one choice, not two; so with the others. */
    private static function sayTheSame(CarAttribute $one, CarAttribute $other): bool
    {
        $families = [
            [CarAttribute::NozzleKind, CarAttribute::NozzleBore],
            [
                CarAttribute::NozzleKind, CarAttribute::NozzleOutlets,
            ],
            [CarAttribute::NozzleKind, CarAttribute::NozzleLength],
            [CarAttribute::WheelKind, CarAttribute::WheelDiameter],
            [CarAttribute::PumpStrokes, CarAttribute::BalloonSize],
            [CarAttribute::BandsInChain, CarAttribute::ChainLength],
            [CarAttribute::Ballast, CarAttribute::Mass],
        ];

        return in_array([$one, $other], $families, true) || in_array([$other, $one], $families, true);
    }

    /**
     * η² by kinds; null where every kind has one car, which says nothing.
     *
     * @param list<string|float> $kinds
     * @param list<float> $values
     */
    private static function between(array $kinds, array $values): ?float
    {
        $groups = [];
        foreach ($kinds as $i => $kind) {
            $groups[(string) $kind][] = $values[$i];
        }
        if (count($groups) === count($values)) {
            return null;
        }
        $mean = array_sum($values) / count($values);
        $all = array_sum(array_map(static fn(float $value): float => ($value - $mean) ** 2, $values));
        $between = array_sum(
            array_map(static fn(array $group): float => count($group) * (array_sum($group) / count($group) - $mean) ** 2, $groups),
        );

        return $all === 0.0 ? null : $between / $all;
    }

    /**
     * Cramér's V² = χ²/(n·(k − 1)), k the lesser number of kinds (Cramér, Mathematical Methods of Statistics, 1946, 21.9).
     *
     * @param list<string|float> $x
     * @param list<string|float> $y
     */
    private static function cramer(array $x, array $y): ?float
    {
        $n = count($x);
        $rows = array_count_values(array_map(strval(...), $x));
        $columns = array_count_values(array_map(strval(...), $y));
        $lesser = min(count($rows), count($columns));
        if (count($rows) === $n || count($columns) === $n) {
            return null;
        }
        $both = array_count_values(array_map(static fn(string|float $a, string|float $b): string => "{$a}\n{$b}", $x, $y));
        $chi = 0.0;
        foreach ($rows as $a => $inRow) {
            foreach ($columns as $b => $inColumn) {
                $expected = $inRow * $inColumn / $n;
                $chi += (($both["{$a}\n{$b}"] ?? 0) - $expected) ** 2 / $expected;
            }
        }

        return $chi / ($n * ($lesser - 1));
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return list<float|string>
     */
    private static function known(array $cars, CarAttribute $factor): array
    {
        return array_values(
            array_filter(
                array_map(static fn(ComparedCar $car): float|string|null => $car->choices->explanation($factor), $cars),
                static fn(float|string|null $value): bool => $value !== null,
            ),
        );
    }
}
