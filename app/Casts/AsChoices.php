<?php

declare(strict_types=1);

namespace App\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Physics\SizeMeasure;

/**
 * The JSON of a build sheet as the core's record of a car, and back: by the value of a CarAttribute a word, a count, or a
 * quantity in SI with what was typed.
 *
 * @implements CastsAttributes<Car, Car>
 */
final class AsChoices implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): Car
    {
        $quantities = $counts = $kinds = [];
        $record = is_string($value) ? (array) json_decode($value, true, flags: JSON_THROW_ON_ERROR) : [];
        foreach (CarAttribute::recorded() as $attribute) {
            $held = $record[$attribute->value] ?? null;
            if (is_array($held)) {
                $quantities[$attribute->value] = new Entry($attribute->quantity((float) $held['si']), (string) $held['typed']);
            } elseif (is_string($held)) {
                $kinds[$attribute->value] = $held;
            } elseif ($held !== null) {
                $counts[$attribute->value] = (int) $held;
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

    /** @return array<string, string|null> */
    public function set(Model $model, string $key, mixed $value, array $attributes): array
    {
        $car = $value ?? new Car();
        $record = [];
        foreach (CarAttribute::recorded() as $attribute) {
            $entry = $car->quantities[$attribute->value] ?? null;
            $held = $entry === null
                ? $car->counts[$attribute->value] ?? $car->kinds[$attribute->value] ?? null
                : ['si' => $entry->quantity->si(), 'typed' => $entry->text];
            if ($held !== null) {
                $record[$attribute->value] = $held;
            }
        }

        return [
            'choices' => json_encode((object) $record, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'balloon_measured_as' => isset($car->quantities[CarAttribute::BalloonSize->value])
                ? ($car->balloonMeasuredAs ?? SizeMeasure::Diameter)->value
                : null,
            'note' => $car->note,
        ];
    }
}
