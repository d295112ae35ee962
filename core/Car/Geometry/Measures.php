<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Physics\Hollow;

/** What is on record of a car, and where that puts things: what its faults are found by. */
final readonly class Measures
{
    public Layout $layout;

    /** Whether the parts list knows the kind of the car's wheels. */
    private bool $isListed;

    public function __construct(
        public Car $car,
        Catalogue $catalogue,
        Kit $kit = new Kit(),
    ) {
        $this->layout = Layout::of($car, $catalogue, $kit);
        $this->isListed = $catalogue->named(PartKind::Wheel, $car->kind(CarAttribute::WheelKind)) !== null;
    }

    public function knows(CarAttribute ...$choices): bool
    {
        return array_filter($choices, fn(CarAttribute $choice): bool => $this->car->number($choice) === null) === [];
    }

    /** How thick a wheel is at its hub (m), as recorded or as its kind has it; null where neither says. */
    public function hub(): ?float
    {
        return $this->car->number(CarAttribute::WheelHub) !== null || $this->isListed ? $this->layout->wheels->hubThickness : null;
    }

    /** By how much the rim of a wheel whose hollow faces the car reaches in beyond its hub (m); 0 for others. */
    public function rimReachesIn(): float
    {
        return $this->car->kind(CarAttribute::WheelHollow) === Hollow::Inwards->value
            && $this->knows(CarAttribute::WheelThickness)
            && $this->hub() !== null
            ? max(0.0, $this->layout->wheels->thickness - $this->layout->wheels->hubThickness) : 0.0;
    }

    public function part(float $metres): Shown
    {
        return new Shown($metres, Scale::Part);
    }

    public function body(float $metres): Shown
    {
        return new Shown($metres, Scale::Body);
    }
}
