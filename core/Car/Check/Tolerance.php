<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Check;

/** Between which values a check is good, and outside which something must be mended; in between it is worth a note. */
final readonly class Tolerance
{
    public function __construct(
        public ?float $goodFrom,
        public ?float $goodTo,
        public ?float $fixBelow,
        public ?float $fixAbove,
    ) {}

    public function judge(float $value): CheckVerdict
    {
        $below = static fn(?float $limit): bool => $limit !== null && $value < $limit - 1e-9;
        $above = static fn(?float $limit): bool => $limit !== null && $value > $limit + 1e-9;

        return match (true) {
            $below($this->fixBelow), $above($this->fixAbove) => CheckVerdict::Fix,
            $below($this->goodFrom), $above($this->goodTo) => CheckVerdict::Note,
            default => CheckVerdict::Pass,
        };
    }

    public function equals(?self $other): bool
    {
        return $other !== null && get_object_vars($this) === get_object_vars($other);
    }

    /** Whether the limits stand in order: what must be mended lies outside what is good. */
    public function isInOrder(): bool
    {
        $limits = array_values(
            array_filter(
                [$this->fixBelow, $this->goodFrom, $this->goodTo, $this->fixAbove],
                static fn(?float $limit): bool => $limit !== null,
            ),
        );
        $sorted = $limits;
        sort($sorted);

        return $limits === $sorted;
    }
}
