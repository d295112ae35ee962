<?php

declare(strict_types=1);

namespace Skivo\Core\Statistics;

/**
 * Which of several claims hold when all of them together may be wrong in one case of twenty at most: the smallest p-value is
 * tried at the level over their number, the next at the level over one less, and so on until one fails (Holm, Scand. J.
 * Statist. 6, 65, 1979).
 */
final readonly class Holm
{
    /**
     * @param array<string, float> $pValues of every claim that could be made
     *
     * @return array<string, bool> likewise
     */
    public static function holds(array $pValues, float $level = 0.05): array
    {
        asort($pValues);
        $left = count($pValues);
        $holds = [];
        $all = true;
        foreach ($pValues as $claim => $p) {
            $all = $all && $p <= $level / $left--;
            $holds[$claim] = $all;
        }

        return $holds;
    }
}
