<?php

declare(strict_types=1);

namespace App\ViewModels;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;

/** How far a car of a design will go that nobody has built yet: as wide as what is known of the class's hands leaves it. */
final readonly class DesignForecast
{
    /** Null where too little is known of the design, or the model can't compute with it. */
    public static function of(ClassRecord $record, Car $car): ?Forecast
    {
        $challenge = $record->challenge;
        if (!($car->has(CarAttribute::NozzleBore) || $car->has(CarAttribute::NozzleKind))) {
            return null;
        }
        try {
            $model = CarModel::of($car, $challenge->catalogue(), $challenge->surface, $challenge->air_temperature_c, $challenge->pumpCurve());
        } catch (BeyondModelException) {
            return null;
        }
        $state = ClassFindings::of($record)->found->forecast->usual();

        return WorkedOut::from('design', [$model->settings, $state], static function () use ($model, $state): ?Forecast {
            try {
                return Prediction::of(Prediction::begin($model->settings, $state), $state, false)->forecast;
            } catch (OutOfRangeException) {
                return null;
            }
        });
    }
}
