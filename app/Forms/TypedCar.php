<?php

declare(strict_types=1);

namespace App\Forms;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\UnreadableQuantityException;
use Skivo\Core\Physics\SizeMeasure;

/** A build sheet as it stands in a form. */
final readonly class TypedCar
{
    /**
     * @param array<array-key, mixed> $input by the value of a CarAttribute
     * @param bool $asFarAsReadable leaves out what cannot be read, for a sheet that is still being filled in
     *
     * @throws UnreadableQuantityException unless as far as readable
     */
    public static function read(array $input, UnitSystem $units, bool $asFarAsReadable = false): Car
    {
        $quantities = $counts = $kinds = [];
        foreach (CarAttribute::recorded() as $choice) {
            $typed = $input[$choice->value] ?? null;
            if (!is_scalar($typed) || trim((string) $typed) === '') {
                continue;
            }
            if ($choice->isQuantity()) {
                $entry = self::quantity($choice, $typed, $units, $asFarAsReadable);
                if ($entry !== null) {
                    $quantities[$choice->value] = $entry;
                }
            } elseif ($choice->isCount()) {
                if (is_numeric($typed) && $choice->complaint((float) $typed) === null) {
                    $counts[$choice->value] = (int) $typed;
                }
            } else {
                $kinds[$choice->value] = (string) $typed;
            }
        }
        $measure = $input['balloon_measured_as'] ?? null;
        $note = $input['note'] ?? null;

        return new Car(
            $quantities,
            $counts,
            $kinds,
            is_string($measure) ? SizeMeasure::tryFrom($measure) ?? SizeMeasure::Diameter : SizeMeasure::Diameter,
            is_string($note) ? $note : null,
        );
    }

    public static function bareUnit(CarAttribute $choice, UnitSystem $units): Unit
    {
        return $choice->bareUnit($units) ?? throw new \LogicException("{$choice->name} has no unit.");
    }

    private static function quantity(CarAttribute $choice, mixed $typed, UnitSystem $units, bool $asFarAsReadable): ?Entry
    {
        try {
            $entry = ReadsAs::read($typed, self::bareUnit($choice, $units));

            return $entry !== null && $asFarAsReadable && $choice->complaint($entry->quantity->si()) !== null ? null : $entry;
        } catch (UnreadableQuantityException $unreadable) {
            return $asFarAsReadable ? null : throw $unreadable;
        }
    }
}
