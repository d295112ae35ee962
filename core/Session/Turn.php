<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** One group's turn at a lane. */
final readonly class Turn
{
    public function __construct(
        /** Its place in the order of the groups, from 0. */
        public int $group,
        /** From 1. */
        public int $try,
        /** From 1; the turns of one heat run at the same time or straight after each other. */
        public int $heat,
        /** From 1. */
        public int $lane,
    ) {}
}
