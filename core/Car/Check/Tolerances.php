<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Check;

/** The limits of one challenge: its own where it has set them, else the usual ones. */
final readonly class Tolerances
{
    /** @param array<string, Tolerance> $own by the value of a CheckItem */
    public function __construct(public array $own = []) {}

    public function of(CheckItem $item): ?Tolerance
    {
        return $this->own[$item->value] ?? $item->usualTolerance();
    }
}
