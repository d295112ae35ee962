<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Support\Facades\Lang;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;

/** How a choice is spoken of. */
final readonly class FactorWords
{
    /** As in "a wider bore". */
    public static function one(CarAttribute $factor, bool $more): string
    {
        return self::said($factor, $more ? 'one_more' : 'one_less');
    }

    /** As in "Does a wider bore carry the car farther?", or "Do jar lids carry the car farther than bottle caps?". */
    public static function question(Question $question): string
    {
        $outcome = $question->outcome->value;
        if ($question->from !== null) {
            return Text::of("findings.factor.kind_{$outcome}", [
                'to' => self::value($question->attribute, (string) $question->to, UnitSystem::Metric),
                'from' => self::value($question->attribute, $question->from, UnitSystem::Metric),
            ]);
        }
        $isMore = ($question->direction() > 0) === ($question->outcome === Outcome::Distance);

        // A heavier car is the car itself.
        $own = "findings.factor.{$question->attribute->value}.asks_{$outcome}";

        return Text::of(Lang::has($own) ? $own : "findings.factor.number_{$outcome}", ['what' => self::one($question->attribute, $isMore)]);
    }

    /** What may be asked about, as in "a wider bore" or "kind of wheels: one or the other". */
    public static function asked(CarAttribute $attribute): string
    {
        return $attribute->explainsAsNumber()
            ? self::one($attribute, (new Question($attribute))->direction() > 0)
            : Text::of('findings.factor.one_or_the_other', ['factor' => Label::of($attribute)]);
    }

    /** What else differs, as it is said beside results: what hands add to friction is known by what a bench measured of it. */
    public static function beside(CarAttribute $attribute): string
    {
        return $attribute === CarAttribute::Workmanship ? Text::of('findings.factor.measured_friction') : Label::of($attribute);
    }

    /** As in "Wider bores". */
    public static function many(CarAttribute $factor, bool $more): string
    {
        return self::said($factor, $more ? 'many_more' : 'many_less');
    }

    /** A value as the build sheet would have it: 8 mm, or jar lids. */
    public static function value(CarAttribute $factor, float|string $value, UnitSystem $units): string
    {
        return match (true) {
            is_float($value) => $units->show($value, $factor->scale() ?? Scale::Count),
            $factor === CarAttribute::EnergySource => Text::of(
                'findings.factor.source.' . str_replace(' ', '_', mb_strtolower(trim($value))),
            ),
            $factor === CarAttribute::Balloons => Text::plural('findings.factor.balloons', (int) $value),
            $factor === CarAttribute::NozzleOutlets => Text::plural('findings.factor.outlets', (int) $value),
            default => CarWords::kind($factor, $value),
        };
    }

    private static function said(CarAttribute $factor, string $form): string
    {
        $key = "findings.factor.{$factor->value}.{$form}";

        return Lang::has($key) ? Text::of($key) : Text::of("findings.factor.other.{$form}", ['factor' => Label::of($factor)]);
    }
}
