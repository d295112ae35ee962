<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;

/** What would carry a car farther, by its forecast: half the friction, a third more air, a lighter car. */
enum WhatWouldChange: string
{
    case HalfTheFriction = 'half_the_friction';
    case MoreAir = 'more_air';
    case Lighter = 'lighter';

    /** A gain below this share of the distance is not worth a word. */
    public const WORTH_SAYING = 0.10;

    /** Of the diameter: a third more air. */
    private const MORE_AIR = 1.1;
    private const LIGHTER = 0.8;

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
            $before = Simulator::run($own->design())->distanceM;
            if ($before <= 0.0) {
                return [];
            }
            foreach (self::cases() as $change) {
                $gain = Simulator::run($change->changed($own)->design())->distanceM - $before;
                // The model's gain for its own distance, brought to the one that the car went.
                $gain *= $distanceM / $before;
                if ($gain >= self::WORTH_SAYING * $distanceM) {
                    $gains[$change->value] = $gain;
                }
            }
        } catch (OutOfRangeException) {
            return [];
        }
        arsort($gains);

        return $gains;
    }

    private function changed(Settings $own): Settings
    {
        return match ($this) {
            // Half of all that holds it back on the floor: as a measured coefficient, so that nothing is added to it.
            self::HalfTheFriction => $own->with(CarAttribute::RollingCoefficient, max(5e-4, $own->rollingCoefficient() / 2))->with(CarAttribute::Workmanship, 0.0),
            self::MoreAir => $own->with(CarAttribute::BalloonSize, $own->get(CarAttribute::BalloonSize) * self::MORE_AIR),
            self::Lighter => $own->with(CarAttribute::Mass, $own->get(CarAttribute::Mass) * self::LIGHTER),
        };
    }
}
