<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** Two cars against each other, as it stands. */
final readonly class Heat
{
    /**
     * @param string $key names it within its race, as in "2-1": the first of the second round
     * @param int $round from 1
     * @param string|null $a null while it is not known
     * @param string|null $b likewise
     * @param int $winsA of the runs between the two
     * @param int $winsB likewise
     * @param int $again how often it was run without a winner
     * @param string|null $winner null while it is open
     * @param bool $isWalkover whether the winner had nobody to run against
     * @param bool $isOff whether it is not run at all: one of the two has left
     */
    public function __construct(
        public string $key,
        public int $round,
        public ?string $a,
        public ?string $b,
        public int $winsA = 0,
        public int $winsB = 0,
        public int $again = 0,
        public ?string $winner = null,
        public bool $isWalkover = false,
        public bool $isOff = false,
    ) {}

    public function isOpen(): bool
    {
        return $this->winner === null && !$this->isOff && $this->a !== null && $this->b !== null;
    }

    public function has(string $entrant): bool
    {
        return $this->a === $entrant || $this->b === $entrant;
    }

    public function loser(): ?string
    {
        return match ($this->winner) {
            null => null,
            $this->a => $this->b,
            default => $this->a,
        };
    }
}
