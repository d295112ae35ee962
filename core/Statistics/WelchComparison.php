<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Can the tries of two cars tell them apart? Welch's t with Satterthwaite's degrees of freedom
 * (Welch, Biometrika 34, 28, 1947; NIST/SEMATECH e-Handbook 1.3.5.3).
 */
final readonly class WelchComparison
{
    private function __construct(
        public Verdict $verdict,
        /** The first mean minus the second, in the samples' unit. */
        public float $difference,
        /** Null where a car has but one try. */
        public ?Interval $interval,
        public ?float $degreesOfFreedom,
        /** Probability of so large a difference between equal cars; null where a car has but one try. */
        public ?float $pValue,
    ) {}

    public static function of(Sample $first, Sample $second, float $confidence = 0.95): self
    {
        $difference = $first->mean() - $second->mean();
        $errorA = $first->standardError();
        $errorB = $second->standardError();
        if ($errorA === null || $errorB === null) {
            return new self(Verdict::NoSpreadYet, $difference, null, null, null);
        }
        $variance = $errorA ** 2 + $errorB ** 2;
        if ($variance === 0.0) {
            // All tries equal to the last digit read: the interval has no width.
            $verdict = $difference === 0.0 ? Verdict::TooCloseToCall : Verdict::ClearlyApart;

            return new self($verdict, $difference, new Interval($difference, $difference, $confidence), null, null);
        }
        $degrees = $variance ** 2 / ($errorA ** 4 / ($first->n - 1) + $errorB ** 4 / ($second->n - 1));
        $t = new StudentT($degrees);
        $interval = Interval::around($difference, $t->intervalFactor($confidence) * sqrt($variance), $confidence);

        return new self(
            $interval->contains(0.0) ? Verdict::TooCloseToCall : Verdict::ClearlyApart,
            $difference,
            $interval,
            $degrees,
            $t->bothTails($difference / sqrt($variance)),
        );
    }
}
