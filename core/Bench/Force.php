<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

/** What of a car a bench test may put in the place of an assumption. */
enum Force: string
{
    /** The rolling coefficient f. */
    case Friction = 'friction';
    /** The first push, balloon full (N). */
    case Thrust = 'thrust';
    /** The balloon's gauge pressure over the model's. */
    case Pressure = 'pressure';
}
