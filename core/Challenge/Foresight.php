<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** How well somebody foretold their own tries: misses without their sign, and whether they grew smaller. */
final readonly class Foresight
{
    /** @param array<int, float> $misses predicted less measured (m), by the number of the try */
    public function __construct(public array $misses) {}

    /** The mean of the misses without their sign (m); null where there is none. */
    public function typicalMiss(): ?float
    {
        return $this->misses === [] ? null : array_sum(array_map(abs(...), $this->misses)) / count($this->misses);
    }

    /** By how much the last miss is smaller than the first (m), below zero where it grew; null for fewer than two. */
    public function improvement(): ?float
    {
        if (count($this->misses) < 2) {
            return null;
        }
        $misses = $this->misses;
        ksort($misses);
        $misses = array_values($misses);

        return abs($misses[0]) - abs($misses[count($misses) - 1]);
    }

    /**
     * The typical miss of many at each try.
     *
     * @param list<self> $all
     *
     * @return array<int, float> (m) by the number of the try
     */
    public static function byTry(array $all): array
    {
        $misses = [];
        foreach ($all as $each) {
            foreach ($each->misses as $try => $miss) {
                $misses[$try][] = abs($miss);
            }
        }
        ksort($misses);

        return array_map(static fn(array $of): float => array_sum($of) / count($of), $misses);
    }
}
