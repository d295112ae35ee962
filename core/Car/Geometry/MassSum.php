<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;

/**
 * What a car weighs by its parts, beside what the scale says: four wheels, two axles, and the chassis,
 * balloons, nozzle and everything else.
 */
final readonly class MassSum
{
    private const WHEELS = 4;
    private const AXLES = 2;

    /** What a car may be without. */
    private const BESIDES = [CarAttribute::ExtrasMass, CarAttribute::DecorationMass];

    /**
     * @param array<string, float> $parts kg, by the label of the choice; only those that were weighed
     * @param list<CarAttribute> $missing those that were not
     */
    private function __construct(
        public array $parts,
        public array $missing,
        public ?float $weighedKg,
    ) {}

    public static function of(Car $car): self
    {
        $parts = [];
        $missing = [];
        $balloons = (int) ($car->number(CarAttribute::Balloons) ?? 1);
        foreach ([
            [CarAttribute::ChassisMass, 1], [CarAttribute::AxleMass, self::AXLES], [CarAttribute::WheelMass, self::WHEELS],
            [CarAttribute::BalloonMass, $balloons], [CarAttribute::NozzleMass, 1], [CarAttribute::ExtrasMass, 1],
            [CarAttribute::DecorationMass, 1],
        ] as [$choice, $count]) {
            $one = $car->number($choice);
            if ($one === null) {
                $missing[] = $choice;
            } else {
                $parts[$choice->value] = $count * $one;
            }
        }

        return new self($parts, $missing, $car->number(CarAttribute::Mass));
    }

    /** Of all that was weighed (kg); null where nothing was. */
    public function sumKg(): ?float
    {
        return $this->parts === [] ? null : array_sum($this->parts);
    }

    /** Whether every part was weighed; what is glued on besides may be left out. */
    public function isComplete(): bool
    {
        return $this->parts !== []
            && array_filter($this->missing, static fn(CarAttribute $each): bool => !in_array($each, self::BESIDES, true)) === [];
    }

    /** What the scale shows beyond the parts (kg): glue, tape, or a slip; null unless both are there. */
    public function differenceKg(): ?float
    {
        $sum = $this->sumKg();

        return $this->weighedKg === null || $sum === null || !$this->isComplete() ? null : $this->weighedKg - $sum;
    }

    /** By the scale, or else by the sum of all parts (kg); null where neither is known. */
    public function massKg(): ?float
    {
        return $this->weighedKg ?? ($this->isComplete() ? $this->sumKg() : null);
    }
}
