<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** A heat while events are played through it. */
final class HeatInPlay
{
    /** @var array<string, int> by entrant */
    public array $wins = [];

    public int $again = 0;
    public ?string $winner = null;
    public bool $isWalkover = false;
    public bool $isOff = false;
    public bool $byeA = false;

    /**
     * @param string|null $to key of the heat to which its winner goes; null for a last one
     * @param bool $byeB whether nobody will ever stand on the second side
     */
    public function __construct(
        public readonly int $round,
        public ?string $a,
        public ?string $b,
        public readonly ?string $to,
        public bool $byeB,
    ) {}

    /** Somebody comes in from the heat before, or nobody ever will. Whether that is news. */
    public function seat(bool $isFirst, ?string $entrant): bool
    {
        [$now, $isBye] = $isFirst ? [$this->a, $this->byeA] : [$this->b, $this->byeB];
        if ($now === $entrant && ($entrant !== null || $isBye)) {
            return false;
        }
        if ($isFirst) {
            [$this->a, $this->byeA] = [$entrant, $entrant === null];
        } else {
            [$this->b, $this->byeB] = [$entrant, $entrant === null];
        }

        return true;
    }

    /** Who came in did not, after all. */
    public function leave(string $entrant): void
    {
        $this->a = $this->a === $entrant ? null : $this->a;
        $this->b = $this->b === $entrant ? null : $this->b;
    }
}
