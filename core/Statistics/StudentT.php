<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Student's t distribution: how far the mean of a few tries may stray from the truth.
 *
 * P(|T| > t) = I_x(ν/2, 1/2) with x = ν/(ν + t²) (Abramowitz & Stegun 26.7.1 and 26.5.27).
 */
final readonly class StudentT
{
    /**
     * @param float $degreesOfFreedom ν, above 0; need not be whole (Satterthwaite's are not)
     *
     * @throws \DomainException
     */
    public function __construct(public float $degreesOfFreedom)
    {
        if (!($degreesOfFreedom > 0.0) || is_infinite($degreesOfFreedom)) {
            throw new \DomainException('Degrees of freedom must be above zero.');
        }
    }

    /** The probability of a value beyond t on either side. */
    public function bothTails(float $t): float
    {
        $square = $t * $t;
        if (is_infinite($square)) {
            return 0.0;
        }
        $sum = $this->degreesOfFreedom + $square;

        return RegularizedBeta::of($this->degreesOfFreedom / $sum, $square / $sum, $this->degreesOfFreedom / 2, 0.5);
    }

    /** The probability density at t. */
    public function density(float $t): float
    {
        $nu = $this->degreesOfFreedom;

        return exp(-($nu + 1.0) / 2 * log1p($t * $t / $nu) - Gamma::logBeta(0.5, $nu / 2)) / sqrt($nu);
    }

    /** The probability of a value up to t. */
    public function cumulative(float $t): float
    {
        $tail = $this->bothTails($t) / 2;

        return $t > 0.0 ? 1.0 - $tail : $tail;
    }

    /**
     * The value below which the probability lies.
     *
     * @param float $probability strictly between 0 and 1
     *
     * @throws \DomainException
     */
    public function quantile(float $probability): float
    {
        if (!($probability > 0.0 && $probability < 1.0)) {
            throw new \DomainException('A quantile needs a probability between 0 and 1.');
        }
        if ($probability === 0.5) {
            return 0.0;
        }
        $both = 2.0 * min($probability, 1.0 - $probability);
        $t = Quantile::ofFallingTail($this->bothTails(...), fn(float $t): float => 2.0 * $this->density($t), $both);

        return $probability > 0.5 ? $t : -$t;
    }

    /** The factor on a standard error that gives a two-sided interval of the given confidence. */
    public function intervalFactor(float $confidence = 0.95): float
    {
        /** @var array<string, float> $known A page asks for the same few many times. */
        static $known = [];

        return $known["{$this->degreesOfFreedom} {$confidence}"] ??= $this->quantile(0.5 + $confidence / 2);
    }
}
