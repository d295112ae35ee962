<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What holds the balloon up. */
enum BalloonRest: string
{
    case Chassis = 'chassis';
    /** A plate on top of the body, on which tube and balloon lie. */
    case TopPlate = 'top plate';
    /** A post or stand under the tube, so that the balloon hangs free. */
    case Post = 'post';
}
