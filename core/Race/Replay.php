<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** The heats of a race while its events are played through them. */
final class Replay
{
    /** @var array<string, true> */
    public array $repairing = [];

    /** @var array<string, true> */
    public array $out = [];

    /** @var array<string, int> */
    public array $lastRan = [];

    /** @var array<string, HeatInPlay> */
    private array $heats = [];

    private int $clock = 0;

    public function __construct(private readonly RacePlan $plan)
    {
        match ($plan->kind) {
            RaceKind::SideBySide => $this->add('1-1', 1, $plan->entrants[0], $plan->entrants[1]),
            RaceKind::Knockout => $this->drawKnockout(),
            RaceKind::RoundRobin => $this->drawRounds(),
            RaceKind::StaysOn => $this->drawChain(),
        };
        $this->passOn();
    }

    /**
     * @param list<RaceEvent> $events
     *
     * @return list<string> ids of those that fit nowhere
     */
    public function run(array $events): array
    {
        $waiting = [];
        foreach ($events as $event) {
            $waiting[] = $event;
            do {
                $before = count($waiting);
                foreach ($waiting as $index => $each) {
                    if ($this->take($each)) {
                        unset($waiting[$index]);
                        $this->passOn();
                    }
                }
            } while (count($waiting) < $before && $waiting !== []);
        }

        return array_values(array_map(static fn(RaceEvent $event): string => $event->id, $waiting));
    }

    /** @return array<string, Heat> */
    public function heats(): array
    {
        $heats = [];
        foreach ($this->heats as $key => $heat) {
            $heats[$key] = new Heat(
                $key,
                $heat->round,
                $heat->a,
                $heat->b,
                $heat->wins[$heat->a ?? ''] ?? 0,
                $heat->wins[$heat->b ?? ''] ?? 0,
                $heat->again,
                $heat->winner,
                $heat->isWalkover,
                $heat->isOff,
            );
        }

        return $heats;
    }

    /** Whether an event fits, and what it does then. */
    private function take(RaceEvent $event): bool
    {
        $entrant = $event->entrant ?? '';
        $isOne = in_array($entrant, $this->plan->entrants, true);

        return match ($event->kind) {
            EventKind::Won => $this->win($event),
            EventKind::Again => $this->again($event),
            EventKind::Repair => $isOne && $this->mark($this->repairing, $entrant),
            EventKind::Ready => $isOne && $this->unmark($this->repairing, $entrant),
            EventKind::Out => $isOne && $this->mark($this->out, $entrant),
            EventKind::Back => $isOne && $this->comeBack($entrant),
            EventKind::Undone => false,
        };
    }

    private function win(RaceEvent $event): bool
    {
        $heat = $this->heats[$event->heat ?? ''] ?? null;
        if ($heat === null || $heat->winner !== null || $heat->isOff || !self::isBetween($heat, $event->entrant, $event->against)) {
            return false;
        }
        $winner = (string) $event->entrant;
        $heat->wins[$winner] = ($heat->wins[$winner] ?? 0) + 1;
        if ($heat->wins[$winner] === $this->plan->winsNeeded()) {
            $heat->winner = $winner;
        }
        $this->ran($heat->a, $heat->b);
        unset($this->repairing[$winner], $this->repairing[(string) $event->against]);

        return true;
    }

    private function again(RaceEvent $event): bool
    {
        $heat = $this->heats[$event->heat ?? ''] ?? null;
        if ($heat === null || $heat->winner !== null || $heat->isOff || !self::isBetween($heat, $event->entrant, $event->against)) {
            return false;
        }
        $heat->again++;
        $this->ran($heat->a, $heat->b);

        return true;
    }

    private static function isBetween(HeatInPlay $heat, ?string $one, ?string $other): bool
    {
        return $one !== null && $other !== null && ([$heat->a, $heat->b] === [$one, $other] || [$heat->a, $heat->b] === [$other, $one]);
    }

    private function ran(?string $a, ?string $b): void
    {
        $this->clock++;
        $this->lastRan[$a ?? ''] = $this->lastRan[$b ?? ''] = $this->clock;
    }

    /** @param array<string, true> $list */
    private function mark(array &$list, string $entrant): bool
    {
        $list[$entrant] = true;

        return true;
    }

    /** @param array<string, true> $list */
    private function unmark(array &$list, string $entrant): bool
    {
        unset($list[$entrant]);

        return true;
    }

    /** Who left may come back as long as nobody has run on account of it. */
    private function comeBack(string $entrant): bool
    {
        foreach ($this->heats as $heat) {
            $next = $this->heats[$heat->to ?? ''] ?? null;
            $isHis = $heat->isWalkover && $heat->winner !== $entrant && ($heat->a === $entrant || $heat->b === $entrant);
            if ($isHis && $next !== null && ($next->winner !== null || $next->wins !== [])) {
                return false;
            }
        }
        unset($this->out[$entrant]);
        foreach ($this->heats as $key => $heat) {
            if (($heat->isWalkover || $heat->isOff) && ($heat->a === $entrant || $heat->b === $entrant) && !$heat->byeA && !$heat->byeB) {
                $this->reopen($key);
            }
        }

        return true;
    }

    private function reopen(string $key): void
    {
        $heat = $this->heats[$key];
        $next = $heat->to;
        if ($next !== null && $heat->winner !== null && isset($this->heats[$next])) {
            $this->heats[$next]->leave($heat->winner);
        }
        $heat->winner = null;
        $heat->isWalkover = $heat->isOff = false;
    }

    /** Winners move on, and whoever has nobody to run against goes on without a run. */
    private function passOn(): void
    {
        do {
            $changed = false;
            foreach ($this->heats as $key => $heat) {
                if ($heat->winner === null && !$heat->isOff) {
                    $changed = $this->walkOver($key) || $changed;
                }
                $to = $heat->to;
                if ($to !== null && ($heat->winner !== null || $heat->isOff) && $this->move($key, $to, $heat->winner)) {
                    $changed = true;
                }
            }
        } while ($changed);
    }

    private function walkOver(string $key): bool
    {
        $heat = $this->heats[$key];
        [$noA, $noB] = [$heat->byeA || isset($this->out[$heat->a ?? '']), $heat->byeB || isset($this->out[$heat->b ?? ''])];
        if (!($noA || $noB) || !$heat->byeA && $heat->a === null || !$heat->byeB && $heat->b === null) {
            return false;
        }
        if ($noA && $noB || $this->plan->kind === RaceKind::RoundRobin) {
            $heat->isOff = true;
        } else {
            $heat->winner = $noA ? $heat->b : $heat->a;
            $heat->isWalkover = true;
        }

        return true;
    }

    private function move(string $key, string $to, ?string $winner): bool
    {
        // In a chain the winner always stands on the first side; in a bracket where its heat leads.
        $isFirst = $this->plan->kind === RaceKind::StaysOn || (int) substr($key, (int) strpos($key, '-') + 1) % 2 === 1;

        return $this->heats[$to]->seat($isFirst, $winner);
    }

    private function add(string $key, int $round, ?string $a, ?string $b, ?string $to = null, bool $isBye = false): void
    {
        $this->heats[$key] = new HeatInPlay($round, $a, $b, $to, $isBye);
    }

    private function drawKnockout(): void
    {
        $first = Bracket::firstRound(count($this->plan->entrants));
        $rounds = Bracket::rounds(count($this->plan->entrants));
        for ($round = 1; $round <= $rounds; $round++) {
            for ($place = 1; $place <= 2 ** ($rounds - $round); $place++) {
                [$a, $b] = $round === 1 ? $first[$place - 1] : [null, null];
                $this->add(
                    "{$round}-{$place}",
                    $round,
                    $a === null ? null : $this->plan->entrants[$a],
                    $b === null ? null : $this->plan->entrants[$b],
                    $round === $rounds ? null : ($round + 1) . '-' . intdiv($place + 1, 2),
                    $round === 1 && $b === null,
                );
            }
        }
    }

    private function drawRounds(): void
    {
        foreach (RoundRobin::rounds(count($this->plan->entrants)) as $round => $pairs) {
            foreach ($pairs as $place => [$a, $b]) {
                $this->add(($round + 1) . '-' . ($place + 1), $round + 1, $this->plan->entrants[$a], $this->plan->entrants[$b]);
            }
        }
    }

    private function drawChain(): void
    {
        $last = count($this->plan->entrants) - 1;
        for ($round = 1; $round <= $last; $round++) {
            $this->add(
                "{$round}-1",
                $round,
                $round === 1 ? $this->plan->entrants[0] : null,
                $this->plan->entrants[$round],
                $round === $last ? null : ($round + 1) . '-1',
            );
        }
    }
}
