<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/**
 * A race as it stands, replayed from what happened in it.
 *
 * An event counts where it fits: a result only between the two cars that meet in its heat. One that does not fit yet waits
 * for those before it; so a result that was undone takes the later ones of its winner with it, and brings them back when the
 * same car wins again.
 */
final readonly class RaceState
{
    /**
     * @param array<string, Heat> $heats by their key, round by round
     * @param list<string> $repairing
     * @param list<string> $out
     * @param list<Heat> $now heats to run at once, of cars that are ready, those that rested longest first
     * @param list<Heat> $next that come after them
     * @param list<string> $ranking entrants, best first; those that share a place as in $places
     * @param array<string, int> $places from 1, by entrant; of those that can be placed already
     * @param string|null $winner of the race; null while it is open
     * @param list<string> $unfit ids of events that count for nothing as things stand
     * @param array<string, int> $wins by entrant, in heats
     */
    private function __construct(
        public RacePlan $plan,
        public array $heats,
        public array $repairing,
        public array $out,
        public array $now,
        public array $next,
        public array $ranking,
        public array $places,
        public ?string $winner,
        public array $unfit,
        public array $wins,
    ) {}

    /** @param list<RaceEvent> $events in the order in which they happened */
    public static function replay(RacePlan $plan, array $events): self
    {
        $replay = new Replay($plan);
        $unfit = $replay->run(self::thatHappened($events));
        $heats = $replay->heats();
        [$now, $next] = self::schedule($plan, $heats, $replay->repairing, $replay->lastRan);
        $table = new Placing($plan, $heats, $replay->out);

        return new self(
            $plan,
            $heats,
            array_map(strval(...), array_keys($replay->repairing)),
            array_map(strval(...), array_keys($replay->out)),
            $now,
            $next,
            $table->ranking,
            $table->places,
            $table->winner,
            $unfit,
            $table->wins,
        );
    }

    public function isOver(): bool
    {
        return $this->winner !== null
            || array_filter($this->heats, static fn(Heat $heat): bool => $heat->winner === null && !$heat->isOff) === [];
    }

    /** The heat in which a car runs next; null where it has none that is known. */
    public function nextOf(string $entrant): ?Heat
    {
        foreach ([...$this->now, ...$this->next] as $heat) {
            if ($heat->has($entrant)) {
                return $heat;
            }
        }

        return null;
    }

    /** How many heats come before one; null where it is not among those to come. */
    public function before(Heat $heat): ?int
    {
        $coming = array_map(static fn(Heat $each): string => $each->key, [...$this->now, ...$this->next]);
        $place = array_search($heat->key, $coming, true);

        return $place === false ? null : $place;
    }

    /**
     * @param list<RaceEvent> $events
     *
     * @return list<RaceEvent> without those that were undone, and their undoing
     */
    public static function thatHappened(array $events): array
    {
        $undone = [];
        $happened = [];
        foreach (array_reverse($events) as $event) {
            if (isset($undone[$event->id])) {
                continue;
            }
            if ($event->kind === EventKind::Undone) {
                $undone[$event->undoes ?? ''] = true;
            } else {
                $happened[] = $event;
            }
        }

        return array_reverse($happened);
    }

    /**
     * @param array<string, Heat> $heats
     * @param array<string, true> $repairing
     * @param array<string, int> $lastRan when each ran last, as a number that goes up
     *
     * @return array{list<Heat>, list<Heat>}
     */
    private static function schedule(RacePlan $plan, array $heats, array $repairing, array $lastRan): array
    {
        $open = array_values(array_filter($heats, static fn(Heat $heat): bool => $heat->isOpen()));
        $isReady = static fn(Heat $heat): bool => !isset($repairing[$heat->a ?? '']) && !isset($repairing[$heat->b ?? '']);
        // A car that ran just now is mended first: of one round, those that rested longer go first; a heat that has begun goes on.
        $rested = static fn(Heat $heat): int => max($lastRan[$heat->a ?? ''] ?? 0, $lastRan[$heat->b ?? ''] ?? 0);
        usort(
            $open,
            static fn(Heat $one, Heat $other): int => [$isReady($other), $one->round, $rested($one)] <=> [
                $isReady($one), $other->round, $rested($other),
            ],
        );
        $now = $next = $busy = [];
        foreach ($open as $heat) {
            $isFree = $isReady($heat) && !isset($busy[$heat->a ?? '']) && !isset($busy[$heat->b ?? '']);
            if ($isFree && count($now) < $plan->atOnce()) {
                $now[] = $heat;
                $busy[$heat->a ?? ''] = $busy[$heat->b ?? ''] = true;
            } else {
                $next[] = $heat;
            }
        }

        return [$now, $next];
    }
}
