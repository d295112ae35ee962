<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** How a wheel's mass lies about its axle: κ = I/(m·r²). */
enum WheelShape: string
{
    case Disc = 'disc';
    case Ring = 'ring';
    case Cap = 'cap';

    /**
     * @param float $innerOverOuter r_i/r_o of a ring
     */
    public function inertiaFactor(float $innerOverOuter = 0.9): float
    {
        return match ($this) {
            self::Disc => 0.5,
            self::Ring => 0.5 * (1.0 + $innerOverOuter ** 2),
            // From memory.
            self::Cap => 0.7,
        };
    }
}
