<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Ode\Ode;
use Skivo\Core\Ode\OdeStep;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\Constants;

/**
 * How friction becomes distance: runs a design from the start line to the stop.
 *
 * dx/dt = v; dv/dt = (T·cos θ − R − F_D)/m_eff; dV/dt = −Q, with T = ρ·Q·v_e of every balloon,
 * R = f·max(0, m·g − T·sin θ), F_D = ½·ρ·v·|v|·(count·C_D·π·D²/4 + (C_D·A)_body) and
 * m_eff = m + m_wheels + 1.5·count·ρ·V (the air carried, and half the displaced air as added mass of a
 * sphere: Lamb, Hydrodynamics, article 92).
 *
 * A leak of area A takes A·√(2p/ρ) out of each balloon besides, and pushes nothing. Breath in the balloon is lighter than the
 * room's air: T and the air carried go by its own ρ, the air displaced and the drag by the room's.
 *
 * A car at rest whose first push does not exceed b·R does not start, and its run is over. Otherwise the run
 * ends where the car stops, even if the balloon still blows.
 *
 * The balloon is followed by σ = √(D/D₀ − 1): near its end Q falls with √(V − V₀), which a method of high
 * order can only follow in a variable that makes it smooth.
 */
final class Simulator
{
    /** x, v, σ; then ∫T dt, ∫T·cos θ dx, ∫R dx, ∫F_D dx, ∫count·p·Q dt, and what the leaving air carries off. */
    private const COMPONENTS = 9;

    private const CONTROLLED = 3;

    private const SPEED = 1;
    private const SIGMA = 2;

    private const TRAJECTORY_POINTS = 60;

    private bool $blows = false;

    private float $exitSpeed = 0.0;

    private float $density;
    private float $viscosity;
    private float $carriedDensity;
    private float $leakArea;
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
        $jet = $design->jet();
        $outside = $design->air->densityKgM3();
        $this->density = $jet->densityKgM3();
        $this->viscosity = $jet->viscosityPaS();
        $this->carriedDensity = $this->density + Constants::ADDED_AIR * $outside;
        $this->leakArea = $design->leakAreaM2;
        $this->weight = $vehicle->massKg * Constants::GRAVITY_M_S2;
        $this->mass = $vehicle->massKg + $vehicle->wheelEquivalentMassKg;
        $this->friction = $vehicle->rollingCoefficient;
        $this->forward = $design->nozzle->forwardShare();
        $this->upward = $design->nozzle->upwardShare();
        $this->outletArea = $design->nozzle->outletAreaM2();
        $this->pressureScale = $balloon->pressureScalePa();
        $this->hardening = $balloon->hardening;
        $this->relaxedVolume = $balloon->relaxedVolumeM3();
        $this->count = $balloon->count;
        $this->balloonDrag = 0.5 * $outside * $balloon->count * $balloon->dragCoefficient * M_PI / 4 * $balloon->relaxedDiameterM ** 2;
        $this->bodyDrag = 0.5 * $outside * $vehicle->bodyDragAreaM2;
    }

    /**
     * @param float $tolerance relative, of distance, speed and balloon size in each step
     * @param bool $withTrajectory whether to keep moments along the way
     */
    public static function run(Design $design, float $tolerance = 1e-6, bool $withTrajectory = false): BalloonRun
    {
        return (new self($design, $tolerance))->simulate($withTrajectory);
    }

    private function simulate(bool $withTrajectory): BalloonRun
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
        $moves = $start > 0.0 || $thrust * $this->forward > $this->design->vehicle->breakawayRatio * $this->friction * $load;

        $sigma = sqrt(max(0.0, $balloon->inflatedDiameterM / $balloon->relaxedDiameterM - 1.0));
        $state = [0.0, $start, $sigma, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $startEnergy = 0.5 * $this->inertia($sigma) * $start ** 2;
        [$time, $state, $peak, $limp, $steps, $coasting] = $moves
            ? $this->integrate($state, $withTrajectory)
            : [0.0, $state, $start, null, [], []];

        return new BalloonRun(
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
            new EnergyLedger(
                $state[7],
                $state[4],
                $state[5],
                $state[6],
                $state[8],
                $startEnergy,
                potential: $moves ? $this->design->ramp?->potentialJ($this->design->vehicle->massKg) ?? 0.0 : 0.0,
            ),
            $withTrajectory ? [...$this->trajectory($steps, true), ...$this->trajectory($coasting, false)] : [],
        );
    }

    /**
     * Until it stops: first with the air that blows, then as it coasts.
     *
     * @param array<int, float> $state at the start
     *
     * @return array{float, array<int, float>, float, Moment|null, list<OdeStep>, list<OdeStep>} time and state at the stop, the greatest speed, when the
     * balloon was empty, and the steps before and after
     */
    private function integrate(array $state, bool $withTrajectory): array
    {
        $time = $peak = 0.0;
        $limp = null;
        $steps = $coasting = [];
        $stopped = false;
        $ode = new Ode($this->slopes(...), self::CONTROLLED, self::COMPONENTS, $this->tolerance);
        if ($this->blows) {
            $empty = sqrt(Balloon::EMPTY_VOLUME_RATIO ** (1 / 3) - 1.0);
            $part = $ode->integrate(
                $time,
                $state,
                [self::SPEED => 0.0, self::SIGMA => $empty],
                self::SPEED,
                $this->firstStep($state),
                $withTrajectory,
            );
            [$time, $state, $peak, $steps] = [$part->end, $part->state, $part->greatest, $part->steps];
            $stopped = $part->component === self::SPEED;
            $this->blows = $stopped;
        }
        if (!$stopped) {
            $limp = $this->moment($time, $state);
            $part = $ode->integrate($time, $state, [self::SPEED => 0.0], self::SPEED, $this->firstStep($state), $withTrajectory);
            [$time, $state, $peak, $coasting] = [$part->end, $part->state, max($peak, $part->greatest), $part->steps];
        }

        return [$time, $state, $peak, $limp, $steps, $coasting];
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
            $flow += $this->leakArea === 0.0 ? 0.0 : $this->leakArea * sqrt(max(0.0, 2.0 * $pressure / $this->density));
            $pressureFlow = $this->count * $pressure * $flow;
            $airFlow = $this->count * $this->carriedDensity * $flow;
            $sigmaRate = -$flow / (6.0 * $this->relaxedVolume * $square * $sigma);
        }
        $resistance = $this->friction * max(0.0, $this->weight - $thrust * $this->upward);
        $drag = ($this->balloonDrag * $square + $this->bodyDrag) * $speed * abs($speed);
        $push = $thrust * $this->forward;

        return [
            $speed,
            ($push - $resistance - $drag) / ($this->mass + $this->carriedDensity * $this->count * $volume),
            $sigmaRate,
            $thrust,
            $push * $speed,
            $resistance * $speed,
            $drag * $speed,
            $pressureFlow,
            0.5 * $airFlow * $speed * $speed,
        ];
    }

    /** m_eff at a size of the balloon (kg). */
    private function inertia(float $sigma): float
    {
        return $this->mass + $this->carriedDensity * $this->count * $this->relaxedVolume * (1.0 + $sigma ** 2) ** 3;
    }

    /**
     * A first step small against every time scale at hand.
     *
     * @param array<int, float> $state
     */
    private function firstStep(array $state): float
    {
        $slopes = $this->slopes($state);
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
     * Moments at equal times along one part of the run.
     *
     * @param list<OdeStep> $steps
     *
     * @return list<Moment>
     */
    private function trajectory(array $steps, bool $blowing): array
    {
        if ($steps === []) {
            return [];
        }
        $this->blows = $blowing;
        $from = $steps[0]->from;
        $last = $steps[count($steps) - 1];
        $to = $last->from + $last->length;
        $moments = [];
        $index = 0;
        for ($i = 0; $i <= self::TRAJECTORY_POINTS; $i++) {
            $time = $from + ($to - $from) * $i / self::TRAJECTORY_POINTS;
            while ($index < count($steps) - 1 && $steps[$index + 1]->from <= $time) {
                $index++;
            }
            $step = $steps[$index];
            $moments[] = $this->moment($time, $step->state(self::CONTROLLED, min(1.0, ($time - $step->from) / $step->length)));
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
