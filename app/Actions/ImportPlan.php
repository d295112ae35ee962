<?php

declare(strict_types=1);

namespace App\Actions;

use Skivo\Core\Car\Car;
use Skivo\Core\Exchange\Problem;
use Skivo\Core\Exchange\RunRow;
use Skivo\Core\Exchange\SheetRow;

/** What a run table would add to a challenge. */
final readonly class ImportPlan
{
    /**
     * @param list<SheetRow> $newGroups the first row of each
     * @param int $completedCars cars on record of which the sheet says more than was known
     * @param array<string, string> $names of the sheet's groups, by RunTable::groupKey()
     * @param array<string, array<int, Car>> $choicesByCar by RunTable::groupKey() and version
     * @param array<string, array<int, list<RunRow>>> $runsByCar the new ones, by the same keys
     * @param list<Problem> $problems by line
     */
    public function __construct(
        public array $newGroups,
        public array $names,
        public int $newCars,
        public int $completedCars,
        public array $choicesByCar,
        public array $runsByCar,
        public int $alreadyThere,
        public array $problems,
    ) {}

    public function newRuns(): int
    {
        return array_sum(array_map(static fn(array $versions): int => array_sum(array_map(count(...), $versions)), $this->runsByCar));
    }

    public function addsNothing(): bool
    {
        return $this->newGroups === [] && $this->newCars === 0 && $this->completedCars === 0 && $this->newRuns() === 0;
    }
}
