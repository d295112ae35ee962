<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

/** The nozzle of a car: its tubes, and where they lie (m). */
final readonly class NozzlePlace
{
    /**
     * @param list<float> $bores of the tubes, from the exit to the balloon
     * @param float $tubeM length of each
     * @param float $angle of the jet below the horizontal (rad); beyond π/2 it blows forward
     * @param float|null $height of its middle above the floor; null where it lies on the chassis
     * @param float $overhang by which it sticks out behind
     * @param float|null $neckDepth how far the tube goes into the balloon's neck; null where nobody has measured it
     */
    public function __construct(
        public array $bores,
        public float $tubeM,
        public float $overhang,
        public int $outlets = 1,
        public float $angle = 0.0,
        public ?float $height = null,
        public ?float $neckDepth = null,
    ) {}
}
