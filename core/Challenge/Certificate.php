<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** One certificate of one group. */
final readonly class Certificate
{
    /**
     * @param string $group by its id
     * @param Award|null $award for a place
     * @param int|null $place from 1, for a place
     * @param list<string> $beside ids of groups that share it
     * @param float|null $value what it is for (m, s, kg, or a share), as the honour has it
     * @param float|null $from from which it improved
     * @param VoidReason|null $broke what was repaired
     */
    public function __construct(
        public Honour $honour,
        public string $group,
        public ?Award $award = null,
        public ?int $place = null,
        public array $beside = [],
        public ?float $value = null,
        public ?float $from = null,
        public ?VoidReason $broke = null,
    ) {}
}
