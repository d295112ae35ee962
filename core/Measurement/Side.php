<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** To which side of the line a car strayed, as seen when walking behind it. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';

    /** 1 to the left, −1 to the right. */
    public function sign(): float
    {
        return $this === self::Left ? 1.0 : -1.0;
    }
}
