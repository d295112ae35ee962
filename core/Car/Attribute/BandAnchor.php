<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What the still end of a band is held by. */
enum BandAnchor: string
{
    /** A bent paper clip through the chassis. */
    case Hook = 'hook';
    /** A slot cut into the edge of the chassis. */
    case Slot = 'slot';
}
