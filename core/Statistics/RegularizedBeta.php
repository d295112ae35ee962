<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * The regularized incomplete beta function I_x(a, b), from which the tails of Student's t and of F follow.
 *
 * Continued fraction DLMF 8.17.22, evaluated by Lentz's method; its mirror image where that converges faster.
 */
final readonly class RegularizedBeta
{
    private const MAX_TERMS = 20_000;

    /**
     * I_x(a, b). The complement is passed by itself, because 1 − x loses digits where x is close to 1.
     *
     * @param float $x from 0 to 1
     * @param float $complement 1 − x
     * @param float $a above 0
     * @param float $b above 0
     */
    public static function of(float $x, float $complement, float $a, float $b): float
    {
        if ($x <= 0.0) {
            return 0.0;
        }
        if ($complement <= 0.0) {
            return 1.0;
        }
        $front = exp($a * self::log($x, $complement) + $b * self::log($complement, $x) - Gamma::logBeta($a, $b));
        if ($x <= ($a + 1.0) / ($a + $b + 2.0)) {
            return $front * self::fraction($x, $a, $b) / $a;
        }

        return 1.0 - $front * self::fraction($complement, $b, $a) / $b;
    }

    /** ln x, from whichever of x and 1 − x is known more finely. */
    private static function log(float $x, float $complement): float
    {
        return $x < 0.5 ? log($x) : log1p(-$complement);
    }

    private static function fraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        $d = 1.0 - ($a + $b) * $x / ($a + 1.0);
        $d = 1.0 / (abs($d) < $tiny ? $tiny : $d);
        $value = $d;
        for ($m = 1; $m <= self::MAX_TERMS; $m++) {
            $even = $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $odd = -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1));
            foreach ([$even, $odd] as $term) {
                $d = 1.0 + $term * $d;
                $d = 1.0 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1.0 + $term / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $value *= $c * $d;
            }
            if (abs($c * $d - 1.0) < 1e-16) {
                break;
            }
        }

        return $value;
    }
}
