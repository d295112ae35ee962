<?php

declare(strict_types=1);

namespace Skivo\Core\Diagnosis;

/** How far a car's own readings speak for a cause. */
enum Likelihood: int
{
    /** A reading shows it. */
    case Shown = 3;
    /** A measure of the car hints at it. */
    case Hinted = 2;
    /** Nothing is known either way. */
    case Possible = 1;
    /** A reading speaks against it. */
    case Unlikely = 0;
}
