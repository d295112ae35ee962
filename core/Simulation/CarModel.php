<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\Choice;
use Skivo\Core\Car\MassSum;
use Skivo\Core\Car\Part;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;

/**
 * The one way from a recorded car to the run model: what the build sheet says is measured; what follows from
 * the kind of a part is taken from the catalogue; the rest is assumed.
 */
final readonly class CarModel
{
    /** The bores of stepped tubes before the last. Common practice, no source. */
    public const STEPPED_WIDER_M = 0.0095;
    public const STEPPED_WIDEST_M = 0.0127;

    /**
     * @param array<string, Origin> $origins by the value of a Setting
     * @param array<string, float> $beyond what is recorded and the model does not compute with (SI), by the value of a Setting;
     *     in the settings the nearest value that it does stands in its place
     */
    private function __construct(
        public Settings $settings,
        public array $origins,
        public array $beyond = [],
    ) {}

    /** Whether the model can say anything of this car: not where something recorded lies beyond it. */
    public function isComputable(): bool
    {
        return $this->beyond === [];
    }

    /**
     * @param string|null $surface of the challenge, where the car has none of its own
     * @param float|null $temperature of the air (°C); the usual one where it was not noted
     * @param PumpCurve|null $pump as the class measured it; a usual pump where it did not
     */
    public static function of(Car $car, Catalogue $catalogue, ?string $surface = null, ?float $temperature = null, ?PumpCurve $pump = null): self
    {
        $values = $origins = $beyond = [];
        $set = static function (Setting $setting, ?float $value, Origin $origin) use (&$values, &$origins, &$beyond): void {
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
        $measured = static fn(Setting $setting, Choice $choice) => $set($setting, $car->number($choice), Origin::Measured);
        $part = static function (PartKind $kind, ?string $name) use ($catalogue, $set): ?Part {
            $found = $catalogue->named($kind, $name);
            foreach (self::settingsOf($kind) as $key => $setting) {
                $set($setting, ($found ?? $catalogue->usual($kind))->value($key), $found === null ? Origin::Assumed : Origin::Catalogue);
            }

            return $found;
        };

        $measured(Setting::Bore, Choice::NozzleBore);
        $measured(Setting::TubeLength, Choice::NozzleLength);
        $measured(Setting::Outlets, Choice::NozzleOutlets);
        $measured(Setting::WiderBore, Choice::WiderBore);
        $measured(Setting::WidestBore, Choice::WidestBore);
        $measured(Setting::Angle, Choice::NozzleAngle);
        $measured(Setting::Balloons, Choice::Balloons);
        $set(Setting::Mass, MassSum::of($car)->massKg(), Origin::Measured);
        $measured(Setting::WheelDiameter, Choice::WheelDiameter);
        $measured(Setting::WheelMass, Choice::WheelMass);
        $measured(Setting::AxleDiameter, Choice::AxleDiameter);
        $measured(Setting::AxleMass, Choice::AxleMass);
        $measured(Setting::ChassisWidth, Choice::ChassisWidth);
        $measured(Setting::ChassisLength, Choice::ChassisLength);
        $measured(Setting::ChassisHeight, Choice::ChassisHeight);
        $set(Setting::Temperature, $temperature, Origin::Measured);
        if ($car->kind(Choice::WheelMount) !== null) {
            $set(Setting::SpinningWheels, $car->kind(Choice::WheelMount) === WheelMount::Spinning->value ? 1.0 : 0.0, Origin::Measured);
        }
        $nozzle = $part(PartKind::Nozzle, $car->kind(Choice::NozzleKind));
        if ($nozzle?->isCalled('stepped tubes') === true) {
            $set(Setting::WiderBore, self::STEPPED_WIDER_M, Origin::Catalogue);
            $set(Setting::WidestBore, self::STEPPED_WIDEST_M, Origin::Catalogue);
        }

        $balloon = self::balloon($car, $catalogue);
        $known = $car->number(Choice::BalloonNominal) !== null;
        $measured(Setting::RelaxedDiameter, Choice::BalloonRelaxed);
        $set(Setting::RelaxedDiameter, $balloon->value('relaxed_m'), $known ? Origin::Catalogue : Origin::Assumed);
        $set(Setting::Film, $balloon->value('film_m'), $known ? Origin::Catalogue : Origin::Assumed);
        $size = $car->number(Choice::BalloonSize);
        $strokes = $car->number(Choice::PumpStrokes);
        $set(Setting::BalloonSize, $size === null ? null : ($car->balloonMeasuredAs ?? SizeMeasure::Diameter)->diameterM($size), Origin::Measured);
        $set(Setting::BalloonSize, $strokes === null ? null : ($pump ?? PumpCurve::usual($balloon->value('relaxed_m')))->diameterM($strokes), $pump === null ? Origin::Assumed : Origin::Measured);

        $part(PartKind::Wheel, $car->kind(Choice::WheelKind));
        $part(PartKind::Bearing, $car->kind(Choice::Bearing));
        $part(PartKind::Chassis, $car->kind(Choice::Chassis));
        $part(PartKind::Surface, $car->kind(Choice::Surface) ?? $surface);

        // The filled balloon must lie within what its rubber bears.
        $relaxed = $values[Setting::RelaxedDiameter->value];
        $filled = $values[Setting::BalloonSize->value] ?? Setting::BalloonSize->range()[2];
        $values[Setting::BalloonSize->value] = max($relaxed, min(Balloon::GREATEST_STRETCH * $relaxed, $filled));
        if ($values[Setting::BalloonSize->value] !== $filled && ($origins[Setting::BalloonSize->value] ?? null) === Origin::Measured) {
            $origins[Setting::BalloonSize->value] = Origin::Beyond;
            $beyond[Setting::BalloonSize->value] = $filled;
        }
        foreach (Setting::cases() as $setting) {
            $origins[$setting->value] ??= Origin::Assumed;
        }

        return new self(Settings::of($values), $origins, $beyond);
    }

    /** The same with a value that was measured by itself. */
    public function with(Setting $setting, float $value): self
    {
        return new self($this->settings->with($setting, $value), [$setting->value => Origin::Measured] + $this->origins, $this->beyond);
    }

    /**
     * The settings that a kind of part in the catalogue gives values to.
     *
     * @return array<string, Setting> by the part's own field
     */
    public static function settingsOf(PartKind $kind): array
    {
        return match ($kind) {
            PartKind::Balloon => ['relaxed_m' => Setting::RelaxedDiameter, 'film_m' => Setting::Film],
            PartKind::Nozzle => ['bore_m' => Setting::Bore, 'length_m' => Setting::TubeLength],
            PartKind::Wheel => ['diameter_m' => Setting::WheelDiameter, 'mass_kg' => Setting::WheelMass, 'inertia_factor' => Setting::WheelInertia, 'rolling_loss' => Setting::WheelLoss],
            PartKind::Bearing => ['axle_m' => Setting::AxleDiameter, 'friction' => Setting::BearingFriction, 'axle_mass_kg' => Setting::AxleMass],
            PartKind::Chassis => ['width_m' => Setting::ChassisWidth, 'length_m' => Setting::ChassisLength, 'height_m' => Setting::ChassisHeight],
            PartKind::Surface => ['added_loss' => Setting::SurfaceLoss],
        };
    }

    public function count(Origin $origin): int
    {
        return count(array_filter($this->origins, static fn(Origin $each): bool => $each === $origin));
    }

    private static function balloon(Car $car, Catalogue $catalogue): Part
    {
        $nominal = $car->number(Choice::BalloonNominal);
        $balloons = $catalogue->of(PartKind::Balloon);
        if ($nominal === null) {
            return $catalogue->usual(PartKind::Balloon);
        }
        usort($balloons, static fn(Part $a, Part $b): int => abs($a->value('nominal_m') - $nominal) <=> abs($b->value('nominal_m') - $nominal));

        return $balloons[0];
    }
}
