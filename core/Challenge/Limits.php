<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;

/**
 * How much one challenge holds, and the distances and times outside which an entry must be a slip.
 *
 * Distances and times: common practice, no source, set wide.
 */
final readonly class Limits
{
    public const GROUP_NAME_CHARACTERS = 200;
    public const NOTE_CHARACTERS = 1000;
    public const KIND_CHARACTERS = 80;
    public const MOST_GROUPS = 40;
    public const MOST_VERSIONS = 50;
    public const MOST_TRIES = 20;
    public const MOST_RUNS_A_CAR = 200;
    public const LONGEST_DISTANCE_M = 100.0;
    public const SHORTEST_TIME_S = 0.05;
    public const LONGEST_TIME_S = 600.0;
    public const SHORTEST_LANE_M = 0.5;
    /** A stretch that is timed, or before a mark, may be as short as the slowest car goes. */
    public const SHORTEST_STRETCH_M = 0.1;
    public const HEAVIEST_LOAD_KG = 20.0;
    public const MOST_CARS_OF_A_GROUP = 4;
    public const MOST_LANES = 12;
    public const MOST_PRACTICE_RUNS = 5;
    public const HIGHEST_RAMP_M = 3.0;
    public const SURFACE_CHARACTERS = 60;

    /** What is wrong with a distance in m, and the cure; null where it is fine. */
    public static function distanceComplaint(float $metres): ?Remark
    {
        return $metres <= self::LONGEST_DISTANCE_M ? null
            : new Remark('quantity.distance_too_long', ['greatest' => new Shown(self::LONGEST_DISTANCE_M, Scale::Lane)]);
    }

    /** What is wrong with the height of a ramp in m, and the cure; null where it is fine. */
    public static function rampComplaint(float $metres): ?Remark
    {
        return $metres <= self::HIGHEST_RAMP_M ? null
            : new Remark('quantity.ramp_too_high', ['greatest' => new Shown(self::HIGHEST_RAMP_M, Scale::Distance)]);
    }

    /** What is wrong with a time in s, and the cure; null where it is fine. */
    public static function timeComplaint(float $seconds): ?Remark
    {
        return $seconds >= self::SHORTEST_TIME_S && $seconds <= self::LONGEST_TIME_S ? null : new Remark('quantity.time_out_of_range', [
            'least' => new Shown(self::SHORTEST_TIME_S, Scale::Stopwatch),
            'greatest' => new Shown(self::LONGEST_TIME_S, Scale::Stopwatch),
        ]);
    }

    /** What is wrong with a load in kg, and the cure; null where it is fine. */
    public static function loadComplaint(float $kilograms): ?Remark
    {
        return $kilograms <= self::HEAVIEST_LOAD_KG ? null
            : new Remark('quantity.load_too_heavy', ['greatest' => new Shown(self::HEAVIEST_LOAD_KG, Scale::Weight)]);
    }

    /** Between these (m) lie the lanes of classrooms and halls, and the stretches set on them. Common practice, no source. */
    private const USUAL_LANE_M = [2.0, 30.0];
    private const USUAL_STRETCH_M = [0.5, 20.0];

    /** Whether a length is unusually short or long for a lane, or for a stretch of one; null where it is usual. */
    public static function unusualLane(float $metres, bool $isLane): ?string
    {
        [$least, $greatest] = $isLane ? self::USUAL_LANE_M : self::USUAL_STRETCH_M;

        return $metres < $least ? 'short' : ($metres > $greatest ? 'long' : null);
    }

    /** What is wrong with a length of lane or timed stretch in m, and the cure; null where it is fine. */
    public static function laneComplaint(float $metres, bool $isLane = true): ?Remark
    {
        $shortest = $isLane ? self::SHORTEST_LANE_M : self::SHORTEST_STRETCH_M;

        return $metres >= $shortest && $metres <= self::LONGEST_DISTANCE_M ? null : new Remark('quantity.length_out_of_range', [
            'least' => new Shown($shortest, Scale::Lane),
            'greatest' => new Shown(self::LONGEST_DISTANCE_M, Scale::Lane),
        ]);
    }
}
