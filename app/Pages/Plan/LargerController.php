<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Models\Challenge;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use Illuminate\Contracts\View\View;
use Skivo\Core\Car\Car;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\LargerCar;

/** Whether it works big enough to ride on: worked out on paper. */
final class LargerController
{
    public function show(LargerRequest $request, Challenge $challenge): View
    {
        $record = ClassRecord::of($challenge);
        try {
            $kit = CarModel::of(ClassPlan::of($challenge)->kitCar(), $challenge->catalogue(), $challenge->surface);
        } catch (BeyondModelException) {
            // A kit that the model can't compute with: a usual car is enlarged in its place.
            $kit = CarModel::of(new Car(), $challenge->catalogue(), $challenge->surface);
        }
        $car = Prediction::begin($kit->settings, ClassFindings::of($record)->found->forecast->usual());
        $larger = static fn(float $scale): LargerCar => LargerCar::of($car, $scale, $request->riderKg(), $request->litresPerMinute());
        $asked = $larger($request->scale());

        return view('plan.larger', [
            'challenge' => $challenge,
            'record' => $record,
            'asked' => $asked,
            'alone' => LargerCar::of($car, $request->scale(), 0.0, $request->litresPerMinute()),
            'small' => LargerCar::of($car, 1.0, 0.0, $request->litresPerMinute()),
            'drawing' => new LargerDrawing(array_map($larger, self::sizes()), $asked),
            'riderKg' => $request->riderKg(),
            'litres' => $request->litresPerMinute(),
        ]);
    }

    /** @return non-empty-list<float> in equal steps of the logarithm */
    private static function sizes(): array
    {
        return array_map(static fn(int $step): float => LargerCar::GREATEST_SCALE ** ($step / 24), range(0, 24));
    }
}
