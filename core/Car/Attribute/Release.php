<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Attribute;

/** How the air is held back until the car is let go. */
enum Release: string
{
    /** A fingertip on the end of the tube. */
    case Finger = 'finger';
    /** The tube is pressed together, which narrows it. */
    case Pinch = 'pinch';
    /** The tube is bent over and held by a peg. */
    case Peg = 'peg';

    /** K that it adds to the losses of the nozzle while the car runs: a tube that was pressed together stays narrower (from memory). */
    public function extraLoss(): float
    {
        return $this === self::Pinch ? 1.0 : 0.0;
    }
}
