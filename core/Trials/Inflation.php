<?php

declare(strict_types=1);

namespace Skivo\Core\Trials;

use Skivo\Core\Quantity\Entry;

/** How full the balloon was in one run. */
final readonly class Inflation
{
    /**
     * @param Entry|null $size across or around; only where it was measured
     * @param int|null $strokes only where they were counted
     */
    public function __construct(
        public InflationKind $kind,
        public ?Entry $size = null,
        public ?int $strokes = null,
    ) {}

    public function agreesWith(self $other): bool
    {
        return $this->kind === $other->kind && $this->strokes === $other->strokes
            && ($this->size === null || $other->size === null ? $this->size === $other->size : $this->size->agreesWith($other->size));
    }
}
