<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** Values of which some are known only to be at least so large, about one normal mean with a known scatter. */
final readonly class Censored
{
    private const MOST_STEPS = 500;

    /**
     * The values, with what is expected of those that are only known from below in their place. Their mean is the one of
     * greatest likelihood (by expectation and maximisation; Dempster, Laird & Rubin, J. R. Stat. Soc. B 39, 1, 1977).
     *
     * @param non-empty-list<float> $values
     * @param list<int> $atLeast which of them are bounds; not all
     * @param float $deviation of one value about the mean, above zero
     *
     * @return non-empty-list<float>
     */
    public static function complete(array $values, array $atLeast, float $deviation): array
    {
        $completed = $values;
        $mean = array_sum($values) / count($values);
        for ($i = 0; $i < self::MOST_STEPS; $i++) {
            foreach ($atLeast as $index) {
                $completed[$index] = self::expected($mean, $deviation, $values[$index]);
            }
            $next = array_sum($completed) / count($completed);
            if (abs($next - $mean) < 1e-10 * $deviation) {
                break;
            }
            $mean = $next;
        }

        return array_values($completed);
    }

    /**
     * What a normal value can be expected to be that is only known to lie beyond a bound, and its variance then (Johnson, Kotz and
     * Balakrishnan, Continuous Univariate Distributions, volume 1, 1994, 13.10).
     *
     * @param int<-1, 1> $side 1 where it lies above, −1 where it lies below
     *
     * @return array{float, float}
     */
    public static function beyond(float $bound, int $side, float $mean, float $deviation): array
    {
        $alpha = $side * ($bound - $mean) / $deviation;
        $tail = Normal::cumulative(-$alpha);
        if ($tail < 1e-12) {
            return [$bound, 0.0];
        }
        $ratio = Normal::density($alpha) / $tail;

        return [$mean + $side * $deviation * $ratio, max(0.0, $deviation ** 2 * (1.0 + $alpha * $ratio - $ratio ** 2))];
    }

    /** Of a normal value that is known to lie beyond a bound: μ + σ·φ(α)/(1 − Φ(α)). */
    private static function expected(float $mean, float $deviation, float $bound): float
    {
        $alpha = ($bound - $mean) / $deviation;
        $tail = Normal::cumulative(-$alpha);

        return $tail < 1e-12 ? $bound : $mean + $deviation * Normal::density($alpha) / $tail;
    }
}
