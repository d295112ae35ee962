<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\LinearModel;

/**
 * By how much a check that a car failed shifts what is expected of its workmanship: ln w goes up by the sum over what it failed.
 * Fitted over other classes by least squares with a prior of none for each (Hoerl and Kennard, Technometrics 12, 55, 1970;
 * as the posterior mean of a normal prior: Gelman et al., Bayesian Data Analysis, section 14.8). Where there are no classes, it is none.
 */
final readonly class CheckShifts
{
    public const LOOKED_AT = [CheckItem::Spin, CheckItem::EndPlay, CheckItem::Wobble, CheckItem::Parallel];

    /** How much a failed check may do (standard deviation of its shift of ln w) before any class has shown it. From memory. */
    private const PRIOR = 0.5;

    /** No car is shifted by more (of ln w): beyond, nobody has seen one. */
    private const MOST = 1.5;

    /**
     * @param array<string, Estimate> $shifts of ln w, by the value of a CheckItem; none where it is not there
     * @param int $cars over which they were fitted; 0 for none
     */
    public function __construct(
        public array $shifts = [],
        public int $cars = 0,
    ) {}

    /** @param list<CheckedCars> $classes */
    public static function over(array $classes): self
    {
        $rows = $y = [];
        $own = 0;
        foreach ($classes as $class) {
            $own += $class->rows === [] ? 0 : 1;
            foreach ($class->rows as [$failed, $read]) {
                $rows[] = $failed;
                $y[] = $read;
            }
        }
        $cars = count($rows);
        // Hands that differ more than usual ones are no sign of what a check does.
        $times = self::scatter($rows, $y, $own);
        $rows = array_map(static fn(array $row): array => array_map(static fn(float $each): float => $each / $times, $row), $rows);
        $y = array_map(static fn(float $each): float => $each / $times, $y);
        foreach (array_keys(self::LOOKED_AT) as $item) {
            $rows[] = array_map(static fn(int $each): float => $each === $item ? 1.0 / self::PRIOR : 0.0, array_keys(self::LOOKED_AT));
            $y[] = 0.0;
        }
        $fit = $cars === 0 ? null : LinearModel::fit($rows, $y);
        if ($fit === null || $fit->residualDeviation <= 0.0) {
            return new self();
        }
        $shifts = [];
        foreach (self::LOOKED_AT as $index => $item) {
            $isSeen = array_filter(
                $rows,
                static fn(array $row, int $at): bool => $at < $cars && $row[$index] !== 0.0,
                ARRAY_FILTER_USE_BOTH,
            ) !== [];
            if ($isSeen) {
                // How far readings scatter is known beforehand, and is not taken from what is left over.
                $shifts[$item->value] = new Estimate($fit->coefficients[$index], $fit->errors[$index] / $fit->residualDeviation);
            }
        }

        return new self($shifts, $cars);
    }

    /** @return array<string, Estimate> those that are applied: that a car rolls better for having failed is chance */
    public function applied(): array
    {
        return array_filter($this->shifts, static fn(Estimate $shift): bool => $shift->value > 0.0);
    }

    /** @param list<CheckItem> $failed by a car */
    public function of(array $failed): float
    {
        $shift = 0.0;
        foreach ($failed as $item) {
            $shift += $this->applied()[$item->value]->value ?? 0.0;
        }

        return min(self::MOST, $shift);
    }

    /**
     * How many times farther than usual the cars of these classes lie from what their failed checks say, at least once.
     *
     * @param list<list<float>> $rows
     * @param list<float> $y
     * @param int $classes that they are of: each has its middle taken out
     */
    private static function scatter(array $rows, array $y, int $classes): float
    {
        $varied = array_values(array_filter(
            array_keys(self::LOOKED_AT),
            static fn(int $item): bool => array_filter(array_column($rows, $item)) !== [],
        ));
        $fit = $varied === [] ? null : LinearModel::fit(array_map(
            static fn(array $row): array => array_map(static fn(int $item): float => $row[$item], $varied),
            $rows,
        ), $y);
        $freedom = count($y) - $classes - count($varied);

        return $fit === null || $freedom < 1 ? 1.0 : max(1.0, sqrt($fit->residualSquares / $freedom));
    }
}
