<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\Kept;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\EnergyLedger;
use Skivo\Core\Simulation\Settings;

/** The run model at each car's own state: its parts, its workmanship, its balloon's pressure. Runs are kept. */
final readonly class ByModel
{
    private const TOLERANCE = 1e-3;

    /** What nobody recorded is off by so much of itself (standard deviation). From memory. */
    private const SPREADS = [
        CarAttribute::Mass->value => 0.2, CarAttribute::BalloonSize->value => 0.05, CarAttribute::WheelDiameter->value => 0.05,
        CarAttribute::NozzleBore->value => 0.02,
    ];

    /** The model makes nothing of what changes a distance by less than this (ln). */
    private const HARDLY = 0.02;

    /** A car that does not start by the model is taken to go so much of what it goes otherwise. */
    private const HARDLY_STARTS = 0.2;

    /** Of fewer cars whose friction was measured nobody knows what the class's is like. */
    private const FEWEST_MEASURED = 3;

    /** States closer than this (of ln w and ln p) are one: their runs need not be simulated again. */
    private const SAME_W = 0.15;
    private const SAME_P = 0.1;

    public function __construct(
        private ClassForecast $forecast,
        private Kept $kept,
        private ?float $timedLengthM = null,
        private Catalogue $catalogue = new Catalogue([]),
    ) {}

    /**
     * Of every size in which the cars of a class differ, as they are recorded or as their parts have it: each car is run once with the
     * class's middle size in its place.
     *
     * @param list<ComparedCar> $cars
     */
    public function contributions(array $cars, Outcome $outcome): Contributions
    {
        $which = $outcome === Outcome::Time ? 1 : 0;
        $settings = $beyond = $logs = $doubts = [];
        foreach ($cars as $car) {
            $parts = $this->parts($car->id);
            if ($parts === null) {
                $beyond[] = $car->id;
            } else {
                $settings[$car->id] = $parts;
            }
        }
        // Nobody's car can be computed: then nothing is allowed for, and all are compared as they are.
        if ($settings === [] || !$outcome->isByFactors()) {
            return new Contributions();
        }
        foreach (self::compared() as $attribute) {
            $values = array_map(
                static fn(Settings $each): float => $each->get($attribute),
                array_filter($settings, static fn(Settings $each): bool => $attribute->belongsTo($each->source)),
            );
            $middle = $values === [] ? 0.0 : self::middle(array_values($values));
            foreach ($values as $id => $own) {
                if (!Difference::isSame($attribute, $own, $middle)) {
                    $logs[$attribute->value][$id] = $this->ratio($settings[$id], [], [$attribute->value => $middle], $which);
                }
            }
        }
        $hands = $this->ofHands($settings, $which);
        if ($hands !== []) {
            $logs[CarAttribute::Workmanship->value] = $hands;
        }
        foreach ($cars as $car) {
            foreach (isset($settings[$car->id]) ? self::SPREADS : [] as $key => $spread) {
                $attribute = CarAttribute::from($key);
                $own = $settings[$car->id];
                if ($attribute->belongsTo($own->source) && $car->choices->explanation($attribute) === null) {
                    $more = [$key => min($attribute->limits()[1], $own->get($attribute) * (1.0 + $spread))];
                    $doubts[$key][$car->id] = abs($this->ratio($own, $more, [], $which));
                }
            }
        }

        return new Contributions($logs, $doubts, $beyond, $this->ofParts($cars, $settings));
    }

    /**
     * What hands made of a car whose friction was measured, against the middle of those that were: nothing is taken from its own runs.
     *
     * @param array<string, Settings> $settings by the id of the car
     *
     * @return array<string, float> ln of the factor on the outcome, by the id of the car
     */
    private function ofHands(array $settings, int $which): array
    {
        $measured = [];
        foreach ($settings as $id => $own) {
            $forces = $this->forecast->forces[$id] ?? null;
            if ($forces?->frictionIsMeasured() === true) {
                $parts = $own->with(CarAttribute::Workmanship, 0.0)->rollingCoefficient();
                $measured[$id] = min(CarAttribute::Workmanship->limits()[1], max(1e-4, $forces->friction->value - $parts));
            }
        }
        if (count($measured) < self::FEWEST_MEASURED) {
            return [];
        }
        $middle = self::middle(array_values($measured));
        $key = CarAttribute::Workmanship->value;

        return array_map(
            fn(string|int $id): float => $this->ratio($settings[$id], [$key => $measured[$id]], [$key => $middle], $which),
            array_combine(array_keys($measured), array_keys($measured)),
        );
    }

    /**
     * @param list<ComparedCar> $cars
     * @param array<string, Settings> $settings by the id of the car
     *
     * @return array<string, array<string, float>> sizes that a car has by the name of its part, where nobody measured them
     */
    private function ofParts(array $cars, array $settings): array
    {
        $sizes = [];
        foreach ([[PartKind::Wheel, CarAttribute::WheelDiameter], [PartKind::Nozzle, CarAttribute::NozzleBore]] as [$kind, $size]) {
            foreach ($cars as $car) {
                $own = $settings[$car->id] ?? null;
                $isKnown = $this->catalogue->named($kind, $car->choices->kind($kind->named())) !== null;
                if ($own !== null && $isKnown && $size->belongsTo($own->source) && $car->choices->explanation($size) === null) {
                    $sizes[$size->value][$car->id] = $own->get($size);
                }
            }
        }

        return $sizes;
    }

    /** ln of the factor on the distance of a car whose size is changed; null where the model can't say. */
    public function change(ComparedCar $car, CarAttribute $attribute, float|string $to): ?float
    {
        $parts = $this->parts($car->id);

        return $parts === null || !is_float($to) || $attribute->facts()->ruler === null || !$attribute->belongsTo($parts->source)
            ? null
            : $this->ratio($parts, [$attribute->value => $to], [], 0);
    }

    /**
     * Which share of what an attribute makes of a car's distance it makes by the push; the rest by the friction, which a size of the
     * wheels or the mass changes as well. Below 0 or above 1 where the two work against each other.
     *
     * @param float $least of it (SI)
     * @param float $most
     *
     * @return float|null null where the model can't say, or makes nothing of it
     */
    public function byPush(string $car, CarAttribute $attribute, float $least, float $most): ?float
    {
        $parts = $this->parts($car);
        if ($parts === null || $attribute->facts()->ruler === null || !$attribute->belongsTo($parts->source)) {
            return null;
        }
        $all = $this->ratio($parts, [$attribute->value => $most], [$attribute->value => $least], 0);
        try {
            [$one, $other] = [$parts->with($attribute, $least), $parts->with($attribute, $most)];
        } catch (OutOfRangeException) {
            return null;
        }
        $distance = $other->run(self::TOLERANCE, friction: $one->rollingCoefficient() / $other->rollingCoefficient())->distanceM;
        $before = $this->outcomes($parts, [$attribute->value => $least])[0] ?? 0.0;

        return abs($all) < self::HARDLY || $distance <= 0.0 || $before <= 0.0 ? null : log($distance / $before) / $all;
    }

    /** @return list<CarAttribute> what cars can be compared by: not what hands add, nor what is the same for all */
    private static function compared(): array
    {
        return array_values(array_filter(CarAttribute::ofModel(), static fn(CarAttribute $each): bool => !in_array($each, [
            CarAttribute::RollingCoefficient, CarAttribute::Workmanship, CarAttribute::BalloonPressure, CarAttribute::BandStiffness,
            CarAttribute::StartSpeed, CarAttribute::AirTemperature, CarAttribute::Leak,
        ], true)));
    }

    /** @param non-empty-list<float> $values */
    private static function middle(array $values): float
    {
        sort($values);

        // One that a car has: most cars of a class for two kinds then need no run.
        return $values[intdiv(count($values) - 1, 2)];
    }

    /**
     * ln of one outcome over another, of a car with other sizes. One that does not start goes as far as one that hardly does.
     *
     * @param array<string, float> $one in place of its own, by the value of a CarAttribute
     * @param array<string, float> $other
     */
    private function ratio(Settings $parts, array $one, array $other, int $which): float
    {
        [$now, $then] = [$this->outcomes($parts, $one)[$which] ?? 0.0, $this->outcomes($parts, $other)[$which] ?? 0.0];
        $least = self::HARDLY_STARTS * max($now, $then);

        return $least > 0.0 ? log(max($least, $now) / max($least, $then)) : 0.0;
    }

    /**
     * How far the car would go with other sizes, its own workmanship kept.
     *
     * @param array<string, float> $sizes (SI) in place of the car's own, by the value of their CarAttribute
     *
     * @return float|null m; null where the model can't say
     */
    public function distanceM(string $car, array $sizes = []): ?float
    {
        $parts = $this->parts($car);

        return $parts === null ? null : $this->outcomes($parts, $sizes)[0] ?? null;
    }

    /**
     * Why a car stopped where it did.
     *
     * @param float|null $measuredM mean of its counted tries; null where none counts
     * @param float|null $limpM where its balloon went limp; null where that was not marked
     *
     * @return Work|null null where the model can't say, or the car does not start by it
     */
    public function work(string $car, ?float $measuredM, ?float $limpM): ?Work
    {
        $settings = $this->settingsOf($car);
        $state = $this->forecast->forecasts[$car] ?? null;
        $forces = $this->forecast->forces[$car] ?? null;
        if ($settings === null || $state === null || $forces === null || ($measuredM !== null && $measuredM <= 0.0)) {
            return null;
        }
        $settings = Prediction::begin($settings, $this->forecast->states[$car]);
        [$distance, $stretch, $stored, $thrust, $rolling, $drag, $carried, $start, $slip, $end, $potential] = $this->kept->get(
            'work 2 ' . hash('xxh128', serialize($settings)),
            static function () use ($settings): array {
                $run = $settings->run(self::TOLERANCE);
                $ramp = $settings->source->blows() ? null : $settings->ramp();

                return [
                    $run->distanceM, $ramp->lengthM
                        ?? $run->driveEnd->distanceM ?? $run->distanceM, $run->energy->stored, $run->energy->push,
                    $run->energy->rolling, $run->energy->drag, $run->energy->carriedOff, $run->energy->start, $run->energy->slip,
                    $run->energy->end,
                    $run->energy->potential,
                ];
            },
        );

        return $distance > 0.0 && $stretch > 0.0
            ? Work::of(
                new EnergyLedger($stored, $thrust, $rolling, $drag, $carried, $start, $slip, $end, $potential),
                $distance,
                $stretch,
                $measuredM,
                $limpM,
                $forces->thrustIsMeasured(),
                $forces->frictionIsMeasured(),
                $settings->source,
            )
            : null;
    }

    /** The car's settings, measured values in place; null where the model can't say anything of it. */
    public function settingsOf(string $car): ?Settings
    {
        return $this->forecast->modelOf($car)?->settings;
    }

    /** The car's settings at its own state, but for what tells nobody anything. */
    private function parts(string $car): ?Settings
    {
        $settings = $this->settingsOf($car);
        if ($settings === null) {
            return null;
        }
        $state = $this->forecast->stateOf($car) ?? $this->forecast->usual($settings->source);
        $begin = Prediction::begin($settings, $state);
        $strength = $settings->source->strength();

        return $begin
            ->with(
                CarAttribute::Workmanship,
                min(0.5, exp(self::SAME_W * round(log(max(1e-4, $begin->get(CarAttribute::Workmanship))) / self::SAME_W))),
            )
            ->with($strength, max(0.2, min(5.0, exp(self::SAME_P * round(log($begin->get($strength)) / self::SAME_P)))));
    }

    /**
     * @param array<string, float> $sizes
     *
     * @return list<float> how far it goes (m), and how long it takes over the timed length (s; 0 where it does not come so far); none where that can't be computed
     */
    private function outcomes(Settings $parts, array $sizes): array
    {
        try {
            foreach ($sizes as $key => $size) {
                $parts = $parts->with(CarAttribute::from($key), $size);
            }
        } catch (OutOfRangeException) {
            return [];
        }
        $timed = $this->timedLengthM;

        return $this->kept->get('outcome ' . hash('xxh128', serialize([$parts, $timed])), static function () use ($parts, $timed): array {
            $run = $parts->run(self::TOLERANCE, $timed !== null);

            return [$run->distanceM, $timed === null ? 0.0 : $run->timeAt($timed) ?? 0.0];
        });
    }
}
