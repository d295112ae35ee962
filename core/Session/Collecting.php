<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** How far a collection has come, and when it will be complete if it goes on so. */
final readonly class Collecting
{
    /** The last count. */
    public int $have;

    /** More than this is no forecast any more (days). */
    private const FARTHEST_DAYS = 730;

    /**
     * @param list<array{int, int}> $counts day and how many were there on it, in the order of the days
     * @param int $need how many there are to be
     */
    public function __construct(private array $counts, public int $need)
    {
        $this->have = $counts === [] ? 0 : $counts[count($counts) - 1][1];
    }

    public function missing(): int
    {
        return max(0, $this->need - $this->have);
    }

    public function isComplete(): bool
    {
        return $this->have >= $this->need;
    }

    /** How many came a day, from the first count to the last; null while there is one count only, or none. */
    public function perDay(): ?float
    {
        if (count($this->counts) < 2) {
            return null;
        }
        [$firstDay, $first] = $this->counts[0];
        [$lastDay, $last] = $this->counts[count($this->counts) - 1];

        return $lastDay === $firstDay ? null : ($last - $first) / ($lastDay - $firstDay);
    }

    /** The day on which it will be complete at that rate; null where nothing says so. */
    public function completeOn(): ?int
    {
        $rate = $this->perDay();
        if ($this->isComplete() || $rate === null || $rate <= 0.0) {
            return null;
        }
        $days = (int) ceil($this->missing() / $rate - 1e-9);

        return $days > self::FARTHEST_DAYS ? null : $this->counts[count($this->counts) - 1][0] + $days;
    }
}
