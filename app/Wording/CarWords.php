<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Build\Car;
use Skivo\Core\Build\Choice;
use Skivo\Core\Quantity\Scale;
use Skivo\Core\Quantity\UnitSystem;

/** A car in a line. */
final readonly class CarWords
{
    /** The two or three choices that matter most, as in "2 × 6 mm, 58 g"; "not recorded" where there are none. */
    public static function brief(?Car $car, UnitSystem $units): string
    {
        $parts = [];
        $bore = $car?->number(Choice::NozzleBore);
        if ($bore !== null) {
            $outlets = (int) ($car->number(Choice::NozzleOutlets) ?? 1);
            $parts[] = ($outlets > 1 ? "{$outlets} × " : '') . $units->show($bore, Scale::Part);
        }
        $mass = $car?->number(Choice::Mass);
        if ($mass !== null) {
            $parts[] = $units->show($mass, Scale::Weight);
        }
        if ($parts === [] && $car?->isEmpty() === false) {
            return 'partly recorded';
        }

        return $parts === [] ? 'not recorded' : implode(', ', $parts);
    }

    /** One choice as shown, in the class's units; null where it is not recorded. */
    public static function choice(?Car $car, Choice $choice, UnitSystem $units): ?string
    {
        if ($car === null) {
            return null;
        }
        $number = $car->number($choice);
        if ($number !== null && $choice->scale() !== null) {
            $around = $choice === Choice::BalloonSize && $car->balloonMeasuredAs?->value === 'circumference' ? ' around' : '';

            return $units->show($number, $choice->scale()) . $around;
        }

        return $car->kind($choice);
    }

    /**
     * What differs from another version of the car, as in "nozzle bore 6 mm → 8 mm".
     *
     * @return list<string>
     */
    public static function differences(Car $before, Car $after, UnitSystem $units): array
    {
        $said = [];
        foreach (Choice::cases() as $choice) {
            $old = self::choice($before, $choice, $units);
            $new = self::choice($after, $choice, $units);
            if ($old !== $new) {
                $said[] = mb_strtolower($choice->label()) . ' ' . ($old ?? 'none') . ' → ' . ($new ?? 'none');
            }
        }

        return $said;
    }
}
