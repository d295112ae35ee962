<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\BenchReading;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Challenge\ChanceOfFirst;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Findings\ClassData;
use Skivo\Core\Findings\Findings;
use Skivo\Core\Findings\Known;
use Skivo\Core\Findings\Work;
use Skivo\Core\Forecast\CheckShifts;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;
use WeakMap;

/**
 * What a class found out, by the tries that are looked at. Holds ids and numbers only, and is kept with the challenge's
 * revision: the drawing and the simulated runs behind it are done once for each change of the class.
 */
final readonly class ClassFindings
{
    private const KEEP_SECONDS = 86_400;
    private const WORKING_SECONDS = 10;

    /**
     * @param array<string, array<string, float>> $chances of being first, by the goal and the id of the group
     * @param int $voidMeasured void tries that have a distance
     */
    private function __construct(
        public Counting $counting,
        public Findings $found,
        public array $chances,
        public int $voidMeasured,
    ) {}

    public static function of(ClassRecord $record, Counting $counting = Counting::Rule): self
    {
        /** @var WeakMap<ClassRecord, array<string, self>>|null $read a page asks many times, and what is kept is large */
        static $read = null;
        $read ??= new WeakMap();
        $held = $read[$record] ?? [];
        $held[$counting->value] ??= self::kept($record, $counting);
        $read[$record] = $held;

        return $held[$counting->value];
    }

    private static function kept(ClassRecord $record, Counting $counting): self
    {
        // What another build of the program found is not asked again.
        $key = "findings:{$record->challenge->id}:{$counting->value}:" . config('skivo.build');
        $lessons = ChecksOnRecord::besides($record->challenge);
        $held = self::held($key, $record, $lessons);
        if ($held !== null) {
            return $held;
        }
        // A class that asks all at once has it worked out once.
        $work = static function () use ($key, $record, $counting, $lessons): self {
            $findings = self::held($key, $record, $lessons) ?? self::find($record, $counting, $lessons);
            DrawnOf::hold($record->challenge->id, $key, [$record->revision, $lessons->key(), $findings], self::KEEP_SECONDS);

            return $findings;
        };
        try {
            return Cache::lock("{$key}:working", self::WORKING_SECONDS)->block(self::WORKING_SECONDS, $work);
        } catch (LockTimeoutException) {
            return $work();
        }
    }

    /** Works it out once the answer is sent: after many designs came in at once, whoever looks next need not wait for all of them. */
    public static function workAhead(Challenge $challenge): void
    {
        app()->terminating(static fn(): self => self::of(ClassRecord::of($challenge->refresh())));
    }

    /** @return array<array-key, Work> why each version of a group's car stopped where it did, of those that ran, the newest first */
    public function worksOf(Group $group): array
    {
        $works = [];
        foreach ($group->cars->reverse() as $car) {
            $work = $this->found->works[$car->id] ?? null;
            if ($work?->distance === Known::Measured) {
                $works[$car->id] = $work;
            }
        }

        return $works;
    }

    private static function held(string $key, ClassRecord $record, ChecksOnRecord $lessons): ?self
    {
        $held = Cache::get($key);

        return is_array($held) && $held[0] === $record->revision && $held[1] === $lessons->key() && $held[2] instanceof self
            ? $held[2]
            : null;
    }

    /**
     * How the class stands to the core: everything that findings rest on.
     *
     * @param CheckShifts|null $shifts as other classes have them; read where null
     */
    public static function data(ClassRecord $record, Counting $counting = Counting::Rule, ?CheckShifts $shifts = null): ClassData
    {
        $challenge = $record->challenge;
        $readings = self::readings($record);
        $odd = self::outliers($record);
        $cars = $versions = [];
        $nominees = $record->groups->filter(
            static fn(Group $group): bool => $group->is_nominated,
        )->keyBy(static fn(Group $group): int => $group->team());
        // Whatever cars one group built are one witness: told apart as versions of one car are, the one that counts for awards last.
        foreach ($record->groups->sortBy(static fn(Group $group): bool => $group->is_nominated) as $group) {
            $team = $nominees->get($group->team())->id ?? $group->team();
            foreach ($group->cars as $car) {
                $tries = $record->tries($car);
                $cars[] = new RecordedCar(
                    (string) $car->id,
                    (string) $team,
                    $versions[$team] = ($versions[$team] ?? 0) + 1,
                    $car->choices,
                    $tries,
                    $readings[$car->id] ?? [],
                    $counting === Counting::Rule ? null : $counting->distances($tries, $odd[$car->id] ?? []),
                    !$group->is_withdrawn,
                    self::failed($car, $challenge),
                    $group->is_nominated,
                    $car->checkCard($challenge->checkTolerances())->value(CheckItem::Airtight),
                );
            }
        }

        return new ClassData(
            $cars,
            $challenge->asked(),
            $challenge->mainAward(),
            $challenge->scoring,
            $challenge->catalogue(),
            $challenge->surface,
            $challenge->air_temperature_c,
            $challenge->pumpCurve(),
            $challenge->timed_length?->quantity->si(),
            $record->challenge->rules()->leeway(),
            $challenge->id,
            $shifts ?? ChecksOnRecord::besides($challenge)->shifts(),
        );
    }

    /** @return list<CheckItem>|null what a car failed of the checks that workmanship shows in; null where none of them was read */
    private static function failed(Car $car, Challenge $challenge): ?array
    {
        $card = $car->checkCard($challenge->checkTolerances());
        $read = array_filter(CheckShifts::LOOKED_AT, static fn(CheckItem $item): bool => $card->value($item) !== null);

        return $read === [] ? null : $card->failed(CheckShifts::LOOKED_AT);
    }

    private static function find(ClassRecord $record, Counting $counting, ChecksOnRecord $lessons): self
    {
        $kept = new KeptInCache($record->challenge);
        $found = Findings::of(self::data($record, $counting, $lessons->shifts()), $kept);
        $kept->keep();
        $chances = [];
        foreach ($record->challenge->allAwards() as $award) {
            $chances[$award->goal->value] = $award->goal === $record->challenge->goal
                ? $found->chances
                : ChanceOfFirst::of($record->standingsFor($award), $record->challenge->id);
        }
        $void = 0;
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                $void += count(array_filter($record->tries($car)->void, static fn(Run $run): bool => $run->distanceM !== null));
            }
        }

        return new self($counting, $found, $chances, $void);
    }

    /** @return array<int, list<Outlier>> by the id of the car */
    private static function outliers(ClassRecord $record): array
    {
        $samples = [];
        foreach ($record->groups as $group) {
            foreach ($group->cars as $car) {
                $samples[$car->id] = $record->tries($car)->distances();
            }
        }

        return Outlier::among(array_filter($samples, static fn(?Sample $sample): bool => $sample !== null));
    }

    /** @return array<int, array<string, non-empty-list<list<float>>>> by the id of the car and the value of the test */
    private static function readings(ClassRecord $record): array
    {
        $cars = $record->groups->flatMap(static fn(Group $group) => $group->cars)->filter(
            static fn(Car $car): bool => (bool) $car->bench_readings_exists,
        );
        $byCar = BenchReading::query()->whereIn('car_id', $cars->pluck('id'))->orderBy('id')->get()->groupBy('car_id');

        return $byCar->map(static function (Collection $readings): array {
            $byTest = [];
            foreach ($readings as $reading) {
                $values = $reading->values();
                if (count($values) === count($reading->test->fields())) {
                    $byTest[$reading->test->value][] = $values;
                }
            }

            return $byTest;
        })->all();
    }
}
