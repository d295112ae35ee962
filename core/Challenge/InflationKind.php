<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** How it was noted how full a balloon was. */
enum InflationKind: string
{
    case Full = 'full';
    case Strokes = 'strokes';
    case Diameter = 'diameter';
    case Circumference = 'circumference';
}
