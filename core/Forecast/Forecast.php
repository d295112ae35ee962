<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Statistics\Interval;

/** How far one more try of a car will go. */
final readonly class Forecast
{
    /**
     * @param float $noStart chance that it does not start
     * @param float $medianM of all tries, those that do not start as 0
     * @param Interval $band50 with half of the tries, likewise
     * @param Interval $band95 with 95 % of them
     * @param float $friction f, the middle of what is likely
     * @param float $pressure of the emptying balloon over what the settings have, likewise
     */
    public function __construct(
        public float $noStart,
        public float $medianM,
        public Interval $band50,
        public Interval $band95,
        public float $friction,
        public float $pressure,
    ) {}
}
