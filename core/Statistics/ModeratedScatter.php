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

    /** How unequally cars may well scatter: the standard deviation of ln s from car to car, half normal to begin with. */
    private const UNEQUAL = [0.02, 0.2, 0.4, 0.65, 1.0];
    private const USUALLY_UNEQUAL = 0.6;

    /**
     * @param float $priorDegrees d₀; INF where cars differ no more in scatter than chance has it
     * @param float $priorVariance s₀² of one try, of its mean where scatter is relative
     * @param float $allDegrees of all cars together: no car is known better
     * @param array<array-key, float> $variances of one try, by car, each from its own tries
     * @param array<array-key, float> $degrees of freedom of each
     */
    private function __construct(
        public float $priorDegrees,
        public float $priorVariance,
        public float $allDegrees,
        private float $resolution,
        private bool $isRelative,
        private float $leastScale,
        private array $variances = [],
        private array $degrees = [],
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

        return new self($d0, $s0, array_sum($degrees), $resolution, $isRelative, $unknown->leastScale, $variances, $degrees);
    }

    /**
     * As unequally as the cars may well scatter, each with its chance: two or three tries of each can't show that they do, so
     * what hangs on the two cars that lie farthest apart must not rest on one guess of it.
     *
     * @return list<array{float, self}> chances, summing to 1, with the scatter that goes along
     */
    public function alternatives(): array
    {
        $likely = $scatters = [];
        foreach (self::UNEQUAL as $i => $spread) {
            $d0 = 2.0 * Gamma::inverseTrigamma(4.0 * $spread ** 2);
            $s0 = self::scaleOf($d0, $this->variances, $this->degrees);
            $width = (self::UNEQUAL[$i + 1] ?? 1.4) - (self::UNEQUAL[$i - 1] ?? -0.02);
            $likely[] = log($width) - 0.5 * ($spread / self::USUALLY_UNEQUAL) ** 2
                + self::logLikelihood($d0, $s0, $this->variances, $this->degrees);
            $scatters[] = new self($d0, $s0, $this->allDegrees, $this->resolution, $this->isRelative, $this->leastScale);
        }
        $chances = array_map(static fn(float $log): float => exp($log - max($likely)), $likely);

        return array_map(
            static fn(float $chance, self $scatter): array => [$chance / array_sum($chances), $scatter],
            $chances,
            $scatters,
        );
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

        return [$d0, self::scaleOf($d0, $variances, $degrees)];
    }

    /**
     * The likeliest s₀² given d₀, by s²/s₀² ~ F: the logarithms of few variances on one degree each are a poor guide to it. The
     * slope falls in ln s₀², so the fixed point comes closer in each step.
     *
     * @param array<array-key, float> $variances
     * @param array<array-key, float> $degrees of each
     */
    private static function scaleOf(float $d0, array $variances, array $degrees): float
    {
        $all = array_sum($degrees);
        $s0 = array_sum(array_map(static fn(float $s2, float $d): float => $s2 * $d, $variances, $degrees)) / $all;
        for ($i = 0; $i < self::MOST_STEPS; $i++) {
            $sum = array_sum(array_map(
                static fn(float $s2, float $d): float => ($d0 + $d) * $s2 * $d / ($d0 * $s0 + $d * $s2),
                $variances,
                $degrees,
            ));
            $next = $s0 * $sum / $all;
            if (abs($next - $s0) < 1e-7 * $s0) {
                break;
            }
            $s0 = $next;
        }

        return $s0;
    }

    /**
     * Of s² ~ s₀² F(d, d₀), but for what depends on neither d₀ nor s₀².
     *
     * @param array<array-key, float> $variances
     * @param array<array-key, float> $degrees of each
     */
    private static function logLikelihood(float $d0, float $s0, array $variances, array $degrees): float
    {
        return array_sum(array_map(
            static fn(float $s2, float $d): float => Gamma::logGamma(($d0 + $d) / 2) - Gamma::logGamma($d0 / 2)
                + $d / 2 * log($d * $s2 / ($d0 * $s0)) - ($d0 + $d) / 2 * log1p($d * $s2 / ($d0 * $s0)),
            $variances,
            $degrees,
        ));
    }
}
