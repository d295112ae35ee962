<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Statistics\Interval;

/** What a class's hands and balloons are like. */
final readonly class Hands
{
    /**
     * @param float $workmanship w of a usual car: what its rolling coefficient has beyond its parts'
     * @param Interval $workmanshipInterval of that, at 95 %
     * @param float $pressure of a usual balloon as it empties, over the model's
     * @param Interval $pressureInterval of that, at 95 %
     */
    public function __construct(
        public float $workmanship,
        public Interval $workmanshipInterval,
        public float $pressure,
        public Interval $pressureInterval,
    ) {}
}
