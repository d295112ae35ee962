<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Simulation\Regime;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\SimulatedRun;

/**
 * How far settings that somebody turns will go: the run with the workmanship and the pressure that they have, and the
 * forecast of one more try by what is known of the hands that build such a car.
 */
final readonly class Prediction
{
    private function __construct(
        public Settings $settings,
        public SimulatedRun $run,
        public Forecast $forecast,
    ) {}

    public static function of(Settings $settings, State $state, bool $withTrajectory = true): self
    {
        $bare = $settings->with(CarAttribute::RollingCoefficient, 0.0)->with(CarAttribute::Workmanship, 0.0);
        $strength = $settings->source->strength();
        $usual = $bare->with($strength, 1.0);

        return new self(
            $settings,
            $settings->run(withTrajectory: $withTrajectory),
            $state->about(
                max(1e-4, $settings->rollingCoefficient() - $bare->rollingCoefficient()),
                $settings->get($strength),
                $settings->frictionIsMeasured(),
            )->forecast(DistanceTable::of($usual, new KeptInMemory())),
        );
    }

    /** Settings with the middle of what is known of the hands that build such a car: where turning them begins. */
    public static function begin(Settings $settings, State $state): Settings
    {
        $strength = $settings->source->strength();

        return $settings
            ->with(CarAttribute::RollingCoefficient, 0.0)
            ->with(CarAttribute::Workmanship, min(CarAttribute::Workmanship->limits()[1], $state->workmanship()))
            ->with($strength, $settings->get($strength) * $state->pressure());
    }

    /** What takes most of the push. */
    public function regime(): Regime
    {
        return $this->run->moves ? Regime::of($this->run->energy) : Regime::DoesNotStart;
    }
}
