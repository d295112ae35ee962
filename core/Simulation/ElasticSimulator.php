<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Ode\Ode;
use Skivo\Core\Ode\OdeStep;
use Skivo\Core\Physics\BandEnd;
use Skivo\Core\Physics\Constants;

/**
 * Runs a car whose driven axle is turned by a wound chain of bands, from the start line to the stop.
 *
 * While the rims hold: (m + m_u + J/r_w²)·dv/dt = η·F·r_a/r_w − R − F_D and dw/dt = −r_a·v/r_w. The floor's force
 * D = (m + m_u)·dv/dt + R + F_D holds as long as |D| ≤ μ_s·N. While they slip, with rim speed u:
 * (m + m_u)·dv/dt = ±μ_k·N − R − F_D and J·du/dt = r_w·(η·F·r_a ∓ μ_k·N·r_w), the upper sign while u > v, until u meets v.
 * With nothing wound, a free band falls off; a tied one winds up the other way and brakes until the car first stops.
 *
 * At rest it starts gripping if η·F·r_a/r_w exceeds b·R and needs no more than μ_s·N; needing more, it spins, and moves only
 * if μ_k·N exceeds b·R. Otherwise it stands, wheels still or spinning on the spot.
 */
final class ElasticSimulator
{
    /** x, v, |w|, the gap between rim and car, |u − v|, and by how much D may still rise and fall; then ∫ drive, rolling, drag, slip. */
    private const COMPONENTS = 10;

    private const CONTROLLED = 6;

    private const SPEED = 1;
    private const WOUND = 2;
    private const GAP = 3;
    private const MAY_RISE = 4;
    private const MAY_FALL = 5;

    /** Below this nobody asks for more digits (m, m/s). */
    private const FLOOR = 1e-4;

    /** Against every time scale of such a car (s). */
    private const FIRST_STEP = 1e-5;

    /** Moments that are kept of a run, and the fewest of a part between two regimes. */
    private const TRAJECTORY_POINTS = 120;
    private const FEWEST_POINTS = 3;

    /** Regimes follow each other a few times, and often only where slipping wheels swing on a tied band. */
    private const MOST_PARTS = 5_000;

    private readonly float $resistance;
    private readonly float $dragFactor;
    private readonly float $pushed;
    private readonly float $whole;
    private readonly float $gear;
    private readonly float $holds;
    private readonly float $slides;

    /** 1 while the rim is faster than the car, −1 while it is slower, 0 while it holds. */
    private int $slip = 0;

    /** 1 while the band drives, −1 while a tied one is wound the other way, 0 once it is off. */
    private int $band = 1;

    private function __construct(private readonly ElasticDesign $design, private readonly float $tolerance)
    {
        [$vehicle, $drive] = [$design->vehicle, $design->drive];
        $this->resistance = $vehicle->rollingCoefficient * $vehicle->massKg * Constants::GRAVITY_M_S2;
        $this->dragFactor = 0.5 * $design->air->densityKgM3() * $vehicle->bodyDragAreaM2;
        $this->pushed = $vehicle->massKg + $vehicle->wheelEquivalentMassKg;
        $this->whole = $this->pushed + $drive->spinInertiaKgM2 / $drive->wheelRadiusM ** 2;
        $this->gear = $drive->gear();
        $this->holds = $drive->staticFriction * $design->drivenLoadN();
        $this->slides = $drive->kineticFriction * $design->drivenLoadN();
    }

    /**
     * @param float $tolerance relative, in each step
     * @param bool $withTrajectory whether to keep moments along the way
     */
    public static function run(ElasticDesign $design, float $tolerance = 1e-8, bool $withTrajectory = false): ElasticRun
    {
        return (new self($design, $tolerance))->simulate($withTrajectory);
    }

    private function simulate(bool $withTrajectory): ElasticRun
    {
        $design = $this->design;
        $start = $design->startSpeedMS;
        $wound = $design->drive->woundM($design->band->turns);
        if ($wound <= 0.0) {
            $this->unwound();
        }
        $push = $wound > 0.0 ? $this->gear * $design->bandForceN() : 0.0;
        $state = [0.0, $start, $wound, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
        $this->hold($state);
        $slips = $this->slip !== 0;
        $breakaway = $design->vehicle->breakawayRatio * $this->resistance;
        $moves = $start > 0.0 || $push > $breakaway && (!$slips || $this->slides > $breakaway);
        [$time, $slipTime, $peak, $free, $moments] = [0.0, 0.0, $start, null, []];
        if ($this->band === 0 && $moves) {
            $free = $this->moment(0.0, $state);
        }
        $ode = new Ode($this->slopes(...), self::CONTROLLED, self::COMPONENTS, $this->tolerance, self::FLOOR);
        for ($part = 0; $moves && $part < self::MOST_PARTS; $part++) {
            $wasSlipping = $this->slip !== 0;
            $until = [self::SPEED => 0.0] + ($this->slip === 0 ? [self::MAY_RISE => 0.0, self::MAY_FALL => 0.0] : [self::GAP => 0.0])
                + ($this->band === 0 ? [] : [self::WOUND => 0.0]);
            $solution = $ode->integrate($time, $state, $until, self::SPEED, self::FIRST_STEP, $withTrajectory);
            array_push($moments, ...$this->trajectory($solution->steps, $part));
            $slipTime += $wasSlipping ? $solution->end - $time : 0.0;
            [$time, $state, $peak] = [$solution->end, $solution->state, max($peak, $solution->greatest)];
            if ($solution->component === self::SPEED) {
                break;
            }
            if ($solution->component === self::WOUND) {
                $this->unwound();
                $free ??= $this->band === 0 ? $this->moment($time, $state) : null;
            } elseif ($wasSlipping) {
                $this->slip = 0;
                $state[self::GAP] = 0.0;
            }
            if ($this->slip === 0) {
                $this->hold($state, $solution->component);
            }
        }
        $rim = $state[self::SPEED] + $this->slip * $state[self::GAP];
        $inertia = $design->drive->spinInertiaKgM2 / $design->drive->wheelRadiusM ** 2;

        return new ElasticRun(
            $moves,
            $state[0],
            $time,
            $peak,
            $slipTime,
            $wound > 0.0 ? $design->bandForceN() : 0.0,
            $push,
            $slips,
            $free,
            new EnergyLedger(
                $design->band->storedJ($wound),
                $state[6],
                $state[7],
                $state[8],
                0.0,
                0.5 * $this->whole * $start ** 2,
                $state[9],
                $moves ? 0.5 * $inertia * $rim ** 2 : 0.0,
            ),
            $moments,
        );
    }

    /** With nothing wound: off, or the other way round. */
    private function unwound(): void
    {
        $this->band = $this->design->band->release === BandEnd::Free ? 0 : -$this->band;
    }

    /**
     * Whether the rims hold from here on, and how far they are from slipping.
     *
     * @param array<int, float> $state
     * @param int|null $event that ended the part before: what it reached is passed
     */
    private function hold(array &$state, ?int $event = null): void
    {
        $needed = $this->floorForce($state);
        $this->slip = match (true) {
            $event === self::MAY_RISE || $needed > $this->holds => 1,
            $event === self::MAY_FALL || $needed < -$this->holds => -1,
            default => 0,
        };
        [$state[self::MAY_RISE], $state[self::MAY_FALL]] = [$this->holds - $needed, $this->holds + $needed];
    }

    /**
     * D: what the floor must do to the driven wheels if they hold (N).
     *
     * @param array<int, float> $state
     */
    private function floorForce(array $state): float
    {
        $drag = $this->dragFactor * $state[1] * abs($state[1]);

        return $this->pushed / $this->whole * (
            $this->pull($state[2]) * $this->gear - $this->resistance - $drag
        ) + $this->resistance + $drag;
    }

    /** η·F on the axle, below zero where a tied band is wound the other way and brakes (N). */
    private function pull(float $wound): float
    {
        return $this->band * $this->design->band->returnedFraction * $this->design->band->pullN(max(0.0, $wound));
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
        [, $speed, $wound, $gap] = $state;
        $drag = $this->dragFactor * $speed * abs($speed);
        $pull = $this->pull($wound);
        $drive = $this->design->drive;
        if ($this->slip === 0) {
            $acceleration = ($pull * $this->gear - $this->resistance - $drag) / $this->whole;
            $unwinding = -$this->band * $this->gear * $speed;
            $stiffness = $this->band === 0
                ? 0.0
                : $this->design->band->returnedFraction * $this->design->band->stiffnessNM(max(0.0, $wound));
            $ratio = $this->pushed / $this->whole;
            $change = $ratio * $this->gear * $this->band * $stiffness * $unwinding
                + (1.0 - $ratio) * 2.0 * $this->dragFactor * abs($speed) * $acceleration;

            return [
                $speed, $acceleration, $unwinding, 0.0, -$change, $change, $pull * $this->gear * $speed, $this->resistance * $speed,
                $drag * $speed, 0.0,
            ];
        }
        $rim = $speed + $this->slip * $gap;
        $acceleration = ($this->slip * $this->slides - $this->resistance - $drag) / $this->pushed;
        $spinUp = $drive->wheelRadiusM * (
            $pull * $drive->axleRadiusM - $this->slip * $this->slides * $drive->wheelRadiusM
        ) / $drive->spinInertiaKgM2;

        return [
            $speed, $acceleration, -$this->band * $this->gear * $rim, $this->slip * ($spinUp - $acceleration), 0.0, 0.0,
            $pull * $this->gear * $rim, $this->resistance * $speed, $drag * $speed, $this->slides * $gap,
        ];
    }

    /**
     * Moments at equal times along one part of the run.
     *
     * @param list<OdeStep> $steps
     * @param int $part how many parts came before it
     *
     * @return list<Moment>
     */
    private function trajectory(array $steps, int $part): array
    {
        if ($steps === []) {
            return [];
        }
        $from = $steps[0]->from;
        $last = $steps[count($steps) - 1];
        $points = max(self::FEWEST_POINTS, intdiv(self::TRAJECTORY_POINTS, $part + 2));
        $moments = [];
        $index = 0;
        for ($i = 0; $i <= $points; $i++) {
            $time = $from + ($last->from + $last->length - $from) * $i / $points;
            while ($index < count($steps) - 1 && $steps[$index + 1]->from <= $time) {
                $index++;
            }
            $moments[] = $this->moment(
                $time,
                $steps[$index]->state(self::COMPONENTS, min(1.0, ($time - $steps[$index]->from) / $steps[$index]->length)),
            );
        }

        return $moments;
    }

    /** @param array<int, float> $state */
    private function moment(float $time, array $state): Moment
    {
        return new Moment(
            $time,
            $state[0],
            max(0.0, $state[1]),
            $this->slip === 0 ? $this->gear * $this->pull($state[2]) : $this->slip * $this->slides,
            $this->resistance,
            $this->dragFactor * $state[1] ** 2,
            0.0,
            $state[6],
            $state[7] + $state[8] + $state[9],
        );
    }
}
