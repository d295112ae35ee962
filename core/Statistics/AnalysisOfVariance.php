<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * One-way analysis of variance: do kinds differ by more than their cars differ among themselves?
 * (NIST/SEMATECH e-Handbook 7.4.3.)
 */
final readonly class AnalysisOfVariance
{
    private function __construct(
        public float $f,
        public int $degreesBetween,
        public int $degreesWithin,
        public float $pValue,
    ) {}

    /**
     * @param array<list<float>> $samples one for each kind, none empty
     *
     * @return self|null null for fewer than two kinds, or where no kind has two cars
     */
    public static function of(array $samples): ?self
    {
        $all = array_merge(...array_values($samples));
        $between = count($samples) - 1;
        $within = count($all) - count($samples);
        if ($between < 1 || $within < 1) {
            return null;
        }
        $grand = array_sum($all) / count($all);
        $squaresBetween = $squaresWithin = 0.0;
        foreach ($samples as $sample) {
            $mean = array_sum($sample) / count($sample);
            $squaresBetween += count($sample) * ($mean - $grand) ** 2;
            foreach ($sample as $value) {
                $squaresWithin += ($value - $mean) ** 2;
            }
        }
        if ($squaresWithin === 0.0) {
            $f = $squaresBetween === 0.0 ? 0.0 : INF;
        } else {
            $f = ($squaresBetween / $between) / ($squaresWithin / $within);
        }

        return new self($f, $between, $within, (new FDistribution($between, $within))->upperTail($f));
    }
}
