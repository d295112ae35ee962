<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Attribute\WheelHold;
use Skivo\Core\Car\Car;
use Skivo\Core\Physics\WheelMount;

/** How the wheels of a car are mounted and held. */
final readonly class WheelMaking
{
    /** A hole that is wider than its axle by this does not hold it (m). Common practice, no source. */
    private const LOOSE_M = 0.0004;

    /**
     * @param float $endPlayM that an axle is to have (m)
     * @param bool $isLoose whether the hole of a wheel is too wide for its axle
     */
    public function __construct(
        public float $endPlayM = 0.0015,
        public WheelMount $mount = WheelMount::Fixed,
        public WheelHold $hold = WheelHold::TightHole,
        public bool $isLoose = false,
        public Tyre $tyre = Tyre::None,
    ) {}

    /** The same for a car of its own: what was recorded of it stands before what is planned. */
    public function ofCar(Car $car): self
    {
        [$hole, $axle] = [$car->number(CarAttribute::WheelBore), $car->number(CarAttribute::AxleDiameter)];

        return new self(
            $car->number(CarAttribute::EndPlay) ?? $this->endPlayM,
            WheelMount::tryFrom($car->kind(CarAttribute::WheelMount) ?? '') ?? $this->mount,
            WheelHold::tryFrom($car->kind(CarAttribute::WheelHold) ?? '') ?? $this->hold,
            $hole !== null && $axle !== null && $hole - $axle > self::LOOSE_M,
            Tyre::tryFrom($car->kind(CarAttribute::Tyre) ?? '') ?? $this->tyre,
        );
    }

    /** What keeps the wheels on: a hole that is too wide holds nothing by itself. */
    public function holdsBy(): WheelHold
    {
        return $this->isLoose && $this->hold === WheelHold::TightHole ? WheelHold::Glue : $this->hold;
    }

    public function spins(): bool
    {
        return $this->mount === WheelMount::Spinning;
    }
}
