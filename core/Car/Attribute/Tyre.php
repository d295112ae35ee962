<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** What is on the rims of the wheels. */
enum Tyre: string
{
    case None = 'none';
    case RubberBand = 'rubber band';
    /** Cut from a balloon. */
    case BalloonStrip = 'balloon strip';

    /** μ_s on a smooth floor (from memory, to be replaced by bench values); null where the wheel itself decides. */
    public function grip(): ?float
    {
        return match ($this) {
            self::None => null,
            self::RubberBand => 0.80,
            self::BalloonStrip => 0.90,
        };
    }
}
