<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Car\Attribute\EnergySource;

/** Why a try does not count. */
enum VoidReason: string
{
    case NoStart = 'no start';
    case HitSomething = 'hit something';
    case WheelOff = 'wheel off';
    case BalloonOff = 'balloon off';
    case Burst = 'burst';
    /** A band snapped, or came off its hook. */
    case BandOff = 'band off';
    /** On the spot, and the car did not move. */
    case WheelsSpun = 'wheels spun';
    case TippedOver = 'tipped over';
    /** Something else than a wheel, the balloon or the band came off. */
    case PartOff = 'part off';
    case Pushed = 'pushed';

    /** Whether it may happen to a car that is driven so. */
    public function happensTo(EnergySource $source): bool
    {
        return match ($this) {
            self::BalloonOff, self::Burst => $source->blows(),
            self::BandOff, self::WheelsSpun => $source->winds(),
            default => true,
        };
    }

    /** Whether it stood where it was let go. */
    public function isNoStart(): bool
    {
        return $this === self::NoStart || $this === self::WheelsSpun;
    }
}
