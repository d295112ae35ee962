<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Measurement\Expected;

/**
 * How far a run goes, before it is typed, from whatever is known then: the car's own runs, what is predicted of it, the class's
 * other runs, and the lane, which is laid for such cars. Spreads are common practice, no source; that they serve is held by
 * simulated classes (tests/Reference/SlipRatesTest.php).
 */
final readonly class ExpectedDistance
{
    /** Tries of one car that nothing happened to lie so far from each other (of the logarithm), and so do its days. */
    private const OF_A_TRY = 0.17;
    private const OF_A_CAR = 0.10;

    /** Cars of one class, where few have run; and how far a forecast is off at the least. */
    private const OF_CARS = 0.45;
    private const OF_A_FORECAST = 0.30;

    /** Where on the lane cars stop that nothing is known of, and how widely that differs from class to class. */
    private const OF_THE_LANE = 0.5;
    private const OF_LANES = 0.75;

    /** However long a lane: hand-made cars on a smooth floor mostly run 2 to 6 m. From memory. */
    private const USUAL_M = 4.0;

    /** Runs that count and that something happened to all the same. */
    private const SHORT = 0.04;

    /**
     * @param list<float> $own distances of the car (m)
     * @param Forecast|null $forecast of the car; null where too little is known of it
     * @param list<float> $others of the class's other cars (m)
     * @param float $laneM
     */
    public static function of(array $own, ?Forecast $forecast, array $others, float $laneM): Expected
    {
        $own = self::logs($own);
        $n = count($own);
        if ($n > 0) {
            // Its best half: what something happened to says little of what it does.
            rsort($own);
            $half = array_slice($own, 0, (int) ceil($n / 2));

            return new Expected(
                exp(array_sum($half) / count($half)),
                hypot(self::OF_A_TRY, self::OF_A_CAR) * sqrt(1 + 1 / $n),
                self::SHORT,
            );
        }
        // Each says something of where the middle is, as good as it is.
        $known = [[log(min(self::OF_THE_LANE * $laneM, self::USUAL_M)), self::OF_LANES]];
        $others = self::logs($others);
        if ($others !== []) {
            sort($others);
            $known[] = [$others[intdiv(count($others), 2)], hypot(self::OF_CARS, self::OF_CARS / sqrt(count($others)))];
        }
        if ($forecast !== null && $forecast->band95->low > 0.0 && $forecast->medianM > 0.0) {
            $known[] = [
                log($forecast->medianM), max(self::OF_A_FORECAST, log($forecast->band95->high / $forecast->band95->low) / (2 * 1.96)),
            ];
        }
        $weights = array_map(static fn(array $each): float => 1.0 / $each[1] ** 2, $known);
        $middle = array_sum(
            array_map(static fn(array $each, float $weight): float => $weight * $each[0], $known, $weights),
        ) / array_sum($weights);

        return new Expected(exp($middle), max(self::OF_A_FORECAST, 1.0 / sqrt(array_sum($weights))), self::SHORT);
    }

    /**
     * @param list<float> $distances
     *
     * @return list<float>
     */
    private static function logs(array $distances): array
    {
        return array_map(log(...), array_values(array_filter($distances, static fn(float $metres): bool => $metres > 0.0)));
    }
}
