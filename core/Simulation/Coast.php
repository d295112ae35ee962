<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Constants;
use Skivo\Core\Physics\Ramp;
use Skivo\Core\Physics\Vehicle;

/**
 * A car that only rolls out from a speed, in closed form: m_eff·dv/dt = −R − k·v², so that with φ = arctan(v₀·√(k/R)) the speed is
 * √(R/k)·tan(φ − t·√(R·k)/m_eff), and it stops after (m_eff/2k)·ln(1 + k·v₀²/R).
 */
final readonly class Coast
{
    private const TRAJECTORY_POINTS = 60;

    /** Air resistance that nobody could tell from none, over rolling at the start. */
    private const NO_AIR = 1e-9;

    /**
     * @param Ramp|null $ramp that it rolled down, for the ledger
     *
     * @throws OutOfRangeException
     */
    public static function run(
        Vehicle $vehicle,
        Air $air,
        float $startSpeedMS,
        ?Ramp $ramp = null,
        bool $withTrajectory = false,
    ): SimulatedRun {
        OutOfRangeException::check('start.speed_m_s', $startSpeedMS, 0.0, 10.0);
        $mass = $vehicle->massKg + $vehicle->wheelEquivalentMassKg;
        $resistance = $vehicle->rollingCoefficient * $vehicle->massKg * Constants::GRAVITY_M_S2;
        // So little air that the logarithm and the tangent lose their digits is as good as a trace of it.
        $k = max(0.5 * $air->densityKgM3() * $vehicle->bodyDragAreaM2, self::NO_AIR * $resistance / max(1e-12, $startSpeedMS ** 2));
        $start = 0.5 * $mass * $startSpeedMS ** 2;
        $distance = $mass / (2.0 * $k) * log1p($k * $startSpeedMS ** 2 / $resistance);
        $angle = atan($startSpeedMS * sqrt($k / $resistance));
        $rate = sqrt($resistance * $k) / $mass;
        $stop = $angle / $rate;
        $trajectory = [];
        for ($i = 0; $withTrajectory && $startSpeedMS > 0.0 && $i <= self::TRAJECTORY_POINTS; $i++) {
            $time = $stop * $i / self::TRAJECTORY_POINTS;
            $left = $angle - $rate * $time;
            $speed = max(0.0, sqrt($resistance / $k) * tan($left));
            $trajectory[] = new Moment($time, $mass / $k * log(cos($left) / cos($angle)), $speed, 0.0, $resistance, $k * $speed ** 2, 0.0);
        }

        return new SimulatedRun(
            $startSpeedMS > 0.0,
            $distance,
            $stop,
            $startSpeedMS,
            null,
            new EnergyLedger(
                0.0,
                0.0,
                $resistance * $distance,
                $start - $resistance * $distance,
                0.0,
                $start,
                potential: $startSpeedMS > 0.0 ? $ramp?->potentialJ($vehicle->massKg) ?? 0.0 : 0.0,
            ),
            $trajectory,
        );
    }
}
