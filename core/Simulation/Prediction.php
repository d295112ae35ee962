<?php

declare(strict_types=1);

namespace Skivo\Core\Simulation;

use Skivo\Core\Statistics\Interval;

/**
 * How far a design will go, and how far to trust that: the run, with the band that the model's two least
 * certain inputs leave, each varied by itself and put together as independent errors are (GUM, first order).
 */
final readonly class Prediction
{
    /** Estimated from parts, f may be off by a quarter either way; measured on the bench, by a twelfth. From memory. */
    public const FRICTION_ESTIMATED = 0.25;
    public const FRICTION_MEASURED = 0.08;

    /** Balloons of one bag differ in pressure by about a fifth. From memory. */
    public const PRESSURE = 0.2;

    private const ROUGHLY = 1e-3;

    private function __construct(
        public Settings $settings,
        public SimulatedRun $run,
        public Interval $band,
    ) {}

    /**
     * @param float|null $frictionError by which f may be off, as a share of it (95 %); the usual where null
     * @param float|null $pressureError likewise for the balloon's pressure
     */
    public static function of(
        Settings $settings,
        bool $withTrajectory = true,
        ?float $frictionError = null,
        ?float $pressureError = null,
    ): self {
        $run = Simulator::run($settings->design(), withTrajectory: $withTrajectory);
        $error = $frictionError ?? ($settings->frictionIsMeasured() ? self::FRICTION_MEASURED : self::FRICTION_ESTIMATED);
        $pressure = $pressureError ?? self::PRESSURE;
        $distance = static fn(float $friction, float $pressure): float => Simulator::run(
            $settings->design($friction, $pressure),
            self::ROUGHLY,
        )->distanceM;
        $less = hypot($run->distanceM - $distance(1.0 + $error, 1.0), $run->distanceM - $distance(1.0, 1.0 - $pressure));
        $more = hypot($distance(1.0 - $error, 1.0) - $run->distanceM, $distance(1.0, 1.0 + $pressure) - $run->distanceM);

        return new self($settings, $run, new Interval(max(0.0, $run->distanceM - $less), $run->distanceM + $more));
    }

    /** What takes most of the push. */
    public function regime(): Regime
    {
        return $this->run->moves ? Regime::of($this->run->energy) : Regime::DoesNotStart;
    }
}
