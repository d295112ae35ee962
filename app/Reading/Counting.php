<?php

declare(strict_types=1);

namespace App\Reading;

use Skivo\Core\Trials\Grubbs;
use Skivo\Core\Trials\Run;
use Skivo\Core\Trials\Sample;
use Skivo\Core\Trials\Tries;

/** Which tries the findings rest on. Awards always go by the rule. */
enum Counting: string
{
    /** Those that count by the rule of the challenge. */
    case Rule = 'rule';
    /** Void ones that were measured, too. */
    case WithVoid = 'void';
    /** Those that count, less what Grubbs' test calls an outlier. */
    case WithoutOutliers = 'outliers';

    public function label(): string
    {
        return match ($this) {
            self::Rule => 'counted tries',
            self::WithVoid => 'with void',
            self::WithoutOutliers => 'no outliers',
        };
    }

    /** Distances of a car's tries; null where there is none. */
    public function distances(Tries $tries): ?Sample
    {
        if ($this === self::WithVoid) {
            $values = array_values(array_filter(array_map(static fn(Run $run): ?float => $run->distanceM, [...$tries->counted, ...$tries->void]), static fn(?float $value): bool => $value !== null));

            return $values === [] ? null : new Sample($values);
        }
        $sample = $tries->distances();
        $odd = $this === self::WithoutOutliers && $sample !== null ? Grubbs::of($sample) : null;
        if ($sample === null || $odd?->isOutlier() !== true) {
            return $sample;
        }
        $kept = $sample->values;
        array_splice($kept, $odd->index, 1);

        return new Sample($kept);
    }
}
