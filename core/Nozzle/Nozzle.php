<?php

declare(strict_types=1);

namespace Skivo\Core\Nozzle;

/** What the air leaves through: one or more equal round outlets. */
final readonly class Nozzle
{
    /**
     * @param float $boreM inner diameter of one outlet
     * @param int $outlets how many blow side by side
     */
    public function __construct(
        public float $boreM,
        public int $outlets = 1,
    ) {}

    /** The open cross-section of all outlets together (m²). */
    public function outletAreaM2(): float
    {
        return $this->outlets * M_PI / 4 * $this->boreM ** 2;
    }
}
