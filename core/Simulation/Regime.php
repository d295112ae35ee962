<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

/** What takes most of the work that the thrust does: on it depends which school is right for a car. */
enum Regime
{
    case DoesNotStart;
    case Rolling;
    case Air;
    case Both;

    public static function of(EnergyLedger $energy): self
    {
        $spent = $energy->moved();

        return match (true) {
            $spent === 0.0 => self::DoesNotStart,
            $energy->rolling >= 0.6 * $spent => self::Rolling,
            $energy->rolling <= 0.4 * $spent => self::Air,
            default => self::Both,
        };
    }
}
