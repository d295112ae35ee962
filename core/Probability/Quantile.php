<?php

declare(strict_types=1);

namespace Skivo\Core\Probability;

/** Finds where a tail probability that falls from 1 to 0 passes through a given value. */
final readonly class Quantile
{
    /**
     * The positive x at which the tail equals the probability, to about the precision of a float.
     *
     * Works on logarithms, where tails are nearly straight: the x is first bracketed by doubling, then
     * narrowed by the Illinois variant of regula falsi (Dowell & Jarratt, BIT 11, 168, 1971).
     *
     * @param callable(float): float $tail falling in x, for x > 0
     * @param float $probability strictly between 0 and 1
     */
    public static function ofFallingTail(callable $tail, float $probability): float
    {
        $miss = static fn(float $logX): float => log(max($tail(exp($logX)), 1e-320)) - log($probability);
        $low = $high = 0.0;
        for ($step = 1.0; $miss($low) < 0.0 && $low > -700.0; $step *= 2) {
            $high = $low;
            $low = max(-700.0, $low - $step);
        }
        for ($step = 1.0; $miss($high) > 0.0 && $high < 700.0; $step *= 2) {
            $low = $high;
            $high = min(700.0, $high + $step);
        }
        $atLow = $miss($low);
        $atHigh = $miss($high);
        $side = 0;
        for ($i = 0; $i < 200 && $high - $low > 1e-15; $i++) {
            $middle = $atLow === $atHigh ? ($low + $high) / 2 : ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            if ($i % 8 === 7 || $middle <= $low || $middle >= $high) {
                $middle = ($low + $high) / 2;
            }
            $at = $miss($middle);
            if ($at === 0.0) {
                return exp($middle);
            }
            if ($at > 0.0) {
                $low = $middle;
                $atLow = $at;
                $atHigh *= $side === 1 ? 0.5 : 1.0;
                $side = 1;
            } else {
                $high = $middle;
                $atHigh = $at;
                $atLow *= $side === -1 ? 0.5 : 1.0;
                $side = -1;
            }
        }

        return exp(($low + $high) / 2);
    }
}
