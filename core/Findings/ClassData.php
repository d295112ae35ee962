<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Leeway;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Forecast\CheckShifts;
use Skivo\Core\Simulation\PumpCurve;

/** Everything that findings rest on: what a class asked, by which rule it counts, and what is on record of its cars. */
final readonly class ClassData
{
    /**
     * @param list<RecordedCar> $cars every version, in the order of the groups and of their versions
     * @param string|null $surface on which they run, where a car has none of its own
     * @param float|null $temperatureC of the air; the usual one where it was not noted
     * @param PumpCurve|null $pump as the class measured it
     * @param float|null $timedLengthM over which times are taken
     * @param Leeway $leeway what groups that are in may change on their cars
     * @param int $seed of what is drawn by chance
     * @param CheckShifts $shifts of cars that failed checks, as other classes have them
     */
    public function __construct(
        public array $cars,
        public ?Question $question = null,
        public Award $award = new Award(Goal::Farthest),
        public Scoring $scoring = Scoring::Mean,
        public Catalogue $catalogue = new Catalogue([]),
        public ?string $surface = null,
        public ?float $temperatureC = null,
        public ?PumpCurve $pump = null,
        public ?float $timedLengthM = null,
        public Leeway $leeway = new Leeway(),
        public int $seed = 1,
        public CheckShifts $shifts = new CheckShifts(),
    ) {}

    /** The same class, each part by one name however it was spelt. */
    public function inOneSpelling(): self
    {
        $spellings = Spellings::of(array_map(static fn(RecordedCar $car): Car => $car->choices, $this->cars), $this->catalogue);

        return new self(
            array_map(static fn(RecordedCar $car): RecordedCar => $car->called($spellings->in($car->choices)), $this->cars),
            $this->question?->called($spellings),
            $this->award,
            $this->scoring,
            $this->catalogue,
            $this->surface,
            $this->temperatureC,
            $this->pump,
            $this->timedLengthM,
            $this->leeway,
            $this->seed,
            $this->shifts,
        );
    }
}
