<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\EnergySource;
use Skivo\Core\Car\MassSum;
use Skivo\Core\Car\NoseShape;
use Skivo\Core\Car\Part;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\WheelMount;

/**
 * The one way from a recorded car to the run model: what the build sheet says is measured; what follows from
 * the kind of a part is taken from the catalogue; the rest is assumed.
 */
final readonly class CarModel
{
    /**
     * @param array<string, Origin> $origins by the value of a CarAttribute
     * @param array<string, float> $beyond what is recorded and the model does not compute with (SI), by the value of a CarAttribute;
     *     in the settings the nearest value that it does stands in its place
     */
    private function __construct(
        public Settings $settings,
        public array $origins,
        public array $beyond = [],
        /** Whether it is known to be driven as the model has it: by a balloon, and by its ramp where its start speed is known. */
        public bool $isBlown = true,
    ) {}

    /** Whether the model can say anything of this car: not where its drive is another, or something recorded lies beyond it. */
    public function isComputable(): bool
    {
        return $this->isBlown && $this->beyond === [];
    }

    /**
     * @param string|null $surface of the challenge, where the car has none of its own
     * @param float|null $temperature of the air (°C); the usual one where it was not noted
     * @param PumpCurve|null $pump as the class measured it; a usual pump where it did not
     */
    public static function of(
        Car $car,
        Catalogue $catalogue,
        ?string $surface = null,
        ?float $temperature = null,
        ?PumpCurve $pump = null,
    ): self {
        $values = $origins = $beyond = [];
        $set = static function (CarAttribute $setting, ?float $value, Origin $origin) use (&$values, &$origins, &$beyond): void {
            if ($value === null || isset($values[$setting->value])) {
                return;
            }
            [$least, $greatest] = $setting->limits();
            $values[$setting->value] = max($least, min($greatest, $value));
            $origins[$setting->value] = $origin;
            if ($values[$setting->value] !== $value) {
                $origins[$setting->value] = $origin === Origin::Measured ? Origin::Beyond : Origin::Assumed;
                $beyond += $origin === Origin::Measured ? [$setting->value => $value] : [];
            }
        };
        foreach (CarAttribute::ofModel() as $attribute) {
            $set(
                $attribute,
                match ($attribute) {
                    CarAttribute::BalloonSize => $car->balloonDiameterM(),
                    CarAttribute::Mass => MassSum::of($car)->massKg(),
                    CarAttribute::AirTemperature => $temperature,
                    // As a number: 1 where the wheels spin on the axle.
                    CarAttribute::WheelMount => $car->kind($attribute) === null
                        ? null
                        : (float) ($car->kind($attribute) === WheelMount::Spinning->value),
                    CarAttribute::NoseDrag => NoseShape::tryFrom($car->kind(CarAttribute::Nose) ?? '')?->dragCoefficient(),
                    default => $car->number($attribute),
                },
                Origin::Measured,
            );
        }
        $balloon = self::balloon($car, $catalogue);
        foreach (PartKind::cases() as $kind) {
            $name = $car->kind($kind->named());
            $known = match ($kind) {
                PartKind::Balloon => $car->number(CarAttribute::BalloonNominal) === null ? null : $balloon,
                PartKind::Surface => $catalogue->named($kind, $name ?? $surface),
                default => $catalogue->named($kind, $name),
            };
            foreach (CarAttribute::ofPart($kind) as $attribute) {
                if ($attribute->facts()->ruler !== null) {
                    $set(
                        $attribute,
                        ($known ?? $catalogue->usual($kind))->find($attribute),
                        $known === null ? Origin::Assumed : Origin::Catalogue,
                    );
                }
            }
        }
        $strokes = $car->number(CarAttribute::PumpStrokes);
        $filled = $strokes === null
            ? null
            : ($pump ?? PumpCurve::usual($balloon->value(CarAttribute::BalloonRelaxed)))->diameterM($strokes);
        $set(CarAttribute::BalloonSize, $filled, $pump === null ? Origin::Assumed : Origin::Measured);

        // The filled balloon must lie within what its rubber bears.
        $relaxed = $values[CarAttribute::BalloonRelaxed->value];
        $filled = $values[CarAttribute::BalloonSize->value] ?? CarAttribute::BalloonSize->ruler()->typical;
        $values[CarAttribute::BalloonSize->value] = max($relaxed, min(Balloon::GREATEST_STRETCH * $relaxed, $filled));
        if (
            $values[CarAttribute::BalloonSize->value] !== $filled
                && ($origins[CarAttribute::BalloonSize->value] ?? null) === Origin::Measured
        ) {
            $origins[CarAttribute::BalloonSize->value] = Origin::Beyond;
            $beyond[CarAttribute::BalloonSize->value] = $filled;
        }
        foreach (CarAttribute::ofModel() as $setting) {
            $origins[$setting->value] ??= Origin::Assumed;
        }

        return new self(Settings::of($values), $origins, $beyond, self::isBlown($car, $catalogue));
    }

    /** The same with a value that was measured by itself. */
    public function with(CarAttribute $setting, float $value): self
    {
        return new self($this->settings->with($setting, $value), [$setting->value => Origin::Measured] + $this->origins, $this->beyond, $this->isBlown);
    }

    public function count(Origin $origin): int
    {
        return count(array_filter($this->origins, static fn(Origin $each): bool => $each === $origin));
    }

    /** A nozzle that nobody knows, with no bore and no balloon, may be anything: what drives such a car is not known. */
    private static function isBlown(Car $car, Catalogue $catalogue): bool
    {
        $nozzle = $car->kind(CarAttribute::NozzleKind);
        $isStrange = $nozzle !== null && $catalogue->named(PartKind::Nozzle, $nozzle) === null && !$car->has(CarAttribute::NozzleBore)
            && !$car->has(CarAttribute::BalloonSize) && !$car->has(CarAttribute::BalloonNominal) && !$car->has(CarAttribute::PumpStrokes);

        return match ($car->source()) {
            null => !$isStrange,
            EnergySource::Balloon => true,
            EnergySource::BalloonAndRamp => $car->number(CarAttribute::StartSpeed) !== null,
            EnergySource::ElasticBand, EnergySource::Ramp => false,
        };
    }

    private static function balloon(Car $car, Catalogue $catalogue): Part
    {
        $nominal = $car->number(CarAttribute::BalloonNominal);
        $balloons = $catalogue->of(PartKind::Balloon);
        if ($nominal === null) {
            return $catalogue->usual(PartKind::Balloon);
        }
        usort(
            $balloons,
            static fn(Part $a, Part $b): int => abs(
                $a->value(CarAttribute::BalloonNominal) - $nominal,
            ) <=> abs($b->value(CarAttribute::BalloonNominal) - $nominal),
        );

        return $balloons[0];
    }
}
