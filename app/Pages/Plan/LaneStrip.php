<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** A lane with each group's best run on it, as wide as there is room: places are in percent of its width. */
final readonly class LaneStrip
{
    private const ROOM_AT_THE_END = 1.03;

    /** A longer one has a line at every fifth unit only. */
    private const MOST_LINES = 24;
    private const STEP = 5;

    private float $longestM;

    /** @param list<float|null> $bestM */
    public function __construct(private UnitSystem $units, float $laneM, array $bestM)
    {
        $this->longestM = max($laneM, 0.0, ...array_map(floatval(...), $bestM)) * self::ROOM_AT_THE_END;
    }

    public function x(float $m): float
    {
        return round(100 * $m / $this->longestM, 3);
    }

    /** @return list<array{float, int, bool}> place, whole units there, and whether they are written */
    public function lines(): array
    {
        $perMetre = $this->units->perSi(Scale::Lane);
        $units = $this->longestM * $perMetre;
        $step = $units > self::MOST_LINES ? self::STEP : 1;
        $lines = [];
        for ($i = $step; $i <= $units; $i += $step) {
            // Feet are close together: only every fifth is written.
            $lines[] = [$this->x($i / $perMetre), $i, $step > 1 || $perMetre < 2 || $i % self::STEP === 0];
        }

        return $lines;
    }
}
