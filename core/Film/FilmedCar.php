<?php

declare(strict_types=1);

namespace Skivo\Core\Film;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;

/** What a film does not show of a car: its mass, what its wheels' spin adds, its drag, and how its push rises and falls. */
final readonly class FilmedCar
{
    /** What a scale for the kitchen is off by; and a car that nobody weighed, of its mass. From memory. */
    private const SCALE_KG = 0.0005;
    private const UNWEIGHED = 0.15;

    /**
     * @param float $massErrorKg standard uncertainty of its mass
     * @param float $inertiaKg its mass, and what the spin of its wheels adds
     * @param float $dragKgM k of F = k·v² once nothing pushes it
     * @param PushShape|null $shape null of a car that nothing pushes on the lane: a ramp alone, or one let go with a speed
     */
    private function __construct(
        public float $massKg,
        public float $massErrorKg,
        public float $inertiaKg,
        public float $dragKgM,
        public ?PushShape $shape,
        private ?PushShape $other,
    ) {}

    /** The same, its push rising and falling as another balloon's or band's. */
    public function otherwise(): self
    {
        return new self($this->massKg, $this->massErrorKg, $this->inertiaKg, $this->dragKgM, $this->other, $this->shape);
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
            $vehicle->massKg + $vehicle->wheelEquivalentMassKg + ($elastic === null ? 0.0 : $elastic->drive->spinInertiaKgM2 / $elastic->drive->wheelRadiusM ** 2),
            $shape->dragKgM[PushShape::STEPS] ?? ($elastic->air ?? $car->design()->air)->densityKgM3() / 2 * $vehicle->bodyDragAreaM2,
            $shape,
            PushShape::other($car),
        );
    }

    /** A usual balloon car that nobody weighed, in the place of one that the model can't compute with. */
    public static function usual(): self
    {
        return self::of(Settings::of([]), false);
    }
}
