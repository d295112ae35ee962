<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\LinearModel;
use Skivo\Core\Statistics\StudentT;

/**
 * The model set to a class: one factor on the friction of all cars whose f is only estimated, and one on the speed at
 * which air leaves all nozzles whose thrust is (the discharge factor; pressure goes with its square), fitted to the
 * distances, to where balloons went limp, and to the times over the timed length, by least squares of the relative
 * misses (Gauss and Newton, with Levenberg's damping: Quart. Appl. Math. 2, 164, 1944). A miss is taken over the mean of
 * what was foretold and what was measured, so that too far and too short weigh alike.
 *
 * Distances by themselves hardly tell a slower jet from more friction, since both enter as thrust over resistance; a
 * slower jet also makes the start slower, so times do.
 *
 * How well the class would have been foretold without a car, is told by leaving each one out: the factors without it are
 * one Gauss–Newton step away, and the model is run with them.
 *
 * Where the class's data can't tell friction from discharge, only friction is fitted, and it says so.
 */
final readonly class Calibration
{
    private const STEP = 0.01;

    private const ROUNDS = 25;

    private const TOLERANCE = 1e-5;

    /** Where one of the two factors may be twice as large or half, the distances can't tell them apart. Common practice, no source. */
    private const INSEPARABLE = 2.0;

    /** A factor that may be ten times as large or a tenth is none. */
    private const USELESS = 10.0;

    private const FRICTION_WITHIN = [0.1, 20.0];

    private const DISCHARGE_WITHIN = [0.4, 2.0];

    /**
     * @param float $friction factor on estimated f; 1 where it was not fitted
     * @param Interval|null $frictionInterval at 95 %; null where it was not fitted
     * @param float $discharge factor on the exit speed; 1 where it was not fitted
     * @param Interval|null $dischargeInterval likewise
     * @param bool $areInseparable whether the discharge was left alone since the data can't tell it from friction
     * @param array<string, float> $before the model's distances without any factor (m), by the id of the car
     * @param array<string, float> $after with the factors
     * @param array<string, float> $leftOut with the factors that the other cars give
     */
    private function __construct(
        public float $friction,
        public ?Interval $frictionInterval,
        public float $discharge,
        public ?Interval $dischargeInterval,
        public bool $areInseparable,
        public array $before,
        public array $after,
        public array $leftOut,
        /** Root mean square of the relative misses without factors, with them, and with each car left out. */
        public float $missBefore,
        public float $missAfter,
        public float $missLeftOut,
    ) {}

    /**
     * @param list<Observation> $observations one a car
     *
     * @return self|null null where there are too few cars to fit anything: three for one factor, five for both; or where they leave a factor all but open
     */
    public static function of(array $observations): ?self
    {
        $observations = array_values(array_filter($observations, static fn(Observation $each): bool => $each->distanceM > 0.0));
        $fitsFriction = count(array_filter($observations, static fn(Observation $each): bool => !$each->frictionIsMeasured)) >= 2;
        $fitsDischarge = count(array_filter($observations, static fn(Observation $each): bool => !$each->pressureIsMeasured)) >= 2;
        $n = count($observations);
        if ($n < 3 || (!$fitsFriction && !$fitsDischarge)) {
            return null;
        }
        $inseparable = false;
        if ($fitsFriction && $fitsDischarge) {
            $both = $n >= 5 ? self::fit($observations, ['friction', 'discharge']) : null;
            $inseparable = $both === null || self::looseness($both['intervals']) > self::INSEPARABLE;
            $fit = $inseparable ? self::fit($observations, ['friction']) : $both;
        } else {
            $fit = self::fit($observations, [$fitsFriction ? 'friction' : 'discharge']);
        }
        if ($fit === null || self::looseness($fit['intervals']) > self::USELESS) {
            return null;
        }
        $before = $after = $leftOut = [];
        foreach ($observations as $index => $each) {
            $before[$each->id] = self::run($each, [])[0];
            $after[$each->id] = self::run($each, $fit['at'])[0];
            $leftOut[$each->id] = self::run($each, self::without($fit, $index))[0];
        }

        return new self(
            exp($fit['at']['friction'] ?? 0.0),
            $fit['intervals']['friction'] ?? null,
            exp($fit['at']['discharge'] ?? 0.0),
            $fit['intervals']['discharge'] ?? null,
            $inseparable,
            $before,
            $after,
            $leftOut,
            self::typicalMiss($observations, $before),
            self::typicalMiss($observations, $after),
            self::typicalMiss($observations, $leftOut),
        );
    }

    /**
     * By how many times the loosest of the factors may be larger, or smaller.
     *
     * @param non-empty-array<string, Interval> $intervals
     */
    private static function looseness(array $intervals): float
    {
        return max(array_map(static fn(Interval $interval): float => sqrt($interval->high / max($interval->low, 1e-300)), $intervals));
    }

    /**
     * @param list<Observation> $observations
     * @param array<string, float> $distances
     */
    private static function typicalMiss(array $observations, array $distances): float
    {
        $squares = array_map(static fn(Observation $each): float => ($distances[$each->id] / $each->distanceM - 1.0) ** 2, $observations);

        return sqrt(array_sum($squares) / count($squares));
    }

    /** The settings of a car with the class's factors on what is only estimated. */
    public function applyTo(Observation $observation): Settings
    {
        $settings = $observation->settings;
        if (!$observation->frictionIsMeasured) {
            [, $greatest] = CarAttribute::RollingCoefficient->limits();
            $settings = $settings->with(
                CarAttribute::RollingCoefficient,
                max(0.001, min($greatest, $this->friction * $settings->rollingCoefficient())),
            );
        }
        if (!$observation->pressureIsMeasured) {
            [$least, $greatest] = CarAttribute::BalloonPressure->limits();
            $settings = $settings->with(
                CarAttribute::BalloonPressure,
                max($least, min($greatest, $settings->get(CarAttribute::BalloonPressure) * $this->discharge ** 2)),
            );
        }

        return $settings;
    }

    /**
     * @param list<Observation> $observations
     * @param non-empty-list<string> $names of the factors
     *
     * @return array{at: array<string, float>, intervals: non-empty-array<string, Interval>, rows: array<int, list<list<float>>>, misses: array<int, list<float>>}|null
     */
    private static function fit(array $observations, array $names): ?array
    {
        $at = array_fill_keys($names, 0.0);
        $damping = 1e-3;
        $misses = self::misses($observations, $at);
        $squares = self::squares($misses);
        $rows = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $rows = self::derivatives($observations, $at, $misses, $names);
            $step = self::step(array_merge(...$rows), array_merge(...$misses), $names, $damping);
            if ($step === null) {
                return null;
            }
            $next = self::within(array_combine($names, array_map(static fn(string $name): float => $at[$name] + $step[$name], $names)));
            $nextMisses = self::misses($observations, $next);
            $nextSquares = self::squares($nextMisses);
            if ($nextSquares < $squares) {
                $moved = max(0.0, ...array_map(static fn(string $name): float => abs($next[$name] - $at[$name]), $names));
                [$at, $misses, $squares, $damping] = [$next, $nextMisses, $nextSquares, $damping / 10];
                if ($moved < 1e-4) {
                    break;
                }
            } else {
                $damping *= 10;
                if ($damping > 1e6) {
                    break;
                }
            }
        }
        $rows = self::derivatives($observations, $at, $misses, $names);
        $model = LinearModel::fit(array_merge(...$rows), array_merge(...$misses));
        if ($model === null) {
            return null;
        }
        // As many independent witnesses as cars: a car's limp mark and stop share its faults.
        $freedom = count($observations) - count($names);
        if ($freedom < 1) {
            return null;
        }
        $scale = sqrt($model->residualSquares / $freedom) / max($model->residualDeviation, 1e-300);
        $factor = (new StudentT($freedom))->intervalFactor();
        $intervals = [];
        foreach ($names as $index => $name) {
            $half = $factor * $scale * $model->errors[$index];
            $intervals[$name] = new Interval(exp($at[$name] - $half), exp($at[$name] + $half));
        }

        return [
            'at' => $at,
            'intervals' => $intervals,
            'rows' => $rows,
            'misses' => $misses,
        ];
    }

    /**
     * The factors that all cars but one give.
     *
     * @param array{at: array<string, float>, rows: array<int, list<list<float>>>, misses: array<int, list<float>>, ...} $fit
     *
     * @return array<string, float>
     */
    private static function without(array $fit, int $index): array
    {
        $rows = array_merge(...array_values(array_diff_key($fit['rows'], [$index => true])));
        $misses = array_merge(...array_values(array_diff_key($fit['misses'], [$index => true])));
        $names = array_keys($fit['at']);
        $step = self::step($rows, $misses, $names, 0.0);

        return $step === null
            ? $fit['at']
            : self::within(array_combine($names, array_map(static fn(string $name): float => $fit['at'][$name] + $step[$name], $names)));
    }

    /**
     * Relative misses of each car: of its distance, and of its limp mark and its time where it has them.
     *
     * @param list<Observation> $observations
     * @param array<string, float> $at logarithms of the factors
     *
     * @return array<int, list<float>>
     */
    private static function misses(array $observations, array $at): array
    {
        return array_map(
            static function (Observation $each) use ($at): array {
                [$distance, $limp, $time] = self::run($each, $at);
                $misses = [self::miss($distance, $each->distanceM)];
                if (($each->limpM ?? 0.0) > 0.0) {
                    $misses[] = self::miss($limp, (float) $each->limpM);
                }
                if (self::isTimed($each)) {
                    $misses[] = self::miss($time, (float) $each->timeS);
                }

                return $misses;
            },
            $observations,
        );
    }

    /**
     * @param list<Observation> $observations
     * @param array<string, float> $at
     * @param array<int, list<float>> $misses there
     * @param list<string> $names
     *
     * @return array<int, list<list<float>>> of every miss by every logarithm
     */
    private static function derivatives(array $observations, array $at, array $misses, array $names): array
    {
        $beside = [];
        foreach ($names as $name) {
            $beside[] = [
                self::misses(
                    $observations,
                    [$name => $at[$name] - self::STEP] + $at,
                ),
                self::misses($observations, [$name => $at[$name] + self::STEP] + $at),
            ];
        }
        $rows = [];
        foreach ($misses as $index => $own) {
            foreach (array_keys($own) as $which) {
                $rows[$index][$which] = array_map(
                    static fn(array $moved): float => ($moved[1][$index][$which] - $moved[0][$index][$which]) / (2 * self::STEP),
                    $beside,
                );
            }
        }

        return array_map(array_values(...), $rows);
    }

    /**
     * (JᵀJ + λ·diag JᵀJ)⁻¹·Jᵀ·(−r), for one factor or two.
     *
     * @param list<list<float>> $rows
     * @param list<float> $misses
     * @param list<string> $names
     *
     * @return array<string, float>|null null where nothing depends on a factor
     */
    private static function step(array $rows, array $misses, array $names, float $damping): ?array
    {
        $a = [[0.0, 0.0], [0.0, 0.0]];
        $b = [0.0, 0.0];
        $k = count($names);
        foreach ($rows as $i => $row) {
            for ($p = 0; $p < $k; $p++) {
                $b[$p] -= $row[$p] * $misses[$i];
                for ($q = 0; $q < $k; $q++) {
                    $a[$p][$q] += $row[$p] * $row[$q];
                }
            }
        }
        for ($p = 0; $p < $k; $p++) {
            $a[$p][$p] *= 1.0 + $damping;
        }
        if ($k === 1) {
            return $a[0][0] > 1e-12 ? [$names[0] => $b[0] / $a[0][0]] : null;
        }
        $determinant = $a[0][0] * $a[1][1] - $a[0][1] * $a[1][0];

        return $determinant > 1e-14 * $a[0][0] * $a[1][1] && $a[0][0] > 1e-12 && $a[1][1] > 1e-12
            ? [
                $names[0] => ($b[0] * $a[1][1] - $b[1] * $a[0][1]) / $determinant, $names[1] => ($b[1] * $a[0][0] - $b[0] * $a[1][0]) / $determinant,
            ]
            : null;
    }

    /**
     * @param array<string, float> $at
     *
     * @return array<string, float>
     */
    private static function within(array $at): array
    {
        $bounds = ['friction' => self::FRICTION_WITHIN, 'discharge' => self::DISCHARGE_WITHIN];
        foreach ($at as $name => $value) {
            $at[$name] = max(log($bounds[$name][0]), min(log($bounds[$name][1]), $value));
        }

        return $at;
    }

    private static function isTimed(Observation $each): bool
    {
        return ($each->timeS ?? 0.0) > 0.0 && ($each->timedLengthM ?? 0.0) > 0.0;
    }

    /** From −2, where nothing was foretold, to 2. */
    private static function miss(float $foretold, float $measured): float
    {
        return 2.0 * ($foretold - $measured) / ($foretold + $measured);
    }

    /** @param array<int, list<float>> $misses */
    private static function squares(array $misses): float
    {
        return array_sum(
            array_map(static fn(array $own): float => array_sum(array_map(static fn(float $miss): float => $miss ** 2, $own)), $misses),
        );
    }

    /**
     * @param array<string, float> $at
     *
     * @return array{float, float, float} where it stops, and where its balloon goes limp (m); the time over the timed length (s)
     */
    private static function run(Observation $each, array $at): array
    {
        $run = Simulator::run(
            $each->settings->design(
                $each->frictionIsMeasured ? 1.0 : exp($at['friction'] ?? 0.0),
                $each->pressureIsMeasured ? 1.0 : exp(2.0 * ($at['discharge'] ?? 0.0)),
            ),
            self::TOLERANCE,
            self::isTimed($each),
        );
        // A car that stops short of it would have taken longer still.
        $time = self::isTimed($each) ? $run->timeAt((float) $each->timedLengthM) ?? 2.0 * (float) $each->timeS : 0.0;

        return [$run->distanceM, $run->balloonEmpty->distanceM ?? $run->distanceM, $time];
    }
}
