<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Logarithms of the gamma and beta functions.
 *
 * Small arguments: Lanczos's approximation with g = 7 and nine terms. Large ones: Stirling's series
 * (Abramowitz & Stegun 6.1.41), combined for the beta function so that the large parts cancel on
 * paper rather than in floating point (as in Fullerton's dlbeta, SLATEC).
 */
final readonly class Gamma
{
    private const LANCZOS = [
        0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
        12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
    ];

    private const LOG_SQRT_TWO_PI = 0.91893853320467274178;

    /** ln Γ(x) for x > 0. */
    public static function logGamma(float $x): float
    {
        if ($x >= 10.0) {
            return ($x - 0.5) * log($x) - $x + self::LOG_SQRT_TWO_PI + self::stirling($x);
        }
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::logGamma(1.0 - $x);
        }
        $sum = self::LANCZOS[0];
        for ($i = 1; $i < 9; $i++) {
            $sum += self::LANCZOS[$i] / ($x - 1.0 + $i);
        }
        $t = $x + 6.5;

        return self::LOG_SQRT_TWO_PI + ($x - 0.5) * log($t) - $t + log($sum);
    }

    /** ln B(a, b) for a, b > 0. */
    public static function logBeta(float $a, float $b): float
    {
        $p = min($a, $b);
        $q = max($a, $b);
        $share = $p / ($p + $q);
        if ($p >= 10.0) {
            return -0.5 * log($q) + self::LOG_SQRT_TWO_PI
                + self::stirling($p) + self::stirling($q) - self::stirling($p + $q)
                + ($p - 0.5) * log($share) + $q * log1p(-$share);
        }
        if ($q >= 10.0) {
            return self::logGamma($p) + self::stirling($q) - self::stirling($p + $q)
                + $p - $p * log($p + $q) + ($q - 0.5) * log1p(-$share);
        }

        return self::logGamma($p) + self::logGamma($q) - self::logGamma($p + $q);
    }

    /** ψ(x), the slope of ln Γ(x), for x > 0: stepped up, then the asymptotic series (Abramowitz & Stegun 6.3.5, 6.3.18). */
    public static function digamma(float $x): float
    {
        $sum = 0.0;
        for (; $x < 12.0; $x++) {
            $sum -= 1.0 / $x;
        }
        $y = 1.0 / ($x * $x);

        return $sum + log($x) - 0.5 / $x
            - $y * (1.0 / 12 - $y * (1.0 / 120 - $y * (1.0 / 252 - $y * (1.0 / 240 - $y * (1.0 / 132 - $y * (691.0 / 32760 - $y / 12))))));
    }

    /** ψ′(x), for x > 0, likewise (Abramowitz & Stegun 6.4.6, 6.4.12). */
    public static function trigamma(float $x): float
    {
        $sum = 0.0;
        for (; $x < 12.0; $x++) {
            $sum += 1.0 / ($x * $x);
        }
        $y = 1.0 / ($x * $x);

        return $sum + 1.0 / $x + 0.5 * $y
            + $y / $x * (
                1.0 / 6 - $y * (1.0 / 30 - $y * (1.0 / 42 - $y * (1.0 / 30 - $y * (5.0 / 66 - $y * (691.0 / 2730 - $y * 7.0 / 6)))))
            );
    }

    /**
     * The x whose trigamma this is, for a value above 0. By Newton's method on 1/ψ′, which is convex, so that it comes from
     * below in every step (Smyth, Stat. Appl. Genet. Mol. Biol. 3:3, 2004, appendix).
     */
    public static function inverseTrigamma(float $value): float
    {
        if ($value > 1e7) {
            return 1.0 / sqrt($value);
        }
        if ($value < 1e-6) {
            return 1.0 / $value;
        }
        $x = 0.5 + 1.0 / $value;
        for ($i = 0; $i < 50; $i++) {
            $trigamma = self::trigamma($x);
            $step = $trigamma * (1.0 - $trigamma / $value) / self::tetragamma($x);
            $x += $step;
            if (-$step / $x < 1e-10) {
                break;
            }
        }

        return $x;
    }

    /** ψ″(x), for x > 0 (Abramowitz & Stegun 6.4.6, 6.4.13). */
    private static function tetragamma(float $x): float
    {
        $sum = 0.0;
        for (; $x < 12.0; $x++) {
            $sum -= 2.0 / $x ** 3;
        }
        $y = 1.0 / ($x * $x);

        return $sum - $y * (1.0 + 1.0 / $x + $y * (0.5 - $y * (1.0 / 6 - $y * (1.0 / 6 - $y * (3.0 / 10 - $y * 5.0 / 6)))));
    }

    /** ψ‴(x), for x > 0 (Abramowitz & Stegun 6.4.6, 6.4.14). */
    public static function pentagamma(float $x): float
    {
        $sum = 0.0;
        for (; $x < 12.0; $x++) {
            $sum += 6.0 / $x ** 4;
        }
        $y = 1.0 / ($x * $x);

        return $sum + $y / $x * (2.0 + 3.0 / $x + $y * (2.0 - $y * (1.0 - $y * (4.0 / 3 - $y * (3.0 - $y * 10.0)))));
    }

    /** What Stirling's formula leaves out of ln Γ(x), for x ≥ 10. */
    private static function stirling(float $x): float
    {
        $y = 1.0 / ($x * $x);

        return (1.0 / 12 + $y * (-1.0 / 360 + $y * (1.0 / 1260 + $y * (-1.0 / 1680
            + $y * (1.0 / 1188 + $y * (-691.0 / 360360 + $y / 156)))))) / $x;
    }
}
