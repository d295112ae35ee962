<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** How cars race each other. */
enum RaceKind: string
{
    /** Two cars, once or best of three. */
    case SideBySide = 'side_by_side';
    /** Who loses is out. */
    case Knockout = 'knockout';
    /** Everyone against everyone. */
    case RoundRobin = 'round_robin';
    /** Whoever wins stands against the next. */
    case StaysOn = 'stays_on';
}
