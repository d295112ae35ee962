<?php

declare(strict_types=1);

namespace App\Reading;

use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use Illuminate\Support\Collection;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\NextRun;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Relation\Factor;
use Skivo\Core\Relation\Point;
use Skivo\Core\Trials\Tries;

/** A challenge with all its groups, cars and runs, read at once, and where everyone stands. */
final readonly class ClassRecord
{
    /** @var Collection<int, Group> in the groups' own order */
    public Collection $groups;

    public Standings $standings;

    /** @var list<ClassLine> in the order of the standings */
    public array $lines;

    private function __construct(public Challenge $challenge)
    {
        $this->groups = $challenge->groups()->with('cars.runs')->get()->toBase();
        $byId = $this->groups->keyBy('id');
        $entrants = array_values($this->groups->map(
            fn(Group $group): Entrant => new Entrant((string) $group->id, $this->tries($this->standingCar($group))),
        )->all());
        $this->standings = Standings::of($entrants, $challenge->goal, $challenge->scoring);
        $lines = [];
        foreach ($this->standings->places as $standing) {
            $group = $byId[(int) $standing->entrant->id];
            $car = $this->standingCar($group);
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

    /** The tries of a car under the rule of the challenge; none for a car that is not there yet. */
    public function tries(?Car $car): Tries
    {
        return $car?->tries($this->challenge->tries) ?? new Tries([], $this->challenge->tries);
    }

    /** The group that should run next, or null when all tries are in. */
    public function nextGroup(): ?Group
    {
        $entrants = array_values($this->groups->map(
            fn(Group $group): Entrant => new Entrant((string) $group->id, $this->tries($group->currentCar())),
        )->all());
        $next = NextRun::propose($entrants, $this->lastGroupId());

        return $next === null ? null : $this->groups->firstWhere('id', (int) $next->id);
    }

    /** The run that was logged last and still stands. */
    public function lastRun(): ?Run
    {
        return $this->runs()->sortBy([['logged_at', 'desc'], ['id', 'desc']])->first();
    }

    /** @return Collection<int, Run> */
    public function runs(): Collection
    {
        return $this->groups->flatMap(static fn(Group $group) => $group->cars->flatMap(static fn(Car $car) => $car->runs))->values();
    }

    public function countedTries(): int
    {
        return (int) $this->groups->sum(fn(Group $group): int => count($this->tries($group->currentCar())->counted));
    }

    public function triesInAll(): int
    {
        return $this->groups->count() * $this->challenge->tries;
    }

    /** How many groups have something recorded of their car. */
    public function carsRecorded(): int
    {
        return $this->groups->filter(static fn(Group $group): bool => $group->currentCar()?->choices->isEmpty() === false)->count();
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
                $sample = $outcome->measure($this->tries($car));
                if ($x !== null && $sample !== null) {
                    $points[] = new Point((string) $car->id, $x, $sample->mean());
                }
            }
        }

        return $points;
    }

    private function lastGroupId(): ?string
    {
        $last = $this->lastRun();
        $group = $last === null ? null : $this->groups->first(
            static fn(Group $group): bool => $group->cars->contains('id', $last->car_id),
        );

        return $group === null ? null : (string) $group->id;
    }

    private function standingCar(Group $group): ?Car
    {
        return $group->cars->last(fn(Car $car): bool => $this->challenge->goal->measure($this->tries($car)) !== null)
            ?? $group->currentCar();
    }
}
