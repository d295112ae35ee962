<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Car\Car;

/** One row of a run table: a group's car, and a run of it unless the car has not run yet. */
final readonly class SheetRow
{
    /**
     * @param int $line in the file, from 1; 0 for a row about to be written
     * @param string|null $mark as in Challenge\Mark
     * @param int $version of the car, from 1
     */
    public function __construct(
        public int $line,
        public string $group,
        public ?string $mark,
        public int $version,
        public Car $car,
        public ?RunRow $run,
    ) {}
}
