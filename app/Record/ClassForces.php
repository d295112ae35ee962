<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Simulation\Beyond;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\PumpCurve;

/** The forces of every car of a class: what the bench measured, and what the parts say where it did not. */
final readonly class ClassForces
{
    /** @var array<int, Forces> by the id of the car; of those that have anything recorded, and nothing beyond the model */
    public array $ofCars;

    /** @var array<int, array<string, Beyond>> what is recorded of a car and the model can't compute with, by setting */
    public array $beyond;

    public ClassForecast $forecast;

    public ?PumpCurve $pump;

    public function __construct(public ClassRecord $record)
    {
        $this->pump = $record->challenge->pumpCurve();
        $this->forecast = ClassFindings::of($record)->found->forecast;
        $this->ofCars = $this->forecast->forces;
        $this->beyond = $this->forecast->beyond;
    }

    /** How far one more try of a car will go; null where too little is known of it. */
    public function forecast(?Car $car): ?Forecast
    {
        return $this->forecast->forecasts[$car->id ?? 0] ?? null;
    }

    /** @return list<CarAttribute> what is not on record of a car and must be before anything can be said of it */
    public function missing(?Car $car): array
    {
        return $this->forecast->missing[$car->id ?? 0] ?? [];
    }

    /** What one careful bench test of its friction would make of that; null where it was measured, or too little is known. */
    public function onceMeasured(?Car $car): ?Forecast
    {
        return $this->forecast->onceMeasured[$car->id ?? 0] ?? null;
    }

    /**
     * The input of the run model for one car as its forecast has it: its parts, what the bench measured, and what hands add. Null where
     * that can say nothing of it.
     */
    public static function modelOf(Challenge $challenge, Car $car): ?CarModel
    {
        $forecast = ClassFindings::of(ClassRecord::of($challenge))->found->forecast;
        $model = $forecast->forces[$car->id]->model ?? null;
        $state = $forecast->states[$car->id] ?? null;

        return $model === null || $state === null ? $model : $model->as(Prediction::begin($model->settings, $state));
    }

    /** The friction of a car, as every page has it: as measured, or else as its forecast has it; null where too little is known. */
    public function frictionOf(?Car $car): ?float
    {
        $own = $this->of($car);

        return $own?->frictionIsMeasured() ? $own->friction->value : $this->forecast($car)->friction ?? $own?->friction->value;
    }

    public function of(?Car $car): ?Forces
    {
        return $this->ofCars[$car->id ?? 0] ?? null;
    }

    /**
     * The newest version of every car, and older ones that were measured.
     *
     * @return list<array{Group, Car|null, Forces|null}>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->record->groups as $group) {
            if ($group->cars->isEmpty()) {
                $rows[] = [$group, null, null];
            }
            foreach ($group->cars->reverse() as $car) {
                if ($car->id === $group->currentCar()?->id || $car->bench_readings_exists) {
                    $rows[] = [$group, $car, $this->of($car)];
                }
            }
        }

        return $rows;
    }

    /**
     * The ends of a common scale, above 0.
     *
     * @return array{float, float} the greatest friction that any interval reaches, and the greatest first push (N)
     */
    public function greatest(): array
    {
        $friction = $thrust = [];
        foreach ($this->rows() as [, , $own]) {
            if ($own !== null) {
                array_push($friction, $own->friction->interval()->high, $own->modelFriction->interval()->high);
                array_push($thrust, $own->thrust->interval()->high, $own->modelThrust->interval()->high);
            }
        }

        return [max(1e-6, ...$friction ?: [1.0]), max(1e-6, ...$thrust ?: [1.0])];
    }

    /** @return list<float> measured friction over what the parts say, of each row where it was measured */
    public function frictionRatios(): array
    {
        $measured = array_filter(array_column($this->rows(), 2), static fn(?Forces $own): bool => $own?->frictionIsMeasured() === true);

        return array_values(array_map(static fn(Forces $own): float => $own->friction->value / $own->modelFriction->value, $measured));
    }
}
