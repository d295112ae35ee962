<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** By which rules a race is run, and between whom. */
final readonly class RacePlan
{
    public const FEWEST = 2;
    public const MOST = 40;

    /**
     * @param list<string> $entrants by the id of the group, in the order of their seeds: the first is thought the best
     * @param int $bestOf heats of one pair, 1 or 3: who wins more of them goes on
     * @param float|null $lengthM first across it wins; null where it is who goes farther
     * @param int $lanes a heat of two takes two of them; on one lane the two run one after the other
     * @param int|null $lot by which the order was drawn; null where it is that of the standings
     * @param bool $brokenLoses a car that breaks loses its heat; else it is given time
     * @param float $repairMin that a car has between two of its heats, at least
     *
     * @throws \DomainException for a race that is none
     */
    public function __construct(
        public RaceKind $kind,
        public array $entrants,
        public int $bestOf = 1,
        public ?float $lengthM = null,
        public int $lanes = 2,
        public ?int $lot = null,
        public bool $brokenLoses = false,
        public float $repairMin = 3.0,
    ) {
        $count = count($entrants);
        if (
            $count !== count(array_unique($entrants))
            || $count < self::FEWEST
            || $count > self::MOST
            || $kind === RaceKind::SideBySide
            && $count !== 2
        ) {
            throw new \DomainException('A race is between 2 and 40 cars, each of them once; side by side between 2.');
        }
        if ($bestOf !== 1 && $bestOf !== 3 || $lanes < 1) {
            throw new \DomainException('A pair runs once or best of three, on one lane at least.');
        }
    }

    /** How many wins decide between two. */
    public function winsNeeded(): int
    {
        return intdiv($this->bestOf, 2) + 1;
    }

    /** How many heats can run at a time. */
    public function atOnce(): int
    {
        return max(1, intdiv($this->lanes, 2));
    }
}
