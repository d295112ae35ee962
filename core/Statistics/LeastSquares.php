<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * The straight line y = a + b·x with the least squared misses, and how sure it is
 * (NIST/SEMATECH e-Handbook 4.1.4.1; Draper & Smith, Applied Regression Analysis, chapter 1).
 */
final readonly class LeastSquares
{
    private function __construct(
        public int $n,
        public float $slope,
        public float $intercept,
        /** Residual standard deviation with n − 2 degrees of freedom; null for n = 2. */
        public ?float $residualDeviation,
        public float $rSquared,
        private float $meanX,
        private float $sumSquaresX,
    ) {}

    /**
     * @param list<float> $x
     * @param list<float> $y as many as x
     *
     * @return self|null null for fewer than two points or where all x are equal
     *
     * @throws \DomainException where the lists differ in length
     */
    public static function fit(array $x, array $y): ?self
    {
        $n = count($x);
        if ($n !== count($y)) {
            throw new \DomainException('A line needs as many y as x.');
        }
        if ($n < 2 || min($x) === max($x)) {
            return null;
        }
        $meanX = array_sum($x) / $n;
        $meanY = array_sum($y) / $n;
        $sxx = $sxy = $syy = 0.0;
        foreach ($x as $i => $xi) {
            $sxx += ($xi - $meanX) ** 2;
            $sxy += ($xi - $meanX) * ($y[$i] - $meanY);
            $syy += ($y[$i] - $meanY) ** 2;
        }
        $slope = $sxy / $sxx;
        $intercept = $meanY - $slope * $meanX;
        $squares = 0.0;
        foreach ($x as $i => $xi) {
            $squares += ($y[$i] - $meanY - $slope * ($xi - $meanX)) ** 2;
        }

        return new self(
            $n,
            $slope,
            $intercept,
            $n > 2 ? sqrt($squares / ($n - 2)) : null,
            $syy === 0.0 ? 1.0 : 1.0 - $squares / $syy,
            $meanX,
            $sxx,
        );
    }

    public function at(float $x): float
    {
        return $this->intercept + $this->slope * $x;
    }

    public function slopeError(): ?float
    {
        return $this->residualDeviation === null ? null : $this->residualDeviation / sqrt($this->sumSquaresX);
    }

    /** Null where two points fix the line and leave nothing to judge it by. */
    public function slopeInterval(float $confidence = 0.95): ?Interval
    {
        $error = $this->slopeError();

        return $error === null ? null : Interval::around($this->slope, $this->factor($confidence) * $error, $confidence);
    }

    /** Where the line itself may lie at x. */
    public function lineInterval(float $x, float $confidence = 0.95): ?Interval
    {
        return $this->band($x, 0.0, $confidence);
    }

    /** Where one more car with this x may lie. */
    public function predictionInterval(float $x, float $confidence = 0.95): ?Interval
    {
        return $this->band($x, 1.0, $confidence);
    }

    private function band(float $x, float $ofTheCarItself, float $confidence): ?Interval
    {
        if ($this->residualDeviation === null) {
            return null;
        }
        $error = $this->residualDeviation
            * sqrt($ofTheCarItself + 1.0 / $this->n + ($x - $this->meanX) ** 2 / $this->sumSquaresX);

        return Interval::around($this->at($x), $this->factor($confidence) * $error, $confidence);
    }

    private function factor(float $confidence): float
    {
        return (new StudentT($this->n - 2))->intervalFactor($confidence);
    }
}
