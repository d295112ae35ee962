<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

/** The parts of a car at which a drawing marks a fault. */
enum Spot: string
{
    case FrontWheels = 'front wheels';
    case RearWheels = 'rear wheels';
    case FrontAxle = 'front axle';
    case RearAxle = 'rear axle';
    case Chassis = 'chassis';
    case Balloon = 'balloon';
    case Neck = 'neck';
    case Nozzle = 'nozzle';
    case Hook = 'hook';
    case Band = 'band';
}
