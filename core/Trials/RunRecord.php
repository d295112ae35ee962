<?php

declare(strict_types=1);

namespace Skivo\Core\Trials;

use Skivo\Core\Quantity\Entry;

/** What was recorded of one run, as it was typed. */
final readonly class RunRecord
{
    public function __construct(
        /** Null only where the run is void. */
        public ?Entry $distance = null,
        /** Over the timed length. */
        public ?Entry $time = null,
        public ?VoidReason $void = null,
        public ?string $note = null,
        /** How far off the line it stopped. */
        public ?Entry $drift = null,
        /** To which side; null where there is no drift. */
        public ?Side $side = null,
        public ?Entry $load = null,
    ) {}

    /** Whether another record tells of the same run; notes aside. */
    public function agreesWith(self $other): bool
    {
        $same = static fn(?Entry $a, ?Entry $b): bool => $a === null || $b === null ? $a === $b : $a->agreesWith($b);

        return $this->void === $other->void && $this->side === $other->side
            && $same($this->distance, $other->distance) && $same($this->time, $other->time)
            && $same($this->drift, $other->drift) && $same($this->load, $other->load);
    }
}
