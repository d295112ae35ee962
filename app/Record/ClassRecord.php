<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Act;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection as EloquentCollection;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Check\CheckCard;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\ClassTries;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Reach;
use Skivo\Core\Challenge\Run as CoreRun;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\TimedLength;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\ModeratedScatter;
use Skivo\Core\Statistics\Sample;

/** A challenge with all its groups, cars and runs, read at once, and where everyone stands. */
final readonly class ClassRecord
{
    private const COLUMNS = [
        'id', 'car_id', 'try', 'distance_m', 'time_s', 'drift_m', 'drift_side', 'load_kg', 'limp_m', 'total_time_s', 'void_reason',
        'past_end', 'lane', 'inflation_kind', 'inflation_size_m', 'inflation_size_entered', 'inflation_strokes', 'kind', 'surface',
        'ramp_m', 'logged_at',
    ];

    /** The challenge's revision before anything was read: what is here is at least as new. */
    public int $revision;

    /** @var Collection<int, Group> in the groups' own order */
    public Collection $groups;

    /** @var array<int, Tries> by the id of the car: a page asks for them many times */
    private array $triesByCar;

    /** @var list<\stdClass> the runs that stand as the database has them, in the order in which they were logged */
    private array $runs;

    private function __construct(public Challenge $challenge)
    {
        $this->revision = $challenge->revision();
        $this->groups = $challenge->groups()->with(
            ['cars' => static fn($cars) => $cars->withExists('benchReadings'), 'cars.checkReadings'],
        )->get()->toBase();
        $cars = $this->groups->flatMap(static fn(Group $group) => $group->cars);
        // No page needs all of these as models, and most only count them.
        $this->runs = array_values(
            DB::table('runs')->whereIn('car_id', $cars->pluck('id'))
                ->whereNull('deleted_at')
                ->orderBy('logged_at')
                ->orderBy('id')
                ->get(self::COLUMNS)
                ->all(),
        );
        $byCar = [];
        foreach ($this->runs as $run) {
            $byCar[$run->car_id][] = Run::ofColumns((array) $run);
        }
        $this->triesByCar = ClassTries::of(
            $cars->mapWithKeys(static fn(Car $car): array => [$car->id => $byCar[$car->id] ?? []])->all(),
            $challenge->countTries(...),
        );
    }

    public static function of(Challenge $challenge): self
    {
        return new self($challenge);
    }

    /** @return list<CarbonImmutable> when each run since then was logged, in order */
    public function loggedSince(CarbonImmutable $then): array
    {
        return array_values(collect($this->runs)->map(static fn($run): CarbonImmutable => CarbonImmutable::parse((string) $run->logged_at))
            ->filter(static fn(CarbonImmutable $at): bool => $at >= $then)->all());
    }

    /** @return array<int, array{Group, Car}> every version of every car with its group, by the id of the car */
    public function carsById(): array
    {
        $cars = [];
        foreach ($this->groups as $group) {
            foreach ($group->cars as $car) {
                $cars[$car->id] = [$group, $car];
            }
        }

        return $cars;
    }

    /** @return Collection<int, Group> the groups themselves, without their further cars */
    public function teams(): Collection
    {
        return $this->groups->filter(static fn(Group $group): bool => $group->of_group_id === null)->values();
    }

    /** Where everyone stands for the main award. */
    public function standings(): Standings
    {
        return once(fn(): Standings => $this->standingsFor($this->challenge->mainAward()));
    }

    /** @return list<ClassLine> in the order of the standings; cars that count for no award after them */
    public function lines(): array
    {
        return once(function (): array {
            $award = $this->challenge->mainAward();
            $byId = $this->groups->keyBy('id');
            $lines = [];
            foreach ([...$this->standings()->places, ...$this->besides($award)] as $standing) {
                $group = $byId[(int) $standing->entrant->id] ?? throw new \LogicException('Only groups of this class stand in it.');
                $car = $this->standingCar($group, $award);
                $lines[] = new ClassLine(
                    $group,
                    $car,
                    $standing->entrant->tries,
                    array_values($group->cars->reject(static fn(Car $other): bool => $other->id === $car?->id)->all()),
                    $standing,
                );
            }

            return $lines;
        });
    }

    /** @return list<Standing> of cars that count for no award: what they did, without a place */
    private function besides(Award $award): array
    {
        return array_values($this->groups->reject(
            static fn(Group $group): bool => $group->is_nominated,
        )->map(function (Group $group) use ($award): Standing {
            $tries = $this->tries($this->standingCar($group, $award));
            $sample = $award->measure($tries);

            return new Standing(
                new Entrant((string) $group->id, $tries),
                null,
                false,
                $sample === null ? null : $this->challenge->scoring->score($sample, $award->goal),
                Reach::of($award, $tries, $this->challenge->scoring),
                $sample,
                null,
            );
        })->all());
    }

    /** Where everyone stands for one award, each by the newest version of their car that has what it takes. */
    public function standingsFor(Award $award, ?Scoring $scoring = null): Standings
    {
        return Standings::of(
            array_values($this->groups->filter(static fn(Group $group): bool => $group->is_nominated)->map(
                fn(Group $group): Entrant => new Entrant((string) $group->id, $this->tries($this->standingCar($group, $award))),
            )->all()),
            $award,
            $scoring ?? $this->challenge->scoring,
            $this->scatter($award->goal),
        );
    }

    /** How tries scatter in what a goal asks for, by all versions of all cars; null where no car has two tries. */
    public function scatter(Goal $goal): ?ModeratedScatter
    {
        return once(fn(): ?ModeratedScatter => $this->challenge->award($goal)->scatter($this->triesByCar));
    }

    /** Where the mean of very many tries of a car would lie, by the spread of the whole class; null where no car has two tries. */
    public function interval(Goal $goal, ?Sample $sample): ?Interval
    {
        return $sample === null ? null : $this->scatter($goal)?->meanInterval($sample);
    }

    /** @return list<CheckItem> that are asked of some car of the class */
    public function checksAsked(): array
    {
        $asked = array_merge(...array_map(CheckItem::askedOf(...), $this->sources()));

        return array_values(array_filter(CheckItem::cases(), static fn(CheckItem $item): bool => in_array($item, $asked, true)));
    }

    /** The check card of a group's newest car; null before there is a car. */
    public function card(Group $group): ?CheckCard
    {
        return $this->cards()[$group->currentCar()->id ?? 0] ?? null;
    }

    /** How many groups have everything checked and nothing left to fix. */
    public function carsChecked(): int
    {
        return $this->groups->filter(fn(Group $group): bool => $this->card($group)?->isReady() === true)->count();
    }

    /** The tries of a car under the rule of the challenge; none for a car that is not there yet. */
    public function tries(?Car $car): Tries
    {
        return $this->triesByCar[$car->id ?? 0] ?? new Tries([], $this->challenge->tries);
    }

    /** What a car's counted tries and heats show of an outcome, as findings look at it; null where none has it. */
    public function measure(Outcome $outcome, ?Car $car): ?Sample
    {
        return $outcome->measure($this->tries($car)->withHeats(), $this->challenge->timed_length?->quantity->si());
    }

    /** The run that was logged last and still stands. */
    public function lastRun(): ?CoreRun
    {
        return ($last = $this->lastRow()) === null ? null : Run::ofColumns((array) $last);
    }

    /** Each run of each car as a model, for pages that show what was typed. */
    public function withRuns(): self
    {
        (new EloquentCollection($this->groups->all()))->loadMissing('cars.runs');

        return $this;
    }

    /** What was last done at the lane, by anybody; null before anything was. */
    public function lastAct(): ?Act
    {
        return once(fn(): ?Act => $this->challenge->acts()->reorder('id', 'desc')->with(['run.car.group', 'group'])->first());
    }

    /** @return array<int, int> the order in which lanes were last run on: the later, the higher; only those that were */
    public function lanesUsedAt(): array
    {
        $latest = [];
        foreach ($this->runs as $place => $run) {
            if ($run->lane !== null) {
                $latest[(int) $run->lane] = $place + 1;
            }
        }

        return $latest;
    }

    /** @return array{kind: string, size: string, strokes: string}|null how full the balloon of a group's car was the last time; null where nobody said */
    public function lastFill(Group $group): ?array
    {
        $fills = once(function (): array {
            $fills = [];
            // A try says it before practice does, and the last of them.
            $ordered = [
                ...array_filter($this->runs, static fn(\stdClass $run): bool => $run->kind !== 'try'),
                ...array_filter($this->runs, static fn(\stdClass $run): bool => $run->kind === 'try'),
            ];
            foreach ($ordered as $run) {
                if ($run->inflation_kind !== null) {
                    $fills[$run->car_id] = [
                        'kind' => (string) $run->inflation_kind, 'size' => (string) $run->inflation_size_entered,
                        'strokes' => (string) $run->inflation_strokes,
                    ];
                }
            }

            return $fills;
        });

        return $fills[$group->currentCar()->id ?? 0] ?? self::asOnBuildSheet($group);
    }

    /** @return array{kind: string, size: string, strokes: string}|null of a band, by how many turns it is wound as the build sheet has it */
    private static function asOnBuildSheet(Group $group): ?array
    {
        $turns = $group->source()->winds() ? $group->currentCar()?->choices->number(CarAttribute::TurnsWound) : null;

        return $turns === null ? null : ['kind' => InflationKind::Turns->value, 'size' => '', 'strokes' => (string) (int) $turns];
    }

    /** @return list<EnergySource> that drive the class's cars; what its kit is driven by where it has none yet */
    public function sources(): array
    {
        $kits = $this->challenge->sessionPlan()->kit_source;
        $sources = $this->groups->map(static fn(Group $group): EnergySource => $group->source($kits))->unique()->values()->all();

        return $sources === [] ? [$kits] : array_values($sources);
    }

    /** Whether its cars, older versions too, have more than one source of energy. */
    public function hasSeveralSources(): bool
    {
        return count(array_unique($this->groups->flatMap(static fn(Group $group) => $group->cars->reject(
            static fn(Car $car): bool => $car->choices->isEmpty(),
        )
            ->map(static fn(Car $car): string => ($car->choices->source() ?? EnergySource::Balloon)->value))->all())) > 1;
    }

    /** Whether anybody says how full the balloons are, or has a band to wind. */
    public function tellsFills(): bool
    {
        return array_filter($this->runs, static fn(\stdClass $run): bool => $run->inflation_kind !== null) !== []
            || $this->groups->contains(static fn(Group $group): bool => $group->sweep !== null || $group->source()->winds());
    }

    /** The group that ran last. */
    public function lastGroup(): ?Group
    {
        $last = $this->lastRow();

        return $last === null ? null : $this->groups->first(static fn(Group $group): bool => $group->cars->contains('id', $last->car_id));
    }

    private function lastRow(): ?\stdClass
    {
        return $this->runs[count($this->runs) - 1] ?? null;
    }

    public function voidTries(): int
    {
        return array_sum(array_map(static fn(Tries $tries): int => count($tries->void), $this->triesByCar));
    }

    /** The farthest that any run went (m), void or not; 0 before the first. */
    public function farthest(): float
    {
        $farthest = 0.0;
        foreach ($this->triesByCar as $tries) {
            foreach ([...$tries->counted, ...$tries->extra, ...$tries->void, ...$tries->asides()] as $run) {
                $farthest = max($farthest, $run->distanceM ?? 0.0);
            }
        }

        return $farthest;
    }

    /** The longest length over which every car can be timed, by what its tries reached; null before that is known. */
    public function timedLength(): ?TimedLength
    {
        $award = $this->challenge->award(Goal::Farthest);
        $standing = [];
        foreach ($this->groups->filter(static fn(Group $group): bool => $group->is_nominated && !$group->is_withdrawn) as $group) {
            $standing[$group->id] = $this->tries($this->standingCar($group, $award));
        }

        return TimedLength::of(
            $standing,
            $this->challenge->units === UnitSystem::Metric ? 0.5 : 0.3048,
            $this->challenge->lane_length->quantity->si(),
        );
    }

    public function hasTimes(): bool
    {
        return array_filter($this->triesByCar, static fn(Tries $tries): bool => $tries->times() !== null) !== [];
    }

    public function countedTries(): int
    {
        return (int) $this->groups->sum(fn(Group $group): int => count($this->tries($group->currentCar())->counted));
    }

    public function triesInAll(): int
    {
        return $this->groups->reject(static fn(Group $group): bool => $group->is_withdrawn)->count() * $this->challenge->tries;
    }

    /** How many groups have something recorded of their car. */
    public function carsRecorded(): int
    {
        return $this->groups->filter(static fn(Group $group): bool => $group->currentCar()?->choices->isEmpty() === false)->count();
    }

    /** @return array<int, CheckCard> by the id of the car, of the groups' newest cars */
    private function cards(): array
    {
        return once(function (): array {
            $tolerances = $this->challenge->checkTolerances();

            return $this->groups->map(static fn(Group $group): ?Car => $group->currentCar())->filter()
                ->mapWithKeys(static fn(Car $car): array => [$car->id => $car->checkCard($tolerances)])->all();
        });
    }

    private function standingCar(Group $group, Award $award): ?Car
    {
        return $group->cars->last(fn(Car $car): bool => $award->measure($this->tries($car)) !== null)
            ?? $group->currentCar();
    }
}
