<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** Why a try does not count. */
enum VoidReason: string
{
    case NoStart = 'no start';
    case HitSomething = 'hit something';
    case WheelOff = 'wheel off';
    case BalloonOff = 'balloon off';
    case Burst = 'burst';
    case Pushed = 'pushed';
}
