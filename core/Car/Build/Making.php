<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\BearingHold;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\Reinforcement;
use Skivo\Core\Car\Car;

/** How a car is made of its parts: what the class has planned, and where a car was recorded, what that car has. */
final readonly class Making
{
    /**
     * @param Sets $bearings what they are held by
     * @param bool $isStuckOutside whether the bearings of a bottle or cup are stuck to its outside, rather than through its walls
     * @param Sets $colour what the car is decorated with
     */
    public function __construct(
        public WheelMaking $wheels = new WheelMaking(),
        public PowerMaking $power = new PowerMaking(),
        public BandMaking $band = new BandMaking(),
        public Sets $bearings = Sets::Tape,
        public bool $isStuckOutside = false,
        public Points $points = Points::First,
        public Reinforcement $reinforcement = Reinforcement::None,
        public Decoration $decoration = Decoration::None,
        public Sets $colour = Sets::Paint,
    ) {}

    /**
     * The same for a car of its own: what was recorded of it stands before what is planned.
     *
     * @param float|null $nozzleM to which its nozzle is cut (m); null where it is not cut
     */
    public function ofCar(Car $car, ?float $nozzleM): self
    {
        $held = BearingHold::tryFrom($car->kind(CarAttribute::BearingHold) ?? '');

        return new self(
            $this->wheels->ofCar($car),
            $this->power->ofCar($car, $nozzleM),
            $this->band->ofCar($car),
            match ($held) {
                BearingHold::Tape => Sets::Tape,
                BearingHold::Glue => $this->glue(),
                default => $this->bearings,
            },
            $held === BearingHold::Tape || $held === BearingHold::Glue,
            $this->points,
            Reinforcement::tryFrom($car->kind(CarAttribute::Reinforcement) ?? '') ?? $this->reinforcement,
            Decoration::tryFrom($car->kind(CarAttribute::Decoration) ?? '') ?? $this->decoration,
            $this->colour,
        );
    }

    /** The glue that a class has: craft glue where bearings are held by it, a low-temperature gun else. */
    public function glue(): Sets
    {
        return $this->bearings === Sets::CraftGlue ? Sets::CraftGlue : Sets::HotGlue;
    }
}
