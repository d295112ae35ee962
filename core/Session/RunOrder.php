<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/**
 * Who runs when, and on which lane: every group once in each round of tries, the rounds one after another
 * without a gap, so that lanes stand idle only at the very end and a group's tries lie as far apart as they can.
 *
 * Turn q of all is group q mod G in heat ⌊q/L⌋. Its lane is (q + ⌊r/p⌋) mod L in round r = ⌊q/G⌋, where
 * p = L/gcd(G, L): G turns later a group stands G mod L lanes further on, which takes it through p lanes before
 * they repeat; then, just where a heat begins anew, the whole order moves on by one. So in any L rounds
 * in a row from the first each group meets each lane once, as in the rows of a Latin square.
 */
final readonly class RunOrder
{
    /** Lanes in use: never more than there are groups, or a group would race itself. */
    public int $lanes;

    /** @var list<Turn> in order */
    public array $turns;

    /**
     * @param int $groups at least 1
     * @param int $tries of each group, at least 1
     * @param int $lanes at least 1
     */
    public function __construct(
        public int $groups,
        public int $tries,
        int $lanes,
    ) {
        if ($groups < 1 || $tries < 1 || $lanes < 1) {
            throw new \DomainException('A run order needs at least one group, one try and one lane.');
        }
        $this->lanes = min($lanes, $groups);
        $period = intdiv($this->lanes, self::greatestCommonDivisor($groups, $this->lanes));
        $turns = [];
        for ($turn = 0; $turn < $groups * $tries; $turn++) {
            $round = intdiv($turn, $groups);
            $turns[] = new Turn(
                $turn % $groups,
                $round + 1,
                intdiv($turn, $this->lanes) + 1,
                ($turn + intdiv($round, $period)) % $this->lanes + 1,
            );
        }
        $this->turns = $turns;
    }

    /** How many times the lanes are filled. */
    public function heats(): int
    {
        return (int) ceil($this->groups * $this->tries / $this->lanes);
    }

    /** How many heats lie between two tries of a group at least; null where it has one try. */
    public function heatsBetweenTries(): ?int
    {
        if ($this->tries < 2) {
            return null;
        }
        $least = PHP_INT_MAX;
        $last = [];
        foreach ($this->turns as $turn) {
            if (isset($last[$turn->group])) {
                $least = min($least, $turn->heat - $last[$turn->group] - 1);
            }
            $last[$turn->group] = $turn->heat;
        }

        return $least;
    }

    public function minutes(float $minutesPerHeat): float
    {
        return $this->heats() * $minutesPerHeat;
    }

    /**
     * The turns of each heat, by lane.
     *
     * @return array<int, array<int, Turn>> by heat and lane, from 1
     */
    public function byHeat(): array
    {
        $heats = [];
        foreach ($this->turns as $turn) {
            $heats[$turn->heat][$turn->lane] = $turn;
        }

        return $heats;
    }

    private static function greatestCommonDivisor(int $a, int $b): int
    {
        return $b === 0 ? $a : self::greatestCommonDivisor($b, $a % $b);
    }
}
