<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * The counted tries of one car, as one measure (metres, or seconds): what they show and how sure it is.
 *
 * Mean, sample standard deviation and the t interval of the mean as in NIST/SEMATECH e-Handbook 1.3.5.2.
 */
final readonly class Sample
{
    public int $n;

    /** @var non-empty-list<float> in the order of the tries */
    public array $values;

    /**
     * @param list<float> $values at least one
     *
     * @throws \DomainException where there is none
     */
    public function __construct(array $values)
    {
        if ($values === []) {
            throw new \DomainException('A sample needs at least one value.');
        }
        $this->values = $values;
        $this->n = count($values);
    }

    /**
     * Of ratios, which go by factors rather than by differences.
     *
     * @param non-empty-list<float> $ratios above 0
     */
    public static function geometricMean(array $ratios): float
    {
        return exp(array_sum(array_map(log(...), $ratios)) / count($ratios));
    }

    public function mean(): float
    {
        return array_sum($this->values) / $this->n;
    }

    /** The middle value; the mean of the two middle ones where n is even. */
    public function median(): float
    {
        $sorted = $this->values;
        sort($sorted);
        $middle = intdiv($this->n, 2);

        return $this->n % 2 === 1 ? $sorted[$middle] : ($sorted[$middle - 1] + $sorted[$middle]) / 2;
    }

    public function least(): float
    {
        return min($this->values);
    }

    public function greatest(): float
    {
        return max($this->values);
    }

    /** Greatest minus least. */
    public function range(): float
    {
        return $this->greatest() - $this->least();
    }

    /** s with n − 1; null for one value, which has no spread. */
    public function standardDeviation(): ?float
    {
        if ($this->n < 2) {
            return null;
        }
        $mean = $this->mean();
        $squares = 0.0;
        foreach ($this->values as $value) {
            $squares += ($value - $mean) ** 2;
        }

        return sqrt($squares / ($this->n - 1));
    }

    /** s/√n; null for one value. */
    public function standardError(): ?float
    {
        $deviation = $this->standardDeviation();

        return $deviation === null ? null : $deviation / sqrt($this->n);
    }

    /** The t interval of the mean; null for one value. */
    public function meanInterval(float $confidence = 0.95): ?Interval
    {
        $error = $this->standardError();
        if ($error === null) {
            return null;
        }

        return Interval::around($this->mean(), (new StudentT($this->n - 1))->intervalFactor($confidence) * $error, $confidence);
    }
}
