<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Vehicle;

/** Everything that a simulated run depends on. */
final readonly class Design
{
    /**
     * @param float $startSpeedMS 0, or the speed off a ramp; 0 to 10 m/s
     *
     * @throws OutOfRangeException
     */
    public function __construct(
        public Balloon $balloon,
        public Nozzle $nozzle,
        public Vehicle $vehicle,
        public Air $air = new Air(),
        public float $startSpeedMS = 0.0,
    ) {
        OutOfRangeException::check('start.speed_m_s', $startSpeedMS, 0.0, 10.0);
    }

    /** The push of all balloons together as the run begins, along the nozzle (N): count·parallel·ρ·A·v². */
    public function firstThrustN(): float
    {
        if (!$this->balloon->isInflated()) {
            return 0.0;
        }
        $speed = $this->nozzle->exitSpeed(
            $this->balloon->gaugePressurePa($this->balloon->inflatedDiameterM),
            $this->air->densityKgM3(),
            $this->air->viscosityPaS(),
        );

        return $this->balloon->count * $this->air->densityKgM3() * $this->nozzle->outletAreaM2() * $speed ** 2;
    }

    public function with(?Balloon $balloon = null, ?Nozzle $nozzle = null, ?Vehicle $vehicle = null): self
    {
        return new self($balloon ?? $this->balloon, $nozzle ?? $this->nozzle, $vehicle ?? $this->vehicle, $this->air, $this->startSpeedMS);
    }
}
