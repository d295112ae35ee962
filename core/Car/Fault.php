<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/** Something about a car that cannot work, or only just: where it is and what would mend it. */
final readonly class Fault
{
    /**
     * @param string $message what is wrong, with the figures, and the cure
     * @param bool $stops whether it cannot work; otherwise it only may not
     * @param Spot $spot where to mark it on the drawing
     */
    public function __construct(
        public string $key,
        public string $message,
        public bool $stops,
        public Spot $spot,
    ) {}
}
