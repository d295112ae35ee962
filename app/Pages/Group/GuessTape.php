<?php

declare(strict_types=1);

namespace App\Pages\Group;

use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/**
 * The lane's tape as a group sees it when it guesses: as wide as there is room, with where such a car usually stops as a wide band. In
 * percent.
 */
final readonly class GuessTape
{
    private const MOST_LINES = 14;

    /** In the unit of distances: where the mark stands before anybody pulls it. */
    public int $middle;

    /** @var array{float, float}|null where it will stop, in percent of the lane */
    public ?array $band;

    public function __construct(private UnitSystem $units, private float $laneM, ?Forecast $forecast = null)
    {
        $this->middle = (int) round($units->fromSi($laneM / 2, Scale::Distance));
        $low = $forecast === null ? 0.0 : min($laneM, $forecast->band95->low);
        $this->band = $forecast === null || $forecast->noStart > 0.5
            ? null
            : [$this->x($low), $this->x(min($laneM, $forecast->band95->high) - $low)];
    }

    public function unit(): string
    {
        return $this->units->symbol(Scale::Lane);
    }

    public function x(float $m): float
    {
        return round(100 * min(1.0, $m / $this->laneM), 2);
    }

    /** @return list<array{float, int}> place and whole units of the lane there */
    public function lines(): array
    {
        $perMetre = $this->units->perSi(Scale::Lane);
        $all = (int) floor($this->laneM * $perMetre);
        $step = 1;
        while ($all / $step > self::MOST_LINES) {
            $step = $step === 1 ? 2 : ($step === 2 ? 5 : $step * 2);
        }
        $lines = [];
        for ($i = $step; $i <= $all; $i += $step) {
            $lines[] = [$this->x($i / $perMetre), $i];
        }

        return $lines;
    }
}
