<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** One phase on the timetable, or a part of it, in minutes from the beginning of its session. */
final readonly class Slot
{
    public function __construct(
        public Phase $phase,
        public float $fromMin,
        public float $toMin,
        /** Counted from 0. */
        public int $session = 0,
    ) {}

    public function lengthMin(): float
    {
        return $this->toMin - $this->fromMin;
    }
}
