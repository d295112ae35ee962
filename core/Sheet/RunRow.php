<?php

declare(strict_types=1);

namespace Skivo\Core\Sheet;

use Skivo\Core\Quantity\Entry;
use Skivo\Core\Trials\VoidReason;

/** The run in a row of a class sheet. */
final readonly class RunRow
{
    /** @param Entry|null $distance null only where the run is void */
    public function __construct(
        public int $try,
        public ?Entry $distance,
        public ?Entry $time = null,
        public ?VoidReason $void = null,
        public ?string $note = null,
    ) {}

    /** Whether another record of a run says the same. */
    public function equals(self $other): bool
    {
        $same = static fn(?Entry $a, ?Entry $b): bool => $a === null || $b === null ? $a === $b : $a->agreesWith($b);

        return $this->try === $other->try && $this->void === $other->void
            && $same($this->distance, $other->distance) && $same($this->time, $other->time);
    }
}
