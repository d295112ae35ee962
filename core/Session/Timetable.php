<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Challenge\Limits;

/**
 * When each phase of a session begins and ends, and whether all of them fit.
 *
 * Glue and paint set beside other work: the next phases follow at once, until one of them needs the car;
 * that one waits for what is left of the setting.
 */
final readonly class Timetable
{
    /** @var list<Slot> */
    public array $slots;

    /** Of all sessions, from the first phase to the last (min). */
    public float $lengthMin;

    /** Of the length, spent waiting for glue and paint with nothing else planned (min). */
    public float $idleMin;

    /** All sessions together (min). */
    public float $sessionMin;

    /** @var non-empty-list<float> how long each session is (min) */
    public array $sessionsMin;

    /** A part of a phase shorter than this is not begun at the end of a session (min). Common practice, no source. */
    private const LEAST_PART_MIN = 5.0;

    /**
     * @param array<string, float> $minutes by the value of a Phase; those left out or 0 do not take place. Runs are
     *                                      given by the run orders instead.
     * @param RunOrder|null $runs null where there is no group or no try yet
     * @param RunOrder|null $runsAgain after the redesign; null for none
     * @param float $minutesPerHeat from one start to the next on the same lane
     * @param float $firstMin how long the first session is
     * @param list<float> $furtherMin how long each further one is; from one to the next everything sets and dries
     */
    public function __construct(
        private array $minutes,
        private ?RunOrder $runs,
        public ?RunOrder $runsAgain,
        private float $minutesPerHeat,
        float $firstMin,
        private array $furtherMin = [],
    ) {
        $this->sessionsMin = [$firstMin, ...$furtherMin];
        $this->sessionMin = array_sum($this->sessionsMin);
        $now = $dryAt = $idle = 0.0;
        $session = 0;
        $last = count($this->sessionsMin) - 1;
        $slots = [];
        foreach (Phase::cases() as $phase) {
            $left = $this->minutesOf($phase);
            if ($left <= 0.0) {
                continue;
            }
            if ($phase->waits()) {
                $dryAt = $now + $left;
                $slots[] = new Slot($phase, $now, $dryAt, $session);
                continue;
            }
            if ($phase->needsTheCar() && $dryAt > $now) {
                if ($session < $last && $dryAt + min($left, self::LEAST_PART_MIN) > $this->sessionsMin[$session]) {
                    [$session, $now, $dryAt] = [$session + 1, 0.0, 0.0];
                } else {
                    $idle += $dryAt - $now;
                    $now = $dryAt;
                }
            }
            while ($session < $last && $now + $left > $this->sessionsMin[$session] + 1e-9) {
                $part = $this->part($phase, $this->sessionsMin[$session] - $now);
                if ($part > 0.0) {
                    $slots[] = new Slot($phase, $now, $now + $part, $session);
                    $left -= $part;
                }
                [$session, $now, $dryAt] = [$session + 1, 0.0, 0.0];
            }
            $slots[] = new Slot($phase, $now, $now + $left, $session);
            $now += $left;
        }
        $this->slots = $slots;
        $this->lengthMin = array_sum(array_slice($this->sessionsMin, 0, $session)) + max($now, $session < $last ? 0.0 : $dryAt);
        $this->idleMin = $idle + ($session < $last ? 0.0 : max(0.0, $dryAt - $now));
    }

    /** How much of a phase is done in what is left of a session (min): runs by whole heats. */
    private function part(Phase $phase, float $left): float
    {
        $part = match ($phase) {
            Phase::Runs, Phase::RunsAgain => floor($left / $this->minutesPerHeat + 1e-9) * $this->minutesPerHeat,
            default => $phase->canBeContinued() ? $left : 0.0,
        };

        return $part >= self::LEAST_PART_MIN ? $part : 0.0;
    }

    /**
     * What is carried over from a session to the next.
     *
     * @return list<Phase> what was begun and is not over
     */
    public function carriedOver(int $session): array
    {
        $begun = array_filter($this->slots, static fn(Slot $slot): bool => $slot->session === $session);
        $then = array_map(
            static fn(Slot $slot): Phase => $slot->phase,
            array_filter($this->slots, static fn(Slot $slot): bool => $slot->session > $session),
        );

        return array_values(array_map(static fn(Slot $slot): Phase => $slot->phase, array_filter(
            $begun,
            fn(Slot $slot): bool => $slot->phase->waits()
                ? $slot->toMin > $this->sessionsMin[$session]
                : in_array($slot->phase, $then, true),
        )));
    }

    /**
     * What is left of a session for further runs, before its discussion and tidying.
     *
     * @param float $sinceMin since its first run
     *
     * @return float min, not below zero
     */
    public function leftMin(float $sinceMin): float
    {
        foreach ($this->slots as $slot) {
            if ($slot->phase === Phase::Runs) {
                $after = array_filter($this->slots, static fn(Slot $each): bool => $each->session === $slot->session
                    && in_array($each->phase, [Phase::Discuss, Phase::Tidy], true));
                $kept = array_sum(array_map(static fn(Slot $each): float => $each->lengthMin(), $after));

                return max(0.0, $this->sessionsMin[$slot->session] - $slot->fromMin - $sinceMin - $kept);
            }
        }

        return 0.0;
    }

    public function fits(): bool
    {
        return $this->lengthMin <= $this->sessionMin;
    }

    /** What is left at the end (min); below zero it does not fit. */
    public function spareMin(): float
    {
        return $this->sessionMin - $this->lengthMin;
    }

    /**
     * Changes that would make it fit, each by itself and as small as it can be: more lanes, fewer tries, less time
     * a heat, no second round, or a shorter build. Empty where it fits already; where no single one is enough,
     * more lanes and fewer tries together.
     *
     * @return list<Remedy>
     */
    public function remedies(): array
    {
        if ($this->fits()) {
            return [];
        }
        $runs = $this->runs;
        $found = [];
        if ($runs !== null) {
            $most = min(Limits::MOST_LANES, $runs->groups);
            $found[] = self::first(range($runs->lanes, max($runs->lanes, $most)), fn(int $lanes): ?Remedy => $this->with($lanes, null));
            $found[] = self::first(range($runs->tries, 1), fn(int $tries): ?Remedy => $this->with(null, $tries));
            $found[] = self::first(range((int) floor(2 * $this->minutesPerHeat), 2), fn(int $halves): ?Remedy => $this->remedy(
                new self($this->minutes, $runs, $this->runsAgain, $halves / 2, $this->sessionsMin[0], $this->furtherMin),
                minutesPerHeat: $halves / 2,
            ));
        }
        if ($this->runsAgain !== null) {
            $found[] = $this->remedy(
                new self(
                    [Phase::Redesign->value => 0.0] + $this->minutes,
                    $runs,
                    null,
                    $this->minutesPerHeat,
                    $this->sessionsMin[0],
                    $this->furtherMin,
                ),
                noSecondRound: true,
            );
        }
        $build = $this->minutesOf(Phase::Build);
        $found[] = self::first(range(
            5,
            max(10, (int) ($build / 3)),
            5,
        ), fn(int $less): ?Remedy => $less > $build / 3 ? null : $this->remedy(
            new self(
                [Phase::Build->value => $build - $less] + $this->minutes,
                $runs,
                $this->runsAgain,
                $this->minutesPerHeat,
                $this->sessionsMin[0],
                $this->furtherMin,
            ),
            shorterBuildMin: (float) $less,
        ));
        $found = array_values(array_filter($found));
        if ($found === [] && $runs !== null) {
            for ($lanes = $runs->lanes + 1; $lanes <= $most; $lanes++) {
                $both = self::first(range($runs->tries, 1), fn(int $tries): ?Remedy => $this->with($lanes, $tries));
                if ($both !== null) {
                    return [$both];
                }
            }
        }

        return $found;
    }

    /** The session with other lanes or tries, if it fits then. */
    private function with(?int $lanes, ?int $tries): ?Remedy
    {
        $order = static fn(?RunOrder $runs, ?int $tries): ?RunOrder => $runs === null ? null : new RunOrder(
            $runs->groups,
            $tries ?? $runs->tries,
            $lanes ?? $runs->lanes,
        );

        return $this->remedy(
            new self(
                $this->minutes,
                $order($this->runs, $tries),
                $order($this->runsAgain, null),
                $this->minutesPerHeat,
                $this->sessionsMin[0],
                $this->furtherMin,
            ),
            $lanes,
            $tries,
        );
    }

    private function remedy(
        self $then,
        ?int $lanes = null,
        ?int $tries = null,
        ?float $minutesPerHeat = null,
        ?float $shorterBuildMin = null,
        bool $noSecondRound = false,
    ): ?Remedy {
        return $then->fits() ? new Remedy($then->lengthMin, $lanes, $tries, $minutesPerHeat, $shorterBuildMin, $noSecondRound) : null;
    }

    /**
     * @param list<int> $values smallest change first
     * @param \Closure(int): ?Remedy $try
     */
    private static function first(array $values, \Closure $try): ?Remedy
    {
        foreach ($values as $value) {
            $remedy = $try($value);
            if ($remedy !== null) {
                return $remedy;
            }
        }

        return null;
    }

    private function minutesOf(Phase $phase): float
    {
        return match ($phase) {
            Phase::Runs => $this->runs?->minutes($this->minutesPerHeat) ?? 0.0,
            Phase::RunsAgain => $this->runsAgain?->minutes($this->minutesPerHeat) ?? 0.0,
            default => $this->minutes[$phase->value] ?? 0.0,
        };
    }
}
