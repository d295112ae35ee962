<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * How tries scatter, by all cars of a class together: two or three tries of one car say next to nothing about its own
 * spread. Each car's variance is moderated with the class's: s̃² = (d₀s₀² + d·s²)/(d₀ + d), by as many prior degrees of
 * freedom d₀ as the cars are alike, from the moments of ln s² (Smyth, Stat. Appl. Genet. Mol. Biol. 3:3, 2004, section 6.2).
 *
 * Distances and times scatter in proportion to their mean; then the variances are those of relative residuals.
 */
final readonly class ModeratedScatter
{
    /** A reading rounded to steps of a has the variance a²/12 (GUM 4.3.7). */
    private const ROUNDING = 12.0;

    private const MOST_STEPS = 200;

    /** So many standard errors of its estimate, cars may seem to differ in scatter and be taken as alike. */
    private const BY_CHANCE = 1.5;

    /** No car's tries are taken to scatter less than in proportion to so much of the class's typical mean. */
    private const LEAST_SCALE = 0.05;

    /**
     * @param float $priorDegrees d₀; INF where cars differ no more in scatter than chance has it
     * @param float $priorVariance s₀² of one try, of its mean where scatter is relative
     * @param float $allDegrees of all cars together: no car is known better
     */
    private function __construct(
        public float $priorDegrees,
        public float $priorVariance,
        public float $allDegrees,
        private float $resolution,
        private bool $isRelative,
        private float $leastScale,
    ) {}

    /**
     * @param array<array-key, Sample> $samples the tries of each car
     * @param float $resolution of a reading, in the samples' unit
     * @param bool $isRelative whether tries scatter in proportion to their mean
     *
     * @return self|null null where no car has two tries
     */
    public static function of(array $samples, float $resolution, bool $isRelative = true): ?self
    {
        $means = array_map(static fn(Sample $sample): float => abs($sample->mean()), $samples);
        $typical = $means === [] ? 0.0 : array_sum($means) / count($means);
        $unknown = new self(INF, 0.0, 0.0, $resolution, $isRelative, max(self::LEAST_SCALE * $typical, $resolution));
        $variances = $degrees = [];
        foreach ($samples as $sample) {
            if ($sample->n > 1) {
                $variances[] = $unknown->ownVariance($sample);
                $degrees[] = (float) ($sample->n - 1);
            }
        }
        if ($variances === [] || $degrees === []) {
            return null;
        }
        [$d0, $s0] = self::prior($variances, $degrees);

        return new self($d0, $s0, array_sum($degrees), $resolution, $isRelative, $unknown->leastScale);
    }

    /** Of one try of a car, in its unit squared. */
    public function variance(Sample $sample): float
    {
        $own = (float) ($sample->n - 1);
        $moderated = match (true) {
            is_infinite($this->priorDegrees) || $own === 0.0 => $this->priorVariance,
            default => ($this->priorDegrees * $this->priorVariance + $own * $this->ownVariance($sample)) / ($this->priorDegrees + $own),
        };

        return $moderated * $this->scale($sample) ** 2;
    }

    public function degreesOfFreedom(Sample $sample): float
    {
        return max(1.0, min($this->allDegrees, $this->priorDegrees + $sample->n - 1));
    }

    /** Of the mean of a car's tries. */
    public function standardError(Sample $sample): float
    {
        return sqrt($this->variance($sample) / $sample->n);
    }

    /** Where the mean of very many tries would lie. One try has an interval too, from its classmates. */
    public function meanInterval(Sample $sample, float $confidence = 0.95): Interval
    {
        $factor = (new StudentT($this->degreesOfFreedom($sample)))->intervalFactor($confidence);

        return Interval::around($sample->mean(), $factor * $this->standardError($sample), $confidence);
    }

    private function scale(Sample $sample): float
    {
        return $this->isRelative ? max($this->leastScale, abs($sample->mean())) : 1.0;
    }

    /** Of one try, over the mean squared where scatter is relative; with what reading in steps adds. */
    private function ownVariance(Sample $sample): float
    {
        return (($sample->standardDeviation() ?? 0.0) ** 2 + $this->resolution ** 2 / self::ROUNDING) / $this->scale($sample) ** 2;
    }

    /**
     * By how much the variance of ln s² is off among equal cars (its standard error): the logarithms of few
     * variances on one degree each say little.
     *
     * @param non-empty-list<float> $degrees of at least two
     */
    private static function chanceAlone(array $degrees): float
    {
        $n = count($degrees);
        $variance = array_sum(array_map(static fn(float $d): float => Gamma::trigamma($d / 2), $degrees)) / $n;
        $fourth = array_sum(array_map(static fn(float $d): float => Gamma::pentagamma($d / 2), $degrees)) / $n;

        return sqrt(2.0 * $variance ** 2 / ($n - 1) + $fourth / $n);
    }

    /**
     * @param non-empty-list<float> $variances
     * @param non-empty-list<float> $degrees of each
     *
     * @return array{float, float} d₀ and s₀²
     */
    private static function prior(array $variances, array $degrees): array
    {
        $n = count($variances);
        $pooled = array_sum(array_map(static fn(float $s2, float $d): float => $s2 * $d, $variances, $degrees)) / array_sum($degrees);
        $logs = array_map(static fn(float $s2, float $d): float => log($s2) - Gamma::digamma($d / 2) + log($d / 2), $variances, $degrees);
        $mean = array_sum($logs) / $n;
        $between = $n < 2 ? 0.0 : array_sum(array_map(
            static fn(float $log, float $d): float => ($log - $mean) ** 2 / ($n - 1) - Gamma::trigamma($d / 2) / $n,
            $logs,
            $degrees,
        ));
        if ($n < 2 || $between <= self::BY_CHANCE * self::chanceAlone($degrees)) {
            return [INF, $pooled];
        }
        $d0 = 2.0 * Gamma::inverseTrigamma($between);
        // The logarithms of few variances on one degree each are a poor guide to their scale: the likelihood of s²/s₀² ~ F is
        // a better one. Its slope falls in ln s₀², so the fixed point comes closer in each step.
        $s0 = $pooled;
        for ($i = 0; $i < self::MOST_STEPS; $i++) {
            $sum = array_sum(array_map(
                static fn(float $s2, float $d): float => ($d0 + $d) * $s2 * $d / ($d0 * $s0 + $d * $s2),
                $variances,
                $degrees,
            ));
            $next = $s0 * $sum / array_sum($degrees);
            if (abs($next - $s0) < 1e-10 * $s0) {
                break;
            }
            $s0 = $next;
        }

        return [$d0, $s0];
    }
}
