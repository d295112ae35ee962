<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Car\CutSizes;
use Skivo\Core\Car\Layout;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\FrictionEstimate;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;

/** One value for every attribute that the run model knows, and the design that follows from them. */
final readonly class Settings
{
    /** A hole without a tube is drawn as a tube this long (m), or nobody would see it. */
    private const SHORTEST_DRAWN_TUBE = 0.005;

    private const WHEELS = 4;
    private const AXLES = 2;

    /** @param array<string, float> $values SI, by the value of every CarAttribute */
    private function __construct(private array $values) {}

    /**
     * @param array<string, float> $values SI, by the value of a CarAttribute; the usual ones where left out
     *
     * @throws OutOfRangeException
     */
    public static function of(array $values): self
    {
        $all = [];
        foreach (CarAttribute::ofModel() as $setting) {
            [$least, $greatest] = $setting->limits();
            $all[$setting->value] = OutOfRangeException::check(
                $setting->value,
                $values[$setting->value] ?? $setting->ruler()->typical,
                $least,
                $greatest,
            );
        }
        $settings = new self($all);
        // A balloon cannot be filled to less than it is, nor to more than it bears.
        $relaxed = $settings->get(CarAttribute::BalloonRelaxed);
        OutOfRangeException::check(
            CarAttribute::BalloonSize->value,
            $settings->get(CarAttribute::BalloonSize),
            $relaxed,
            Balloon::GREATEST_STRETCH * $relaxed,
        );

        return $settings;
    }

    public function get(CarAttribute $setting): float
    {
        return $this->values[$setting->value];
    }

    /** Where everything is on a car of these settings, of which nothing but the parts is known. */
    public function layout(): Layout
    {
        $length = $this->get(CarAttribute::ChassisLength);
        $width = $this->get(CarAttribute::ChassisWidth);
        $usual = new CutSizes($width, 0.01);
        $tube = max(self::SHORTEST_DRAWN_TUBE, $this->get(CarAttribute::NozzleLength));
        $bores = array_values(array_filter(
            array_map($this->get(...), CarAttribute::bores()),
            static fn(float $bore): bool => $bore > 0.0,
        ));

        return new Layout(
            chassisLength: $length,
            chassisWidth: $width,
            chassisHeight: $this->get(CarAttribute::ChassisHeight),
            rearAxle: Layout::REAR_AXLE * $length,
            wheelbase: Layout::WHEELBASE * $length,
            frontTrack: $usual->trackM(),
            rearTrack: $usual->trackM(),
            wheelDiameter: $this->get(CarAttribute::WheelDiameter),
            wheelThickness: $usual->wheelThicknessM,
            axleDiameter: $this->get(CarAttribute::AxleDiameter),
            frontAxleLength: $usual->axleLengthM(),
            rearAxleLength: $usual->axleLengthM(),
            bearingBore: $this->get(CarAttribute::AxleDiameter),
            frontBearing: $usual->bearingLengthM(),
            rearBearing: $usual->bearingLengthM(),
            balloonDiameter: $this->get(CarAttribute::BalloonSize),
            balloons: (int) $this->get(CarAttribute::Balloons),
            bores: $bores,
            tubeM: $tube,
            outlets: (int) $this->get(CarAttribute::NozzleOutlets),
            angle: deg2rad($this->get(CarAttribute::NozzleAngle)),
            nozzleHeight: null,
            overhang: Layout::usualOverhang($length, $tube, count($bores)),
            hubThickness: $usual->wheelThicknessM,
        );
    }

    /** @throws OutOfRangeException */
    public function with(CarAttribute $setting, float $value): self
    {
        return self::of([$setting->value => $value] + $this->values);
    }

    /** @return array<string, float> those that differ from the usual ones */
    public function unusual(): array
    {
        return array_filter(
            $this->values,
            static fn(float $value, string $key): bool => $value !== CarAttribute::from($key)->ruler()->typical,
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** f as measured, or else as the parts make it and what hands add. */
    public function rollingCoefficient(): float
    {
        $measured = $this->get(CarAttribute::RollingCoefficient);

        return $measured > 0.0 ? $measured : FrictionEstimate::coefficient(
            $this->get(CarAttribute::WheelLoss) + $this->get(CarAttribute::SurfaceLoss),
            $this->get(CarAttribute::BearingFriction),
            $this->get(CarAttribute::AxleDiameter),
            $this->get(CarAttribute::WheelDiameter),
            self::WHEELS * $this->get(CarAttribute::WheelMass) + (
                $this->get(CarAttribute::WheelMount) > 0.0 ? 0.0 : self::AXLES * $this->get(CarAttribute::AxleMass)
            ),
            $this->get(CarAttribute::Mass),
        ) + $this->get(CarAttribute::Workmanship);
    }

    public function frictionIsMeasured(): bool
    {
        return $this->get(CarAttribute::RollingCoefficient) > 0.0;
    }

    /**
     * @param float $friction factor on the rolling coefficient, to see what an error in it does
     * @param float $pressure factor on the balloon's pressure, likewise
     *
     * @throws OutOfRangeException
     */
    public function design(float $friction = 1.0, float $pressure = 1.0): Design
    {
        $length = $this->get(CarAttribute::NozzleLength);
        $tubes = [];
        foreach (array_reverse(CarAttribute::bores()) as $setting) {
            if ($this->get($setting) > 0.0) {
                $tubes[] = new Tube($this->get($setting), $length);
            }
        }

        return new Design(
            new Balloon(
                $this->get(CarAttribute::BalloonRelaxed),
                $this->get(CarAttribute::BalloonFilm),
                $this->get(CarAttribute::BalloonSize),
                (int) $this->get(CarAttribute::Balloons),
                // Within what any rubber is, whatever factors meet.
                max(10_000.0, min(10_000_000.0, 300_000.0 * $pressure * $this->get(CarAttribute::BalloonPressure))),
            ),
            new Nozzle($tubes, (int) $this->get(CarAttribute::NozzleOutlets), angleDeg: $this->get(CarAttribute::NozzleAngle)),
            new Vehicle(
                $this->get(CarAttribute::Mass),
                min(1.0, max(0.0005, $friction * $this->rollingCoefficient())),
                self::WHEELS * $this->get(CarAttribute::WheelMass) * $this->get(CarAttribute::WheelInertia),
                $this->get(CarAttribute::BreakawayRatio),
                // What the wind meets: the chassis, and the upper half of the wheels below it.
                $this->get(CarAttribute::NoseDrag) * $this->get(CarAttribute::ChassisWidth) * (
                    $this->get(CarAttribute::ChassisHeight) + $this->get(CarAttribute::WheelDiameter) / 2
                ),
            ),
            new Air($this->get(CarAttribute::AirTemperature)),
            $this->get(CarAttribute::StartSpeed),
        );
    }
}
