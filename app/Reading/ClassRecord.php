<?php

declare(strict_types=1);

namespace App\Reading;

use App\Models\Act;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use Illuminate\Support\Collection;
use Skivo\Core\Car\CheckCard;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Findings\Factor;
use Skivo\Core\Findings\Point;
use Skivo\Core\Statistics\Sample;

/** A challenge with all its groups, cars and runs, read at once, and where everyone stands. */
final readonly class ClassRecord
{
    /** The challenge's revision before anything was read: what is here is at least as new. */
    public int $revision;

    /** @var Collection<int, Group> in the groups' own order */
    public Collection $groups;

    public Standings $standings;

    /** @var list<ClassLine> in the order of the standings */
    public array $lines;

    /** @var array<int, CheckCard> by the id of the car, of the groups' newest cars */
    private array $cards;

    private ?Act $lastAct;

    /** @var array<int, Tries> by the id of the car: a page asks for them many times */
    private array $triesByCar;

    private function __construct(public Challenge $challenge)
    {
        $this->revision = $challenge->revision();
        $this->groups = $challenge->groups()->with(['cars' => static fn($cars) => $cars->withExists('benchReadings'), 'cars.runs', 'cars.checkReadings'])->get()->toBase();
        $this->lastAct = $challenge->acts()->reorder('id', 'desc')->with(['run.car.group', 'group'])->first();
        $cars = $this->groups->flatMap(static fn(Group $group) => $group->cars);
        $this->triesByCar = $cars->mapWithKeys(static fn(Car $car): array => [$car->id => $car->tries($challenge)])->all();
        $tolerances = $challenge->checkTolerances();
        $this->cards = $this->groups->map(static fn(Group $group): ?Car => $group->currentCar())->filter()
            ->mapWithKeys(static fn(Car $car): array => [$car->id => $car->checkCard($tolerances)])->all();
        $byId = $this->groups->keyBy('id');
        $this->standings = $this->standingsFor($challenge->mainAward());
        $lines = [];
        foreach ($this->standings->places as $standing) {
            $group = $byId[(int) $standing->entrant->id] ?? throw new \LogicException('Only groups of this class stand in it.');
            $car = $this->standingCar($group, $challenge->mainAward());
            $lines[] = new ClassLine(
                $group,
                $car,
                $standing->entrant->tries,
                array_values($group->cars->reject(static fn(Car $other): bool => $other->id === $car?->id)->all()),
                $standing,
            );
        }
        $this->lines = $lines;
    }

    public static function of(Challenge $challenge): self
    {
        return new self($challenge);
    }

    /** Where everyone stands for one award, each by the newest version of their car that has what it takes. */
    public function standingsFor(Award $award, ?Scoring $scoring = null): Standings
    {
        return Standings::of(array_values($this->groups->map(
            fn(Group $group): Entrant => new Entrant((string) $group->id, $this->tries($this->standingCar($group, $award))),
        )->all()), $award, $scoring ?? $this->challenge->scoring);
    }

    /** The check card of a group's newest car; null before there is a car. */
    public function card(Group $group): ?CheckCard
    {
        return $this->cards[$group->currentCar()->id ?? 0] ?? null;
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

    /** What a car's counted tries show of an outcome; null where none has it. */
    public function measure(Outcome $outcome, ?Car $car): ?Sample
    {
        return $outcome->measure($this->tries($car), $this->challenge->timed_length?->quantity->si());
    }

    /** The run that was logged last and still stands. */
    public function lastRun(): ?Run
    {
        $last = null;
        foreach ($this->groups as $group) {
            foreach ($group->cars as $car) {
                $ofCar = $car->runs->last();
                $last = $ofCar !== null && ($last === null || $ofCar->isAfter($last)) ? $ofCar : $last;
            }
        }

        return $last;
    }

    /** What was last done at the lane, by anybody; null before anything was. */
    public function lastAct(): ?Act
    {
        return $this->lastAct;
    }

    /** @return array<int, int> the order in which lanes were last run on: the later, the higher; only those that were */
    public function lanesUsedAt(): array
    {
        $latest = [];
        foreach ($this->groups->flatMap(static fn(Group $group) => $group->cars)->flatMap(static fn(Car $car) => $car->runs) as $run) {
            if ($run->lane !== null && (!isset($latest[$run->lane]) || $run->isAfter($latest[$run->lane]))) {
                $latest[$run->lane] = $run;
            }
        }
        uasort($latest, static fn(Run $a, Run $b): int => $a->isAfter($b) ? 1 : -1);

        return array_map(static fn(int $place): int => $place + 1, array_flip(array_keys($latest)));
    }

    /** The group that ran last. */
    public function lastGroup(): ?Group
    {
        $last = $this->lastRun();

        return $last === null ? null : $this->groups->first(static fn(Group $group): bool => $group->cars->contains('id', $last->car_id));
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
            foreach ([...$tries->counted, ...$tries->extra, ...$tries->void] as $run) {
                $farthest = max($farthest, $run->distanceM ?? 0.0);
            }
        }

        return $farthest;
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

    /** How many groups have measured a force of their newest car. */
    public function carsMeasured(): int
    {
        return $this->groups->filter(static fn(Group $group): bool => $group->currentCar()?->bench_readings_exists === true)->count();
    }

    /**
     * Every version of every car that has both the factor and a measure: one point each.
     *
     * @return list<Point> with the car's id
     */
    public function points(Factor $factor, Outcome $outcome): array
    {
        $points = [];
        foreach ($this->groups as $group) {
            foreach ($group->cars as $car) {
                $x = $factor->of($car->choices);
                $sample = $this->measure($outcome, $car);
                if ($x !== null && $sample !== null) {
                    $points[] = new Point((string) $car->id, $x, $sample->mean());
                }
            }
        }

        return $points;
    }


    private function standingCar(Group $group, Award $award): ?Car
    {
        return $group->cars->last(fn(Car $car): bool => $award->measure($this->tries($car)) !== null)
            ?? $group->currentCar();
    }
}
