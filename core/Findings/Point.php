<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** One car in a relation: what it chose and what it did. */
final readonly class Point
{
    /**
     * @param string $id names the car to whoever asks
     * @param float $y mean of its counted tries, in m or s
     */
    public function __construct(
        public string $id,
        public float|string $x,
        public float $y,
    ) {}
}
