<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

/** What somebody expects of a change, or what came of it. */
enum Direction: string
{
    case Farther = 'farther';
    case Same = 'same';
    case LessFar = 'less_far';
}
