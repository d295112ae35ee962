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

    /**
     * The whole record in a line for each part, as in Nozzle: "wide straw, bore 8 mm, 120 mm long".
     *
     * @return array<string, string> by the name of the part; parts of which nothing is recorded are left out
     */
    public static function parts(Car $car, UnitSystem $units): array
    {
        $say = static fn(Choice $choice, string $before = '', string $after = ''): ?string => ($shown = self::choice($car, $choice, $units)) === null ? null : "{$before}{$shown}{$after}";
        $outlets = $car->number(Choice::NozzleOutlets);
        $strokes = $car->number(Choice::PumpStrokes);
        $parts = [
            'Nozzle' => [$say(Choice::NozzleKind), $say(Choice::NozzleBore, ($outlets ?? 1.0) > 1.0 ? 'bore ' . (int) $outlets . ' × ' : 'bore '), $say(Choice::NozzleLength, '', ' long')],
            'Balloon' => [$say(Choice::BalloonSize, 'filled to '), $strokes === null ? null : (int) $strokes . ($strokes > 1.0 ? ' pump strokes' : ' pump stroke'), $say(Choice::BalloonNominal, '', ' nominal')],
            'Wheels' => [$say(Choice::WheelKind), $say(Choice::WheelDiameter), $say(Choice::WheelMount)],
            'Car' => [$say(Choice::Mass), $say(Choice::Chassis), $say(Choice::Surface, 'on ')],
        ];

        return array_filter(array_map(
            static fn(array $said): string => implode(', ', array_filter($said, static fn(?string $each): bool => $each !== null)),
            $parts,
        ), static fn(string $said): bool => $said !== '');
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
