<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * The range of k equal means over their standard error, whose variance is known by ν degrees of freedom (Tukey's q).
 *
 * P(Q ≤ q) = ∫ f(s) W(q·s) ds over s = √(χ²_ν/ν), where W is the range of k standard normals: W(w) = k ∫ φ(z)
 * [Φ(z) − Φ(z − w)]^(k−1) dz. Both by Gauss–Legendre's rule.
 */
final readonly class StudentizedRange
{
    /** Gauss–Legendre on 16 points, the half above zero: places and weights (Abramowitz & Stegun, table 25.4). */
    private const PLACES = [
        0.0950125098376374, 0.2816035507792589, 0.4580167776572274, 0.6178762444026438,
        0.7554044083550030, 0.8656312023878318, 0.9445750230732326, 0.9894009349916499,
    ];
    private const WEIGHTS = [
        0.1894506104550685, 0.1826034150449236, 0.1691565193950025, 0.1495959888165767,
        0.1246289712555339, 0.0951585116824928, 0.0622535239386479, 0.0271524594117541,
    ];

    /** Where the greatest of some normals may lie. */
    private const Z_FROM = -6.5;
    private const Z_TO = 7.0;

    /** Intervals of z and of s. */
    private const Z_PIECES = 5;
    private const S_PIECES = 3;

    /**
     * @param int $means k, at least 2
     * @param float $degreesOfFreedom ν, above 0; INF where the error is known
     */
    public function __construct(private int $means, private float $degreesOfFreedom)
    {
        if ($means < 2 || $degreesOfFreedom <= 0.0) {
            throw new \DomainException('A range needs two means, and degrees of freedom above zero.');
        }
    }

    /** The chance of so large a range, or a larger one, among equal means. */
    public function upperTail(float $q): float
    {
        if ($q <= 0.0) {
            return 1.0;
        }
        if (is_infinite($this->degreesOfFreedom)) {
            return max(0.0, 1.0 - $this->ofNormals($q));
        }
        $v = $this->degreesOfFreedom;
        // s is χ over √ν: close to 1, with a standard deviation of about 1/√(2ν), and a longer tail to the right.
        $spread = 1.0 / sqrt(2.0 * $v);
        $from = max(0.0, 1.0 - 6.0 * $spread);
        $to = 1.0 + 8.0 * $spread;
        $log = log(2.0) + 0.5 * $v * log(0.5 * $v) - Gamma::logGamma(0.5 * $v);
        $sum = 0.0;
        // The upper tail itself is added up, so that a small one keeps its digits.
        foreach (self::places($from, $to, self::S_PIECES) as [$at, $weight]) {
            $sum += $weight * exp($log + ($v - 1.0) * log($at) - 0.5 * $v * $at * $at) * (1.0 - $this->ofNormals($q * $at));
        }

        return max(0.0, min(1.0, $sum));
    }

    /**
     * The range that equal means exceed with this chance.
     *
     * @param float $chance between 0 and 1
     */
    public function exceededWith(float $chance): float
    {
        [$low, $high] = [0.0, 4.0];
        while ($this->upperTail($high) > $chance && $high < 1e4) {
            [$low, $high] = [$high, 2.0 * $high];
        }
        for ($i = 0; $i < 60 && $high - $low > 1e-9 * $high; $i++) {
            $middle = ($low + $high) / 2;
            $this->upperTail($middle) > $chance ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /** W(w): the chance that k standard normals lie within w. */
    private function ofNormals(float $w): float
    {
        /** @var list<array{float, float, float}>|null $places z, φ(z) with its weight, and Φ(z) */
        static $places = null;
        $places ??= array_map(
            static fn(array $place): array => [$place[0], $place[1] * Normal::density($place[0]), Normal::cumulative($place[0])],
            self::places(self::Z_FROM, self::Z_TO, self::Z_PIECES),
        );
        $sum = 0.0;
        // By the greatest of them at z: none above it, none more than w below.
        foreach ($places as [$z, $weight, $below]) {
            $sum += $weight * max(0.0, $below - Normal::cumulative($z - $w)) ** ($this->means - 1);
        }

        return min(1.0, $this->means * $sum);
    }

    /** @return list<array{float, float}> where to look, and the weight of that */
    private static function places(float $from, float $to, int $pieces): array
    {
        $half = ($to - $from) / $pieces / 2;
        $places = [];
        for ($piece = 0; $piece < $pieces; $piece++) {
            $middle = $from + (2 * $piece + 1) * $half;
            foreach (self::PLACES as $i => $place) {
                $places[] = [$middle - $half * $place, $half * self::WEIGHTS[$i]];
                $places[] = [$middle + $half * $place, $half * self::WEIGHTS[$i]];
            }
        }

        return $places;
    }
}
