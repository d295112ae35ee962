<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Statistics\Interval;

/** What cars say of an effect: it does more, it does less, it hardly matters, or they can't tell yet. */
enum Answer: string
{
    case More = 'more';
    case Less = 'less';
    case HardlyMatters = 'hardly_matters';
    /** Its interval holds zero, yet the class's cars go clearly one way: this, or what changed together with it. */
    case LooksMore = 'looks_like_more';
    case LooksLess = 'looks_like_less';
    case CannotTell = 'cannot_tell';
    /** It looks clear by itself, and does not hold among all that was looked at. */
    case Hint = 'hint';

    /** Within so much of the class's typical outcome an effect hardly matters. */
    public const HARDLY = 0.10;

    /**
     * Of one effect, judged by itself.
     *
     * @param Effect|null $effect null where no two cars differ in it
     * @param float $typical outcome of the class's cars, above zero
     * @param float $level how often it may be wrong
     */
    public static function of(?Effect $effect, float $typical, float $level = 0.05): self
    {
        $interval = $effect?->intervalAt(1.0 - $level);
        if ($effect === null || $interval === null) {
            return self::CannotTell;
        }

        return match (true) {
            !$effect->isBounded() && self::isHardly($interval, $typical) => self::HardlyMatters,
            $interval->contains(0.0) => match ($effect->looks($level)) {
                1 => self::LooksMore,
                -1 => self::LooksLess,
                default => self::CannotTell,
            },
            default => $effect->mean > 0.0 ? self::More : self::Less,
        };
    }

    public static function isHardly(Interval $interval, float $typical): bool
    {
        return $interval->low > -self::HARDLY * $typical && $interval->high < self::HARDLY * $typical;
    }

    /** Whether it is said at its rate: more, less, or hardly anything. */
    public function isTold(): bool
    {
        return in_array($this, [self::More, self::Less, self::HardlyMatters], true);
    }

    /** Whether it is what a class expected; null where it says nothing of a direction. */
    public function agrees(int $direction): ?bool
    {
        return match ($this) {
            self::More => $direction > 0,
            self::Less => $direction < 0,
            self::HardlyMatters => false,
            default => null,
        };
    }
}
