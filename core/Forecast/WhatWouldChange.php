<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;

/**
 * What would carry a car farther, by its forecast: half the friction, a third more air, more turns, rubber on the rims, a higher ramp, a
 * lighter car.
 */
enum WhatWouldChange: string
{
    case HalfTheFriction = 'half_the_friction';
    case MoreAir = 'more_air';
    case MoreTurns = 'more_turns';
    case RubberTyres = 'rubber_tyres';
    case HigherRamp = 'higher_ramp';
    case Lighter = 'lighter';

    /** A gain below this share of the distance is not worth a word. */
    public const WORTH_SAYING = 0.10;

    /** Of the diameter: a third more air. */
    private const MORE_AIR = 1.1;
    private const LIGHTER = 0.8;

    /** Of the turns, and of a ramp's height at the same slope. */
    private const MORE = 1.25;

    /**
     * @param Settings $settings of the car, without what its hands added
     * @param float $distanceM how far it went
     *
     * @return array<string, float> how much farther it would go (m), by the value of a change; the most first, and only what is worth a word
     */
    public static function of(Settings $settings, State $state, float $distanceM): array
    {
        $gains = [];
        try {
            $own = Prediction::begin($settings, $state);
            $before = $own->run()->distanceM;
        } catch (OutOfRangeException) {
            return [];
        }
        foreach ($before > 0.0 ? self::cases() : [] as $change) {
            try {
                // The model's gain for its own distance, brought to the one that the car went.
                $gain = (($change->changed($own)?->run()->distanceM ?? $before) - $before) * $distanceM / $before;
            } catch (OutOfRangeException) {
                // What no design can have is no advice.
                continue;
            }
            if ($gain >= self::WORTH_SAYING * $distanceM) {
                $gains[$change->value] = $gain;
            }
        }
        arsort($gains);

        return $gains;
    }

    /** @return Settings|null null where it means nothing of a car that is driven so */
    private function changed(Settings $own): ?Settings
    {
        $source = $own->source;

        return match ($this) {
            self::MoreAir => $source->blows()
                ? $own->with(CarAttribute::BalloonSize, $own->get(CarAttribute::BalloonSize) * self::MORE_AIR)
                : null,
            self::MoreTurns => $source->winds()
                ? $own->with(CarAttribute::TurnsWound, $own->get(CarAttribute::TurnsWound) * self::MORE)
                : null,
            self::RubberTyres => $source->winds()
                ? $own->with(CarAttribute::Grip, max($own->get(CarAttribute::Grip), Tyre::RubberBand->grip() ?? 0.0))
                : null,
            self::HigherRamp => $source->rollsDown()
                ? $own->with(
                    CarAttribute::RampHeight,
                    $own->get(CarAttribute::RampHeight) * self::MORE,
                )->with(CarAttribute::RampLength, $own->get(CarAttribute::RampLength) * self::MORE)
                : null,
            // Half of all that holds it back on the floor: as a measured coefficient, so that nothing is added to it.
            self::HalfTheFriction => $own->with(
                CarAttribute::RollingCoefficient,
                max(5e-4, $own->rollingCoefficient() / 2),
            )->with(CarAttribute::Workmanship, 0.0),
            self::Lighter => $own->with(CarAttribute::Mass, $own->get(CarAttribute::Mass) * self::LIGHTER),
        };
    }
}
