<?php

declare(strict_types=1);

namespace Skivo\Core\Notebook;

/** Where a group stands on its path: what it has done with its newest car, and which station is next. */
final readonly class GroupPath
{
    /**
     * @param bool $hasCar whether anything is recorded of it
     * @param int $stepsLeft of its build, not yet ticked
     * @param bool $isChecked whether any test of its check card was made
     * @param int $fixes tests that came out as "fix"
     * @param bool $hasGuessed its next try
     * @param int $runs of the newest version of the car
     * @param bool $hasTriesLeft
     * @param bool $knowsWhy whether the group has looked at why since its last run
     * @param list<Station> $closed by the educator
     */
    public function __construct(
        public bool $hasCar,
        public int $stepsLeft,
        public bool $isChecked,
        public int $fixes,
        public bool $hasGuessed,
        public int $runs,
        public bool $hasTriesLeft,
        public bool $knowsWhy,
        public array $closed = [],
    ) {}

    /** The station at which the next thing is to do, whether it is open or not. */
    public function next(): Station
    {
        return match (true) {
            !$this->hasCar => Station::Idea,
            $this->runs > 0 && !$this->knowsWhy => Station::Why,
            $this->runs > 0 && !$this->hasTriesLeft => Station::Change,
            $this->runs === 0 && $this->stepsLeft > 0 => Station::Build,
            $this->runs === 0 && (!$this->isChecked || $this->fixes > 0) => Station::Check,
            !$this->hasGuessed => Station::Guess,
            default => Station::Run,
        };
    }

    public function isOpen(Station $station): bool
    {
        return !in_array($station, $this->closed, true);
    }

    /** Whether everything asked for at a station is done with this car. */
    public function isDone(Station $station): bool
    {
        return match ($station) {
            Station::Idea => $this->hasCar,
            Station::Build => $this->hasCar && ($this->stepsLeft === 0 || $this->runs > 0),
            Station::Check => $this->runs > 0 || $this->isChecked && $this->fixes === 0,
            Station::Guess => $this->hasGuessed,
            Station::Run => $this->runs > 0 && !$this->hasTriesLeft,
            Station::Why => $this->runs > 0 && $this->knowsWhy,
            Station::Change => false,
        };
    }
}
