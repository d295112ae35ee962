<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;

/** What a film does not show of a car: its mass, what its wheels' spin adds, its drag, and how its push rises and falls. */
final readonly class FilmedCar
{
    /** What a scale for the kitchen is off by; and a car that nobody weighed, of its mass. From memory. */
    private const SCALE_KG = 0.0005;
    private const UNWEIGHED = 0.15;

    /** What the model's drag may be off by, of it (standard): a balloon on a car is no sphere in the open. From memory. */
    private const DRAG_ERROR = 0.05;

    /**
     * @param float $massErrorKg standard uncertainty of its mass
     * @param float $inertiaKg its mass, and what the spin of its wheels adds
     * @param float $dragKgM k of F = k·v² once nothing pushes it
     * @param PushShape|null $shape null of a car that nothing pushes on the lane: a ramp alone, or one let go with a speed
     * @param list<PushShape> $otherShapes as it may be as well
     */
    private function __construct(
        public float $massKg,
        public float $massErrorKg,
        public float $inertiaKg,
        public float $dragKgM,
        public ?PushShape $shape,
        private array $otherShapes,
    ) {}

    /** @return list<self> the same, each with one of what the film owes to the model off by its standard uncertainty */
    public function others(): array
    {
        $more = 1.0 + self::DRAG_ERROR;

        return [
            $this->like($this->shape?->dragged($more), $more * $this->dragKgM),
            ...array_map(fn(PushShape $shape): self => $this->like($shape, $this->dragKgM), $this->otherShapes),
        ];
    }

    private function like(?PushShape $shape, float $dragKgM): self
    {
        return new self($this->massKg, $this->massErrorKg, $this->inertiaKg, $dragKgM, $shape, []);
    }

    /**
     * @param bool $isWeighed whether its mass was measured
     *
     * @throws OutOfRangeException where the model can't compute with the car
     */
    public static function of(Settings $car, bool $isWeighed = true): self
    {
        $elastic = $car->source->winds() ? $car->elasticDesign() : null;
        $vehicle = $elastic->vehicle ?? $car->design()->vehicle;
        $shape = PushShape::of($car);

        return new self(
            $vehicle->massKg,
            $isWeighed ? self::SCALE_KG : self::UNWEIGHED * $vehicle->massKg,
            $vehicle->massKg + $vehicle->wheelEquivalentMassKg + (
                $elastic === null ? 0.0 : $elastic->drive->spinInertiaKgM2 / $elastic->drive->wheelRadiusM ** 2
            ),
            $shape->dragKgM[PushShape::STEPS] ?? ($elastic->air ?? $car->design()->air)->densityKgM3() / 2 * $vehicle->bodyDragAreaM2,
            $shape,
            PushShape::others($car),
        );
    }

    /** A usual balloon car that nobody weighed, in the place of one that the model can't compute with. */
    public static function usual(): self
    {
        return self::of(Settings::of([]), false);
    }
}
