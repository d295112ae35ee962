<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Kit;

/**
 * What cannot work on a car, from its recorded measures and geometry. A fault is only found where the measures
 * that it rests on were recorded: nothing is held against a car for what the parts list assumes.
 */
final readonly class Faults
{
    public Layout $layout;

    private Measures $measures;

    public function __construct(
        private Car $car,
        Catalogue $catalogue,
        Kit $kit = new Kit(),
    ) {
        $this->measures = new Measures($car, $catalogue, $kit);
        $this->layout = $this->measures->layout;
    }

    /** @return list<Fault> */
    public function all(): array
    {
        return [
            ...(new RunningFaults($this->measures))->all(), ...(new BodyFaults($this->measures))->all(),
            ...($this->car->source()?->winds() === true ? (new BandFaults($this->measures))->all() : []),
        ];
    }
}
