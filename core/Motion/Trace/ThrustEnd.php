<?php

declare(strict_types=1);

namespace Skivo\Core\Motion\Trace;

/** Where a trace shows that the balloon went limp. */
final readonly class ThrustEnd
{
    public function __construct(
        public float $timeS,
        public float $placeM,
        /** Between which moments it lies, at about 95 %. */
        public float $earliestS,
        public float $latestS,
    ) {}
}
