<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** One phase on the timetable, in minutes from the beginning. */
final readonly class Slot
{
    public function __construct(
        public Phase $phase,
        public float $fromMin,
        public float $toMin,
    ) {}

    public function lengthMin(): float
    {
        return $this->toMin - $this->fromMin;
    }
}
