<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** What is cut from a straw or a skewer. */
enum CutPiece: string
{
    case Axle = 'axle';
    case Bearing = 'bearing';
    case Nozzle = 'nozzle';
}
