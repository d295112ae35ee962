<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Build;

/** What goes on the car first: people differ. */
enum MountOrder: string
{
    /** Balloon and tube are joined and tried for leaks at the table, where the joint can be reached all round. */
    case BalloonFirst = 'balloon first';
    /** The tube is fixed to the car, and the balloon is pulled over it: nobody bends a joint that was tight. */
    case TubeFirst = 'tube first';
}
