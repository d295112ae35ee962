<?php

declare(strict_types=1);

namespace App\ViewModels;

use Skivo\Core\Challenge\Tries;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Statistics\Sample;

/** What a relation explains: how far a car went, or how long it took. */
enum Outcome: string
{
    case Distance = 'distance';
    case Time = 'time';

    /** @param float|null $timedM the length over which times are taken (m) */
    public function measure(Tries $tries, ?float $timedM): ?Sample
    {
        return $this === self::Distance ? $tries->distances() : $tries->times($timedM);
    }

    public function scale(): Scale
    {
        return $this === self::Distance ? Scale::Distance : Scale::Stopwatch;
    }
}
