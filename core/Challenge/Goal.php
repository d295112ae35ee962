<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Quantity\Scale;
use Skivo\Core\Trials\Sample;
use Skivo\Core\Trials\Tries;

/** What the class is after. */
enum Goal: string
{
    case Farthest = 'farthest';
    case Fastest = 'fastest';

    /** The measure that the goal looks at (m or s), or null where no counted try has it yet. */
    public function measure(Tries $tries): ?Sample
    {
        return match ($this) {
            self::Farthest => $tries->distances(),
            self::Fastest => $tries->times(),
        };
    }

    public function best(Sample $sample): float
    {
        return $this === self::Farthest ? $sample->greatest() : $sample->least();
    }

    public function moreIsBetter(): bool
    {
        return $this === self::Farthest;
    }

    public function scale(): Scale
    {
        return $this === self::Farthest ? Scale::Distance : Scale::Stopwatch;
    }
}
