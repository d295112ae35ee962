<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Tyre;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Change;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\SizeMeasure;

/** A car in a line. */
final readonly class CarWords
{
    /** What a line about a car has anyway. */
    private const BRIEF = [CarAttribute::NozzleBore, CarAttribute::Mass, CarAttribute::TurnsWound, CarAttribute::RampHeight];

    /**
     * The two or three choices that matter most, as in "2 × 6 mm, 58 g"; "not recorded" where there are none.
     *
     * @param CarAttribute|null $asked what the class asks about, which then stands first
     */
    public static function brief(?Car $car, UnitSystem $units, ?CarAttribute $asked = null): string
    {
        $parts = [];
        $value = $asked === null || in_array($asked, self::BRIEF, true) ? null : $car?->explanation($asked);
        if ($value !== null) {
            $parts[] = FactorWords::value($asked, $value, $units);
        }
        $bore = $car?->blows() === true ? $car->number(CarAttribute::NozzleBore) : null;
        $turns = $car?->source()?->winds() === true ? $car->number(CarAttribute::TurnsWound) : null;
        $ramp = $car?->source()?->rollsDown() === true ? $car->number(CarAttribute::RampHeight) : null;
        if ($turns !== null) {
            $parts[] = Text::plural('build.part.turns', $turns);
        }
        if ($ramp !== null) {
            $parts[] = Text::of('build.part.ramp', ['shown' => $units->show($ramp, Scale::Body)]);
        }
        if ($bore !== null) {
            $outlets = (int) ($car->number(CarAttribute::NozzleOutlets) ?? 1);
            $parts[] = ($outlets > 1 ? "{$outlets} × " : '') . $units->show($bore, Scale::Part);
        }
        $mass = $car?->number(CarAttribute::Mass);
        if ($mass !== null) {
            $parts[] = $units->show($mass, Scale::Weight);
        }
        if ($parts === [] && $car?->isEmpty() === false) {
            return Text::of('build.car_words.partly_recorded');
        }

        return $parts === [] ? Text::of('build.car_words.not_recorded') : implode(', ', $parts);
    }

    /**
     * The whole record in a line for each part, as in Nozzle: "wide straw, bore 8 mm, 120 mm long".
     *
     * @return array<string, string> by the name of the part; parts of which nothing is recorded are left out
     */
    public static function parts(Car $car, UnitSystem $units): array
    {
        $say = static fn(CarAttribute $attribute): ?string => self::choice($car, $attribute, $units);
        $with = static fn(string $key, ?string $shown): ?string => $shown === null ? null : Text::of(
            "build.part.{$key}",
            ['shown' => $shown],
        );
        $outlets = (int) ($car->number(CarAttribute::NozzleOutlets) ?? 1);
        $strokes = $car->number(CarAttribute::PumpStrokes);
        $bore = $say(CarAttribute::NozzleBore);
        $turns = $car->number(CarAttribute::TurnsWound);
        $chain = $car->chainLengthM();
        $parts = [
            'nozzle' => [
                $say(CarAttribute::NozzleKind),
                $with(
                    'bore',
                    $bore !== null && $outlets > 1 ? "{$outlets} × {$bore}" : $bore,
                ),
                $with('long', $say(CarAttribute::NozzleLength)),
            ],
            'balloon' => [
                $with('filled', $say(CarAttribute::BalloonSize)),
                $strokes === null ? null
                                   : Text::plural('build.part.strokes', $strokes),
                $with('nominal', $say(CarAttribute::BalloonNominal)),
            ],
            'band' => [
                $chain === null ? null : $with('chain', $units->show($chain, Scale::Body)),
                $turns === null ? null : Text::plural('build.part.turns', $turns),
                $say(CarAttribute::BandEnd),
                $with('driven', $say(CarAttribute::DrivenEnd)),
            ],
            'ramp' => [$with('ramp', $say(CarAttribute::RampHeight))],
            'wheels' => [
                $say(CarAttribute::WheelKind), $say(CarAttribute::WheelDiameter), $say(CarAttribute::WheelMount),
                $car->kind(CarAttribute::Tyre) === Tyre::None->value ? null : $say(CarAttribute::Tyre),
            ],
            'car' => [$say(CarAttribute::Mass), $say(CarAttribute::Chassis), $with('on', $say(CarAttribute::Surface))],
        ];
        $source = $car->source() ?? EnergySource::Balloon;
        $asked = ['nozzle' => $source->blows(), 'balloon' => $source->blows(), 'band' => $source->winds(), 'ramp' => $source->rollsDown()];
        $said = [];
        foreach (array_filter($parts, static fn(string $part): bool => $asked[$part] ?? true, ARRAY_FILTER_USE_KEY) as $part => $each) {
            $said[Text::of("build.part.name.{$part}")] = implode(', ', array_filter($each, static fn(?string $one): bool => $one !== null));
        }

        return array_filter($said, static fn(string $each): bool => $each !== '');
    }

    /** One choice as shown, in the class's units; null where it is not recorded. */
    public static function choice(?Car $car, CarAttribute $choice, UnitSystem $units): ?string
    {
        $number = $car?->number($choice);
        if ($number !== null && $choice->scale() !== null) {
            $shown = $units->show($number, $choice->scale());

            return self::isAround($car, $choice) ? Text::of('build.part.around', ['shown' => $shown]) : $shown;
        }
        $kind = $car?->kind($choice);

        return $kind === null ? null : self::kind($choice, $kind);
    }

    /** A kind in the reader's words where it is one of ours; as it was typed where it is not. */
    public static function kind(CarAttribute $attribute, string $kind): string
    {
        $code = array_values(array_filter($attribute->options(), static fn(\BackedEnum $each): bool => $each->value === $kind))[0] ?? null;

        return $code === null ? $kind : Label::of($code);
    }

    private static function isAround(?Car $car, CarAttribute $attribute): bool
    {
        return $attribute === CarAttribute::BalloonSize && $car?->balloonMeasuredAs === SizeMeasure::Circumference;
    }

    /**
     * What was changed to make a new version, and whether the results can tell what it did.
     */
    public static function change(Car $before, Car $after, UnitSystem $units): string
    {
        $said = implode('; ', self::differences($before, $after, $units));
        $made = array_map(static fn(CarAttribute $choice): string => Label::inside($choice), Change::made($before, $after));

        return $said === ''
            ? Text::of('build.car_words.nothing_recorded_differs')
            : ucfirst($said) . '.' . (Change::isOneThing($before, $after) ? ''
            : ' ' . Text::of('build.car_words.more_than_one_thing_changed_the', ['made' => Lists::and($made)]));
    }

    /**
     * What differs from another version of the car, as in "nozzle bore 6 to 8 mm".
     *
     * @return list<string>
     */
    public static function differences(Car $before, Car $after, UnitSystem $units): array
    {
        $said = [];
        $changes = $before->changesTo($after);
        $isOtherDrive = in_array(CarAttribute::EnergySource, $changes, true);
        foreach ($changes as $choice) {
            // Another source of energy brings its own drive along: that needs no list.
            if ($isOtherDrive && $choice->isOfTheDrive()) {
                continue;
            }
            $old = self::choice($before, $choice, $units);
            $new = self::choice($after, $choice, $units);
            // One unit is enough, as in 6 to 8 mm.
            $number = $before->number($choice);
            if ($old !== null && $new !== null && $number !== null && $choice->scale() !== null && !self::isAround($before, $choice)) {
                $old = $units->figure($number, $choice->scale());
            }
            $said[] = Text::of(
                'build.car_words.to',
                ['choice' => Label::inside($choice), 'old' => $old ?? Text::of('run.no_value'), 'new' => $new ?? Text::of('run.no_value')],
            );
        }

        return $said;
    }
}
