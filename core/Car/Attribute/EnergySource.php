<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

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

    /** Whether a band is wound on one of its axles. */
    public function winds(): bool
    {
        return $this === self::ElasticBand;
    }

    /** Whether it rolls down a ramp before the start line. */
    public function rollsDown(): bool
    {
        return $this === self::Ramp || $this === self::BalloonAndRamp;
    }

    public function has(Drive $drive): bool
    {
        return match ($drive) {
            Drive::Balloon => $this->blows(),
            Drive::Band => $this->winds(),
            Drive::Ramp => $this->rollsDown(),
        };
    }

    /** By which its words are found: "of_elastic_band". */
    public function key(): string
    {
        return 'of_' . str_replace(' ', '_', $this->value);
    }

    /** The factor on its push that a bench measures and that differs from balloon to balloon and from band to band. */
    public function strength(): CarAttribute
    {
        return $this->winds() ? CarAttribute::BandStiffness : CarAttribute::BalloonPressure;
    }
}
