<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\LeastSquares;

/**
 * How large a balloon is after so many pump strokes: each stroke adds the same volume, V = V₀ + n·V_s. The air is
 * hardly compressed (a few kPa on 101), so the volume at the room's pressure is the pump's.
 */
final readonly class PumpCurve
{
    /** What a pump stroke holds where nobody has measured it (m³): from memory, a hand balloon pump. */
    private const USUAL_STROKE_M3 = 0.00025;

    /**
     * @param float $baseM3 V₀, at no stroke
     * @param float $strokeM3 V_s, above zero
     * @param Interval|null $strokeIntervalM3 at 95 %; null where two readings fix the line, or none
     */
    private function __construct(
        public float $baseM3,
        public float $strokeM3,
        public ?Interval $strokeIntervalM3 = null,
        public int $readings = 0,
    ) {}

    /** Of a balloon of this relaxed diameter on a pump that nobody has measured. */
    public static function usual(float $relaxedDiameterM): self
    {
        return new self(self::volume($relaxedDiameterM), self::USUAL_STROKE_M3);
    }

    /**
     * The straight line through measured volumes, by least squares.
     *
     * @param list<array{int, float}> $readings strokes, and the diameter that they made (m)
     *
     * @return self|null null for fewer than two different numbers of strokes, or where more strokes did not make it larger
     */
    public static function fit(array $readings): ?self
    {
        $line = LeastSquares::fit(
            array_map(static fn(array $reading): float => (float) $reading[0], $readings),
            array_map(static fn(array $reading): float => self::volume($reading[1]), $readings),
        );

        return $line === null || $line->slope <= 0.0
            ? null
            : new self($line->intercept, $line->slope, $line->slopeInterval(), count($readings));
    }

    /** After so many strokes (m); never below zero. */
    public function diameterM(float $strokes): float
    {
        return (6.0 / M_PI * max(0.0, $this->baseM3 + $strokes * $this->strokeM3)) ** (1.0 / 3.0);
    }

    private static function volume(float $diameterM): float
    {
        return M_PI / 6.0 * $diameterM ** 3;
    }
}
