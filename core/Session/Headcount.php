<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** How many a class's materials are for. */
final readonly class Headcount
{
    /**
     * @param int $learners of all groups together: they need not be equally many
     * @param float $spares as a share: 0.2 for a fifth more
     */
    public function __construct(
        public int $groups,
        public int $learners,
        public float $spares,
        public int $lanes = 1,
    ) {}

    public function of(Per $per): int
    {
        return match ($per) {
            Per::Group => $this->groups,
            Per::Learner => $this->learners,
            Per::Lane => $this->lanes,
            Per::WholeClass => 1,
        };
    }

    /** Cars to cut parts for, spares included. */
    public function cars(): int
    {
        return (int) ceil($this->groups * (1.0 + $this->spares) - 1e-9);
    }
}
