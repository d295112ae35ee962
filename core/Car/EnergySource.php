<?php

declare(strict_types=1);

namespace Skivo\Core\Car;

/** What drives a car. */
enum EnergySource: string
{
    case Balloon = 'balloon';
    case ElasticBand = 'elastic band';
    /** Nothing but the height that it rolls down from. */
    case Ramp = 'ramp';
    case BalloonAndRamp = 'balloon and ramp';

    /** Whether it has a balloon and a nozzle. */
    public function blows(): bool
    {
        return $this === self::Balloon || $this === self::BalloonAndRamp;
    }
}
