<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Fisher's F distribution, by which an analysis of variance is judged.
 *
 * P(F > f) = I_x(ν₂/2, ν₁/2) with x = ν₂/(ν₂ + ν₁ f) (Abramowitz & Stegun 26.6.2).
 */
final readonly class FDistribution
{
    /**
     * @param float $numerator ν₁, degrees of freedom between, above 0
     * @param float $denominator ν₂, degrees of freedom within, above 0
     *
     * @throws \DomainException
     */
    public function __construct(public float $numerator, public float $denominator)
    {
        if (!($numerator > 0.0 && $denominator > 0.0)) {
            throw new \DomainException('Degrees of freedom must be above zero.');
        }
    }

    /** The probability of a value above f. */
    public function upperTail(float $f): float
    {
        if ($f <= 0.0) {
            return 1.0;
        }
        if (is_infinite($f)) {
            return 0.0;
        }
        $scaled = $this->numerator * $f;
        $sum = $this->denominator + $scaled;

        return RegularizedBeta::of($this->denominator / $sum, $scaled / $sum, $this->denominator / 2, $this->numerator / 2);
    }

    /** The probability density at f > 0. */
    public function density(float $f): float
    {
        [$a, $b] = [$this->numerator / 2, $this->denominator / 2];
        $ratio = $this->numerator / $this->denominator;

        return exp($a * log($ratio) + ($a - 1.0) * log($f) - ($a + $b) * log1p($ratio * $f) - Gamma::logBeta($a, $b));
    }

    /** The probability of a value up to f. */
    public function cumulative(float $f): float
    {
        if ($f <= 0.0) {
            return 0.0;
        }
        $scaled = $this->numerator * $f;
        $sum = $this->denominator + $scaled;

        return RegularizedBeta::of($scaled / $sum, $this->denominator / $sum, $this->numerator / 2, $this->denominator / 2);
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
        if ($probability >= 0.5) {
            return Quantile::ofFallingTail($this->upperTail(...), $this->density(...), 1.0 - $probability);
        }
        $mirrored = new self($this->denominator, $this->numerator);

        return 1.0 / Quantile::ofFallingTail($mirrored->upperTail(...), $mirrored->density(...), $probability);
    }
}
