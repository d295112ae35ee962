<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** Finds where a tail probability that falls from 1 to 0 passes through a given value. */
final readonly class Quantile
{
    /**
     * The positive x at which the tail equals the probability, to about the precision of a float.
     *
     * Newton's method on the logarithms of both, between which tails are nearly straight; a bracket that
     * narrows at every step catches what would run away.
     *
     * @param callable(float): float $tail falling in x, for x > 0
     * @param callable(float): float $density minus its derivative
     * @param float $probability strictly between 0 and 1
     */
    public static function ofFallingTail(callable $tail, callable $density, float $probability): float
    {
        $low = -700.0;
        $high = 700.0;
        $logX = 0.0;
        for ($i = 0; $i < 200; $i++) {
            $x = exp($logX);
            $at = $tail($x);
            $miss = log(max($at, 1e-320)) - log($probability);
            if ($miss > 0.0) {
                $low = $logX;
            } else {
                $high = $logX;
            }
            $slope = -$x * $density($x) / max($at, 1e-320);
            $next = $slope < 0.0 ? $logX - $miss / $slope : NAN;
            if (!($next > $low && $next < $high)) {
                // Away from the bracket's far ends at first: they are only there to be sure.
                $next = ($low === -700.0 || $high === 700.0) && abs($logX) < 350.0
                    ? $logX + ($miss > 0.0 ? 2.0 : -2.0)
                    : ($low + $high) / 2;
            }
            if (abs($next - $logX) <= 1e-14 * max(1.0, abs($logX)) || $high - $low < 1e-14) {
                return exp($next);
            }
            $logX = $next;
        }

        return exp($logX);
    }
}
