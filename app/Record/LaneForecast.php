<?php

declare(strict_types=1);

namespace App\Record;

use Skivo\Core\Forecast\Forecast;

/** How far a usual car of the challenge's kit will go, beside its lane: whether that is long enough is asked before the day. */
final readonly class LaneForecast
{
    private function __construct(
        public Forecast $forecast,
        public float $laneM,
    ) {}

    /** Null where the challenge has no lane, or its kit says too little of a car. */
    public static function of(ClassRecord $record, ?ClassPlan $plan = null): ?self
    {
        $challenge = $record->challenge;
        $lane = $challenge->lane_length?->quantity->si();
        $kit = ($plan ?? ClassPlan::of($challenge))->kitCar();
        if ($lane === null) {
            return null;
        }
        $forecast = DesignForecast::of($record, $kit);

        return $forecast === null ? null : new self($forecast, $lane);
    }

    /** Whether more than one try in forty may pass its end. */
    public function isShort(): bool
    {
        return $this->forecast->band95->high > $this->laneM;
    }
}
