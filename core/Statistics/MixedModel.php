<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * A linear model with random parts: y = X·β + Z·u + (group) + (rebuilding) + error. Observations of one group share a normal part
 * with standard deviation τ, each rebuilt one has a part of its own with ρ, and each column of Z has a coefficient of its own,
 * u ~ N(0, 1): it is given in units of its standard deviation.
 *
 * Henderson's mixed model equations (Biometrics 31, 423, 1975) for each τ and ρ of a grid; these are weighted by the restricted
 * likelihood (Patterson and Thompson, Biometrika 58, 545, 1971) times half-normal priors. What is said of the coefficient in
 * question, the last of X, is the mixture over the grid, so that few groups are as unsure as they are.
 */
final readonly class MixedModel
{
    /** Where τ and ρ are looked for, and the scales of their half-normal priors (of ln y). From trial. */
    private const GROUPS = [0.005, 0.03, 0.06, 0.09, 0.12, 0.16, 0.2, 0.25, 0.3, 0.36, 0.43, 0.52, 0.63, 0.78, 0.95, 1.2, 1.6];
    private const REBUILDING = [0.005, 0.05, 0.1, 0.18];
    private const GROUPS_PRIOR = 0.8;
    private const REBUILDING_PRIOR = 0.1;

    /**
     * By so much the priors lean to small parts, as Jeffreys’ would by a half: then intervals of few groups hold what they say. From trial.
     */
    private const TOWARDS_NOTHING = 0.4;

    /** Parts of the grid with less than this of the weight are left out. */
    private const LEAST_WEIGHT = 1e-5;

    /**
     * @param list<array{float, float, float}> $mixture of the coefficient in question: weight, mean and standard deviation
     * @param list<float> $fixed β, averaged over the grid
     * @param list<float> $random u, likewise
     * @param float $ofGroups τ, averaged
     * @param float $ofRebuilding ρ, averaged
     */
    private function __construct(
        private array $mixture,
        public array $fixed,
        public array $random,
        public float $ofGroups,
        public float $ofRebuilding,
    ) {}

    /**
     * @param list<list<float>> $fixed rows of X, one an observation
     * @param list<list<float>> $random rows of Z
     * @param array<int, float> $y
     * @param array<int, float> $variances of the errors, above 0
     * @param list<string> $groups
     * @param list<bool> $rebuilt
     *
     * @return self|null null where the coefficients can't be told apart, or there are no more observations than those
     */
    public static function fit(array $fixed, array $random, array $y, array $variances, array $groups, array $rebuilt): ?self
    {
        $p = count($fixed[0] ?? []);
        $k = count($random[0] ?? []);
        if ($p === 0 || count($y) <= $p) {
            return null;
        }
        $rows = [];
        foreach ($y as $i => $value) {
            $rows[] = [...$random[$i], ...$fixed[$i], $value];
        }
        $found = [];
        $isRebuilt = in_array(true, $rebuilt, true);
        $error = array_sum($variances) / count($variances);
        foreach ($isRebuilt ? self::REBUILDING : [0.0] as $b => $rho) {
            [$products, $sums, $weights, $log] = self::sums($rows, $variances, $groups, $rebuilt, $rho ** 2);
            foreach (self::GROUPS as $a => $tau) {
                $solved = self::solve($products, $sums, $weights, $log, $tau ** 2, $k, $p);
                if ($solved === null) {
                    return null;
                }
                $prior = -0.5 * ($tau / self::GROUPS_PRIOR) ** 2 - 0.5 * ($rho / self::REBUILDING_PRIOR) ** 2
                    - self::TOWARDS_NOTHING * log(($tau ** 2 + $error) * ($rho ** 2 + $error));
                $width = self::width(self::GROUPS, $a) * ($isRebuilt ? self::width(self::REBUILDING, $b) : 1.0);
                $found[] = [$solved[0] + $prior + log($width), $tau, $rho, $solved[1], $solved[2]];
            }
        }

        return self::averaged($found, $k);
    }

    /** From minus infinity to x, of the coefficient in question. */
    public function below(float $x): float
    {
        $sum = 0.0;
        foreach ($this->mixture as [$weight, $mean, $deviation]) {
            $sum += $weight * Normal::cumulative(($x - $mean) / $deviation);
        }

        return $sum;
    }

    public function mean(): float
    {
        return array_sum(array_map(static fn(array $part): float => $part[0] * $part[1], $this->mixture));
    }

    public function deviation(): float
    {
        $mean = $this->mean();

        return sqrt(
            array_sum(array_map(static fn(array $part): float => $part[0] * ($part[2] ** 2 + ($part[1] - $mean) ** 2), $this->mixture)),
        );
    }

    /** In which it lies so many times in a hundred. */
    public function interval(float $confidence = 0.95): Interval
    {
        return new Interval($this->quantile((1.0 - $confidence) / 2), $this->quantile((1.0 + $confidence) / 2), $confidence);
    }

    /** Of none at all, both tails. */
    public function pValue(): float
    {
        $below = $this->below(0.0);

        return max(1e-300, min(1.0, 2.0 * min($below, 1.0 - $below)));
    }

    private function quantile(float $share): float
    {
        [$low, $high] = [INF, -INF];
        foreach ($this->mixture as [, $mean, $deviation]) {
            [$low, $high] = [min($low, $mean - 40.0 * $deviation), max($high, $mean + 40.0 * $deviation)];
        }
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $this->below($middle) < $share ? [$middle, $high] : [$low, $middle];
        }

        return ($low + $high) / 2;
    }

    /**
     * What does not hang on τ: of each observation m = (z, x, y) over its own variance, Σ m·mᵀ, and of each group Σ m and Σ 1.
     *
     * @param list<list<float>> $rows
     * @param array<int, float> $variances
     * @param list<string> $groups
     * @param list<bool> $rebuilt
     *
     * @return array{array<int, array<int, float>>, array<string, array<int, float>>, array<string, float>, float} and Σ ln of the variances
     */
    private static function sums(array $rows, array $variances, array $groups, array $rebuilt, float $rho): array
    {
        $m = count($rows[0]);
        $products = array_fill(0, $m, array_fill(0, $m, 0.0));
        $sums = $weights = [];
        $log = 0.0;
        foreach ($rows as $i => $row) {
            $variance = $variances[$i] + ($rebuilt[$i] ? $rho : 0.0);
            $log += log($variance);
            $group = $groups[$i];
            $weights[$group] = ($weights[$group] ?? 0.0) + 1.0 / $variance;
            $sums[$group] ??= array_fill(0, $m, 0.0);
            for ($a = 0; $a < $m; $a++) {
                $over = $row[$a] / $variance;
                $sums[$group][$a] += $over;
                if ($over !== 0.0) {
                    for ($b = 0; $b <= $a; $b++) {
                        $products[$a][$b] += $over * $row[$b];
                    }
                }
            }
        }

        return [$products, $sums, $weights, $log];
    }

    /**
     * The equations for one τ² and ρ², by Cholesky's decomposition of their left side.
     *
     * @param array<int, array<int, float>> $products lower triangle
     * @param array<string, array<int, float>> $sums
     * @param array<string, float> $weights
     *
     * @return array{float, array<int, float>, float}|null the restricted likelihood (ln), u and β, and the variance of the last; null where it is singular
     */
    private static function solve(array $products, array $sums, array $weights, float $log, float $tau, int $k, int $p): ?array
    {
        $size = $k + $p;
        foreach ($sums as $group => $sum) {
            $log += log(1.0 + $tau * $weights[$group]);
            $factor = $tau / (1.0 + $tau * $weights[$group]);
            foreach ($sum as $a => $value) {
                if ($value !== 0.0) {
                    $scaled = $factor * $value;
                    for ($b = 0; $b <= $a; $b++) {
                        $products[$a][$b] -= $scaled * $sum[$b];
                    }
                }
            }
        }
        for ($a = 0; $a < $k; $a++) {
            $products[$a][$a] += 1.0;
        }
        // The last row becomes what solves L·v = Zᵀ V⁻¹ y, and its end what is left of y's squares.
        $lower = $products;
        for ($a = 0; $a <= $size; $a++) {
            for ($b = 0; $b <= $a; $b++) {
                $sum = $products[$a][$b];
                for ($c = 0; $c < $b; $c++) {
                    $sum -= $lower[$a][$c] * $lower[$b][$c];
                }
                if ($a !== $b) {
                    $lower[$a][$b] = $sum / $lower[$b][$b];
                } elseif ($a < $size) {
                    if ($sum <= 1e-9 * $products[$a][$a]) {
                        return null;
                    }
                    $lower[$a][$a] = sqrt($sum);
                    $log += 2.0 * log($lower[$a][$a]);
                } else {
                    $lower[$a][$a] = $sum;
                }
            }
        }
        $solution = array_fill(0, $size, 0.0);
        for ($a = $size - 1; $a >= 0; $a--) {
            $sum = $lower[$size][$a];
            for ($c = $a + 1; $c < $size; $c++) {
                $sum -= $lower[$c][$a] * $solution[$c];
            }
            $solution[$a] = $sum / $lower[$a][$a];
        }

        return [-0.5 * ($log + max(0.0, $lower[$size][$size])), $solution, 1.0 / $lower[$size - 1][$size - 1] ** 2];
    }

    /**
     * @param list<float> $grid
     *
     * @return float how much of the scale one place of the grid stands for
     */
    private static function width(array $grid, int $at): float
    {
        return (($grid[$at + 1] ?? $grid[$at]) - ($grid[$at - 1] ?? 0.0)) / 2;
    }

    /** @param non-empty-list<array{float, float, float, array<int, float>, float}> $found */
    private static function averaged(array $found, int $k): self
    {
        $greatest = max(array_column($found, 0));
        $weights = array_map(static fn(array $each): float => exp($each[0] - $greatest), $found);
        $all = array_sum($weights);
        $mixture = [];
        $solution = array_fill(0, count($found[0][3]), 0.0);
        $ofGroups = $ofRebuilding = $kept = 0.0;
        foreach ($found as $i => [, $tau, $rho, $own, $variance]) {
            $weight = $weights[$i] / $all;
            if ($weight < self::LEAST_WEIGHT) {
                continue;
            }
            $kept += $weight;
            $mixture[] = [$weight, $own[count($own) - 1], sqrt($variance)];
            $ofGroups += $weight * $tau;
            $ofRebuilding += $weight * $rho;
            foreach ($own as $a => $value) {
                $solution[$a] += $weight * $value;
            }
        }

        return new self(
            array_map(static fn(array $part): array => [$part[0] / $kept, $part[1], $part[2]], $mixture),
            array_map(static fn(float $value): float => $value / $kept, array_slice($solution, $k)),
            array_map(static fn(float $value): float => $value / $kept, array_slice($solution, 0, $k)),
            $ofGroups / $kept,
            $ofRebuilding / $kept,
        );
    }
}
