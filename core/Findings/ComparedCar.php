<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Car;
use Skivo\Core\Statistics\Sample;

/** One version of a car with what it chose and what came of it. */
final readonly class ComparedCar
{
    /**
     * @param string $id names it to whoever asks
     * @param string $group whose car it is
     * @param Sample $sample of the distances of its counted tries (m)
     * @param array<string, Sample> $others of its other outcomes, by the value of an Outcome
     */
    public function __construct(
        public string $id,
        public string $group,
        public int $version,
        public Car $choices,
        public Sample $sample,
        public array $others = [],
        /** Whether all of its counted tries passed the end of the lane: it goes at least as far. */
        public bool $isPastEnd = false,
    ) {}

    /** What its counted tries show of an outcome; null where none has it. */
    public function of(Outcome $outcome): ?Sample
    {
        return $outcome === Outcome::Distance ? $this->sample : $this->others[$outcome->value] ?? null;
    }

    /**
     * One car of each group, the newest that ran: versions share their group's faults and are no witnesses of their own.
     *
     * @param list<self> $cars
     *
     * @return list<self>
     */
    public static function newest(array $cars): array
    {
        $newest = [];
        foreach ($cars as $car) {
            if (!isset($newest[$car->group]) || $newest[$car->group]->version < $car->version) {
                $newest[$car->group] = $car;
            }
        }

        return array_values($newest);
    }
}
