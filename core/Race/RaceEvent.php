<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** One thing that happened in a race. */
final readonly class RaceEvent
{
    /**
     * @param string $id names it
     * @param string|null $heat key of the heat, for a win and for one that is run again
     * @param string|null $entrant who won, is mended, ready, out or back
     * @param string|null $against whom, for a win: a result is one between these two and no others
     * @param string|null $undoes id of the event that did not happen
     */
    public function __construct(
        public string $id,
        public EventKind $kind,
        public ?string $heat = null,
        public ?string $entrant = null,
        public ?string $against = null,
        public ?string $undoes = null,
    ) {}
}
