<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use App\Models\Group;
use App\Models\Race;
use App\Models\RaceEvent;
use Carbon\CarbonImmutable;
use Skivo\Core\Race\EventKind;
use Skivo\Core\Race\Heat;
use Skivo\Core\Race\RaceKind;
use Skivo\Core\Race\RaceState;

/** A race as it stands, with the groups that are in it and the numbers by which people name its heats. */
final readonly class RaceReading
{
    public RaceState $state;

    /** @var array<string, Group> by the id, removed ones too */
    public array $groups;

    /** @var array<string, int> by the key of the heat; a car that has nobody to meet runs none */
    private array $numbers;

    /** @var array<array-key, CarbonImmutable> by the id of the group */
    private array $lastRan;

    public function __construct(public Race $race)
    {
        $this->state = $race->state();
        $this->groups = Group::query()->withTrashed()
            ->whereKey($race->entrants)
            ->get()
            ->keyBy(static fn(Group $group): string => (string) $group->id)
            ->all();
        $numbers = [];
        foreach ($this->state->heats as $heat) {
            if (!$this->isBye($heat)) {
                $numbers[$heat->key] = count($numbers) + 1;
            }
        }
        $this->numbers = $numbers;
        $lastRan = [];
        foreach ($race->happened() as $event) {
            foreach ($event->heat === null ? [] : [$event->entrant, $event->against] as $group) {
                $lastRan[(string) $group] = $event->made_at;
            }
        }
        $this->lastRan = $lastRan;
    }

    /** The race that a class is at: the newest that nobody has ended; null where there is none. */
    public static function current(Challenge $challenge): ?self
    {
        $race = $challenge->races()->whereNull('ended_at')->with('events')->first();

        return $race === null ? null : new self($race->setRelation('challenge', $challenge));
    }

    public function group(?string $entrant): ?Group
    {
        return $this->groups[$entrant ?? ''] ?? null;
    }

    public function name(?string $entrant): string
    {
        return $this->group($entrant)->name ?? '–';
    }

    /** Of a knockout: whoever has nobody to meet in the first round. */
    public function isBye(Heat $heat): bool
    {
        return $this->state->plan->kind === RaceKind::Knockout && $heat->round === 1 && ($heat->a === null || $heat->b === null);
    }

    public function number(Heat $heat): int
    {
        return $this->numbers[$heat->key] ?? 0;
    }

    public function rounds(): int
    {
        return max(0, ...array_values(array_map(static fn(Heat $heat): int => $heat->round, $this->state->heats)));
    }

    /** @return list<Heat> of a round, without byes */
    public function round(int $round): array
    {
        return array_values(array_filter($this->state->heats, fn(Heat $heat): bool => $heat->round === $round && !$this->isBye($heat)));
    }

    public function heat(int $round, int $place): ?Heat
    {
        return $this->state->heats["{$round}-{$place}"] ?? null;
    }

    /** @return list<array{int, int}> of a knockout: round and place of the heats whose winners meet in one, without byes */
    public function before(int $round, int $place): array
    {
        return array_values(array_filter(
            [[$round - 1, 2 * $place - 1], [$round - 1, 2 * $place]],
            fn(array $at): bool => $this->heat(...$at) !== null && !$this->isBye($this->state->heats["{$at[0]}-{$at[1]}"]),
        ));
    }

    public function isNow(Heat $heat): bool
    {
        return in_array($heat->key, array_map(static fn(Heat $each): string => $each->key, $this->state->now), true);
    }

    /** On which lanes a heat that is on now is run. */
    public function lanes(Heat $heat): ?int
    {
        $place = array_search($heat->key, array_map(static fn(Heat $each): string => $each->key, $this->state->now), true);

        return $place === false || $this->state->plan->lanes < 2 ? null : 2 * (int) $place + 1;
    }

    /** Until when the cars of a heat have time to repair; null where they have had it. */
    public function notBefore(Heat $heat): ?CarbonImmutable
    {
        $ran = array_filter([$this->lastRan[$heat->a ?? ''] ?? null, $this->lastRan[$heat->b ?? ''] ?? null]);
        // In the middle of best of three nobody waits for long.
        if ($ran === [] || $heat->winsA + $heat->winsB + $heat->again > 0) {
            return null;
        }
        $until = max($ran)->addSeconds((int) round(60 * $this->state->plan->repairMin));

        return $until->isFuture() ? $until : null;
    }

    /** @return list<RaceEvent> all that was tapped, the newest first */
    public function history(): array
    {
        return array_values($this->race->events->reverse()->all());
    }

    public function stands(RaceEvent $event): bool
    {
        return in_array($event->event_id, array_map(static fn(RaceEvent $each): string => $each->event_id, $this->race->happened()), true);
    }

    public function counts(RaceEvent $event): bool
    {
        return !in_array($event->event_id, $this->state->unfit, true);
    }

    /** What was tapped last and stands; null before anything does. */
    public function last(): ?RaceEvent
    {
        $happened = $this->race->happened();

        return $happened === [] ? null : $happened[count($happened) - 1];
    }

    /** The last heat that came to something; null before one did. */
    public function lastResult(): ?RaceEvent
    {
        foreach (array_reverse($this->race->happened()) as $event) {
            if ($event->heat !== null && $this->counts($event)) {
                return $event;
            }
        }

        return null;
    }

    /** The heat whose winner was tapped last: its mark rolls. */
    public function freshHeat(): ?string
    {
        return $this->lastResult()?->heat;
    }

    /** Whether a tap may be taken back, or its taking back be put back. */
    public function mayBeUndone(RaceEvent $event): bool
    {
        if ($event->kind !== EventKind::Undone) {
            return $this->stands($event);
        }
        // Only the newest word on a tap: an older one is past.
        $later = $this->race->events->first(static fn(RaceEvent $other): bool => $other->undoes === $event->event_id);
        $about = $this->race->events->firstWhere('event_id', $event->undoes);

        return $later === null && $about !== null && $about->kind !== EventKind::Undone;
    }

    /** @return list<string> names of those that nobody meets in the first round of a knockout */
    public function byes(): array
    {
        return array_values(
            array_map(fn(Heat $heat): string => $this->name($heat->a), array_filter($this->state->heats, $this->isBye(...))),
        );
    }

    /** @return list<string> who shares the first place */
    public function firsts(): array
    {
        return array_map(strval(...), array_keys($this->state->places, 1, true));
    }

    /** Whether a car still has a heat to come. */
    public function isIn(string $entrant): bool
    {
        foreach ($this->state->heats as $heat) {
            if ($heat->winner === null && !$heat->isOff && $heat->has($entrant)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> who is in the race, by place where there is one, then by heats won */
    public function table(): array
    {
        $entrants = $this->state->plan->entrants;
        usort($entrants, fn(string $one, string $other): int => [
            !$this->isIn($one), $this->state->places[$one] ?? PHP_INT_MAX, $this->state->wins[$other],
        ] <=> [
            !$this->isIn($other), $this->state->places[$other] ?? PHP_INT_MAX, $this->state->wins[$one],
        ]);

        return $entrants;
    }
}
