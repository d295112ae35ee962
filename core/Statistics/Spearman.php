<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Spearman's rank correlation ρ: does one thing rise with the other, straight line or not?
 *
 * Equal values share the mean of their ranks. Below ten points the p-value is exact, over every order of the ranks; from there
 * on it is from Student's t with n − 2 degrees of freedom (Kendall & Stuart, The Advanced Theory of Statistics, volume 2, 31.19).
 */
final readonly class Spearman
{
    /** From here on two things go closely, or loosely, together. Common practice, no source. */
    public const CLOSELY = 0.8;
    public const LOOSELY = 0.5;

    private const EXACT_BELOW = 10;

    private function __construct(
        /** From −1 to 1. */
        public float $rho,
        /** Both tails; null for fewer than three points. */
        public ?float $pValue,
    ) {}

    /**
     * @param list<float> $x
     * @param list<float> $y as many as x
     *
     * @return self|null null for fewer than two points or where all x or all y are equal
     */
    public static function of(array $x, array $y): ?self
    {
        $n = count($x);
        if ($n < 2 || $y === [] || min($x) === max($x) || min($y) === max($y)) {
            return null;
        }
        $rankX = self::ranks($x);
        $rankY = self::ranks($y);
        $mean = ($n + 1) / 2;
        $xx = $yy = $xy = 0.0;
        foreach ($rankX as $i => $rank) {
            $xx += ($rank - $mean) ** 2;
            $yy += ($rankY[$i] - $mean) ** 2;
            $xy += ($rank - $mean) * ($rankY[$i] - $mean);
        }
        $rho = max(-1.0, min(1.0, $xy / sqrt($xx * $yy)));
        $p = match (true) {
            $n < 3 => null,
            $n < self::EXACT_BELOW => self::exact($rankX, $rankY),
            abs($rho) === 1.0 => 0.0,
            default => (new StudentT($n - 2))->bothTails($rho * sqrt(($n - 2) / (1.0 - $rho ** 2))),
        };

        return new self($rho, $p);
    }

    /**
     * How many of all orders of the one ranks go along with the other as closely as these, or more: counted over the sets of ranks
     * that the first places can have, in units of a quarter, so that shared ranks are whole.
     *
     * @param array<int, float> $x
     * @param array<int, float> $y
     */
    private static function exact(array $x, array $y): float
    {
        $n = count($x);
        [$x, $y] = [
            array_map(static fn(float $rank): int => (int) (2 * $rank), $x),
            array_map(static fn(float $rank): int => (int) (2 * $rank), $y),
        ];
        $ways = [0 => [0 => 1]];
        foreach ($x as $rank) {
            $next = [];
            foreach ($ways as $taken => $sums) {
                foreach ($y as $j => $other) {
                    if (($taken & (1 << $j)) === 0) {
                        foreach ($sums as $sum => $count) {
                            $next[$taken | (1 << $j)][$sum + $rank * $other] = (
                                $next[$taken | (1 << $j)][$sum + $rank * $other] ?? 0
                            ) + $count;
                        }
                    }
                }
            }
            $ways = $next;
        }
        $seen = array_sum(array_map(static fn(int $i): int => $x[$i] * $y[$i], array_keys($x)));
        $middle = array_sum($x) * array_sum($y) / $n;
        $all = $beyond = 0;
        foreach ($ways[(1 << $n) - 1] as $sum => $count) {
            $all += $count;
            $beyond += abs($sum - $middle) >= abs($seen - $middle) - 1e-9 ? $count : 0;
        }

        return $beyond / $all;
    }

    /**
     * @param list<float> $values
     *
     * @return array<int, float> the rank of each value, from 1
     */
    private static function ranks(array $values): array
    {
        asort($values);
        $order = array_keys($values);
        $ranks = [];
        for ($i = 0, $n = count($order); $i < $n; $i = $j) {
            for ($j = $i + 1; $j < $n && $values[$order[$j]] === $values[$order[$i]]; $j++);
            for ($k = $i; $k < $j; $k++) {
                $ranks[$order[$k]] = ($i + 1 + $j) / 2;
            }
        }

        return $ranks;
    }
}
