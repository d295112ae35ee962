<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** Where a value of the model comes from. */
enum Origin: string
{
    case Measured = 'measured';
    case Catalogue = 'parts';
    case Assumed = 'assumed';
}
