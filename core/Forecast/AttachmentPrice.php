<?php

declare(strict_types=1);

namespace Skivo\Core\Forecast;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Simulation\CarModel;

/** What something carried along costs a car: how much farther it would go without, by the middle of its forecast. */
final readonly class AttachmentPrice
{
    /** Less than this is not worth a word (m). */
    private const WORTH_SAYING_M = 0.02;

    private function __construct(
        /** Of what is carried (kg). */
        public float $massKg,
        /** How much less far it goes (m); below zero it goes farther with it. */
        public float $distanceM,
        /** Whether the car does not start with it, and would without. */
        public bool $stops,
    ) {}

    /**
     * @param CarModel $model of the car with what it carries, of which the mass is on record
     * @param float $massKg of what it carries
     *
     * @return self|null null where the model can say nothing of the car, or where it would not start anyway
     */
    public static function of(CarModel $model, State $state, float $massKg): ?self
    {
        $settings = $model->settings;
        $without = $settings->get(CarAttribute::Mass) - $massKg;
        if ($massKg <= 0.0 || $without < CarAttribute::Mass->range()[0]) {
            return null;
        }
        try {
            [$with, $bare] = array_map(
                static fn(float $mass): float => Prediction::begin($settings->with(CarAttribute::Mass, $mass), $state)->run()->distanceM,
                [$settings->get(CarAttribute::Mass), $without],
            );
        } catch (OutOfRangeException) {
            return null;
        }

        return $bare <= 0.0 ? null : new self($massKg, $bare - $with, $with <= 0.0);
    }

    public function isWorthSaying(): bool
    {
        return abs($this->distanceM) >= self::WORTH_SAYING_M;
    }
}
