<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/** What is on the rims of the wheels. */
enum Tyre: string
{
    case None = 'none';
    case RubberBand = 'rubber band';
    /** Cut from a balloon. */
    case BalloonStrip = 'balloon strip';
}
