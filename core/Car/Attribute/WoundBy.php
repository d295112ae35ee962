<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** How a band is wound. */
enum WoundBy: string
{
    /** By turning the wheels backwards. */
    case Wheels = 'turning the wheels';
    /** By rolling the car backwards on the floor. */
    case RollingBack = 'rolling back';
}
