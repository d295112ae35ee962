<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** What a class's cars say to its question. It is judged at 95 % by itself. */
enum Answer: string
{
    case Yes = 'yes';
    case OtherWayRound = 'other';
    case HardlyMatters = 'hardly';
    case CannotTell = 'cannot';

    /** Within so much of the class's typical distance an effect hardly matters. */
    public const HARDLY = 0.10;

    /**
     * @param Effect|null $effect of what is asked about; null where no fair pair speaks of it
     * @param float $typicalM how far the class's cars go, above zero
     */
    public static function of(Question $question, ?Effect $effect, float $typicalM): self
    {
        if ($effect === null || !$effect->isPooled() || $effect->interval === null) {
            return self::CannotTell;
        }
        $most = self::HARDLY * $typicalM;

        return match (true) {
            $effect->interval->low > -$most && $effect->interval->high < $most => self::HardlyMatters,
            !$effect->isClear() => self::CannotTell,
            ($effect->mean > 0.0) === ($question->direction() > 0) => self::Yes,
            default => self::OtherWayRound,
        };
    }
}
