<?php

declare(strict_types=1);

namespace App\ViewModels;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\CarModel;

/** How far a usual car of the challenge's kit will go, beside its lane: whether that is long enough is asked before the day. */
final readonly class LaneForecast
{
    private function __construct(
        public Forecast $forecast,
        public float $laneM,
    ) {}

    /** Null where the challenge has no lane, or its kit says too little of a car. */
    public static function of(ClassRecord $record): ?self
    {
        $challenge = $record->challenge;
        $lane = $challenge->lane_length?->quantity->si();
        $kit = ClassPlan::of($challenge)->kitCar();
        if ($lane === null || !($kit->has(CarAttribute::NozzleBore) || $kit->has(CarAttribute::NozzleKind))) {
            return null;
        }
        $model = CarModel::of($kit, $challenge->catalogue(), $challenge->surface, $challenge->air_temperature_c, $challenge->pumpCurve());
        $state = ClassFindings::of($record)->found->forecast->usual;
        try {
            return new self(Prediction::of(Prediction::begin($model->settings, $state), $state, false)->forecast, $lane);
        } catch (OutOfRangeException) {
            return null;
        }
    }

    /** Whether more than one try in forty may pass its end. */
    public function isShort(): bool
    {
        return $this->forecast->band95->high > $this->laneM;
    }
}
