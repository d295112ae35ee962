<?php

declare(strict_types=1);

namespace Skivo\Core\Physics;

use Skivo\Core\Measurement\OutOfRangeException;

/**
 * What the air of one balloon leaves through: equal outlets side by side, each a series of tubes from the
 * balloon to the exit.
 *
 * Steady incompressible flow with the losses referred to the exit speed: p = ½·ρ·v²·K. Entry 0.5 for a
 * sharp edge, contractions 0.5·(1 − A₂/A₁), expansions by Borda–Carnot (Crane TP-410); wall friction by
 * Darcy's factor, 64/Re up to Re = 2300, Blasius' 0.3164·Re^−¼ from 4000, a straight line between.
 */
final readonly class Nozzle
{
    private const LAMINAR_UP_TO = 2300.0;
    private const TURBULENT_FROM = 4000.0;
    private const FRICTION_AT_2300 = 64.0 / 2300.0;

    private float $constantLoss;

    /** @var list<array{float, float}> Re per exit speed, over ρ/μ; and (L/d)·(Aₑ/A)² */
    private array $walls;

    private float $transitionSlope;

    /**
     * @param list<Tube> $segments from the balloon to the exit, 1 to 6; bore 1 to 100 mm, length 0 to 2 m
     * @param int $parallel outlets side by side, 1 to 20
     * @param float $entryLoss 0 to 2; 0.5 for a sharp edge
     * @param float $extraLoss of anything else in the way, 0 to 100
     * @param float $angleDeg below the horizontal, −80 to 80
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public array $segments,
        public int $parallel = 1,
        public float $entryLoss = 0.5,
        public float $extraLoss = 0.0,
        public float $angleDeg = 0.0,
    ) {
        OutOfRangeException::check('nozzle.parallel', $parallel, 1, 20);
        OutOfRangeException::check('nozzle.segments', count($segments), 1, 6);
        foreach ($segments as $index => $tube) {
            OutOfRangeException::check("nozzle.segments[{$index}].bore_m", $tube->boreM, 0.001, 0.1);
            OutOfRangeException::check("nozzle.segments[{$index}].length_m", $tube->lengthM, 0.0, 2.0);
        }
        OutOfRangeException::check('nozzle.entry_loss', $entryLoss, 0.0, 2.0);
        OutOfRangeException::check('nozzle.extra_loss', $extraLoss, 0.0, 100.0);
        OutOfRangeException::check('nozzle.angle_deg', $angleDeg, -80.0, 80.0);

        $this->constantLoss = 1.0 + $extraLoss + $this->entryAndJoints();
        $exit = $this->exitTube()->areaM2();
        $walls = [];
        foreach ($segments as $tube) {
            if ($tube->lengthM > 0.0) {
                $ratio = $exit / $tube->areaM2();
                $walls[] = [$tube->boreM * $ratio, $tube->lengthM / $tube->boreM * $ratio ** 2];
            }
        }
        $this->walls = $walls;
        $this->transitionSlope = (
            0.3164 * self::TURBULENT_FROM ** -0.25 - self::FRICTION_AT_2300
        ) / (self::TURBULENT_FROM - self::LAMINAR_UP_TO);
    }

    /** The open cross-section of all outlets together at the exit (m²). */
    public function outletAreaM2(): float
    {
        return $this->parallel * $this->exitTube()->areaM2();
    }

    public function exitTube(): Tube
    {
        return $this->segments[count($this->segments) - 1];
    }

    /** The share of the thrust that pushes forward. */
    public function forwardShare(): float
    {
        return cos(deg2rad($this->angleDeg));
    }

    /** The share of the thrust that lifts. */
    public function upwardShare(): float
    {
        return sin(deg2rad($this->angleDeg));
    }

    /**
     * The speed (m/s) at which the air leaves under a gauge pressure.
     *
     * It solves v = √(2p/(ρ·K(v))), to which the fixed point of that map leads too; Newton's method on the
     * logarithms, whose slope never falls below 1, gets there to 1e-12 in a few steps.
     *
     * @param float $gaugePressurePa
     * @param float $density ρ, kg/m³
     * @param float $viscosity μ, Pa·s
     * @param float $guess a speed near by, if one is known; 0 if not
     */
    public function exitSpeed(float $gaugePressurePa, float $density, float $viscosity, float $guess = 0.0): float
    {
        if ($gaugePressurePa <= 0.0) {
            return 0.0;
        }
        $head = 2.0 * $gaugePressurePa / $density;
        $speed = $guess > 0.0 ? $guess : sqrt($head / $this->constantLoss);
        $perSpeed = $density / $viscosity;
        for ($i = 0; $i < 60; $i++) {
            $loss = $this->constantLoss;
            $slope = 0.0;
            foreach ($this->walls as [$reynoldsPerSpeed, $weight]) {
                $reynolds = $perSpeed * $reynoldsPerSpeed * $speed;
                if ($reynolds <= self::LAMINAR_UP_TO) {
                    $friction = 64.0 / $reynolds * $weight;
                    $slope -= $friction;
                } elseif ($reynolds >= self::TURBULENT_FROM) {
                    $friction = 0.3164 / sqrt(sqrt($reynolds)) * $weight;
                    $slope -= 0.25 * $friction;
                } else {
                    $friction = (self::FRICTION_AT_2300 + $this->transitionSlope * ($reynolds - self::LAMINAR_UP_TO)) * $weight;
                    $slope += $this->transitionSlope * $reynolds * $weight;
                }
                $loss += $friction;
            }
            $step = log($speed * $speed * $loss / $head) / (2.0 + $slope / $loss);
            $speed *= exp(-$step);
            if (abs($step) < 1e-13) {
                break;
            }
        }

        return $speed;
    }

    /** Darcy's friction factor of a smooth round tube. */
    public function darcyFriction(float $reynolds): float
    {
        return match (true) {
            $reynolds <= self::LAMINAR_UP_TO => 64.0 / $reynolds,
            $reynolds >= self::TURBULENT_FROM => 0.3164 * $reynolds ** -0.25,
            default => self::FRICTION_AT_2300 + $this->transitionSlope * ($reynolds - self::LAMINAR_UP_TO),
        };
    }

    private function entryAndJoints(): float
    {
        $exit = $this->exitTube()->areaM2();
        $loss = $this->entryLoss * ($exit / $this->segments[0]->areaM2()) ** 2;
        foreach ($this->segments as $index => $tube) {
            if ($index === 0) {
                continue;
            }
            $before = $this->segments[$index - 1]->areaM2();
            $after = $tube->areaM2();
            $loss += $after <= $before
                ? 0.5 * (1.0 - $after / $before) * ($exit / $after) ** 2
                : (1.0 - $before / $after) ** 2 * ($exit / $before) ** 2;
        }

        return $loss;
    }
}
