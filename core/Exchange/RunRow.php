<?php

declare(strict_types=1);

namespace Skivo\Core\Exchange;

use Skivo\Core\Challenge\RunRecord;

/** The run in a row of a run table. */
final readonly class RunRow
{
    public function __construct(
        public int $try,
        public RunRecord $record,
    ) {}

    /** Whether another record of a run says the same. */
    public function equals(self $other): bool
    {
        return $this->try === $other->try && $this->record->agreesWith($other->record);
    }
}
