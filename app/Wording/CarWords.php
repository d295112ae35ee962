<?php

declare(strict_types=1);

namespace App\Wording;

use Skivo\Core\Car\Car;
use Skivo\Core\Car\Change;
use Skivo\Core\Car\Choice;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

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
     * What was changed to make a new version, and whether the results can tell what it did.
     */
    public static function change(Car $before, Car $after, UnitSystem $units): string
    {
        $said = implode('; ', self::differences($before, $after, $units));
        $made = array_map(static fn(Choice $choice): string => mb_strtolower($choice->label()), Change::made($before, $after));

        return $said === '' ? 'Nothing recorded differs.' : ucfirst($said) . '.' . (Change::isOneThing($before, $after) ? ''
            : ' More than one thing changed (' . Lists::and($made) . '): the results will not tell which one did it.');
    }

    /**
     * What differs from another version of the car, as in "nozzle bore 6 to 8 mm".
     *
     * @return list<string>
     */
    public static function differences(Car $before, Car $after, UnitSystem $units): array
    {
        $said = [];
        foreach ($before->changesTo($after) as $choice) {
            $old = self::choice($before, $choice, $units);
            $new = self::choice($after, $choice, $units);
            // One unit is enough, as in 6 to 8 mm.
            $number = $before->number($choice);
            if ($old !== null && $new !== null && $number !== null && $choice->scale() !== null && !str_ends_with($old, 'around')) {
                $old = $units->figure($number, $choice->scale());
            }
            $said[] = mb_strtolower($choice->label()) . ' ' . ($old ?? 'none') . ' to ' . ($new ?? 'none');
        }

        return $said;
    }
}
