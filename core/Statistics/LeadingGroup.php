<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * How many of some means, best first, hold together with the first: their range is no wider than chance has it.
 *
 * From all of them downwards: where the studentized range of the first p is too wide, the last of them is clearly behind,
 * and the rest are tried, until a set holds. Errors are Kramer's, for means of unequal certainty (Biometrics 12, 307, 1956).
 * How unequally cars scatter is averaged over, by how likely each degree of it is (ModeratedScatter). In at most one class of
 * twenty anybody is called behind who is as good as the best, whoever else is bad; in one of fourteen where tries of some cars
 * scatter twice as much as those of others.
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
        $alternatives = $scatter->alternatives();
        for ($size = count($ordered); $size > 1; $size--) {
            [$first, $last] = [$ordered[0], $ordered[$size - 1]];
            $behind = ($first->mean() - $last->mean()) * ($moreIsBetter ? 1.0 : -1.0);
            if ($behind <= 0.0) {
                return $size;
            }
            $ranges = array_map(static function (array $alternative) use ($first, $last, $behind): array {
                [$chance, $of] = $alternative;
                $error = sqrt(($of->standardError($first) ** 2 + $of->standardError($last) ** 2) / 2);

                return [$chance, $behind / $error, min($of->degreesOfFreedom($first), $of->degreesOfFreedom($last))];
            }, $alternatives);
            if (!self::areTooWide($ranges, $size, $significance)) {
                return $size;
            }
        }

        return 1;
    }

    /** @param list<array{float, float, float}> $ranges chance, studentized range, degrees of freedom */
    private static function areTooWide(array $ranges, int $means, float $significance): bool
    {
        // These two alone, and any two of them apart by Bonferroni: the range's own chance lies between.
        $least = $most = [];
        foreach ($ranges as [$chance, $range, $degrees]) {
            $pair = (new StudentT($degrees))->bothTails($range / M_SQRT2);
            $least[] = $chance * $pair;
            $most[] = $chance * min(1.0, $pair * $means * ($means - 1) / 2);
        }
        // It is worked out where it makes a difference, the greatest doubt first.
        while (array_sum($least) < $significance && array_sum($most) >= $significance) {
            $doubts = array_map(static fn(float $low, float $high): float => $high - $low, $least, $most);
            arsort($doubts);
            $i = (int) array_key_first($doubts);
            [$chance, $range, $degrees] = $ranges[$i];
            $least[$i] = $most[$i] = $chance * (new StudentizedRange($means, $degrees))->upperTail($range);
        }

        return array_sum($most) < $significance;
    }
}
