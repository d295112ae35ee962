<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** How one group stands on a run day. */
final readonly class Runner
{
    /**
     * @param int $made tries that are over: counted, and void ones where the rule has them lost
     * @param int|null $skippedTry the try at which it was passed over
     * @param int|null $turns how many it has in all; as many as the plan where null
     * @param int $skippedAt when that was: who was skipped earlier comes earlier
     */
    public function __construct(
        public int $made,
        public bool $isRepairing = false,
        public bool $isWithdrawn = false,
        public ?int $skippedTry = null,
        public int $skippedAt = 0,
        public ?int $turns = null,
    ) {}
}
