<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Geometry\Axles;
use Skivo\Core\Car\Geometry\Body;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\NozzlePlace;
use Skivo\Core\Car\Geometry\Wheels;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\DrivenAxle;
use Skivo\Core\Physics\ElasticBand;
use Skivo\Core\Physics\FrictionEstimate;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Ramp;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;

/** What drives a car and one value for every attribute that the run model knows, with the design and the run that follow from them. */
final readonly class Settings
{
    /** A hole without a tube is drawn as a tube this long (m), or nobody would see it. */
    private const SHORTEST_DRAWN_TUBE = 0.005;

    private const WHEELS = 4;
    private const AXLES = 2;

    /** Of what rubber gives, common practice; of all strands (from memory). */
    private const SHEAR_MODULUS_PA = 450_000.0;

    /** A band is a loop: each lies twice side by side. */
    private const STRANDS = 2;

    /** Of a car that already rolls, or that stands (N): so little less and it does not start. */
    private const STARTS = 0.999;

    private const LEAST_FRICTION = 0.0005;
    private const GREATEST_FRICTION = 1.0;

    /** @param array<string, float> $values SI, by the value of every CarAttribute */
    private function __construct(
        private array $values,
        public EnergySource $source,
    ) {}

    /**
     * @param array<string, float> $values SI, by the value of a CarAttribute; the usual ones where left out
     *
     * @throws OutOfRangeException
     */
    public static function of(array $values, EnergySource $source = EnergySource::Balloon): self
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
        $settings = new self($all, $source);
        if ($source->winds()) {
            OutOfRangeException::check(
                CarAttribute::TurnsWound->value,
                $settings->get(CarAttribute::TurnsWound),
                0.0,
                max(0.0, $settings->greatestTurns()),
            );
        }
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

    /** As many turns as rubber stands: a stretch of 8. Below zero where the chain at rest is stretched more than that. */
    public function greatestTurns(): float
    {
        $left = ElasticBand::GREATEST_STRETCH * $this->get(CarAttribute::ChainLength) - $this->get(CarAttribute::InstalledLength);

        return min(CarAttribute::TurnsWound->limits()[1], $left / (2.0 * M_PI * $this->windingRadiusM()));
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

        $axle = $this->get(CarAttribute::AxleDiameter);

        return new Layout(
            new Body($length, $width, $this->get(CarAttribute::ChassisHeight)),
            new Axles(
                rear: ChassisForm::REAR_AXLE * $length,
                wheelbase: ChassisForm::WHEELBASE * $length,
                diameter: $axle,
                bearingBore: $axle,
                frontTrack: $usual->trackM(),
                rearTrack: $usual->trackM(),
                frontLength: $usual->axleLengthM(),
                rearLength: $usual->axleLengthM(),
                frontBearing: $usual->bearingLengthM(),
                rearBearing: $usual->bearingLengthM(),
            ),
            new Wheels($this->get(CarAttribute::WheelDiameter), $usual->wheelThicknessM, $usual->wheelThicknessM),
            new NozzlePlace(
                $bores,
                $tube,
                Layout::usualOverhang($length, $tube, count($bores)),
                (int) $this->get(CarAttribute::NozzleOutlets),
                deg2rad($this->get(CarAttribute::NozzleAngle)),
            ),
            $this->get(CarAttribute::BalloonSize),
            (int) $this->get(CarAttribute::Balloons),
            source: $this->source,
        );
    }

    /** @throws OutOfRangeException */
    public function with(CarAttribute $setting, float $value): self
    {
        return self::of([$setting->value => $value] + $this->values, $this->source);
    }

    /** @return array<string, float> those that differ from the usual ones, and mean anything of what drives it */
    public function unusual(): array
    {
        return array_filter($this->values, function (float $value, string $key): bool {
            $setting = CarAttribute::from($key);

            return $setting->belongsTo($this->source) && $value !== $setting->ruler()->typical;
        }, ARRAY_FILTER_USE_BOTH);
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

        $design = new Design(
            new Balloon(
                $this->get(CarAttribute::BalloonRelaxed),
                $this->get(CarAttribute::BalloonFilm),
                $this->get(CarAttribute::BalloonSize),
                (int) $this->get(CarAttribute::Balloons),
                // Within what any rubber is, whatever factors meet.
                max(10_000.0, min(10_000_000.0, 300_000.0 * $pressure * $this->get(CarAttribute::BalloonPressure))),
            ),
            new Nozzle(
                $tubes,
                (int) $this->get(CarAttribute::NozzleOutlets),
                extraLoss: $this->get(CarAttribute::ReleaseLoss),
                angleDeg: $this->get(CarAttribute::NozzleAngle),
            ),
            $this->vehicle(self::WHEELS, $friction),
            new Air($this->get(CarAttribute::AirTemperature)),
            $this->get(CarAttribute::StartSpeed),
            $this->get(CarAttribute::Leak),
            $this->get(CarAttribute::FilledBy) > 0.0 ? Air::breath() : null,
        );
        $ramp = $this->ramp();
        if ($ramp === null) {
            return $design;
        }
        $inertia = $design->vehicle->massKg + $design->vehicle->wheelEquivalentMassKg + $design->carriedAirKg(
            $design->balloon->inflatedVolumeM3(),
        );

        return $design->off($ramp, $ramp->speedMS($design->vehicle, $inertia));
    }

    /**
     * Of a car that a band drives.
     *
     * @param float $friction factor on the rolling coefficient
     * @param float $pull factor on what the band pulls
     *
     * @throws OutOfRangeException
     */
    public function elasticDesign(float $friction = 1.0, float $pull = 1.0): ElasticDesign
    {
        $radius = $this->get(CarAttribute::WheelDiameter) / 2;
        $grip = $this->get(CarAttribute::Grip);

        return new ElasticDesign(
            new ElasticBand(
                $this->get(CarAttribute::ChainLength),
                self::STRANDS * $this->get(CarAttribute::BandsSideBySide) * $this
                    ->get(CarAttribute::BandWidth) * $this
                    ->get(CarAttribute::BandThickness),
                $this->get(CarAttribute::InstalledLength),
                $this->get(CarAttribute::TurnsWound),
                max(50_000.0, min(5_000_000.0, self::SHEAR_MODULUS_PA * $pull * $this->get(CarAttribute::BandStiffness))),
                $this->get(CarAttribute::ReturnedFraction),
                $this->get(CarAttribute::BandEnd) > 0.0 ? BandEnd::Tied : BandEnd::Free,
            ),
            new DrivenAxle(
                $this->windingRadiusM(),
                $radius,
                $this->get(CarAttribute::DrivenLoadShare),
                $grip,
                max(0.01, $grip * $this->get(CarAttribute::GripSliding)),
                self::WHEELS / self::AXLES * $this->get(CarAttribute::WheelMass) * $this->get(CarAttribute::WheelInertia) * $radius ** 2,
            ),
            $this->vehicle(self::WHEELS - self::WHEELS / self::AXLES, $friction),
            new Air($this->get(CarAttribute::AirTemperature)),
            $this->get(CarAttribute::StartSpeed),
        );
    }

    /**
     * From the start line to the stop.
     *
     * @param float|null $tolerance relative, in each step; as each simulator has it where null
     * @param float $friction factor on the rolling coefficient
     * @param float $strength factor on what its drive pushes
     *
     * @throws OutOfRangeException
     */
    public function run(?float $tolerance = null, bool $withTrajectory = false, float $friction = 1.0, float $strength = 1.0): SimulatedRun
    {
        if ($this->source->winds()) {
            return ElasticSimulator::run($this->elasticDesign($friction, $strength), $tolerance ?? 1e-8, $withTrajectory);
        }
        if ($this->source->blows()) {
            return Simulator::run($this->design($friction, $strength), $tolerance ?? 1e-6, $withTrajectory);
        }
        $vehicle = $this->vehicle(self::WHEELS, $friction);
        $ramp = $this->ramp();

        return Coast::run(
            $vehicle,
            new Air($this->get(CarAttribute::AirTemperature)),
            $ramp?->speedMS($vehicle, $vehicle->massKg + $vehicle->wheelEquivalentMassKg) ?? $this->get(CarAttribute::StartSpeed),
            $ramp,
            $withTrajectory,
        );
    }

    /** What pushes it as it is let go (N): the balloons along their nozzles, or the band at the rims; nothing of a ramp. */
    public function firstPushN(): float
    {
        if ($this->source->winds()) {
            $design = $this->elasticDesign();

            return $design->bandForceN() * $design->drive->gear();
        }

        return $this->source->blows() ? $this->design()->firstThrustN() : 0.0;
    }

    /**
     * The greatest f with which it still starts: T·cos θ = b·f·(m·g − T·sin θ) of a balloon, as the simulator has it of a band, and
     * h/(b·d) of a ramp.
     *
     * @param float $strength factor on what its drive pushes
     *
     * @throws OutOfRangeException
     */
    public function greatestFriction(float $strength = 1.0): float
    {
        if ($this->get(CarAttribute::StartSpeed) > 0.0) {
            return self::GREATEST_FRICTION;
        }
        $limit = $this->ramp()?->greatestFriction($this->get(CarAttribute::BreakawayRatio)) ?? 0.0;
        if ($this->source->winds()) {
            $limit = $this->elasticDesign(1.0, $strength)->greatestFriction();
        } elseif ($this->source->blows()) {
            $design = $this->design(1.0, $strength);
            $thrust = $design->firstThrustN();
            $load = $design->vehicle->massKg * Constants::GRAVITY_M_S2 - $thrust * $design->nozzle->upwardShare();
            $limit = $load <= 0.0
                ? self::GREATEST_FRICTION
                : max($limit, $thrust * $design->nozzle->forwardShare() / ($design->vehicle->breakawayRatio * $load));
        }

        return max(self::LEAST_FRICTION, min(self::GREATEST_FRICTION, self::STARTS * $limit));
    }

    /** Off which it starts; null where it does not. */
    public function ramp(): ?Ramp
    {
        return $this->source->rollsDown() ? new Ramp($this->get(CarAttribute::RampHeight), $this->get(CarAttribute::RampLength)) : null;
    }

    /** To the middle of the strand that winds on the driven axle (m). */
    private function windingRadiusM(): float
    {
        return ($this->get(CarAttribute::WindingDiameter) + $this->get(CarAttribute::BandThickness)) / 2;
    }

    /** @param int $wheels whose spin it counts as its own */
    private function vehicle(int $wheels, float $friction): Vehicle
    {
        return new Vehicle(
            $this->get(CarAttribute::Mass),
            min(self::GREATEST_FRICTION, max(self::LEAST_FRICTION, $friction * $this->rollingCoefficient())),
            $wheels * $this->get(CarAttribute::WheelMass) * $this->get(CarAttribute::WheelInertia),
            $this->get(CarAttribute::BreakawayRatio),
            // What the wind meets: the chassis, and the upper half of the wheels below it.
            $this->get(CarAttribute::NoseDrag) * $this->get(CarAttribute::ChassisWidth) * (
                $this->get(CarAttribute::ChassisHeight) + $this->get(CarAttribute::WheelDiameter) / 2
            ),
        );
    }
}
