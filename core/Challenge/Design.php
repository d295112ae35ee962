<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Random\Randomizer;

/** How a class goes about its question: who builds which of the two that are compared. */
enum Design: string
{
    /** Half of the groups build the one, half the other, all else as the kit. */
    case HalfAndHalf = 'half_and_half';

    /** Every group builds one, runs it, changes that alone and runs again; half begin with each. */
    case ChangeOneThing = 'change_one_thing';

    /** Groups build what they like. */
    case Free = 'free';

    /** Whether groups are told which of the two they build. */
    public function isDivided(): bool
    {
        return $this !== self::Free;
    }

    public function isRebuilt(): bool
    {
        return $this === self::ChangeOneThing;
    }

    /**
     * Who builds which, drawn by lot: as many the one as the other, or one more of either where they don't come out even.
     *
     * @param int $ones groups that have been told to build the one already
     * @param int $others those that have been told to build the other
     *
     * @return list<bool> for each further group whether it builds the other
     */
    public static function draw(int $groups, Randomizer $chance, int $ones = 0, int $others = 0): array
    {
        $drawn = [];
        for ($group = 0; $group < $groups; $group++) {
            $isOther = $ones === $others ? $chance->getInt(0, 1) === 1 : $ones > $others;
            $drawn[] = $isOther;
            [$ones, $others] = $isOther ? [$ones, $others + 1] : [$ones + 1, $others];
        }

        return $chance->shuffleArray($drawn);
    }
}
