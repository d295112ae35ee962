<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Trace;

/** One moment of a trace, as the local fit has it. */
final readonly class TracePoint
{
    public function __construct(
        public float $timeS,
        public float $placeM,
        public float $speedMS,
        public float $accelerationMS2,
        /** Standard errors of the two. */
        public float $speedError,
        public float $accelerationError,
    ) {}
}
