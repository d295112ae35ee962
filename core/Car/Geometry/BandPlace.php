<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Geometry;

use Skivo\Core\Car\Attribute\DrivenEnd;

/** The band of a car that one drives, from its hook to the axle that it turns (m). */
final readonly class BandPlace
{
    /** Of a hook from its end of the chassis, and how thick a rubber band is (m). Common practice, no source. */
    public const USUAL_HOOK = 0.005;
    public const USUAL_BAND = 0.001;

    /**
     * @param float $hookPlace of the hook, from the end of the chassis that is away from the driven axle
     * @param float $hookOffset of the hook, beside the middle
     * @param float|null $chainLength of the chain, unstretched; null where nobody knows
     * @param float $windingDiameter how wide what winds on the axle is
     * @param float $thickness of one strand
     * @param int|null $turns what is wound on before a try; null where nobody said
     * @param float|null $installed measured from the hook to the driven axle; null where the places of both say it
     */
    public function __construct(
        public DrivenEnd $driven = DrivenEnd::Rear,
        public float $hookPlace = self::USUAL_HOOK,
        public float $hookOffset = 0.0,
        public ?float $chainLength = null,
        public float $windingDiameter = self::USUAL_BAND,
        public float $thickness = self::USUAL_BAND,
        public int $sideBySide = 1,
        public ?int $turns = null,
        public ?float $installed = null,
    ) {}
}
