<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Film;

/** Where the car's front was in one picture of a film. */
final readonly class FilmPoint
{
    /**
     * @param float $timeS of the film's own picture
     * @param float $alongPx along the drawn line
     * @param bool $byHand whether somebody set it, rather than that it was found
     */
    public function __construct(
        public float $timeS,
        public float $alongPx,
        public bool $byHand = false,
    ) {}
}
