<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

/** A value in SI with the scale on which it is to be shown. */
final readonly class Shown
{
    public function __construct(
        public float $si,
        public Scale $scale,
        public int $moreDecimals = 0,
    ) {}
}
