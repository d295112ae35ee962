<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\Sample;

/** How a car's tries become its one score: a choice on which teachers disagree. */
enum Scoring: string
{
    case Best = 'best';
    case Mean = 'mean';
    case Median = 'median';

    /** @return list<self> as a table has them, the plainest first */
    public static function inOrder(): array
    {
        return [self::Mean, self::Median, self::Best];
    }

    /** In the sample's unit. */
    public function score(Sample $sample, Goal $goal): float
    {
        return match ($this) {
            self::Best => $goal->best($sample),
            self::Mean => $sample->mean(),
            self::Median => $sample->median(),
        };
    }
}
