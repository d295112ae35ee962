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

    /** N on the driven axle (N). */
    public function drivenLoadN(): float
    {
        return $this->drive->loadShare * $this->vehicle->massKg * Constants::GRAVITY_M_S2;
    }
}
