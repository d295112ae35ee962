<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\BandAnchor;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\WoundBy;
use Skivo\Core\Car\Car;
use Skivo\Core\Physics\BandEnd;

/** How the band of a car is held and wound. */
final readonly class BandMaking
{
    public function __construct(
        public BandAnchor $anchor = BandAnchor::Hook,
        public BandEnd $end = BandEnd::Free,
        public WoundBy $wound = WoundBy::Wheels,
    ) {}

    /** The same for a car of its own: what was recorded of it stands before what is planned. */
    public function ofCar(Car $car): self
    {
        return new self(
            BandAnchor::tryFrom($car->kind(CarAttribute::BandAnchor) ?? '') ?? $this->anchor,
            BandEnd::tryFrom($car->kind(CarAttribute::BandEnd) ?? '') ?? $this->end,
            WoundBy::tryFrom($car->kind(CarAttribute::WoundBy) ?? '') ?? $this->wound,
        );
    }
}
