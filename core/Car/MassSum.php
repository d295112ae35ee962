<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/**
 * What a car weighs by its parts, beside what the scale says: four wheels, two axles, and the chassis,
 * balloons, nozzle and everything else.
 */
final readonly class MassSum
{
    private const WHEELS = 4;
    private const AXLES = 2;

    /**
     * @param array<string, float> $parts kg, by the label of the choice; only those that were weighed
     * @param list<Choice> $missing those that were not
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
        $balloons = (int) ($car->number(Choice::Balloons) ?? 1);
        foreach ([
            [Choice::ChassisMass, 1], [Choice::AxleMass, self::AXLES], [Choice::WheelMass, self::WHEELS],
            [Choice::BalloonMass, $balloons], [Choice::NozzleMass, 1], [Choice::ExtrasMass, 1],
        ] as [$choice, $count]) {
            $one = $car->number($choice);
            if ($one === null) {
                $missing[] = $choice;
            } else {
                $parts[$choice->value] = $count * $one;
            }
        }

        return new self($parts, $missing, $car->number(Choice::Mass));
    }

    /** Of all that was weighed (kg); null where nothing was. */
    public function sumKg(): ?float
    {
        return $this->parts === [] ? null : array_sum($this->parts);
    }

    /** Whether every part was weighed; what is glued on besides may be left out. */
    public function isComplete(): bool
    {
        return $this->parts !== [] && ($this->missing === [] || $this->missing === [Choice::ExtrasMass]);
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
