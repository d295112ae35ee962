<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;

/**
 * How friction becomes distance: runs a design from the start line to the stop.
 *
 * dx/dt = v; dv/dt = (T·cos θ − R − F_D)/m_eff; dV/dt = −Q, with T = ρ·Q·v_e of every balloon,
 * R = f·max(0, m·g − T·sin θ), F_D = ½·ρ·v·|v|·(count·C_D·π·D²/4 + (C_D·A)_body) and
 * m_eff = m + m_wheels + 1.5·count·ρ·V (the air carried, and half the displaced air as added mass of a
 * sphere: Lamb, Hydrodynamics, article 92).
 *
 * A car at rest whose first push does not exceed b·R does not start, and its run is over. Otherwise the run
 * ends where the car stops, even if the balloon still blows.
 *
 * Dormand & Prince's pair of orders 5 and 4 (J. Comput. Appl. Math. 6, 19, 1980) with Shampine's
 * interpolant of order 4 (Math. Comput. 46, 135, 1986) for events and trajectory. The balloon is followed
 * by σ = √(D/D₀ − 1): near its end Q falls with √(V − V₀), which a method of high order can only follow
 * in a variable that makes it smooth.
 */
final class Simulator
{
    private const A = [
        [],
        [1 / 5],
        [3 / 40, 9 / 40],
        [44 / 45, -56 / 15, 32 / 9],
        [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
        [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
        [35 / 384, 0.0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
    ];

    private const ERROR = [71 / 57600, 0.0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40];

    private const DENSE = [
        [1.0, -8048581381 / 2820520608, 8663915743 / 2820520608, -12715105075 / 11282082432],
        [0.0, 0.0, 0.0, 0.0],
        [0.0, 131558114200 / 32700410799, -68118460800 / 10900136933, 87487479700 / 32700410799],
        [0.0, -1754552775 / 470086768, 14199869525 / 1410260304, -10690763975 / 1880347072],
        [0.0, 127303824393 / 49829197408, -318862633887 / 49829197408, 701980252875 / 199316789632],
        [0.0, -282668133 / 205662961, 2019193451 / 616988883, -1453857185 / 822651844],
        [0.0, 40617522 / 29380423, -110615467 / 29380423, 69997945 / 29380423],
    ];

    /** x, v, σ; then ∫T dt, ∫T·cos θ dx, ∫R dx, ∫F_D dx, ∫count·p·Q dt, and what the leaving air carries off. */
    private const COMPONENTS = 9;

    private const CONTROLLED = 3;

    private const MOST_STEPS = 200_000;

    private const TRAJECTORY_POINTS = 60;

    private bool $blows = false;

    private float $exitSpeed = 0.0;

    private float $density;
    private float $viscosity;
    private float $weight;
    private float $mass;
    private float $friction;
    private float $forward;
    private float $upward;
    private float $outletArea;
    private float $pressureScale;
    private float $hardening;
    private float $relaxedVolume;
    private float $balloonDrag;
    private float $bodyDrag;
    private int $count;

    private function __construct(
        private readonly Design $design,
        private readonly float $tolerance,
    ) {
        $balloon = $design->balloon;
        $vehicle = $design->vehicle;
        $this->density = $design->air->densityKgM3();
        $this->viscosity = $design->air->viscosityPaS();
        $this->weight = $vehicle->massKg * Air::STANDARD_GRAVITY;
        $this->mass = $vehicle->massKg + $vehicle->wheelEquivalentMassKg;
        $this->friction = $vehicle->rollingCoefficient;
        $this->forward = $design->nozzle->forwardShare();
        $this->upward = $design->nozzle->upwardShare();
        $this->outletArea = $design->nozzle->outletAreaM2();
        $this->pressureScale = $balloon->pressureScalePa();
        $this->hardening = $balloon->hardening;
        $this->relaxedVolume = $balloon->relaxedVolumeM3();
        $this->count = $balloon->count;
        $this->balloonDrag = 0.5 * $this->density * $balloon->count * $balloon->dragCoefficient * M_PI / 4 * $balloon->relaxedDiameterM ** 2;
        $this->bodyDrag = 0.5 * $this->density * $vehicle->bodyDragAreaM2;
    }

    /**
     * @param float $tolerance relative, of distance, speed and balloon size in each step
     * @param bool $withTrajectory whether to keep moments along the way
     */
    public static function run(Design $design, float $tolerance = 1e-6, bool $withTrajectory = false): SimulatedRun
    {
        return (new self($design, $tolerance))->simulate($withTrajectory);
    }

    private function simulate(bool $withTrajectory): SimulatedRun
    {
        $balloon = $this->design->balloon;
        $this->blows = $balloon->isInflated();
        $pressure = $this->blows ? $balloon->gaugePressurePa($balloon->inflatedDiameterM) : 0.0;
        $this->exitSpeed = $this->design->nozzle->exitSpeed($pressure, $this->density, $this->viscosity);
        $speed = $this->exitSpeed;
        $flow = $this->count * $this->outletArea * $speed;
        $thrust = $this->density * $flow * $speed;
        $load = max(0.0, $this->weight - $thrust * $this->upward);
        $start = $this->design->startSpeedMS;
        $coasting = [];
        $limp = null;
        $moves = $start > 0.0 || $thrust * $this->forward > $this->design->vehicle->breakawayRatio * $this->friction * $load;

        $sigma = sqrt(max(0.0, $balloon->inflatedDiameterM / $balloon->relaxedDiameterM - 1.0));
        $state = [0.0, $start, $sigma, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $startEnergy = 0.5 * $this->inertia($sigma) * $start ** 2;
        $time = 0.0;
        $steps = [];
        $peak = $start;
        if ($moves) {
            $stopped = false;
            if (!$this->blows) {
                $limp = $this->moment($time, $state);
            } else {
                [$time, $state, $stopped, $peak, $steps] = $this->integrate($time, $state, $peak, $withTrajectory);
                if (!$stopped) {
                    $this->blows = false;
                    $state[2] = sqrt(Balloon::EMPTY_VOLUME_RATIO ** (1 / 3) - 1.0);
                    $limp = $this->moment($time, $state);
                }
            }
            if (!$stopped) {
                [$time, $state, , $peak, $coasting] = $this->integrate($time, $state, $peak, $withTrajectory);
            }
        }

        return new SimulatedRun(
            $moves,
            $state[0],
            $time,
            $peak,
            $state[3],
            $pressure,
            $speed,
            $thrust,
            $flow,
            $limp,
            new EnergyLedger($state[7], $state[4], $state[5], $state[6], $state[8], $startEnergy),
            $withTrajectory ? [...$this->trajectory($steps, true), ...$this->trajectory($coasting, false)] : [],
        );
    }

    /**
     * Integrates until the balloon is empty or the car stops.
     *
     * @param array<int, float> $state
     *
     * @return array{float, array<int, float>, bool, float, list<array{float, float, array<int, float>, list<array<int, float>>}>}
     *         time, state, whether the car stopped, greatest speed, and the steps with what their interpolants need
     */
    private function integrate(float $time, array $state, float $peak, bool $keep): array
    {
        $emptySigma = sqrt(Balloon::EMPTY_VOLUME_RATIO ** (1 / 3) - 1.0);
        $slopes = $this->slopes($state);
        $step = $this->firstStep($state, $slopes);
        $kept = [];
        for ($count = 0; $count < self::MOST_STEPS; $count++) {
            [$next, $stages, $error] = $this->step($state, $slopes, $step);
            if ($error > 1.0) {
                $step *= max(0.2, 0.9 * $error ** -0.2);
                continue;
            }
            $isEmpty = $this->blows && $next[2] <= $emptySigma;
            $isStopped = $next[1] <= 0.0;
            if ($isEmpty || $isStopped) {
                $atEmpty = $isEmpty ? $this->crossing($state, $stages, $step, 2, $emptySigma) : 2.0;
                $atStop = $isStopped ? $this->crossing($state, $stages, $step, 1, 0.0) : 2.0;
                [$end, $stages, $step] = $atStop <= $atEmpty
                    ? $this->landOn($state, $slopes, $atStop * $step, 1, 0.0)
                    : $this->landOn($state, $slopes, $atEmpty * $step, 2, $emptySigma);
                if ($keep) {
                    $kept[] = [$time, $step, $state, $stages];
                }

                return [$time + $step, $end, $atStop <= $atEmpty, max($peak, $this->peak($state, $end, $stages, $step)), $kept];
            }
            if ($keep) {
                $kept[] = [$time, $step, $state, $stages];
            }
            $peak = max($peak, $this->peak($state, $next, $stages, $step));
            $time += $step;
            $state = $next;
            $slopes = $stages[6];
            $step *= $error === 0.0 ? 5.0 : min(5.0, 0.9 * $error ** -0.2);
        }

        throw new \LogicException('The run did not come to an end. This is a fault of the model, not of the design.');
    }

    /**
     * One step of the pair.
     *
     * @param array<int, float> $state
     * @param array<int, float> $slopes
     *
     * @return array{array<int, float>, list<array<int, float>>, float} the state after it, the seven slopes, and the error over the tolerance
     */
    private function step(array $state, array $slopes, float $step): array
    {
        $stages = [$slopes];
        $at = $state;
        for ($stage = 1; $stage < 7; $stage++) {
            $distance = $speed = $sigma = 0.0;
            foreach (self::A[$stage] as $j => $weight) {
                $slope = $stages[$j];
                $distance += $weight * $slope[0];
                $speed += $weight * $slope[1];
                $sigma += $weight * $slope[2];
            }
            $at[0] = $state[0] + $step * $distance;
            $at[1] = $state[1] + $step * $speed;
            $at[2] = $state[2] + $step * $sigma;
            $stages[] = $this->slopes($at);
        }
        // The integrals feed nothing back, so they wait for the end of the step.
        for ($i = self::CONTROLLED; $i < self::COMPONENTS; $i++) {
            $sum = 0.0;
            foreach (self::A[6] as $j => $weight) {
                $sum += $weight * $stages[$j][$i];
            }
            $at[$i] = $state[$i] + $step * $sum;
        }
        $misses = [0.0, 0.0, 0.0];
        foreach (self::ERROR as $j => $weight) {
            $slope = $stages[$j];
            $misses[0] += $weight * $slope[0];
            $misses[1] += $weight * $slope[1];
            $misses[2] += $weight * $slope[2];
        }
        $squares = 0.0;
        foreach ($misses as $i => $miss) {
            // Below a millimetre and a millimetre a second nobody asks for more digits.
            $scale = $this->tolerance * max(1e-3, abs($state[$i]), abs($at[$i]));
            $squares += ($step * $miss / $scale) ** 2;
        }

        return [$at, $stages, sqrt($squares / self::CONTROLLED)];
    }

    /**
     * The right-hand side.
     *
     * @param array<int, float> $state
     *
     * @return array<int, float>
     */
    private function slopes(array $state): array
    {
        $speed = $state[1];
        $sigma = $state[2];
        $stretch = 1.0 + $sigma * $sigma;
        $square = $stretch * $stretch;
        $volume = $this->relaxedVolume * $square * $stretch;
        $thrust = $pressureFlow = $airFlow = $sigmaRate = 0.0;
        if ($this->blows && $sigma > 0.0) {
            $cube = $square * $stretch;
            $pressure = $this->pressureScale * (1.0 / $stretch - 1.0 / ($cube * $cube * $stretch)) * (1.0 + $this->hardening * $square);
            $exit = $this->exitSpeed = $this->design->nozzle->exitSpeed($pressure, $this->density, $this->viscosity, $this->exitSpeed);
            $flow = $this->outletArea * $exit;
            $thrust = $this->count * $this->density * $flow * $exit;
            $pressureFlow = $this->count * $pressure * $flow;
            $airFlow = $this->count * $this->density * $flow;
            $sigmaRate = -$flow / (6.0 * $this->relaxedVolume * $square * $sigma);
        }
        $resistance = $this->friction * max(0.0, $this->weight - $thrust * $this->upward);
        $drag = ($this->balloonDrag * $square + $this->bodyDrag) * $speed * abs($speed);
        $push = $thrust * $this->forward;

        return [
            $speed,
            ($push - $resistance - $drag) / ($this->mass + 1.5 * $this->count * $this->density * $volume),
            $sigmaRate,
            $thrust,
            $push * $speed,
            $resistance * $speed,
            $drag * $speed,
            $pressureFlow,
            0.75 * $airFlow * $speed * $speed,
        ];
    }

    /** m_eff at a size of the balloon (kg). */
    private function inertia(float $sigma): float
    {
        return $this->mass + 1.5 * $this->count * $this->density * $this->relaxedVolume * (1.0 + $sigma ** 2) ** 3;
    }

    /**
     * A first step small against every time scale at hand.
     *
     * @param array<int, float> $state
     * @param array<int, float> $slopes
     */
    private function firstStep(array $state, array $slopes): float
    {
        $step = 0.05;
        if ($slopes[2] < 0.0) {
            $step = min($step, 0.01 * $state[2] / -$slopes[2]);
        }
        if ($state[1] > 0.0 && $slopes[1] < 0.0) {
            $step = min($step, 0.1 * $state[1] / -$slopes[1]);
        }

        return $step;
    }

    /**
     * The share of a step after which a component falls to a value. Regula falsi with the Illinois rule.
     *
     * @param array<int, float> $state
     * @param list<array<int, float>> $stages
     */
    private function crossing(array $state, array $stages, float $step, int $component, float $value): float
    {
        $low = 0.0;
        $high = 1.0;
        $atLow = $state[$component] - $value;
        $atHigh = $this->component($state, $stages, $step, 1.0, $component) - $value;
        $side = 0;
        if ($atLow <= 0.0) {
            // On the line already, as a car that starts from rest is: it is the return to it that counts.
            $low = 1e-9;
            $atLow = $this->component($state, $stages, $step, $low, $component) - $value;
            if ($atLow <= 0.0) {
                return 0.0;
            }
        }
        if ($atHigh >= 0.0) {
            return 1.0;
        }
        for ($i = 0; $i < 100 && $high - $low > 1e-14; $i++) {
            $middle = ($low * $atHigh - $high * $atLow) / ($atHigh - $atLow);
            $at = $this->component($state, $stages, $step, $middle, $component) - $value;
            if ($at === 0.0) {
                return $middle;
            }
            if ($at > 0.0) {
                $low = $middle;
                $atLow = $at;
                $atHigh *= $side === 1 ? 0.5 : 1.0;
                $side = 1;
            } else {
                $high = $middle;
                $atHigh = $at;
                $atLow *= $side === -1 ? 0.5 : 1.0;
                $side = -1;
            }
        }

        return ($low + $high) / 2;
    }

    /**
     * @param array<int, float> $state
     * @param list<array<int, float>> $stages
     */
    private function component(array $state, array $stages, float $step, float $share, int $component): float
    {
        $sum = 0.0;
        foreach (self::denseWeights($share) as $stage => $weight) {
            $sum += $weight * $stages[$stage][$component];
        }

        return $state[$component] + $step * $sum;
    }

    /** @return list<float> of the seven slopes, at a share of the step */
    private static function denseWeights(float $share): array
    {
        $weights = [];
        foreach (self::DENSE as [$p1, $p2, $p3, $p4]) {
            $weights[] = $share * ($p1 + $share * ($p2 + $share * ($p3 + $share * $p4)));
        }

        return $weights;
    }

    /**
     * @param array<int, float> $state
     * @param list<array<int, float>> $stages
     *
     * @return array<int, float>
     */
    private function interpolate(array $state, array $stages, float $step, float $share): array
    {
        $distance = $speed = $sigma = 0.0;
        foreach (self::denseWeights($share) as $stage => $weight) {
            $slope = $stages[$stage];
            $distance += $weight * $slope[0];
            $speed += $weight * $slope[1];
            $sigma += $weight * $slope[2];
        }

        return [$state[0] + $step * $distance, $state[1] + $step * $speed, $state[2] + $step * $sigma];
    }

    /**
     * The step that ends where a component reaches a value. The interpolant, of lower order than the step
     * itself, gives the first guess; Newton's method on the step's own end does the rest.
     *
     * @param array<int, float> $state
     * @param array<int, float> $slopes
     *
     * @return array{array<int, float>, list<array<int, float>>, float} state, slopes, and length of the step
     */
    private function landOn(array $state, array $slopes, float $step, int $component, float $value): array
    {
        $full = $step;
        for ($i = 0; ; $i++) {
            [$end, $stages] = $this->step($state, $slopes, $step);
            $miss = $end[$component] - $value;
            $slope = $stages[6][$component];
            if ($i === 4 || abs($miss) < 1e-13 || $slope >= 0.0) {
                $end[$component] = $value;

                return [$end, $stages, $step];
            }
            $step = min(1.5 * $full, max(0.5 * $full, $step - $miss / $slope));
        }
    }

    /**
     * The greatest speed within a step: where its slope changes sign, a finer look.
     *
     * @param array<int, float> $state
     * @param array<int, float> $next
     * @param list<array<int, float>> $stages
     */
    private function peak(array $state, array $next, array $stages, float $step): float
    {
        $peak = max($state[1], $next[1]);
        if ($stages[0][1] > 0.0 && $stages[6][1] < 0.0) {
            [$low, $high] = [0.0, 1.0];
            for ($i = 0; $i < 18; $i++) {
                [$left, $right] = [$low + ($high - $low) / 3, $high - ($high - $low) / 3];
                if ($this->component($state, $stages, $step, $left, 1) < $this->component($state, $stages, $step, $right, 1)) {
                    $low = $left;
                } else {
                    $high = $right;
                }
            }
            $peak = max($peak, $this->component($state, $stages, $step, ($low + $high) / 2, 1));
        }

        return $peak;
    }

    /**
     * Moments at equal times along one part of the run.
     *
     * @param list<array{float, float, array<int, float>, list<array<int, float>>}> $steps
     *
     * @return list<Moment>
     */
    private function trajectory(array $steps, bool $blowing): array
    {
        if ($steps === []) {
            return [];
        }
        $this->blows = $blowing;
        $from = $steps[0][0];
        [$lastTime, $lastStep] = $steps[count($steps) - 1];
        $to = $lastTime + $lastStep;
        $moments = [];
        $index = 0;
        for ($i = 0; $i <= self::TRAJECTORY_POINTS; $i++) {
            $time = $from + ($to - $from) * $i / self::TRAJECTORY_POINTS;
            while ($index < count($steps) - 1 && $steps[$index + 1][0] <= $time) {
                $index++;
            }
            [$start, $step, $state, $stages] = $steps[$index];
            $moments[] = $this->moment($time, $this->interpolate($state, $stages, $step, min(1.0, ($time - $start) / $step)));
        }

        return $moments;
    }

    /** @param array<int, float> $state */
    private function moment(float $time, array $state): Moment
    {
        [$distance, $speed, $sigma] = $state;
        $slopes = $this->slopes($state);
        $stretch = 1.0 + $sigma ** 2;

        return new Moment(
            $time,
            $distance,
            max(0.0, $speed),
            $slopes[3],
            $this->friction * max(0.0, $this->weight - $slopes[3] * $this->upward),
            ($this->balloonDrag * $stretch ** 2 + $this->bodyDrag) * $speed * abs($speed),
            $this->relaxedVolume * $stretch ** 3,
        );
    }
}
