<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What a car's body meets the air with. */
enum NoseShape: string
{
    case Flat = 'flat';
    case Round = 'round';
    case Wedge = 'wedge';
    case Point = 'point';

    /**
     * Drag coefficient on the frontal area, where a flat front has 1.05: a half-round, a wedge and a cone of about 60°
     * (from memory, of standard engineering tables after S. F. Hoerner, Fluid-Dynamic Drag, 1965).
     */
    public function dragCoefficient(): float
    {
        return match ($this) {
            self::Flat => 1.05,
            self::Round => 0.42,
            self::Wedge => 0.7,
            self::Point => 0.5,
        };
    }
}
