<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\Scale;
use Skivo\Core\Statistics\Sample;

/** What a class may be after. A challenge may have several, each its own award. */
enum Goal: string
{
    /** From the start line to where the car stopped (m). */
    case Farthest = 'farthest';
    /** The time over a set length (s). */
    case Fastest = 'fastest';
    /** How far off the line the car stopped, for each metre that it ran. */
    case Straightest = 'straightest';
    /** How far from a mark on the lane the car stopped (m). */
    case NearestMark = 'nearest';
    /** The load that the car carried over a set length (kg). */
    case HeaviestLoad = 'load';

    public function best(Sample $sample): float
    {
        return $this->moreIsBetter() ? $sample->greatest() : $sample->least();
    }

    public function moreIsBetter(): bool
    {
        return $this === self::Farthest || $this === self::HeaviestLoad;
    }

    /** Steps of a careful reading, in the unit of the scale: common practice, no source. */
    public function resolution(): float
    {
        return match ($this) {
            self::Farthest, self::NearestMark, self::Fastest => 0.01,
            self::Straightest => 0.005,
            self::HeaviestLoad => 0.001,
        };
    }

    /** Whether tries of a car scatter in proportion to how far it goes, or how long it takes. */
    public function scattersInProportion(): bool
    {
        return $this === self::Farthest || $this === self::Fastest;
    }

    public function scale(): Scale
    {
        return match ($this) {
            self::Farthest, self::NearestMark => Scale::Distance,
            self::Fastest => Scale::Stopwatch,
            self::Straightest => Scale::Slope,
            self::HeaviestLoad => Scale::Weight,
        };
    }
}
