<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** A group's car and its tries, as it enters the standings. */
final readonly class Entrant
{
    /** @param string $id names the group to whoever asks */
    public function __construct(
        public string $id,
        public Tries $tries,
    ) {}
}
