<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** Which way the hollow of a cap or lid faces that serves as a wheel. */
enum Hollow: string
{
    /** Away from the car: the cap's flat face is towards the bearing. */
    case Outwards = 'outwards';
    /** Towards the car: the rim reaches in beyond the hub, around the bearing's end. */
    case Inwards = 'inwards';
}
