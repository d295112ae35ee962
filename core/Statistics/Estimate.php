<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * A measured value and how sure it is, by the Guide to the Expression of Uncertainty in Measurement
 * (JCGM 100:2008), first order.
 */
final readonly class Estimate
{
    /** Degrees of freedom beyond which t and normal agree to six digits. */
    private const AS_GOOD_AS_NORMAL = 1e6;

    /**
     * @param float $value in the unit of what was measured
     * @param float $standardUncertainty u, in the same unit, at least 0
     * @param float $degreesOfFreedom ν of u; infinite where it rests on reading errors alone
     *
     * @throws \DomainException for a negative or unheard-of uncertainty
     */
    public function __construct(
        public float $value,
        public float $standardUncertainty,
        public float $degreesOfFreedom = INF,
    ) {
        if (!($standardUncertainty >= 0.0) || !is_finite($standardUncertainty) || !is_finite($value)) {
            throw new \DomainException('An estimate needs a value and an uncertainty of at least zero.');
        }
    }

    /**
     * The mean of repeats whose scatter is known from many more of their kind: u² = (s·x̄)²/n + u_r², with Welch and
     * Satterthwaite's degrees of freedom (GUM 4.2, 5.1, G.4).
     *
     * @param non-empty-list<float> $values
     * @param float $relative s: standard deviation of one repeat over what it shows
     * @param float $degrees of freedom of that
     * @param float $readingUncertainty u_r: what reading and scale may be off by, the same in every repeat
     */
    public static function ofRepeats(array $values, float $relative, float $degrees, float $readingUncertainty): self
    {
        $mean = array_sum($values) / count($values);
        $scatter = $relative * abs($mean) / sqrt(count($values));
        $u = hypot($scatter, $readingUncertainty);

        return new self($mean, $u, $scatter > 0.0 ? $degrees * ($u / $scatter) ** 4 : INF);
    }

    /**
     * Several tests of one thing as one value: the mean weighted by 1/u², its uncertainty widened by Birge's ratio
     * where the tests disagree by more than theirs (Birge, Phys. Rev. 40, 207, 1932).
     *
     * @param non-empty-list<self> $estimates each with an uncertainty above zero
     */
    public static function weighted(array $estimates): self
    {
        if (count($estimates) === 1) {
            return $estimates[0];
        }
        $weights = array_map(static fn(self $each): float => 1.0 / $each->standardUncertainty ** 2, $estimates);
        $sum = array_sum($weights);
        $mean = array_sum(array_map(static fn(self $each, float $weight): float => $weight * $each->value, $estimates, $weights)) / $sum;
        $birge = array_sum(
            array_map(static fn(self $each, float $weight): float => $weight * ($each->value - $mean) ** 2, $estimates, $weights),
        ) / (count($estimates) - 1);
        // ν by Welch and Satterthwaite: each test gives 1/(w·Σw)… of u², with its own freedom.
        $freedom = array_sum(
            array_map(static fn(self $each, float $weight): float => ($weight / $sum) ** 2 / $each->degreesOfFreedom, $estimates, $weights),
        );

        return new self($mean, sqrt(max(1.0, $birge) / $sum), $freedom > 0.0 ? 1.0 / $freedom : INF);
    }

    public function interval(float $confidence = 0.95): Interval
    {
        $factor = (new StudentT(min($this->degreesOfFreedom, self::AS_GOOD_AS_NORMAL)))->intervalFactor($confidence);

        return Interval::around($this->value, $factor * $this->standardUncertainty, $confidence);
    }

    /** The same, times a number that is known exactly. */
    public function times(float $factor): self
    {
        return new self($this->value * $factor, abs($factor) * $this->standardUncertainty, $this->degreesOfFreedom);
    }
}
