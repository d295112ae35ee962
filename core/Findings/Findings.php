<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Forecast\Kept;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;

/** All that can be said of a class: the one function behind pages, reports and the command. */
final readonly class Findings
{
    /**
     * @param list<ComparedCar> $cars every version with a distance
     * @param list<Effect> $effects of every attribute and outcome that like cars speak of, the surest first
     * @param Answer|null $answer to the class's question; null where it asks none, or nothing ran yet
     * @param Effect|null $asked what like cars say of that; null where none do
     * @param list<CarAttribute> $unrecorded what nobody recorded and the question can't do without
     * @param list<Confounding> $confounded
     * @param list<Ruling> $rulings
     * @param list<Dose> $doses
     * @param float|null $nextExpectedM by how much farther the model has the next test's car go, once rebuilt
     * @param array<array-key, Work> $works why each car stopped where it did, by its id; of every version that ran, and of the others of which enough is known
     * @param array<array-key, float> $chances of being first, by the id of the group
     * @param array<array-key, list<Outlier>> $outliers by the id of the car
     * @param list<SourceUse> $sources of energy, compared; none where all cars have one
     * @param string|null $typical the car whose forecast is the middle one
     */
    private function __construct(
        public array $cars,
        public array $effects,
        public Claims $claims,
        public ?Question $question,
        public ?Answer $answer,
        public ?Effect $asked,
        public array $unrecorded,
        public array $confounded,
        public SeveralFactors $several,
        public array $rulings,
        public array $doses,
        public ?NextTest $next,
        public ?float $nextExpectedM,
        public array $works,
        public ClassForecast $forecast,
        public Standings $standings,
        public array $chances,
        public array $outliers,
        public Trends $trends,
        public ?string $typical,
        public array $sources,
    ) {}

    /** @param int $draws of the chances of being first */
    public static function of(ClassData $class, Kept $kept = new KeptInMemory(), int $draws = ChanceOfFirst::DRAWS): self
    {
        $forecast = ClassForecast::of(
            $class->cars,
            $class->catalogue,
            $class->surface,
            $class->temperatureC,
            $class->pump,
            $kept,
            $class->shifts,
        );
        $cars = self::compared($class, $forecast);
        $adjustment = new ByModel($forecast, $kept, $class->timedLengthM);
        $question = $class->question;
        $effects = [];
        foreach (Trends::outcomes($cars) as $outcome) {
            array_push($effects, ...Effect::all($cars, $adjustment, $outcome));
        }
        usort($effects, static fn(Effect $a, Effect $b): int => ($a->pValue ?? 2.0) <=> ($b->pValue ?? 2.0));
        $asked = self::asked($question, $effects);
        $trends = Trends::among($cars);
        $newest = ComparedCar::newest($cars);
        $several = SeveralFactors::of($newest);
        $claims = Claims::of($effects, $several, $trends->pValues, $question, self::typicalOutcomes($cars));
        $confounded = Confounding::among($cars);
        $typical = self::typical($forecast);
        $standings = self::standings($class);
        $tries = array_map(static fn(RecordedCar $car): Tries => $car->runs, self::byId($class));

        $next = NextTest::propose(
            $cars,
            $effects,
            $confounded,
            $claims,
            $question,
            $class->mayBe ?? self::ofThoseIn($class),
            $forecast->scatter,
        );

        return new self(
            $cars,
            $effects,
            $claims,
            $question,
            $question === null || $cars === [] ? null : ($asked === null ? Answer::CannotTell : $claims->verdict($asked)),
            $asked,
            $question === null ? [] : LikeCars::unrecorded($cars, $question->attribute),
            $confounded,
            $several,
            Ruling::all($cars, $effects, $confounded, $several, $claims, $adjustment, $typical),
            Dose::all($tries),
            $next,
            self::expected($next, $adjustment),
            self::works($class, $adjustment),
            $forecast,
            $standings,
            ChanceOfFirst::of($standings, $class->seed, $draws),
            Outlier::among(array_filter(
                array_map(static fn(Tries $own): ?Sample => $own->distances(), $tries),
                static fn(?Sample $sample): bool => $sample !== null,
            )),
            $trends,
            $typical,
            SourceUse::all($cars, $forecast),
        );
    }

    private static function expected(?NextTest $next, ByModel $model): ?float
    {
        if ($next === null || !is_float($next->to) || $next->factor->facts()->ruler === null) {
            return null;
        }
        $now = $model->distanceM($next->car->id);
        $then = $model->distanceM($next->car->id, [$next->factor->value => $next->to]);

        return $now === null || $then === null ? null : $then - $now;
    }

    /** @return array<string, Work> by the id of the car */
    private static function works(ClassData $class, ByModel $model): array
    {
        $works = [];
        foreach ($class->cars as $car) {
            $work = $model->work(
                $car->id,
                $car->sample()?->mean(),
                $car->runs->each(static fn(Run $run): ?float => $run->limpM)?->mean(),
            );
            if ($work !== null) {
                $works[$car->id] = $work;
            }
        }

        return $works;
    }

    /** By which a general remark of the model is made. */
    private static function typical(ClassForecast $forecast): ?string
    {
        $medians = array_map(static fn(Forecast $each): float => $each->medianM, $forecast->forecasts);
        asort($medians);
        $ids = array_keys($medians);

        return $ids === [] ? null : (string) $ids[intdiv(count($ids), 2)];
    }

    /** @return list<ComparedCar> */
    private static function compared(ClassData $class, ClassForecast $forecast): array
    {
        $cars = [];
        foreach ($class->cars as $car) {
            $distances = $car->sample();
            if ($distances === null) {
                continue;
            }
            $others = [];
            foreach ([Outcome::Time, Outcome::Straightness] as $outcome) {
                $sample = $outcome->measure($car->runs, $class->timedLengthM);
                if ($sample !== null) {
                    $others[$outcome->value] = $sample;
                }
            }
            $choices = $car->asRun();
            $model = $forecast->modelOf($car->id);
            if (
                $model !== null
                && $choices->blows()
                && $choices->has(CarAttribute::PumpStrokes)
                && !$choices->has(CarAttribute::BalloonSize)
            ) {
                $choices = $choices->with(CarAttribute::BalloonSize, self::filledTo($model));
            }
            $cars[] = new ComparedCar($car->id, $car->group, $car->version, $choices, $distances, $others);
        }

        return $cars;
    }

    private static function filledTo(CarModel $model): float
    {
        return $model->settings->get(CarAttribute::BalloonSize);
    }

    /** @param list<Effect> $effects */
    private static function asked(?Question $question, array $effects): ?Effect
    {
        foreach ($effects as $effect) {
            if ($question?->isOf($effect) === true) {
                return $effect;
            }
        }

        return null;
    }

    /**
     * @param list<ComparedCar> $cars
     *
     * @return array<string, float> the middle of the cars' means, by the value of the outcome
     */
    private static function typicalOutcomes(array $cars): array
    {
        $typical = [];
        foreach (Trends::outcomes($cars) as $outcome) {
            $means = [];
            foreach ($cars as $car) {
                $mean = $car->of($outcome)?->mean();
                if ($mean !== null) {
                    $means[] = $mean;
                }
            }
            $typical[$outcome->value] = $means === [] ? 0.0 : (new Sample($means))->median();
        }

        return $typical;
    }

    /** Each group by the newest version of the car that counts for awards and has what the award asks for. */
    private static function standings(ClassData $class): Standings
    {
        $standing = $newest = [];
        foreach (array_filter($class->cars, static fn(RecordedCar $car): bool => $car->isNominated) as $car) {
            if (!isset($newest[$car->group]) || $newest[$car->group]->version < $car->version) {
                $newest[$car->group] = $car;
            }
            if (
                $class->award->measure($car->tries) !== null
                && (!isset($standing[$car->group]) || $standing[$car->group]->version < $car->version)
            ) {
                $standing[$car->group] = $car;
            }
        }

        return Standings::of(
            array_map(static fn(RecordedCar $car): Entrant => new Entrant($car->group, $car->tries), array_values($standing + $newest)),
            $class->award,
            $class->scoring,
            $class->award->scatter(array_map(static fn(RecordedCar $car): Tries => $car->tries, $class->cars)),
        );
    }

    /** @return array<string, RecordedCar> */
    private static function byId(ClassData $class): array
    {
        $byId = [];
        foreach ($class->cars as $car) {
            $byId[$car->id] = $car;
        }

        return $byId;
    }

    /** @return \Closure(ComparedCar, CarAttribute, float|string): bool */
    private static function ofThoseIn(ClassData $class): \Closure
    {
        $in = [];
        foreach ($class->cars as $car) {
            $in[$car->group] = $car->isIn;
        }

        return static fn(ComparedCar $car): bool => $in[$car->group] ?? true;
    }
}
