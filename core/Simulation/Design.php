<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Ramp;
use Skivo\Core\Physics\Vehicle;

/** Everything that a simulated run depends on. */
final readonly class Design
{
    /**
     * @param float $startSpeedMS 0, or the speed off a ramp; 0 to 10 m/s
     * @param float $leakAreaM2 through which every balloon loses air besides its nozzle, without any push, 0 to 1e-4 m²
     * @param Air|null $breath with which it is filled, where that is not the air of the room
     * @param Ramp|null $ramp off which the start speed is, for the ledger
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public Balloon $balloon,
        public Nozzle $nozzle,
        public Vehicle $vehicle,
        public Air $air = new Air(),
        public float $startSpeedMS = 0.0,
        public float $leakAreaM2 = 0.0,
        public ?Air $breath = null,
        public ?Ramp $ramp = null,
    ) {
        OutOfRangeException::check('start.speed_m_s', $startSpeedMS, 0.0, 10.0);
        OutOfRangeException::check('balloon.leak_area_m2', $leakAreaM2, 0.0, 1e-4);
    }

    /** The push of all balloons together as the run begins, along the nozzle (N): count·parallel·ρ·A·v². */
    public function firstThrustN(): float
    {
        if (!$this->balloon->isInflated()) {
            return 0.0;
        }
        $jet = $this->jet();
        $speed = $this->nozzle->exitSpeed(
            $this->balloon->gaugePressurePa($this->balloon->inflatedDiameterM),
            $jet->densityKgM3(),
            $jet->viscosityPaS(),
        );

        return $this->balloon->count * $jet->densityKgM3() * $this->nozzle->outletAreaM2() * $speed ** 2;
    }

    public function with(?Balloon $balloon = null, ?Nozzle $nozzle = null, ?Vehicle $vehicle = null): self
    {
        return new self(
            $balloon ?? $this->balloon,
            $nozzle ?? $this->nozzle,
            $vehicle ?? $this->vehicle,
            $this->air,
            $this->startSpeedMS,
            $this->leakAreaM2,
            $this->breath,
            $this->ramp,
        );
    }

    /** The same, come down a ramp. */
    public function off(Ramp $ramp, float $startSpeedMS): self
    {
        return new self($this->balloon, $this->nozzle, $this->vehicle, $this->air, $startSpeedMS, $this->leakAreaM2, $this->breath, $ramp);
    }

    /** What comes out of the nozzle. */
    public function jet(): Air
    {
        return $this->breath ?? $this->air;
    }

    /** The air that moves along with the car at a size of its balloons (kg): what is in them, and half of what they displace. */
    public function carriedAirKg(float $volumeM3): float
    {
        return $this->balloon->count * $volumeM3 * ($this->jet()->densityKgM3() + Constants::ADDED_AIR * $this->air->densityKgM3());
    }
}
