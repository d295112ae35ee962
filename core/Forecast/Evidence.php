<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Statistics\Estimate;

/** What is known of one version of a car: what its parts make of it, what a bench measured, and how its tries went. */
final readonly class Evidence
{
    /**
     * @param string $id names the car to whoever asks
     * @param DistanceTable $table of its design
     * @param Estimate|null $friction f as measured; null where it was not
     * @param Estimate|null $pressure over what the settings have, as measured; null where it was not
     * @param list<float> $distancesM of its tries
     * @param list<float> $atLeastM of tries that passed the end of the lane
     * @param int $noStarts tries in which it did not start
     * @param float $scatter of one try over how far the car goes (standard deviation)
     * @param float $shift of ln w, by the checks that it failed
     */
    public function __construct(
        public string $id,
        public DistanceTable $table,
        public ?Estimate $friction = null,
        public ?Estimate $pressure = null,
        public array $distancesM = [],
        public array $atLeastM = [],
        public int $noStarts = 0,
        public float $scatter = 0.08,
        public float $shift = 0.0,
    ) {}

    /** The same before its first try. */
    public function beforeRuns(): self
    {
        return new self($this->id, $this->table, $this->friction, $this->pressure, scatter: $this->scatter, shift: $this->shift);
    }

    /** Whether it says anything of workmanship that the parts do not. */
    public function saysMore(): bool
    {
        return $this->friction !== null || $this->distancesM !== [] || $this->atLeastM !== [] || $this->noStarts > 0;
    }
}
