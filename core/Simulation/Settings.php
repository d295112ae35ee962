<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\CutSizes;
use Skivo\Core\Car\Layout;
use Skivo\Core\Measurement\OutOfRange;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\FrictionEstimate;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;

/** One value for every Setting, and the design that follows from them. */
final readonly class Settings
{
    /** Box face-on (standard engineering tables). */
    private const BOX_DRAG = 1.05;

    /** A hole without a tube is drawn as a tube this long (m), or nobody would see it. */
    private const SHORTEST_DRAWN_TUBE = 0.005;

    private const WHEELS = 4;
    private const AXLES = 2;

    /** @param array<string, float> $values SI, by the value of every Setting */
    private function __construct(private array $values) {}

    /**
     * @param array<string, float> $values SI, by the value of a Setting; the usual ones where left out
     *
     * @throws OutOfRange
     */
    public static function of(array $values): self
    {
        $all = [];
        foreach (Setting::cases() as $setting) {
            [$least, $greatest] = $setting->limits();
            $all[$setting->value] = OutOfRange::check($setting->label(), $values[$setting->value] ?? $setting->range()[2], $least, $greatest);
        }
        $settings = new self($all);
        // A balloon cannot be filled to less than it is, nor to more than it bears.
        $relaxed = $settings->get(Setting::RelaxedDiameter);
        OutOfRange::check(Setting::BalloonSize->label(), $settings->get(Setting::BalloonSize), $relaxed, Balloon::GREATEST_STRETCH * $relaxed);

        return $settings;
    }

    public function get(Setting $setting): float
    {
        return $this->values[$setting->value];
    }

    /** Where everything is on a car of these settings, of which nothing but the parts is known. */
    public function layout(): Layout
    {
        $length = $this->get(Setting::ChassisLength);
        $width = $this->get(Setting::ChassisWidth);
        $usual = new CutSizes($width, 0.01);
        $tube = max(self::SHORTEST_DRAWN_TUBE, $this->get(Setting::TubeLength));
        $bores = array_values(array_filter(
            array_map($this->get(...), [Setting::Bore, Setting::WiderBore, Setting::WidestBore]),
            static fn(float $bore): bool => $bore > 0.0,
        ));

        return new Layout(
            chassisLength: $length,
            chassisWidth: $width,
            chassisHeight: $this->get(Setting::ChassisHeight),
            rearAxle: Layout::REAR_AXLE * $length,
            wheelbase: Layout::WHEELBASE * $length,
            frontTrack: $usual->trackM(),
            rearTrack: $usual->trackM(),
            wheelDiameter: $this->get(Setting::WheelDiameter),
            wheelThickness: $usual->wheelThicknessM,
            axleDiameter: $this->get(Setting::AxleDiameter),
            frontAxleLength: $usual->axleLengthM(),
            rearAxleLength: $usual->axleLengthM(),
            bearingBore: $this->get(Setting::AxleDiameter),
            frontBearing: $usual->bearingLengthM(),
            rearBearing: $usual->bearingLengthM(),
            balloonDiameter: $this->get(Setting::BalloonSize),
            balloons: (int) $this->get(Setting::Balloons),
            bores: $bores,
            tubeM: $tube,
            outlets: (int) $this->get(Setting::Outlets),
            angle: deg2rad($this->get(Setting::Angle)),
            nozzleHeight: null,
            overhang: Layout::usualOverhang($length, $tube, count($bores)),
            hubThickness: $usual->wheelThicknessM,
        );
    }

    /** @throws OutOfRange */
    public function with(Setting $setting, float $value): self
    {
        return self::of([$setting->value => $value] + $this->values);
    }

    /** @return array<string, float> those that differ from the usual ones */
    public function unusual(): array
    {
        return array_filter($this->values, static fn(float $value, string $key): bool => $value !== Setting::from($key)->range()[2], ARRAY_FILTER_USE_BOTH);
    }

    /** f as measured, or else as the parts make it. */
    public function rollingCoefficient(): float
    {
        $measured = $this->get(Setting::MeasuredFriction);

        return $measured > 0.0 ? $measured : FrictionEstimate::coefficient(
            $this->get(Setting::WheelLoss) + $this->get(Setting::SurfaceLoss),
            $this->get(Setting::BearingFriction),
            $this->get(Setting::AxleDiameter),
            $this->get(Setting::WheelDiameter),
            self::WHEELS * $this->get(Setting::WheelMass) + ($this->get(Setting::SpinningWheels) > 0.0 ? 0.0 : self::AXLES * $this->get(Setting::AxleMass)),
            $this->get(Setting::Mass),
        );
    }

    public function frictionIsMeasured(): bool
    {
        return $this->get(Setting::MeasuredFriction) > 0.0;
    }

    /**
     * @param float $friction factor on the rolling coefficient, to see what an error in it does
     * @param float $pressure factor on the balloon's pressure, likewise
     *
     * @throws OutOfRange
     */
    public function design(float $friction = 1.0, float $pressure = 1.0): Design
    {
        $length = $this->get(Setting::TubeLength);
        $tubes = [];
        foreach ([Setting::WidestBore, Setting::WiderBore, Setting::Bore] as $setting) {
            if ($this->get($setting) > 0.0) {
                $tubes[] = new Tube($this->get($setting), $length);
            }
        }

        return new Design(
            new Balloon(
                $this->get(Setting::RelaxedDiameter),
                $this->get(Setting::Film),
                $this->get(Setting::BalloonSize),
                (int) $this->get(Setting::Balloons),
                // Within what any rubber is, whatever factors meet.
                max(10_000.0, min(10_000_000.0, 300_000.0 * $pressure * $this->get(Setting::Pressure))),
            ),
            new Nozzle($tubes, (int) $this->get(Setting::Outlets), angleDeg: $this->get(Setting::Angle)),
            new Vehicle(
                $this->get(Setting::Mass),
                min(1.0, max(0.0005, $friction * $this->rollingCoefficient())),
                self::WHEELS * $this->get(Setting::WheelMass) * $this->get(Setting::WheelInertia),
                $this->get(Setting::Breakaway),
                // What the wind meets: the chassis, and the upper half of the wheels below it.
                self::BOX_DRAG * $this->get(Setting::ChassisWidth) * ($this->get(Setting::ChassisHeight) + $this->get(Setting::WheelDiameter) / 2),
            ),
            new Air($this->get(Setting::Temperature)),
            $this->get(Setting::StartSpeed),
        );
    }
}
