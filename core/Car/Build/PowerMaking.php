<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

use Skivo\Core\Car\Attribute\BalloonRest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Car\Attribute\FilledWhen;
use Skivo\Core\Car\Attribute\YesNo;
use Skivo\Core\Car\Car;

/** How balloon and nozzle of a car are made, filled and mounted. */
final readonly class PowerMaking
{
    /**
     * @param float|null $nozzleM to which the nozzle is cut (m); null where it is not cut
     * @param bool $byMouth whether balloons are filled by mouth, each child's own
     */
    public function __construct(
        public ?float $nozzleM = null,
        public bool $byMouth = false,
        public MountOrder $order = MountOrder::BalloonFirst,
        public BalloonRest $rest = BalloonRest::Chassis,
        public FilledWhen $filled = FilledWhen::OnTheCar,
        public bool $isLipCut = false,
    ) {}

    /**
     * The same for a car of its own: what was recorded of it stands before what is planned.
     *
     * @param float|null $nozzleM to which its nozzle is cut (m); null where it is not cut
     */
    public function ofCar(Car $car, ?float $nozzleM): self
    {
        return new self(
            $nozzleM,
            match (FilledBy::tryFrom($car->kind(CarAttribute::FilledBy) ?? '')) {
                FilledBy::Mouth => true,
                FilledBy::Pump => false,
                null => $this->byMouth,
            },
            $this->order,
            BalloonRest::tryFrom($car->kind(CarAttribute::BalloonRest) ?? '') ?? $this->rest,
            FilledWhen::tryFrom($car->kind(CarAttribute::FilledWhen) ?? '') ?? $this->filled,
            $car->kind(CarAttribute::LipCut) === YesNo::Yes->value,
        );
    }

    public function fills(): BuildTool
    {
        return $this->byMouth ? BuildTool::Breath : BuildTool::Pump;
    }
}
