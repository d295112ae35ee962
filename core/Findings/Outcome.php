<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Statistics\Sample;

/** What a class may ask about: how far a car goes, how long it takes over the timed length, how straight it runs. */
enum Outcome: string
{
    case Distance = 'distance';
    case Time = 'time';
    case Straightness = 'straightness';

    /** @param float|null $timedM the length over which times are taken (m) */
    public function measure(Tries $tries, ?float $timedM): ?Sample
    {
        return (new Award($this->goal(), $this === self::Time ? $timedM : null))->measure($tries);
    }

    /** The goal that it serves. */
    public function goal(): Goal
    {
        return match ($this) {
            self::Distance => Goal::Farthest,
            self::Time => Goal::Fastest,
            self::Straightness => Goal::Straightest,
        };
    }

    public function scale(): Scale
    {
        return $this->goal()->scale();
    }
}
