<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\Sample;

/**
 * What is on record of a car for an award: its tries by the rule, each as it was logged. Where a try passed the end of the lane
 * only a bound may be known; how far that went most likely is an estimate, by the class's own scatter, and stands elsewhere.
 */
final readonly class Reach
{
    /** Farther than any lane (m): what a run past the end might have gone. */
    private const FAR_M = 1e4;

    /** @param bool $isBound whether it would be another figure had the lane been longer */
    private function __construct(
        public float $value,
        public bool $isBound,
    ) {}

    /** Null where no counted try has what the award asks for. */
    public static function of(Award $award, Tries $tries, Scoring $scoring): ?self
    {
        $logged = $award->measure($tries->asLogged());
        if ($logged === null) {
            return null;
        }
        $value = $scoring->score($logged, $award->goal);
        $far = $tries->passedTheEnd() ? $award->measure($tries->asLogged(self::FAR_M)) : null;

        return new self($value, $far instanceof Sample && abs($scoring->score($far, $award->goal) - $value) > 1e-9);
    }
}
