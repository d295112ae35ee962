<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Bench\Forces;
use Skivo\Core\Bench\Repeatability;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Simulation\Beyond;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\PumpCurve;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;

/** The one forecast of every car of a class, from its parts, its bench tests, its tries, and what the class's hands are like. */
final readonly class ClassForecast
{
    /**
     * Tries scatter by so much of how far a car goes, where a class does not show it; as good as so many degrees of freedom of it. Common
     * practice, no source.
     */
    private const USUAL_SCATTER = 0.08;
    private const USUAL_DEGREES = 4.0;

    /** What a careful bench test of friction is off by (standard uncertainty, of f). From memory. */
    private const CAREFUL = 0.04;

    /** A fill, or a winding, within so much of a car's usual one is the same. */
    private const SAME_FILL = 0.025;

    /** More than this and it is no scatter of tries. */
    private const GREATEST_SCATTER = 0.6;

    /**
     * @param array<array-key, CarModel> $models from the parts, by the id of the car; of those that the model can compute with
     * @param array<array-key, Forces> $forces likewise, what the bench measured in place
     * @param array<array-key, array<string, Beyond>> $beyond what is recorded of the others that the model can't, by attribute
     * @param array<array-key, list<CarAttribute>> $missing what is not known of a car and must be, by its id
     * @param array<array-key, State> $states what is known of each car, by its id
     * @param array<array-key, State> $guessed what those must be like of which too much is missing to forecast them, likewise
     * @param array{push: State, band: State} $usual likewise of a car that this class might build, by what drives it
     * @param array<array-key, Forecast> $forecasts of one more try, by the id of the car; of those that nothing is missing of
     * @param array<array-key, Forecast> $beforeRuns what could have been said before its first try, likewise; of those that ran
     * @param array<array-key, Forecast> $onceMeasured what one careful bench test of its friction would make of it; of those without
     * @param CheckShifts $shifts by which cars that failed checks are expected to roll worse
     * @param CheckedCars $checked what this class's own checks and frictions say to other classes
     */
    private function __construct(
        public array $models,
        public array $forces,
        public array $beyond,
        public array $missing,
        public array $states,
        private array $guessed,
        private array $usual,
        public array $forecasts,
        public array $beforeRuns,
        public array $onceMeasured,
        public Hands $hands,
        public Repeatability $repeatability,
        public ?ModeratedScatter $scatter,
        public CheckShifts $shifts,
        public CheckedCars $checked,
        /** Whether most of its cars are driven by bands, so that what hands and drives are like is said of those. */
        public bool $isOfBands = false,
    ) {}

    /**
     * @param list<RecordedCar> $cars
     * @param string|null $surface on which they run, where a car has none of its own
     * @param float|null $temperatureC of the air
     * @param PumpCurve|null $pump as the class measured it
     * @param CheckShifts $shifts as other classes have them
     */
    public static function of(
        array $cars,
        Catalogue $catalogue,
        ?string $surface,
        ?float $temperatureC,
        ?PumpCurve $pump,
        Kept $kept,
        CheckShifts $shifts = new CheckShifts(),
    ): self {
        $models = $measured = $beyond = $missing = $forces = [];
        foreach ($cars as $car) {
            $choices = $car->asRun();
            try {
                $model = CarModel::of($choices, $catalogue, $surface, $temperatureC, $pump)->leaking($car->lostM);
            } catch (BeyondModelException $found) {
                $beyond[$car->id] = $found->beyond;

                continue;
            }
            if (!$choices->isEmpty() || $car->bench !== []) {
                $models[$car->id] = $model;
                $measured[] = [$model, $car->bench];
                if ($model->missing !== []) {
                    $missing[$car->id] = $model->missing;
                }
            }
        }
        $repeats = Repeatability::of($measured);
        $scatter = (new Award(Goal::Farthest))->scatter(array_map(static fn(RecordedCar $car) => $car->tries, $cars));
        $evidence = $guessed = [];
        foreach ($cars as $car) {
            $model = $models[$car->id] ?? null;
            if ($model !== null) {
                $forces[$car->id] = Forces::of($model, $car->bench, $repeats);
                $models[$car->id] = $model = $forces[$car->id]->withRims($model);
                $own = self::evidence($car, $model, $forces[$car->id], $scatter, $kept, $shifts);
                if (!isset($missing[$car->id])) {
                    $evidence[$car->id] = $own;
                } elseif ($own->saysMore()) {
                    $guessed[$car->id] = $own;
                }
            }
        }
        $drives = ['push' => [], 'band' => []];
        foreach ($evidence as $id => $car) {
            $drives[self::drive($models[$id]->source())][] = $car;
        }
        // Bands pull otherwise than balloons push, and neither says anything of the other; the hands are taken as those of each.
        $hands = [
            'push' => new Workmanship($drives['push'], StrengthPrior::of(EnergySource::Balloon)),
            'band' => new Workmanship($drives['band'], StrengthPrior::of(EnergySource::ElasticBand)),
        ];
        $isOfBands = count($drives['band']) > count($drives['push']);
        $of = static fn(Evidence $car): Workmanship => $hands[self::drive($models[$car->id]->source())];
        $states = array_map(static fn(Evidence $car): State => $of($car)->stateOf($car), $evidence);
        $usualScatter = $scatter === null ? self::USUAL_SCATTER : self::relative(null, $scatter);

        return new self(
            $models,
            $forces,
            $beyond,
            $missing,
            $states,
            self::guessed($guessed, $models),
            array_map(static fn(Workmanship $each): State => $each->usual($usualScatter), $hands),
            array_map(static fn(Evidence $car): Forecast => $states[$car->id]->forecast($car->table), $evidence),
            array_map(static fn(Evidence $car): Forecast => $of($car)->forecastBeforeRuns(
                $car,
                self::versions($cars, $car->id),
            ), array_filter(
                $evidence,
                static fn(Evidence $car): bool => $car->distancesM !== [] || $car->atLeastM !== [] || $car->noStarts > 0,
            )),
            array_map(
                static fn(Evidence $car): Forecast => $states[$car->id]->onceMeasured(
                    $car->table->partsFriction,
                    self::CAREFUL,
                )->forecast($car->table),
                array_filter($evidence, static fn(Evidence $car): bool => $car->friction === null),
            ),
            $hands[$isOfBands ? 'band' : 'push']->hands(),
            $repeats,
            $scatter,
            $shifts,
            self::checked($cars, $evidence, $of),
            $isOfBands,
        );
    }

    /**
     * What hands and balloons must be like for cars to run as they did, if what nobody recorded of them is as usual: enough to compare
     * cars by, and not enough to forecast any.
     *
     * @param array<array-key, Evidence> $cars by their id
     * @param array<array-key, CarModel> $models likewise
     *
     * @return array<array-key, State>
     */
    private static function guessed(array $cars, array $models): array
    {
        $states = [];
        foreach ([EnergySource::Balloon, EnergySource::ElasticBand] as $source) {
            $own = array_filter(
                $cars,
                static fn(Evidence $car): bool => self::drive($models[$car->id]->source()) === self::drive($source),
            );
            if ($own !== []) {
                $hands = new Workmanship(array_values($own), StrengthPrior::of($source));
                $states += array_map($hands->stateOf(...), $own);
            }
        }

        return $states;
    }

    /** What is known of the hands and the balloon of a car, or what they must be like for it to run as it did; null where nothing is. */
    public function stateOf(string $car): ?State
    {
        return $this->states[$car] ?? $this->guessed[$car] ?? null;
    }

    /** What the parts of a car say of it. */
    public function modelOf(string $car): ?CarModel
    {
        return $this->models[$car] ?? null;
    }

    /** Of a car that this class might build, driven so. */
    public function usual(EnergySource $source = EnergySource::Balloon): State
    {
        return $this->usual[self::drive($source)];
    }

    /** Cars whose push differs from the model's for the same reasons; a ramp alone gives what it gives. */
    private static function drive(EnergySource $source): string
    {
        return $source->winds() ? 'band' : 'push';
    }

    /**
     * @param list<RecordedCar> $cars
     *
     * @return list<string> the ids of all versions of the group that has a car
     */
    private static function versions(array $cars, string $id): array
    {
        $group = null;
        foreach ($cars as $car) {
            $group = $car->id === $id ? $car->group : $group;
        }

        return array_values(array_map(
            static fn(RecordedCar $car): string => $car->id,
            array_filter($cars, static fn(RecordedCar $car): bool => $car->group === $group),
        ));
    }

    /** @return list<Run> that say how far it goes: practice as well, where it was filled as for its tries */
    private static function runs(RecordedCar $car): array
    {
        $choices = $car->asRun();
        $isUsual = static fn(?float $of, ?float $usual): bool => $of === null
            || $usual !== null
            && abs($of - $usual) <= self::SAME_FILL * $usual;

        return [...$car->runs->counted, ...$car->tries->extra, ...array_filter(
            $car->tries->practice,
            static fn(Run $run): bool => $run->void === null && $isUsual($run->fillDiameterM, $choices->balloonDiameterM())
                && $isUsual($run->turns, $choices->number(CarAttribute::TurnsWound)),
        )];
    }

    private static function evidence(
        RecordedCar $car,
        CarModel $model,
        Forces $forces,
        ?ModeratedScatter $scatter,
        Kept $kept,
        CheckShifts $shifts,
    ): Evidence {
        $runs = self::runs($car);
        $stopped = array_values(array_filter($runs, static fn(Run $run): bool => !$run->pastEnd && ($run->distanceM ?? 0.0) > 0.0));
        $past = array_values(array_filter($runs, static fn(Run $run): bool => $run->pastEnd && ($run->distanceM ?? 0.0) > 0.0));
        $distances = array_map(static fn(Run $run): float => (float) $run->distanceM, $stopped);
        $sample = $car->runs->distances();

        return new Evidence(
            $car->id,
            DistanceTable::of($model->settings, $kept),
            $forces->frictionIsMeasured() ? $forces->friction : null,
            $forces->thrustIsMeasured() ? $forces->pressure->times(1.0 / $model->settings->get($model->source()->strength())) : null,
            $distances,
            array_map(static fn(Run $run): float => (float) $run->distanceM, $past),
            count(array_filter($runs, static fn(Run $run): bool => $run->distanceM === 0.0))
                + count(
                    array_filter(
                        [...$car->tries->void, ...$car->tries->practice],
                        static fn(Run $run): bool => $run->void?->isNoStart() === true,
                    ),
                ),
            self::relative($sample, $scatter),
            $shifts->of($car->failed ?? []),
        );
    }

    /**
     * @param list<RecordedCar> $cars
     * @param array<array-key, Evidence> $evidence by the id of the car
     * @param \Closure(Evidence): Workmanship $of what is known of hands that build cars with its drive
     */
    private static function checked(array $cars, array $evidence, \Closure $of): CheckedCars
    {
        $ofGroup = [];
        foreach ($cars as $car) {
            $reading = $car->failed === null || !isset($evidence[$car->id]) ? null : $of($evidence[$car->id])->reading($evidence[$car->id]);
            if ($reading !== null) {
                // Versions share their group's faults: the newest speaks for it.
                $ofGroup[$car->group] = [$car->failed ?? [], $reading];
            }
        }

        return CheckedCars::of(array_values($ofGroup));
    }

    private static function relative(?Sample $sample, ?ModeratedScatter $scatter): float
    {
        if ($scatter === null) {
            return self::USUAL_SCATTER;
        }
        $mean = $sample?->mean() ?? 0.0;
        $variance = $sample === null || $mean <= 0.0 ? $scatter->priorVariance : $scatter->variance($sample) / $mean ** 2;
        $degrees = $sample === null ? $scatter->allDegrees : $scatter->degreesOfFreedom($sample);

        return sqrt(min(
            self::GREATEST_SCATTER ** 2,
            (self::USUAL_DEGREES * self::USUAL_SCATTER ** 2 + $degrees * $variance) / (self::USUAL_DEGREES + $degrees),
        ));
    }
}
