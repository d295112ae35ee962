<?php

declare(strict_types=1);

namespace Skivo\Core\Trials;

use Skivo\Core\Probability\StudentT;

/**
 * Whether the value of a sample that lies farthest from its mean lies too far out for one normal distribution: Grubbs'
 * test, both sides (Grubbs, Technometrics 11, 1, 1969; NIST/SEMATECH e-Handbook 1.3.5.17.1).
 *
 * G = max|x − x̄|/s; an outlier where G > (n − 1)/√n·√(t²/(n − 2 + t²)), t the 1 − α/(2n) quantile at n − 2 degrees of
 * freedom. It names a value to look at; it never drops one.
 */
final readonly class Grubbs
{
    public const SIGNIFICANCE = 0.05;

    private function __construct(
        /** Its place in the sample, from 0. */
        public int $index,
        public float $value,
        public float $g,
        public float $critical,
    ) {}

    /** @return self|null null below three values, or where all are equal */
    public static function of(Sample $sample): ?self
    {
        $deviation = $sample->standardDeviation() ?? 0.0;
        if ($sample->n < 3 || $deviation === 0.0) {
            return null;
        }
        $mean = $sample->mean();
        $away = array_map(static fn(float $value): float => abs($value - $mean), $sample->values);
        $index = (int) array_search(max($away), $away, true);
        $n = $sample->n;
        $square = (new StudentT($n - 2))->quantile(1.0 - self::SIGNIFICANCE / (2 * $n)) ** 2;

        return new self($index, $sample->values[$index], $away[$index] / $deviation, ($n - 1) / sqrt($n) * sqrt($square / ($n - 2 + $square)));
    }

    public function isOutlier(): bool
    {
        return $this->g > $this->critical;
    }
}
