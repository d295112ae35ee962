<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Car;
use App\Models\Group;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Challenge\Tries;

/** One group of a class, with the car it stands by. */
final readonly class ClassLine
{
    /**
     * @param Car|null $car the newest version with a counted try, else the newest; null before one is recorded
     * @param Tries $tries of that car
     * @param list<Car> $otherCars the group's other versions
     */
    public function __construct(
        public Group $group,
        public ?Car $car,
        public Tries $tries,
        public array $otherCars,
        public Standing $standing,
    ) {}

    /** @return list<Run> */
    public function allRuns(): array
    {
        return [...$this->tries->counted, ...$this->tries->extra, ...$this->tries->void, ...$this->tries->asides()];
    }
}
