<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/** The standard normal distribution. */
final readonly class Normal
{
    /** Beyond this the tail is nothing in double precision. */
    private const FAR = 37.0;

    /** Beyond this a continued fraction serves. */
    private const TAIL = 7.07106781186547;

    /** Hart's rational approximation, from the first power down (Computer Approximations, 1968, 5666; as in West, Wilmott, 2005). */
    private const ABOVE = [
        3.52624965998911e-2, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871, 221.213596169931, 220.206867912376,
    ];
    private const BELOW = [
        8.83883476483184e-2, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831,
        793.826512519948, 440.413735824752,
    ];

    private const ROOT_TWO_PI = 2.506628274631000502;

    public static function density(float $z): float
    {
        return exp(-0.5 * $z * $z) / self::ROOT_TWO_PI;
    }

    /** The chance of a value up to z. */
    public static function cumulative(float $z): float
    {
        $far = abs($z);
        if ($far > self::FAR) {
            return $z > 0.0 ? 1.0 : 0.0;
        }
        $exponential = exp(-0.5 * $far * $far);
        if ($far < self::TAIL) {
            $above = $below = 0.0;
            foreach (self::ABOVE as $coefficient) {
                $above = $above * $far + $coefficient;
            }
            foreach (self::BELOW as $coefficient) {
                $below = $below * $far + $coefficient;
            }
            $tail = $exponential * $above / $below;
        } else {
            $fraction = $far + 0.65;
            for ($i = 4; $i >= 1; $i--) {
                $fraction = $far + $i / $fraction;
            }
            $tail = $exponential / $fraction / self::ROOT_TWO_PI;
        }

        return $z > 0.0 ? 1.0 - $tail : $tail;
    }

    /**
     * The value below which a share lies.
     *
     * @param float $share strictly between 0 and 1
     */
    public static function quantile(float $share): float
    {
        if ($share === 0.5) {
            return 0.0;
        }
        $z = Quantile::ofFallingTail(static fn(float $z): float => self::cumulative(-$z), self::density(...), min($share, 1.0 - $share));

        return $share > 0.5 ? $z : -$z;
    }
}
