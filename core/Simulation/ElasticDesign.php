<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\DrivenAxle;
use Skivo\Core\Physics\ElasticBand;
use Skivo\Core\Physics\Vehicle;

/** Everything that a simulated run of a car with a wound band depends on. */
final readonly class ElasticDesign
{
    private const MOST_BALLAST_KG = 1.0;

    /**
     * @param Vehicle $vehicle its wheel-equivalent mass is that of the wheels that are not driven
     * @param float $startSpeedMS 0, or the speed off a ramp; 0 to 10 m/s
     *
     * @throws OutOfRangeException where a number lies outside its range, or the chain is wound past what rubber stands
     */
    public function __construct(
        public ElasticBand $band,
        public DrivenAxle $drive,
        public Vehicle $vehicle,
        public Air $air = new Air(),
        public float $startSpeedMS = 0.0,
    ) {
        OutOfRangeException::check('start.speed_m_s', $startSpeedMS, 0.0, 10.0);
        // As many turns as a stretch of 8 leaves.
        $most = max(0.0, (ElasticBand::GREATEST_STRETCH * $band->relaxedLengthM - $band->installedLengthM) / $drive->woundM(1.0));
        OutOfRangeException::check('elastic.turns', $band->turns, 0.0, min(500.0, $most));
    }

    /** η·F with all turns on it (N). */
    public function bandForceN(): float
    {
        return $this->band->returnedFraction * $this->band->pullN($this->drive->woundM($this->band->turns));
    }

    /**
     * The greatest f with which it moves from rest: with rims that hold, η·F·r_a/r_w = b·R where the floor gives that; with rims
     * that slip, μ_k·N = b·R. At rest the floor must give D = (m + m_u)/(m + m_u + J/r_w²)·(η·F·r_a/r_w − R) + R.
     */
    public function greatestFriction(): float
    {
        $weight = $this->vehicle->massKg * Constants::GRAVITY_M_S2;
        $push = $this->bandForceN() * $this->drive->gear();
        [$holds, $slides] = [$this->drive->staticFriction * $this->drivenLoadN(), $this->drive->kineticFriction * $this->drivenLoadN()];
        $pushed = $this->vehicle->massKg + $this->vehicle->wheelEquivalentMassKg;
        $ratio = $pushed / ($pushed + $this->drive->spinInertiaKgM2 / $this->drive->wheelRadiusM ** 2);
        // D grows with R: up to here the rims hold.
        $resistance = ($holds - $ratio * $push) / (1.0 - $ratio);
        $b = $this->vehicle->breakawayRatio;

        return ($resistance >= $push / $b ? $push / $b : max(min($resistance, $push / $b), min($slides, $push) / $b)) / $weight;
    }

    /** What its rims need of the floor as it starts, without slipping (N): D. */
    public function neededOfFloorN(): float
    {
        $weight = $this->vehicle->massKg * Constants::GRAVITY_M_S2;
        $pushed = $this->vehicle->massKg + $this->vehicle->wheelEquivalentMassKg;
        $ratio = $pushed / ($pushed + $this->drive->spinInertiaKgM2 / $this->drive->wheelRadiusM ** 2);
        $resistance = $this->vehicle->rollingCoefficient * $weight;

        return $ratio * ($this->bandForceN() * $this->drive->gear() - $resistance) + $resistance;
    }

    /** What the floor gives before the rims slip (N): μ_s·N. */
    public function floorHoldsN(): float
    {
        return $this->drive->staticFriction * $this->drivenLoadN();
    }

    /**
     * The pull of the band, over what it has, from which on the rims slip as it is let go: D = μ_s·N with D = ρ·(p·P − R) + R and
     * ρ = (m + m_u)/(m + m_u + J/r_w²), so p = (μ_s·N/ρ − f·m·g·(1/ρ − 1))/P.
     *
     * @return array{float, float} what it is without friction, and by how much less for f
     */
    public function pullThatSlips(): array
    {
        $pushed = $this->vehicle->massKg + $this->vehicle->wheelEquivalentMassKg;
        $ratio = $pushed / ($pushed + $this->drive->spinInertiaKgM2 / $this->drive->wheelRadiusM ** 2);
        $push = max(1e-12, $this->bandForceN() * $this->drive->gear());

        return [$this->floorHoldsN() / $ratio / $push, $this->vehicle->massKg * Constants::GRAVITY_M_S2 * (1.0 / $ratio - 1.0) / $push];
    }

    /** Whether its wheels spin as it is let go. */
    public function slipsAtFirst(): bool
    {
        return $this->neededOfFloorN() > $this->floorHoldsN();
    }

    /** Whether it moves from rest, gripping or spinning. */
    public function starts(): bool
    {
        return $this->startSpeedMS > 0.0 || $this->vehicle->rollingCoefficient < $this->greatestFriction();
    }

    /**
     * The least that must lie over the driven axle, besides what is there, for the rims to hold from the start (kg); 0 where they
     * do; null where no load up to a kilogram does it.
     */
    public function ballastToHoldKg(): ?float
    {
        $with = fn(float $more): self => $this->with(
            new DrivenAxle(
                $this->drive->axleRadiusM,
                $this->drive->wheelRadiusM,
                ($this->drive->loadShare * $this->vehicle->massKg + $more) / ($this->vehicle->massKg + $more),
                $this->drive->staticFriction,
                $this->drive->kineticFriction,
                $this->drive->spinInertiaKgM2,
            ),
            new Vehicle(
                $this->vehicle->massKg + $more,
                $this->vehicle->rollingCoefficient,
                $this->vehicle->wheelEquivalentMassKg,
                $this->vehicle->breakawayRatio,
                $this->vehicle->bodyDragAreaM2,
            ),
        );

        return self::least(static fn(float $more): bool => !$with($more)->slipsAtFirst(), self::MOST_BALLAST_KG);
    }

    /** The most turns with which the rims hold from the start; null where they do with all of them. */
    public function turnsThatHold(): ?float
    {
        if (!$this->slipsAtFirst()) {
            return null;
        }
        $most = $this->band->turns;
        $fewer = self::least(fn(float $fewer): bool => !$this->wound($most - $fewer)->slipsAtFirst(), $most);

        return $most - ($fewer ?? $most);
    }

    /** The same, wound by so many turns. */
    public function wound(float $turns): self
    {
        $band = $this->band;

        return new self(
            new ElasticBand(
                $band->relaxedLengthM,
                $band->sectionAreaM2,
                $band->installedLengthM,
                $turns,
                $band->shearModulusPa,
                $band->returnedFraction,
                $band->release,
            ),
            $this->drive,
            $this->vehicle,
            $this->air,
            $this->startSpeedMS,
        );
    }

    private function with(DrivenAxle $drive, Vehicle $vehicle): self
    {
        return new self($this->band, $drive, $vehicle, $this->air, $this->startSpeedMS);
    }

    /**
     * The least number for which something holds, that holds for all greater ones; null where it does not up to the most.
     *
     * @param callable(float): bool $holds
     */
    private static function least(callable $holds, float $most): ?float
    {
        if ($holds(0.0)) {
            return 0.0;
        }
        if (!$holds($most)) {
            return null;
        }
        [$low, $high] = [0.0, $most];
        for ($i = 0; $i < 40; $i++) {
            $middle = ($low + $high) / 2;
            $holds($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /** N on the driven axle (N). */
    public function drivenLoadN(): float
    {
        return $this->drive->loadShare * $this->vehicle->massKg * Constants::GRAVITY_M_S2;
    }
}
