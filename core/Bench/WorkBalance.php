<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Propagation;

/**
 * Thrust over resistance by work and energy: what the thrust does over the stretch on which the balloon blows, the
 * resistance takes back over the whole run, so T̄·x_b = R̄·x, and T̄/R̄ = x/x_b. Air resistance counts as resistance.
 */
final readonly class WorkBalance
{
    private const TOLERANCE = 1e-4;

    /** A tape at a limp mark that somebody saw in passing (m): common practice, no source. */
    private const MARK_HALF_WIDTH_M = 0.05;

    /** Common practice, no source. */
    private const OFF_THE_LINE = 1.7;

    /**
     * @param float $ratio mean thrust over the stretch over mean resistance over the run
     * @param Interval $interval of that, at 95 %, as the forces' own uncertainties leave it
     * @param float $stretchM on which the balloon blew
     * @param float $distanceM that the model goes with these forces
     */
    private function __construct(
        public float $ratio,
        public Interval $interval,
        public float $stretchM,
        public float $distanceM,
        /** Of that, likewise. */
        public Interval $distanceInterval,
    ) {}

    /**
     * @param float $times by which a typical car with the same thrust over resistance would have come farther than a car did
     */
    public static function isOffTheLine(float $times): bool
    {
        return $times > self::OFF_THE_LINE || $times < 1.0 / self::OFF_THE_LINE;
    }

    /**
     * By the run model; null where the car would not start.
     *
     * @param float $friction by which f may be off, as a share of it (95 %)
     * @param float $pressure likewise for the balloon's pressure
     */
    public static function of(Settings $settings, float $friction, float $pressure): ?self
    {
        $middle = self::solve($settings, 1.0, 1.0);
        if ($middle === null) {
            return null;
        }
        // A car that would not start any more goes nowhere, and its thrust just fails to beat the resistance.
        $beside = array_map(static fn(array $factors): array => self::solve($settings, ...$factors) ?? [1.0, 0.0, 0.0], [
            [1.0 - $friction, 1.0], [1.0, 1.0 + $pressure], [1.0 + $friction, 1.0], [1.0, 1.0 - $pressure],
        ]);
        $around = static function (int $which) use ($middle, $beside): Interval {
            [$slippery, $strong, $stiff, $weak] = array_column($beside, $which);

            return new Interval(
                $middle[$which] - hypot($middle[$which] - $stiff, $middle[$which] - $weak),
                $middle[$which] + hypot($slippery - $middle[$which], $strong - $middle[$which]),
            );
        };
        $ratio = $around(0);
        $distance = $around(2);

        // Where the balloon still blows at the stop, thrust and resistance are equal: less than 1 is not to be had.
        return new self(
            $middle[0],
            new Interval(max(1.0, $ratio->low), $ratio->high),
            $middle[1],
            $middle[2],
            new Interval(max(0.0, $distance->low), $distance->high),
        );
    }

    /**
     * Straight from two marks on the floor: where the balloon went limp, and where the car stopped.
     *
     * @param list<array{float, float}> $marks limp and stop of each run (m), both above zero
     *
     * @return Estimate|null of the ratio; null where no run has both
     */
    public static function ofMarks(array $marks): ?Estimate
    {
        if ($marks === []) {
            return null;
        }
        $limp = array_sum(array_column($marks, 0)) / count($marks);
        $stop = array_sum(array_column($marks, 1)) / count($marks);
        $error = Propagation::through(
            static fn(array $at): float => $at['stop'] / $at['limp'],
            ['limp' => $limp, 'stop' => $stop],
            ['limp' => min(self::MARK_HALF_WIDTH_M, 0.5 * $limp) / sqrt(3.0), 'stop' => 0.01 / sqrt(3.0)],
        );

        return Estimate::ofRepeats(array_map(static fn(array $mark): float => $mark[1] / $mark[0], $marks), $error);
    }

    /**
     * @param float $friction factor on f
     * @param float $pressure factor on the balloon's pressure
     *
     * @return array{float, float, float}|null ratio, stretch and distance (m); null where it does not start
     */
    public static function solve(Settings $settings, float $friction, float $pressure): ?array
    {
        $run = Simulator::run($settings->design($friction, $pressure), self::TOLERANCE);
        $stretch = $run->balloonEmpty->distanceM ?? $run->distanceM;
        $spent = $run->energy->rolling + $run->energy->drag + $run->energy->carriedOff;
        if (!$run->moves || $stretch <= 0.0 || $spent <= 0.0) {
            return null;
        }

        return [$run->energy->thrustWork / $stretch / ($spent / $run->distanceM), $stretch, $run->distanceM];
    }
}
