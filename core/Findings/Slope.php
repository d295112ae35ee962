<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\StudentT;

/**
 * What one more of an attribute does, from all sets of like cars at once, with groups for witnesses.
 *
 * A group that rebuilt its car speaks by its own difference, free of its faults: of such groups the common slope is through
 * their own means, with the spread of their own slopes about it (one degree of freedom a group, less one). One car of each
 * group speaks by where it lies among the others: the common slope within sets, with the spread about their lines. Where both
 * speak, of different groups, they are weighted by what each can be expected to know, and the freedom is Satterthwaite's
 * (Biom. Bull. 2, 110, 1946). Which of these ways is taken is decided by the choices alone, never by the results: the one
 * whose interval can be expected to be shortest, a rebuilt car differing from itself by half as much as groups do.
 */
final readonly class Slope
{
    private const BETWEEN_GROUPS = 1.25;
    private const BETWEEN_VERSIONS = 0.25;

    /** A rebuilt car lies among other groups' with what rebuilding adds: so many times the variance of one that was not. */
    private const REBUILT = 1.2;

    /**
     * @param float $slope of the outcome for each unit of x
     * @param float|null $error standard error; null where one rebuilt car, or two cars, speak alone
     * @param float|null $degrees of freedom, likewise
     * @param list<LikeCars> $sets that were used
     */
    private function __construct(
        public float $slope,
        public ?float $error,
        public ?float $degrees,
        public array $sets,
    ) {}

    /** @param list<LikeCars> $sets */
    public static function of(array $sets): ?self
    {
        $rebuilt = array_values(array_filter($sets, static fn(LikeCars $set): bool => $set->group !== null));
        $newest = array_values(array_filter($sets, static fn(LikeCars $set): bool => $set->group === null));
        $groups = array_unique(array_map(static fn(LikeCars $set): string => (string) $set->group, $rebuilt));
        $others = array_map(
            static fn(LikeCars $set): array => array_values(
                array_filter($set->cars, static fn(Alike $each): bool => !in_array($each->car->group, $groups, true)),
            ),
            $newest,
        );
        $ways = array_filter([
            self::way($rebuilt, [], $newest),
            self::way($rebuilt, $others, $newest),
            self::way([], array_map(static fn(LikeCars $set): array => $set->cars, $newest), $newest),
        ]);
        uasort($ways, static fn(array $a, array $b): int => $a['expected'] <=> $b['expected']);

        return $ways === [] ? self::alone($rebuilt, $newest) : $ways[array_key_first($ways)]['slope'];
    }

    public function interval(float $confidence = 0.95): ?Interval
    {
        return $this->error === null || $this->degrees === null
            ? null
            : Interval::around($this->slope, (new StudentT($this->degrees))->intervalFactor($confidence) * $this->error, $confidence);
    }

    /** Of no slope at all. */
    public function pValue(): ?float
    {
        return match (true) {
            $this->error === null || $this->degrees === null => null,
            $this->error > 0.0 => (new StudentT($this->degrees))->bothTails($this->slope / $this->error),
            default => $this->slope === 0.0 ? 1.0 : 0.0,
        };
    }

    /**
     * @param list<LikeCars> $rebuilt
     * @param list<list<Alike>> $others
     * @param list<LikeCars> $newest
     *
     * @return array{expected: float, slope: self}|null the square of the half width that can be expected, and the slope
     */
    private static function way(array $rebuilt, array $others, array $newest): ?array
    {
        $own = self::ofRebuilt($rebuilt);
        $among = self::amongOthers($others);
        if (($rebuilt !== [] && $own === null) || ($others !== [] && $among === null) || ($own === null && $among === null)) {
            return null;
        }
        $parts = array_filter([$own, $among]);
        $sum = array_sum(array_map(static fn(array $part): float => 1.0 / $part['expected'], $parts));
        $slope = $variance = $expected = $freedom = $expectedFreedom = 0.0;
        foreach ($parts as $part) {
            $share = 1.0 / $part['expected'] / $sum;
            $slope += $share * $part['slope'];
            $variance += $share ** 2 * $part['variance'];
            $freedom += ($share ** 2 * $part['variance']) ** 2 / $part['degrees'];
            $expected += $share ** 2 * $part['expected'];
            $expectedFreedom += ($share ** 2 * $part['expected']) ** 2 / $part['degrees'];
        }
        $degrees = $freedom > 0.0 ? $variance ** 2 / $freedom : array_sum(array_column($parts, 'degrees'));
        $factor = (new StudentT($expected ** 2 / $expectedFreedom))->intervalFactor();

        return [
            'expected' => $factor ** 2 * $expected,
            'slope' => new self(
                $slope,
                sqrt($variance),
                $degrees,
                [...($own === null ? [] : $rebuilt), ...($among === null ? [] : $newest)],
            ),
        ];
    }

    /**
     * @param list<LikeCars> $sets each of one group
     *
     * @return array{slope: float, variance: float, degrees: float, expected: float}|null
     */
    private static function ofRebuilt(array $sets): ?array
    {
        $groups = [];
        foreach ($sets as $set) {
            [$xx, $xy, $errors] = self::sums($set->cars);
            $group = (string) $set->group;
            $groups[$group] = [
                ($groups[$group][0] ?? 0.0) + $xx, ($groups[$group][1] ?? 0.0) + $xy, ($groups[$group][2] ?? 0.0) + $errors,
            ];
        }
        $count = count($groups);
        $all = array_sum(array_column($groups, 0));
        if ($count < 2 || $all <= 0.0) {
            return null;
        }
        $slope = array_sum(array_column($groups, 1)) / $all;
        $squares = 0.0;
        foreach ($groups as [$xx, $xy]) {
            $squares += $xx * ($xy / $xx - $slope) ** 2;
        }
        $adjusted = array_sum(array_column($groups, 2));

        return [
            'slope' => $slope,
            // What the adjustments add is in the spread already, on average.
            'variance' => max(0.0, $squares / ($count - 1) - $adjusted / $all) / $all + $adjusted / $all ** 2,
            'degrees' => $count - 1.0,
            'expected' => self::BETWEEN_VERSIONS / $all,
        ];
    }

    /**
     * @param list<list<Alike>> $sets
     *
     * @return array{slope: float, variance: float, degrees: float, expected: float}|null
     */
    private static function amongOthers(array $sets): ?array
    {
        $all = $xy = $adjusted = $count = 0.0;
        $lines = 0;
        foreach ($sets as $cars) {
            if ($cars !== []) {
                [$ofX, $ofY, $errors] = self::sums($cars);
                [$all, $xy, $adjusted] = [$all + $ofX, $xy + $ofY, $adjusted + $errors];
                $count += count($cars);
                $lines++;
            }
        }
        $degrees = $count - $lines - 1.0;
        if ($degrees < 1.0 || $all <= 0.0) {
            return null;
        }
        $slope = $xy / $all;
        $squares = 0.0;
        foreach ($sets as $cars) {
            $x = self::mean($cars, static fn(Alike $each): float => $each->x);
            $y = self::mean($cars, static fn(Alike $each): float => $each->y);
            foreach ($cars as $each) {
                $squares += self::weight($each) * ($each->y - $y - $slope * ($each->x - $x)) ** 2;
            }
        }

        return [
            'slope' => $slope,
            'variance' => max(0.0, $squares / $degrees - $adjusted / $all) / $all + $adjusted / $all ** 2,
            'degrees' => $degrees,
            'expected' => self::BETWEEN_GROUPS / $all,
        ];
    }

    /**
     * One rebuilt car, or two cars: a difference, and nobody knows how sure.
     *
     * @param list<LikeCars> $rebuilt
     * @param list<LikeCars> $newest
     */
    private static function alone(array $rebuilt, array $newest): ?self
    {
        $set = $rebuilt[0] ?? $newest[0] ?? null;
        if ($set === null) {
            return null;
        }
        [$xx, $xy] = self::sums($set->cars);

        return $xx > 0.0 ? new self($xy / $xx, null, null, [$set]) : null;
    }

    /**
     * @param non-empty-list<Alike> $cars
     *
     * @return array{float, float, float} Σw(x − x̄)², Σw(x − x̄)·y and Σw²(x − x̄)²·u²
     */
    private static function sums(array $cars): array
    {
        $middle = self::mean($cars, static fn(Alike $each): float => $each->x);
        $xx = $xy = $errors = 0.0;
        foreach ($cars as $each) {
            $off = self::weight($each) * ($each->x - $middle);
            $xx += $off * ($each->x - $middle);
            $xy += $off * $each->y;
            $errors += $off ** 2 * $each->error ** 2;
        }

        return [$xx, $xy, $errors];
    }

    /**
     * @param list<Alike> $cars
     * @param \Closure(Alike): float $of
     */
    private static function mean(array $cars, \Closure $of): float
    {
        $sum = $weights = 0.0;
        foreach ($cars as $each) {
            $sum += self::weight($each) * $of($each);
            $weights += self::weight($each);
        }

        return $weights > 0.0 ? $sum / $weights : 0.0;
    }

    private static function weight(Alike $car): float
    {
        return $car->car->version > 1 ? 1.0 / self::REBUILT : 1.0;
    }
}
