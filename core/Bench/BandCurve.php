<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Physics\Constants;
use Skivo\Core\Simulation\CarModel;

/**
 * What a wound band pulls against the length that is wound (turns × 2π·r_a), while it is wound and while it is let back: the area
 * under the first is the energy stored, under the second the energy given back; what lies between became warmth (Treloar, The
 * Physics of Rubber Elasticity, 1975, on hysteresis). Areas by the trapezium rule, the pull taken as nothing where slack ends.
 */
final readonly class BandCurve
{
    /** Fewer turns than this many are no curve. */
    private const FEWEST = 2;

    /** A scale is read to so much (kg): below it nothing can be said of what is given back. Common practice, no source. */
    private const LEAST_KG = 0.005;

    /**
     * @param non-empty-list<array{float, float, float, float}> $points turns, length wound (m), pull while winding and while let back (N), by turns
     * @param float|null $storedJ null for too few readings
     * @param float|null $returnedJ likewise
     * @param float|null $returnedFraction of the pull while winding, what is left on the way back; null where it is too little to be read
     */
    private function __construct(
        public array $points,
        public ?float $storedJ,
        public ?float $returnedJ,
        public ?float $returnedFraction,
        /** @var array{float, float, float} length wound where it begins to pull, and its pull there both ways (N) */
        public array $from,
    ) {}

    /**
     * @param list<list<float>> $readings of the band's pull: turns, then kg on the scale while winding and while let back
     *
     * @return self|null null for a car without a band, or without a reading
     */
    public static function of(array $readings, CarModel $model): ?self
    {
        if ($readings === [] || !$model->source()->winds()) {
            return null;
        }
        $design = $model->settings->elasticDesign();
        $byTurns = [];
        foreach ($readings as [$turns, $up, $back]) {
            $byTurns[(string) $turns][] = [$turns, $up, $back];
        }
        $points = [];
        foreach ($byTurns as $same) {
            $mean = static fn(int $index): float => array_sum(array_column($same, $index)) / count($same);
            $points[] = [
                $same[0][0], $design->drive->woundM($same[0][0]), $mean(1) * Constants::GRAVITY_M_S2, $mean(2) * Constants::GRAVITY_M_S2,
            ];
        }
        usort($points, static fn(array $one, array $other): int => $one[0] <=> $other[0]);
        $up = $back = 0.0;
        $slack = max(0.0, $design->band->relaxedLengthM - $design->band->installedLengthM);
        // Stretched at rest it pulls before the first turn: as the model says, brought to what was measured at the first reading.
        $first = $design->band->pullN($points[0][1]);
        $atRest = $first > 0.0 ? $design->band->pullN(0.0) / $first : 0.0;
        $from = $before = [min($slack, $points[0][1]), $atRest * $points[0][2], $atRest * $points[0][3]];
        foreach ($points as [, $wound, $winding, $returning]) {
            $up += ($wound - $before[0]) * ($winding + $before[1]) / 2;
            $back += ($wound - $before[0]) * ($returning + $before[2]) / 2;
            $before = [$wound, $winding, $returning];
        }
        $isReadable = max(array_column($points, 2)) >= self::LEAST_KG * Constants::GRAVITY_M_S2 && $up > 0.0;
        $isCurve = count($points) >= self::FEWEST;

        return new self($points, $isCurve ? $up : null, $isCurve ? $back : null, $isReadable ? min(1.0, $back / $up) : null, $from);
    }
}
