<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * A try that lies too far from its car's others for the scatter of the class: the externally studentized residual of a
 * one-way layout, at a level shared among all tries (Cook & Weisberg, Residuals and Influence in Regression, 1982,
 * section 2.2.2, with Bonferroni's inequality).
 *
 * Three tries of one car can't judge each other, but all cars' tries together tell how much a try scatters. Cars that go
 * farther scatter more, so residuals are taken as shares of their car's mean. With r the residual of a try of a car with n,
 * h = 1/n and s₋ the class's standard deviation without it, t = r/(s₋·√(1 − h)); it is named where |t| lies beyond the
 * 1 − α/(2N) quantile of Student's t, N the number of tries. Naming never drops one.
 */
final readonly class Outlier
{
    public const SIGNIFICANCE = 0.05;

    /** Degrees of freedom below which the class can't tell how much a try scatters. */
    private const FEWEST_DEGREES = 4;

    private function __construct(
        /** The place of the try among its car's, from 0. */
        public int $index,
        public float $value,
        public float $t,
        public float $critical,
    ) {}

    /**
     * @template K of array-key
     *
     * @param array<K, Sample> $samples the tries of each car
     *
     * @return array<K, list<self>> of the cars that have one
     */
    public static function among(array $samples): array
    {
        $samples = array_filter($samples, static fn(Sample $sample): bool => $sample->n > 1 && $sample->mean() > 0.0);
        $tries = array_sum(array_map(static fn(Sample $sample): int => $sample->n, $samples));
        $degrees = $tries - count($samples) - 1;
        if ($degrees < self::FEWEST_DEGREES) {
            return [];
        }
        $residuals = array_map(
            static fn(Sample $sample): array => array_map(
                static fn(float $value): float => $value / $sample->mean() - 1.0,
                $sample->values,
            ),
            $samples,
        );
        $squares = array_sum(
            array_map(
                static fn(array $own): float => array_sum(array_map(static fn(float $residual): float => $residual ** 2, $own)),
                $residuals,
            ),
        );
        $critical = (new StudentT($degrees))->quantile(1.0 - self::SIGNIFICANCE / (2 * $tries));
        $found = [];
        foreach ($samples as $key => $sample) {
            foreach ($residuals[$key] as $index => $residual) {
                $free = 1.0 - 1.0 / $sample->n;
                $without = ($squares - $residual ** 2 / $free) / $degrees;
                $t = $without > 0.0 ? $residual / sqrt($without * $free) : ($residual === 0.0 ? 0.0 : INF * ($residual <=> 0.0));
                if (abs($t) > $critical) {
                    $found[$key][] = new self($index, $sample->values[$index], $t, $critical);
                }
            }
        }

        return $found;
    }
}
