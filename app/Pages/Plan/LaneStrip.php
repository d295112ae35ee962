<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\TapeMarks;
use Skivo\Core\Measurement\UnitSystem;

/** A lane with each group's best run on it, as wide as there is room: places are in percent of its width. */
final readonly class LaneStrip
{
    private const ROOM_AT_THE_END = 1.03;


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
        return array_map(
            fn(array $mark): array => [$this->x($mark[0]), $mark[1], $mark[2]],
            TapeMarks::upTo($this->longestM, $this->units),
        );
    }
}
