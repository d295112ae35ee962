<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Statistics\Sample;
use Skivo\Core\Statistics\Verdict;

/** One group's place. */
final readonly class Standing
{
    public function __construct(
        public Entrant $entrant,
        /** From 1; groups with the same score share it. Null where no counted try has the goal's measure. */
        public ?int $rank,
        public bool $tied,
        /**
         * By the rule of the challenge, in m or s, runs past the end as they went most likely: it orders the places. Null with the rank.
         */
        public ?float $score,
        /** The same as it was logged, which is shown. */
        public ?Reach $reach,
        public ?Sample $sample,
        /** Whether it can be told from the leader; null for the leader and for groups without a rank. */
        public ?Verdict $againstLeader,
    ) {}
}
