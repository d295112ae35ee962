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
    /** Of the weight that stands on the driven axle. */
    case LoadShare = 'load share';
    /** μ_s of the driven rims on the floor. */
    case Grip = 'grip';
    /** The band's pull over the model's. */
    case Pull = 'pull';
}
