<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;

/** What a class cuts from straws and skewers, for the kit that was chosen, and how many of each that takes. */
final readonly class CutPlan
{
    /** Of each car. */
    private const AXLES = 2;

    private function __construct(
        public CutSizes $sizes,
        /** For bearings, and for nozzles where they are of the same straw. */
        public CuttingStock $straws,
        /** For nozzles, where they are of another straw than the bearings. */
        public CuttingStock $nozzleStraws,
        public CuttingStock $axles,
        /** How long the piece of straw for the nozzle is (m); null where the nozzle is no straw. */
        public ?float $nozzleM,
        /** How many such pieces a car needs. */
        public int $nozzlesEach,
        private bool $bearsOnStraws,
    ) {}

    /**
     * @param float $nozzleM length of a piece of straw in the nozzle
     * @param int $nozzlesEach pieces of straw in one car's nozzle
     * @param int $cars to cut for, spares included
     *
     * @throws DoesNotFitException
     */
    public static function of(
        Kit $kit,
        CutSizes $sizes,
        float $strawM,
        float $skewerM,
        float $kerfM,
        float $nozzleM,
        int $nozzlesEach,
        int $cars,
    ): self {
        $nozzlesEach = $kit->blowsThroughStraws() ? $nozzlesEach : 0;

        return new self(
            $sizes,
            CuttingStock::plan($strawM, $kerfM, [
                CutPiece::Bearing->value => [$sizes->bearingLengthM(), $kit->bearsOnStraws() ? self::AXLES * $cars : 0],
                CutPiece::Nozzle->value => [$nozzleM, $kit->nozzleIsOfBearingStraw() ? $nozzlesEach * $cars : 0],
            ]),
            CuttingStock::plan(
                $strawM,
                $kerfM,
                [CutPiece::Nozzle->value => [$nozzleM, $kit->nozzleIsOfBearingStraw() ? 0 : $nozzlesEach * $cars]],
            ),
            CuttingStock::plan($skewerM, $kerfM, [CutPiece::Axle->value => [$sizes->axleLengthM(), self::AXLES * $cars]]),
            $nozzlesEach > 0 ? $nozzleM : null,
            $nozzlesEach,
            $kit->bearsOnStraws(),
        );
    }

    /**
     * The cut pieces in one car's kit: length in m and number, by the value of a CutPiece.
     *
     * @return array<string, array{float, int}>
     */
    public function pieces(): array
    {
        $pieces = [CutPiece::Axle->value => [$this->sizes->axleLengthM(), self::AXLES]];
        if ($this->bearsOnStraws) {
            $pieces[CutPiece::Bearing->value] = [$this->sizes->bearingLengthM(), self::AXLES];
        }
        if ($this->nozzleM !== null) {
            $pieces[CutPiece::Nozzle->value] = [$this->nozzleM, $this->nozzlesEach];
        }

        return $pieces;
    }
}
