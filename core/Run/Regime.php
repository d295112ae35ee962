<?php

declare(strict_types=1);

namespace Skivo\Core\Run;

/** What takes most of the work that the thrust does: on it depends which school is right for a car. */
enum Regime
{
    case DoesNotStart;
    case Rolling;
    case Air;
    case Both;
}
