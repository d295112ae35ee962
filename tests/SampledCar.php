<?php

declare(strict_types=1);

namespace Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\BalloonRest;
use Skivo\Core\Car\Attribute\BandAnchor;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\FilledWhen;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Reinforcement;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Attribute\WheelHold;
use Skivo\Core\Car\Attribute\WoundBy;
use Skivo\Core\Car\Build\BandMaking;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\MountOrder;
use Skivo\Core\Car\Build\Points;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Build\WheelMaking;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\WheelMount;

/** A car of parts, mounts, holds, forms and drives that were drawn at random. */
final readonly class SampledCar
{
    private function __construct(public Kit $kit, public Layout $layout, public Making $making) {}

    /** @return iterable<self> */
    public static function many(int $count, int $seed): iterable
    {
        $random = new Randomizer(new Mt19937($seed));
        for ($i = 0; $i < $count; $i++) {
            yield self::one($random);
        }
    }

    public function steps(): BuildSteps
    {
        return BuildSteps::of($this->kit, $this->layout, $this->making);
    }

    private static function one(Randomizer $random): self
    {
        $pick = static fn(array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $named = static fn(PartKind $kind): string => $pick(
            array_map(static fn(Part $part): string => $part->name, Catalogue::standard()->of($kind)),
        );
        $chance = static fn(int $percent): bool => $random->getInt(1, 100) <= $percent;
        $kit = (new Kit(
            $named(PartKind::Chassis),
            $named(PartKind::Wheel),
            $named(PartKind::Bearing),
            $named(PartKind::Nozzle),
            $named(PartKind::Balloon),
            $pick([...array_column(Joint::cases(), 'value'), 'putty']),
        ))->drivenBy($pick(EnergySource::cases()));
        $cuts = new CutSizes(0.02 + 0.001 * $random->getInt(0, 120), 0.001 * $random->getInt(1, 15));
        $car = $kit->car(UnitSystem::Metric, $cuts)
            ->with(CarAttribute::ChassisLength, 0.08 + 0.001 * $random->getInt(0, 140))
            ->with(CarAttribute::WheelDiameter, 0.02 + 0.001 * $random->getInt(0, 110))
            ->with(CarAttribute::NozzleAngle, $chance(20) ? 20.0 : 0.0)
            ->with(CarAttribute::NozzleOutlets, (float) $pick([1, 1, 1, 3]));
        if ($chance(30)) {
            $car = $car->with(CarAttribute::ChassisForm, $pick(array_column(ChassisForm::cases(), 'value')));
        }

        return new self($kit, Layout::of($car, $kit->catalogue(), $kit), new Making(
            new WheelMaking(
                0.001 * $random->getInt(0, 4),
                $pick(WheelMount::cases()),
                $pick(WheelHold::cases()),
                $chance(20),
                $pick(Tyre::cases()),
            ),
            new PowerMaking(
                $kit->blowsThroughStraws() && $chance(80) ? 0.05 + 0.001 * $random->getInt(0, 120) : null,
                $chance(30),
                $pick(MountOrder::cases()),
                $pick(BalloonRest::cases()),
                $pick(FilledWhen::cases()),
                $chance(30),
            ),
            new BandMaking($pick(BandAnchor::cases()), $pick(BandEnd::cases()), $pick(WoundBy::cases())),
            $pick(Sets::ofBearings()),
            $chance(50),
            $pick(Points::cases()),
            $pick(Reinforcement::cases()),
            $pick(Decoration::cases()),
            $pick(Sets::ofDecoration()),
        ));
    }
}
