<?php

declare(strict_types=1);

namespace App\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Choice;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Physics\SizeMeasure;

/**
 * The columns of a build sheet as the core's record of a car, and back.
 *
 * @implements CastsAttributes<Car, Car>
 */
final class AsChoices implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): Car
    {
        $quantities = $counts = $kinds = [];
        foreach (Choice::cases() as $choice) {
            $column = self::column($choice);
            $held = $attributes[$column] ?? null;
            if (!is_scalar($held)) {
                continue;
            }
            if ($choice->isQuantity()) {
                $quantities[$choice->value] = new Entry($choice->quantity((float) $held), (string) ($attributes["{$choice->value}_entered"] ?? ''));
            } elseif ($choice->isCount()) {
                $counts[$choice->value] = (int) $held;
            } else {
                $kinds[$choice->value] = (string) $held;
            }
        }
        $measure = $attributes['balloon_measured_as'] ?? null;
        $note = $attributes['note'] ?? null;

        return new Car(
            $quantities,
            $counts,
            $kinds,
            is_string($measure) ? SizeMeasure::from($measure) : null,
            is_string($note) ? $note : null,
        );
    }

    /** @return array<string, float|string|null> */
    public function set(Model $model, string $key, mixed $value, array $attributes): array
    {
        $car = $value ?? new Car();
        $columns = [
            'balloon_measured_as' => isset($car->quantities[Choice::BalloonSize->value])
                ? ($car->balloonMeasuredAs ?? SizeMeasure::Diameter)->value
                : null,
            'note' => $car->note,
        ];
        foreach (Choice::cases() as $choice) {
            $columns[self::column($choice)] = $choice->isKind() ? $car->kind($choice) : $car->number($choice);
            if ($choice->isQuantity()) {
                $columns["{$choice->value}_entered"] = ($car->quantities[$choice->value] ?? null)?->text;
            }
        }

        return $columns;
    }

    private static function column(Choice $choice): string
    {
        return $choice->isQuantity() ? AsEntry::column($choice->value, $choice->dimension()) : $choice->value;
    }
}
