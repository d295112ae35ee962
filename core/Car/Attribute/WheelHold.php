<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What keeps a wheel in its place on its axle. */
enum WheelHold: string
{
    case TightHole = 'tight hole';
    case Glue = 'glue';
    /** Putty or a turn of elastic on each side of it. */
    case Stops = 'stops';
    /** A wheel without a hole, its middle stuck to the end of the axle: weaker than any other. */
    case GluedEnd = 'glued end';
}
