<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

/** How the size of a filled balloon was taken: with a gauge across it, or a tape around it. */
enum SizeMeasure: string
{
    case Diameter = 'diameter';
    case Circumference = 'circumference';

    /**
     * The diameter of a round balloon of this measured size.
     *
     * @param float $sizeM as measured, in m
     *
     * @return float in m
     */
    public function diameterM(float $sizeM): float
    {
        return $this === self::Diameter ? $sizeM : $sizeM / M_PI;
    }
}
