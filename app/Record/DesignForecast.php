<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Challenge;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\State;
use Skivo\Core\Forecast\StrengthPrior;
use Skivo\Core\Forecast\Workmanship;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;

/** How far a car of a design will go that nobody has built yet: as wide as what is known of the class's hands leaves it. */
final readonly class DesignForecast
{
    /** Tries of a car lie so far from each other (share), where no class shows it. Common practice, no source. */
    private const SCATTER = 0.08;

    /** Null where too little is known of the design, or the model can't compute with it. */
    public static function of(ClassRecord $record, Car $car): ?Forecast
    {
        $challenge = $record->challenge;
        if (!($car->has(CarAttribute::NozzleBore) || $car->has(CarAttribute::NozzleKind))) {
            return null;
        }

        return self::by($challenge, $car, ClassFindings::of($record)->found->forecast->usual());
    }

    /** The same by its parts alone, as hands usually build: for what is asked before anybody looks at what the class found. */
    public static function ofParts(Challenge $challenge, Car $car): ?Forecast
    {
        if (
            !($car->has(CarAttribute::NozzleBore) || $car->has(CarAttribute::NozzleKind))
            || !($car->has(CarAttribute::BalloonSize) || $car->has(CarAttribute::PumpStrokes))
        ) {
            return null;
        }
        $prior = new Workmanship([], StrengthPrior::of($car->source() ?? EnergySource::Balloon));

        return self::by($challenge, $car, $prior->usual(self::SCATTER));
    }

    /** A car of the challenge as the run model has it; null where it lies beyond the model. */
    public static function model(Challenge $challenge, Car $car): ?CarModel
    {
        try {
            return CarModel::of(
                $car,
                $challenge->catalogue(),
                $challenge->surface,
                $challenge->air_temperature_c,
                $challenge->pumpCurve(),
            );
        } catch (BeyondModelException) {
            return null;
        }
    }

    private static function by(Challenge $challenge, Car $car, State $state): ?Forecast
    {
        $model = self::model($challenge, $car);
        if ($model === null) {
            return null;
        }

        return WorkedOut::from('design', [$model->settings, $state], static function () use ($model, $state): ?Forecast {
            try {
                return Prediction::of(Prediction::begin($model->settings, $state), $state, false)->forecast;
            } catch (OutOfRangeException) {
                return null;
            }
        });
    }
}
