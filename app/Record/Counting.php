<?php

declare(strict_types=1);

namespace App\Record;

use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;

/** Which tries the findings rest on. Awards always go by the rule. */
enum Counting: string
{
    /** Those that count by the rule of the challenge. */
    case Rule = 'rule';
    /** Void ones that were measured, too. */
    case WithVoid = 'void';
    /** Those that count, less those that are named as outliers. */
    case WithoutOutliers = 'outliers';

    /**
     * Distances of a car's tries; null where there is none.
     *
     * @param list<Outlier> $odd among those that count
     */
    public function distances(Tries $tries, array $odd): ?Sample
    {
        $values = $tries->distances()->values ?? [];
        if ($this === self::WithVoid) {
            $values = [
                ...$values, ...array_filter(
                    array_map(static fn(Run $run): ?float => $run->distanceM, $tries->void),
                    static fn(?float $value): bool => $value !== null,
                ),
            ];
        }
        if ($this === self::WithoutOutliers) {
            $values = array_diff_key($values, array_flip(array_map(static fn(Outlier $outlier): int => $outlier->index, $odd)));
        }

        return $values === [] ? null : new Sample(array_values($values));
    }
}
