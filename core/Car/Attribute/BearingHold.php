<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What holds the bearings on the chassis. */
enum BearingHold: string
{
    case Tape = 'tape';
    case Glue = 'glue';
    /** They lie in holes through its walls. */
    case Holes = 'holes';
    /** The frame itself carries the axles. */
    case Frame = 'frame';
}
