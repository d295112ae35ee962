<?php

declare(strict_types=1);

namespace Skivo\Core\Bench;

use Skivo\Core\Run\Settings;
use Skivo\Core\Run\Simulator;
use Skivo\Core\Trials\Interval;

/**
 * Thrust over resistance by work and energy: what the thrust does over the stretch on which the balloon blows, the
 * resistance takes back over the whole run, so T̄·x_b = R̄·x, and T̄/R̄ = x/x_b. Air resistance counts as resistance.
 */
final readonly class WorkBalance
{
    private const TOLERANCE = 1e-4;

    /** A tape at a limp mark that somebody saw in passing (m): common practice, no source. */
    private const MARK_HALF_WIDTH_M = 0.05;

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
    ) {}

    /** From a car's forces, by the run model; null where it would not start. */
    public static function of(Forces $forces): ?self
    {
        $settings = $forces->model->settings;
        $middle = self::solve($settings, 1.0, 1.0);
        if ($middle === null) {
            return null;
        }
        $share = static fn(Estimate $estimate): float => min(0.9, ($estimate->interval()->high - $estimate->value) / $estimate->value);
        $friction = $share($forces->friction);
        $pressure = $share($forces->pressure);
        $ratio = static fn(float $f, float $p): float => self::solve($settings, $f, $p)[0] ?? 1.0;
        $more = hypot($ratio(1.0 - $friction, 1.0) - $middle[0], $ratio(1.0, 1.0 + $pressure) - $middle[0]);
        $less = hypot($middle[0] - $ratio(1.0 + $friction, 1.0), $middle[0] - $ratio(1.0, 1.0 - $pressure));

        // Where the balloon still blows at the stop, thrust and resistance are equal: less than 1 is not to be had.
        return new self($middle[0], new Interval(max(1.0, $middle[0] - $less), $middle[0] + $more), $middle[1], $middle[2]);
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

    /** @return array{float, float, float}|null ratio, stretch and distance */
    private static function solve(Settings $settings, float $friction, float $pressure): ?array
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
