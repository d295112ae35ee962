<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** What becomes of a wound chain of bands once it is unwound. */
enum BandEnd: string
{
    /** It falls off its axle, and the car rolls on. */
    case Free = 'free';
    /** It is tied on, winds up the other way, and brakes. */
    case Tied = 'tied';
}
