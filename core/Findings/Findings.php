<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Part\Contrast;
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
    /** So many choices are shown of a class that asked nothing. */
    private const FOREMOST = 3;

    /**
     * @param list<ComparedCar> $cars every version with a distance
     * @param list<Effect> $effects of every attribute in which cars differ and every outcome, the surest first
     * @param Answer|null $answer to the class's question; null where it asks none, or nothing ran yet
     * @param Effect|null $asked what the cars say of that; null where no two differ in it
     * @param float|null $byPush share of what the asked attribute makes that it makes by the push, by the model; null where that can't say
     * @param list<Ruling> $rulings
     * @param list<Dose> $doses
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
        public ?float $byPush,
        public array $rulings,
        public array $doses,
        public ?NextTest $next,
        public array $works,
        public ClassForecast $forecast,
        public Standings $standings,
        public array $chances,
        public array $outliers,
        public ?string $typical,
        public array $sources,
    ) {}

    /** @param int $draws of the chances of being first */
    public static function of(ClassData $class, Kept $kept = new KeptInMemory(), int $draws = ChanceOfFirst::DRAWS): self
    {
        $class = $class->inOneSpelling();
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
        $model = new ByModel($forecast, $kept, $class->timedLengthM, $class->catalogue);
        $question = $class->question;
        $effects = [];
        foreach (Outcome::measured($cars) as $outcome) {
            array_push($effects, ...Effect::all($cars, $model->contributions($cars, $outcome), $outcome, $question));
        }
        usort($effects, static fn(Effect $a, Effect $b): int => ($a->pValue ?? 2.0) <=> ($b->pValue ?? 2.0));
        $asked = self::asked($question, $effects);
        $claims = Claims::of($effects, $question, self::typicalOutcomes($cars), self::done($class));
        $typical = self::typical($forecast);
        $standings = self::standings($class);
        $tries = array_map(static fn(RecordedCar $car): Tries => $car->runs, self::byId($class));

        $next = NextTest::propose(
            $cars,
            $effects,
            $claims,
            $question,
            self::mayBe($class),
            $model->change(...),
            $forecast->scatter,
        );

        return new self(
            $cars,
            $effects,
            $claims,
            $question,
            $question === null || $cars === [] ? null : ($asked === null ? Answer::CannotTell : $claims->verdict($asked)),
            $asked,
            $asked === null || $asked->from !== null || $typical === null
                ? null
                : $model->byPush($typical, $asked->factor, $asked->least, $asked->most),
            Ruling::all($cars, $effects, $claims, $model, $typical),
            Dose::all($tries),
            $next,
            self::works($class, $model),
            $forecast,
            $standings,
            ChanceOfFirst::of($standings, $class->seed, $draws),
            Outlier::among(array_filter(
                array_map(static fn(Tries $own): ?Sample => $own->distances(), $tries),
                static fn(?Sample $sample): bool => $sample !== null,
            )),
            $typical,
            SourceUse::all($cars, $forecast),
        );
    }

    /**
     * A size as a builder would name it: by the part of the class that has it, where there is one.
     *
     * @param float|string $to as Car::explanation() has it
     *
     * @return array{CarAttribute, float|string} the attribute to change, and to what
     */
    public function asPart(CarAttribute $attribute, float|string $to): array
    {
        $named = is_float($to) ? Contrast::partOf($attribute)?->named() : null;
        foreach ($this->cars as $car) {
            if ($named?->isKind() !== true) {
                break;
            }
            $name = $car->choices->kind($named);
            if ($name !== null && Difference::isSame($attribute, $car->choices->number($attribute), $to)) {
                return [$named, $name];
            }
        }

        return [$attribute, $to];
    }

    /**
     * Of a class without a question: what goes with how far its cars went most; one alone where that is told.
     *
     * @return list<Effect>
     */
    public function foremost(): array
    {
        $first = [];
        foreach ($this->effects as $effect) {
            $isSaid = array_filter($first, static fn(Effect $each): bool => $each->factor->goesWith($effect->factor)) !== [];
            if ($effect->outcome === Outcome::Distance && !$isSaid) {
                $first[] = $effect;
            }
        }

        return array_slice($first, 0, isset($first[0]) && $this->claims->verdict($first[0])->isTold() ? 1 : self::FOREMOST);
    }

    /** @return list<CarAttribute> in which the cars differ */
    public function varied(): array
    {
        $varied = [];
        foreach ($this->effects as $effect) {
            if ($effect->outcome === Outcome::Distance) {
                $varied[$effect->factor->value] = $effect->factor;
            }
        }

        return array_values($varied);
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

    /** Share of the tries of each group's newest car that are made, above 0. */
    private static function done(ClassData $class): float
    {
        $newest = [];
        foreach (array_filter($class->cars, static fn(RecordedCar $car): bool => $car->isIn) as $car) {
            if (!isset($newest[$car->group]) || $newest[$car->group]->version < $car->version) {
                $newest[$car->group] = $car;
            }
        }
        $planned = array_sum(array_map(static fn(RecordedCar $car): int => $car->tries->allowed, $newest));
        $made = array_sum(array_map(static fn(RecordedCar $car): int => min($car->tries->made(), $car->tries->allowed), $newest));

        return $planned > 0 ? max(1, $made) / $planned : 1.0;
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
            $cars[] = new ComparedCar($car->id, $car->group, $car->version, $choices, $distances, $others, $car->runs->areAllPastEnd());
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
        foreach (Outcome::measured($cars) as $outcome) {
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

    /** @return \Closure(ComparedCar, CarAttribute, float|string): bool whether a car may be changed so, by the rules and by who is still in */
    private static function mayBe(ClassData $class): \Closure
    {
        $in = [];
        foreach ($class->cars as $car) {
            $in[$car->group] = $car->isIn;
        }

        return static fn(ComparedCar $car, CarAttribute $factor, float|string $to): bool => ($in[$car->group] ?? true)
            && $class->leeway->allows($factor, $to);
    }
}
