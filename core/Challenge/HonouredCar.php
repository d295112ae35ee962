<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** What a group's car did, as its certificates rest on it. */
final readonly class HonouredCar
{
    /**
     * @param string $id of its group
     * @param non-empty-list<Tries> $versions of each version, the oldest first; the group stands by the last
     */
    public function __construct(
        public string $id,
        public array $versions,
        public ?Foresight $foresight = null,
    ) {}

    public function standing(): Tries
    {
        return $this->versions[count($this->versions) - 1];
    }
}
