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

    /** Of a normal value that is known to lie beyond a bound: μ + σ·φ(α)/(1 − Φ(α)). */
    private static function expected(float $mean, float $deviation, float $bound): float
    {
        $alpha = ($bound - $mean) / $deviation;
        $tail = Normal::cumulative(-$alpha);

        return $tail < 1e-12 ? $bound : $mean + $deviation * Normal::density($alpha) / $tail;
    }
}
