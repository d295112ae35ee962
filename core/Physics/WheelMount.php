<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** The two schools of mounting wheels. */
enum WheelMount: string
{
    /** Wheels sit fast on an axle that turns in the bearing. */
    case Fixed = 'fixed to the axle';
    /** Wheels spin on an axle that stands still. */
    case Spinning = 'spinning on the axle';
}
