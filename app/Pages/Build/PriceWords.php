<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Language\Text;
use App\Models\Car as Recorded;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use App\Record\DesignForecast;
use App\Record\WorkedOut;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\MassSum;
use Skivo\Core\Forecast\AttachmentPrice;
use Skivo\Core\Measurement\Scale;

/** What an attachment costs, in words. */
final readonly class PriceWords
{
    /** What is proposed where a car carries nothing yet (kg). */
    private const SMALL_LOAD_KG = 0.01;

    /** Said of no finer distances than these (m). */
    private const STEP_M = 0.05;

    /** Null where nothing can be said: the car's mass is not known, or the model can't compute with it. */
    public static function of(ClassRecord $record, Car $car, ?Recorded $recorded): ?string
    {
        $mass = MassSum::of($car)->massKg();
        if ($mass === null || !($car->has(CarAttribute::NozzleBore) || $car->has(CarAttribute::NozzleKind))) {
            return null;
        }
        $challenge = $record->challenge;
        $carried = ($car->number(CarAttribute::ExtrasMass) ?? 0.0) + ($car->number(CarAttribute::DecorationMass) ?? 0.0);
        $model = DesignForecast::model($challenge, $car);
        if ($model === null) {
            return null;
        }
        $forecast = ClassFindings::of($record)->found->forecast;
        $state = $forecast->states[$recorded->id ?? 0] ?? $forecast->usual();
        [$model, $load] = $carried > 0.0
            ? [$model, $carried]
            : [$model->with(CarAttribute::Mass, $mass + self::SMALL_LOAD_KG), self::SMALL_LOAD_KG];
        $price = WorkedOut::from(
            'price',
            [$model, $state, $load],
            static fn(): ?AttachmentPrice => AttachmentPrice::of($model, $state, $load),
        );
        if ($price === null) {
            return null;
        }
        $units = $challenge->units;

        return Text::of(match (true) {
            $price->stops => 'build.price.stops',
            !$price->isWorthSaying() => 'build.price.nothing',
            $price->distanceM > 0.0 => 'build.price.less',
            default => 'build.price.more',
        }, [
            'mass' => $units->show($price->massKg, Scale::Weight),
            'distance' => $units->show(max(self::STEP_M, self::STEP_M * round(abs($price->distanceM) / self::STEP_M)), Scale::Distance),
        ]);
    }
}
