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

    /** From the first phase to the last (min). */
    public float $lengthMin;

    /** Of the length, spent waiting for glue and paint with nothing else planned (min). */
    public float $idleMin;

    /**
     * @param array<string, float> $minutes by the value of a Phase; those left out or 0 do not take place. Runs are
     *                                      given by the run orders instead.
     * @param RunOrder|null $runs null where there is no group or no try yet
     * @param RunOrder|null $runsAgain after the redesign; null for none
     * @param float $minutesPerHeat from one start to the next on the same lane
     * @param float $sessionMin how long there is
     */
    public function __construct(
        private array $minutes,
        private ?RunOrder $runs,
        private ?RunOrder $runsAgain,
        private float $minutesPerHeat,
        public float $sessionMin,
    ) {
        $now = 0.0;
        $dryAt = 0.0;
        $idle = 0.0;
        $slots = [];
        foreach (Phase::cases() as $phase) {
            $length = $this->minutesOf($phase);
            if ($length <= 0.0) {
                continue;
            }
            if ($phase->waits()) {
                $dryAt = $now + $length;
                $slots[] = new Slot($phase, $now, $dryAt);
                continue;
            }
            if ($phase->needsTheCar() && $dryAt > $now) {
                $idle += $dryAt - $now;
                $now = $dryAt;
            }
            $slots[] = new Slot($phase, $now, $now + $length);
            $now += $length;
        }
        $this->slots = $slots;
        $this->lengthMin = max($now, $dryAt);
        $this->idleMin = $idle + max(0.0, $dryAt - $now);
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
                new self($this->minutes, $runs, $this->runsAgain, $halves / 2, $this->sessionMin),
                minutesPerHeat: $halves / 2,
            ));
        }
        if ($this->runsAgain !== null) {
            $found[] = $this->remedy(
                new self([Phase::Redesign->value => 0.0] + $this->minutes, $runs, null, $this->minutesPerHeat, $this->sessionMin),
                noSecondRound: true,
            );
        }
        $build = $this->minutesOf(Phase::Build);
        $found[] = self::first(range(5, max(10, (int) ($build / 3)), 5), fn(int $less): ?Remedy => $less > $build / 3 ? null : $this->remedy(
            new self(
                [Phase::Build->value => $build - $less] + $this->minutes,
                $runs,
                $this->runsAgain,
                $this->minutesPerHeat,
                $this->sessionMin,
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
            new self($this->minutes, $order($this->runs, $tries), $order($this->runsAgain, null), $this->minutesPerHeat, $this->sessionMin),
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
