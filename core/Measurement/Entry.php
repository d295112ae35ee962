<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** A quantity together with what a person typed for it, unit included. */
final readonly class Entry
{
    public function __construct(
        public Quantity $quantity,
        public string $text,
    ) {}

    /** Whether both stand for the same quantity to nine digits, whatever was typed. */
    public function agreesWith(self $other): bool
    {
        $a = $this->quantity->si();
        $b = $other->quantity->si();

        return $this->quantity->dimension === $other->quantity->dimension
            && abs($a - $b) <= 1e-9 * max(abs($a), abs($b));
    }
}
