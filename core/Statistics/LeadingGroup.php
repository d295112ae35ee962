<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * How many of some means, best first, hold together with the first: their range is no wider than chance has it.
 *
 * From all of them downwards: where the studentized range of the first p is too wide, the last of them is clearly behind,
 * and the rest are tried, until a set holds. Errors are Kramer's, for means of unequal certainty (Biometrics 12, 307, 1956).
 * In at most one class of twenty anybody is called behind who is as good as the best, whoever else is bad.
 */
final readonly class LeadingGroup
{
    /**
     * @param list<Sample> $ordered best first
     *
     * @return int at least 1, for any
     */
    public static function size(array $ordered, ModeratedScatter $scatter, bool $moreIsBetter, float $significance = 0.05): int
    {
        for ($size = count($ordered); $size > 1; $size--) {
            [$first, $last] = [$ordered[0], $ordered[$size - 1]];
            $behind = ($first->mean() - $last->mean()) * ($moreIsBetter ? 1.0 : -1.0);
            $error = sqrt(($scatter->standardError($first) ** 2 + $scatter->standardError($last) ** 2) / 2);
            $degrees = min($scatter->degreesOfFreedom($first), $scatter->degreesOfFreedom($last));
            if ($behind <= 0.0 || !self::isTooWide($behind / $error, $size, $degrees, $significance)) {
                return $size;
            }
        }

        return 1;
    }

    private static function isTooWide(float $range, int $means, float $degrees, float $significance): bool
    {
        // Any two of them apart, by Bonferroni, and these two alone: the range's own chance lies between.
        $pair = (new StudentT($degrees))->bothTails($range / M_SQRT2);
        if ($means === 2 || $pair >= $significance) {
            return $pair < $significance;
        }

        return $pair * $means * ($means - 1) / 2 < $significance
            || (new StudentizedRange($means, $degrees))->upperTail($range) < $significance;
    }
}
