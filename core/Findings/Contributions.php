<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;

/** What each size of a car makes of its outcome by the run model, against the same car with the class's middle size. */
final readonly class Contributions
{
    /**
     * @param array<string, array<array-key, float>> $logs ln of the factor on the outcome, by the value of a CarAttribute and the id of the car
     * @param array<string, array<array-key, float>> $doubts standard deviation of that where nobody recorded the size, likewise
     * @param list<string> $beyond the ids of cars that the model can't compute with
     * @param array<string, array<array-key, float>> $ofParts sizes (SI) that nobody recorded of a car whose part is known by its name, likewise
     */
    public function __construct(
        public array $logs = [],
        public array $doubts = [],
        public array $beyond = [],
        public array $ofParts = [],
    ) {}

    public function log(CarAttribute $attribute, string $car): float
    {
        return $this->logs[$attribute->value][$car] ?? 0.0;
    }

    /**
     * Those in which cars differ, less what belongs to a tested one.
     *
     * @param list<CarAttribute> $less
     *
     * @return list<CarAttribute>
     */
    public function beside(array $less): array
    {
        return array_values(array_filter(
            array_map(CarAttribute::from(...), array_map(strval(...), array_keys($this->logs))),
            static fn(CarAttribute $each): bool => !in_array($each, $less, true),
        ));
    }
}
