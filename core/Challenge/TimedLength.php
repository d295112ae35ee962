<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/**
 * The longest length over which every car of a class can be timed: each of their tries reached it. A car that never ran
 * so far would have no time, and over a short stretch the stopwatch's own error weighs most.
 */
final readonly class TimedLength
{
    private function __construct(
        /** A whole number of steps (m). */
        public float $lengthM,
        /** What the shortest try of all reached (m). */
        public float $reachedM,
        /** Whose it was. */
        public string $shortest,
    ) {}

    /**
     * @param array<array-key, Tries> $standing of the cars that groups stand by, by any name
     * @param float $stepM in which lengths are laid out (m)
     *
     * @return self|null null where no car has run, or the shortest try is not two steps long
     */
    public static function of(array $standing, float $stepM, float $laneM): ?self
    {
        $least = null;
        foreach ($standing as $name => $tries) {
            $shortest = $tries->each(static fn(Run $run): ?float => $run->distanceM)?->least();
            if ($shortest !== null && ($least === null || $shortest < $least[0])) {
                $least = [$shortest, (string) $name];
            }
        }
        if ($least === null) {
            return null;
        }
        $steps = (int) floor(min($least[0], $laneM) / $stepM + 1e-9);

        return $steps < 2 ? null : new self($steps * $stepM, $least[0], $least[1]);
    }
}
