<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;
use Skivo\Core\Statistics\Estimate;

/**
 * The forces of one version of a car: rolling coefficient and thrust, each measured on the bench or else estimated
 * from the parts, beside what the model has; and the model's input with what was measured in its place.
 */
final readonly class Forces
{
    /** A kitchen scale that shows whole grams. */
    private const MASS_UNCERTAINTY_KG = 0.0005;

    /**
     * Estimated from parts alone, f may be off by a quarter either way (95 %); balloons of one bag differ in pressure by a fifth. From
     * memory.
     */
    private const FRICTION_ESTIMATED = 0.25;
    private const PRESSURE = 0.2;

    /** Rubber of one box of bands, and the widths that are measured on it, differ by so much (95 %). From memory. */
    private const PULL = 0.4;

    /** What half a 95 % interval holds of standard uncertainties. */
    private const HALF_95 = 1.96;

    /** So many times the friction of the parts: common practice, no source. */
    private const HIGH_FRICTION = 1.5;

    /**
     * @param CarModel $model the input of the run model, measured values in place
     * @param Estimate $friction f
     * @param list<BenchTest> $frictionFrom the tests behind it; none where it is estimated from the parts
     * @param Estimate $thrust the first push (N)
     * @param list<BenchTest> $thrustFrom likewise
     * @param Estimate $pressure over the usual balloon's, as it enters the model
     * @param Estimate $modelFriction from the parts alone
     * @param Estimate $modelThrust from the parts alone (N)
     * @param array<string, Estimate> $results of every test that was done, by its value
     * @param bool $isBeyondModel whether the measured thrust asks for a pressure that no balloon has, or the pull for rubber that there is
     * not
     * @param BandCurve|null $band what its band pulls, as measured; null where it was not
     */
    private function __construct(
        public CarModel $model,
        public Estimate $friction,
        public array $frictionFrom,
        public Estimate $thrust,
        public array $thrustFrom,
        public Estimate $pressure,
        public Estimate $modelFriction,
        public Estimate $modelThrust,
        public array $results,
        public bool $isBeyondModel,
        public ?BandCurve $band = null,
    ) {}

    /**
     * @param CarModel $model from the parts
     * @param array<string, non-empty-list<list<float>>> $readings by the value of a BenchTest: repeats, each with its readings (SI)
     * @param Repeatability $repeats of such tests in the class
     */
    public static function of(CarModel $model, array $readings, Repeatability $repeats = new Repeatability()): self
    {
        $modelFriction = self::ofParts($model);
        $winds = $model->source()->winds();
        $usualPressure = new Estimate(1.0, ($winds ? self::PULL : self::PRESSURE) / self::HALF_95);
        $modelThrust = self::thrustAt($model, $usualPressure);

        $results = [];
        $measure = static function (Force $force, Circumstances $car) use ($readings, $repeats, &$results): array {
            $done = array_values(
                array_filter(
                    BenchTest::cases(),
                    static fn(BenchTest $test): bool => $test->measures() === $force && isset($readings[$test->value]),
                ),
            );
            foreach ($done as $test) {
                $results[$test->value] = $test->result($readings[$test->value], $car, $repeats);
            }

            return $done;
        };

        $frictionFrom = $measure(Force::Friction, self::circumstances($model, $modelFriction));
        $friction = self::together($frictionFrom, $results) ?? $modelFriction;
        // What no floor has is shown with its test, and left out of the model.
        $isBeyond = !self::isWithin(CarAttribute::RollingCoefficient, $friction->value) || $friction->value <= 0.0;
        if ($frictionFrom !== [] && !$isBeyond) {
            $model = $model->with(CarAttribute::RollingCoefficient, $friction->value);
        }
        foreach (
            $winds ? [[Force::LoadShare, CarAttribute::DrivenLoadShare], [Force::Grip, CarAttribute::Grip]] : [] as [$force, $setting]
        ) {
            $car = self::circumstances($model, $friction);
            $value = self::together($measure($force, $car), $results)?->value;
            $model = $value === null || !self::isWithin($setting, $value) ? $model : $model->with($setting, $value);
            if ($force === Force::Grip && isset($readings[BenchTest::Grip->value])) {
                $model = self::sliding($model, $readings[BenchTest::Grip->value], $car);
            }
        }
        $car = self::circumstances($model, $friction);
        $pressureFrom = $measure($winds ? Force::Pull : Force::Pressure, $car);
        $pressure = self::together($pressureFrom, $results) ?? $usualPressure;
        $thrustFrom = $measure(Force::Thrust, $car);
        $thrust = self::together($thrustFrom, $results);
        $beyond = false;
        if ($thrust !== null) {
            $needed = self::pressureFor($model, $thrust->value);
            $beyond = $needed === null;
            // Thrust goes with the pressure to a power close to one, so the relative uncertainty is the same.
            $pressure = $needed === null
                ? $pressure
                : new Estimate($needed, $needed * $thrust->standardUncertainty / $thrust->value, $thrust->degreesOfFreedom);
        }
        $strength = $model->source()->strength();
        $beyond = $beyond || !self::isWithin($strength, $pressure->value);
        if (($pressureFrom !== [] || $thrustFrom !== []) && !$beyond) {
            $model = $model->with($strength, $pressure->value);
        }
        $curve = BandCurve::of($readings[BenchTest::BandPull->value] ?? [], $model);
        if ($winds && $curve?->returnedFraction !== null && self::isWithin(CarAttribute::ReturnedFraction, $curve->returnedFraction)) {
            $model = $model->with(CarAttribute::ReturnedFraction, $curve->returnedFraction);
        }
        if (isset($readings[BenchTest::Spin->value])) {
            $results[BenchTest::Spin->value] = BenchTest::Spin->result($readings[BenchTest::Spin->value], $car, $repeats);
        }

        return new self(
            $model,
            $friction,
            $frictionFrom,
            $thrust ?? self::thrustAt($model, $pressure),
            $thrustFrom === [] ? $pressureFrom : $thrustFrom,
            $pressure,
            $modelFriction,
            $modelThrust,
            $results,
            $beyond,
            $curve,
        );
    }

    /**
     * A car's parts with what the bench read of its rims and of how its rubber gives back. Its friction and the strength of its drive
     * stay those of the parts: what is known of them is weighed against its tries.
     */
    public function withRims(CarModel $parts): CarModel
    {
        foreach (
            $parts->source()->winds()
                ? [CarAttribute::DrivenLoadShare, CarAttribute::Grip, CarAttribute::GripSliding, CarAttribute::ReturnedFraction]
                : [] as $setting
        ) {
            if (($this->model->origins[$setting->value] ?? null) === Origin::Measured) {
                $parts = $parts->with($setting, $this->model->settings->get($setting));
            }
        }

        return $parts;
    }

    /** Whether it was, and lies within what any floor and axle have. */
    public function frictionIsMeasured(): bool
    {
        return $this->model->settings->frictionIsMeasured();
    }

    /** Whether it was, and is so much more than its parts' that something rubs. */
    public function frictionIsHigh(): bool
    {
        return $this->frictionIsMeasured() && $this->friction->value > self::HIGH_FRICTION * $this->modelFriction->value;
    }

    private static function isWithin(CarAttribute $setting, float $value): bool
    {
        [$least, $greatest] = $setting->limits();

        return $value >= $least && $value <= $greatest;
    }

    public function thrustIsMeasured(): bool
    {
        return $this->thrustFrom !== [] && !$this->isBeyondModel;
    }

    /**
     * @param list<BenchTest> $tests
     * @param array<string, Estimate> $results
     */
    private static function together(array $tests, array $results): ?Estimate
    {
        $found = array_values(
            array_intersect_key($results, array_flip(array_map(static fn(BenchTest $test): string => $test->value, $tests))),
        );

        return $found === [] ? null : Estimate::weighted($found);
    }

    /** What bench tests take to be so of a car of which only the parts are known. */
    public static function fromParts(CarModel $model): Circumstances
    {
        return self::circumstances($model, self::ofParts($model));
    }

    private static function ofParts(CarModel $model): Estimate
    {
        $fromParts = $model->settings->rollingCoefficient();

        return new Estimate($fromParts, self::FRICTION_ESTIMATED / self::HALF_95 * $fromParts);
    }

    private static function circumstances(CarModel $model, Estimate $friction): Circumstances
    {
        $design = $model->settings->design();
        $vehicle = $design->vehicle;
        $balloon = $design->balloon;
        $rolling = 1.0 + $vehicle->wheelEquivalentMassKg / $vehicle->massKg;
        $air = $model->source()->blows() ? $design->carriedAirKg($balloon->inflatedVolumeM3()) / $vehicle->massKg : 0.0;
        $elastic = $model->settings->elasticDesign();

        return new Circumstances(
            $vehicle->massKg,
            self::MASS_UNCERTAINTY_KG,
            $rolling,
            $rolling + $air,
            $friction,
            // Below this a film is hardly stretched, and a reading of it says nothing.
            static fn(float $diameter): float => $balloon->gaugePressurePa(max($diameter, 1.05 * $balloon->relaxedDiameterM)),
            $elastic->drive->loadShare,
            static fn(float $turns): float => $elastic->band->pullN($elastic->drive->woundM($turns)),
        );
    }

    /**
     * The model with what sliding rims keep of their grip, as measured.
     *
     * @param non-empty-list<list<float>> $readings
     */
    private static function sliding(CarModel $model, array $readings, Circumstances $car): CarModel
    {
        $shares = array_map(static fn(array $reading): float => BenchTest::slidingShare($reading, $car), $readings);
        $share = array_sum($shares) / count($shares);

        return self::isWithin(CarAttribute::GripSliding, $share) ? $model->with(CarAttribute::GripSliding, $share) : $model;
    }

    private static function thrustAt(CarModel $model, Estimate $pressure): Estimate
    {
        $thrust = $model->settings->firstPushN();
        $relative = $pressure->value > 0.0 ? $pressure->standardUncertainty / $pressure->value : 0.0;

        return new Estimate($thrust, $relative * $thrust, $pressure->degreesOfFreedom);
    }

    /** The pressure, over the usual, at which the model gives this first push; null where none within reach does. */
    private static function pressureFor(CarModel $model, float $thrustN): ?float
    {
        [$least, $greatest] = CarAttribute::BalloonPressure->limits();
        $factor = 1.0;
        for ($i = 0; $i < 60; $i++) {
            $now = $model->settings->with(CarAttribute::BalloonPressure, $factor)->design()->firstThrustN();
            if ($now <= 0.0) {
                return null;
            }
            $next = max($least, min($greatest, $factor * $thrustN / $now));
            if (abs($next - $factor) < 1e-9 * $factor) {
                return abs($now / $thrustN - 1.0) < 1e-6 ? $factor : null;
            }
            $factor = $next;
        }

        return $factor;
    }
}
