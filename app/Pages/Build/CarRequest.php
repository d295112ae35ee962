<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Forms\AsksBack;
use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Forms\SpeltAnew;
use App\Forms\TypedCar;
use App\Language\Label;
use App\Language\Text;
use App\Language\Words;
use App\Models\Challenge;
use App\Models\Group;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\Outline;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\SizeMeasure;

/** A build sheet, as typed. Every field may be left empty. */
final class CarRequest extends FormRequest
{
    use AsksBack;
    use InUnitsOfTheClass;

    /** A balloon is filled to no more of the size that it is sold by. Common practice, no source. */
    private const MOST_OF_NOMINAL = 1.15;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'balloon_measured_as' => ['nullable', Rule::enum(SizeMeasure::class)],
            'note' => ['nullable', 'string', 'max:' . Limits::NOTE_CHARACTERS],
            'reason' => ['nullable', 'string', 'max:' . Limits::NOTE_CHARACTERS],
            'edition' => ['nullable', 'string', 'max:20'],
            'save_as' => ['nullable', Rule::in(['version', 'correction'])],
        ];
        foreach (CarAttribute::recorded() as $attribute) {
            $rules[$attribute->value] = self::rule($attribute, $this->units());
        }

        return $rules;
    }

    /** @return list<mixed> by which what is typed for an attribute is judged; it may be left empty */
    public static function rule(CarAttribute $attribute, UnitSystem $units): array
    {
        return match (true) {
            $attribute->options() !== [] => ['nullable', Rule::in(array_column($attribute->options(), 'value'))],
            $attribute === CarAttribute::ChassisOutline => ['nullable', 'string', self::outline(...)],
            $attribute->isKind() => ['nullable', 'string', 'max:' . Limits::KIND_CHARACTERS],
            $attribute->isCount() => ['nullable', 'integer', 'between:' . implode(',', $attribute->range())],
            default => ['nullable', 'string', new ReadsAs(TypedCar::bareUnit($attribute, $units), $attribute->complaint(...), $units)],
        };
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = [];
        foreach (CarAttribute::recorded() as $attribute) {
            if ($attribute->options() !== []) {
                $messages["{$attribute->value}.*"] = Text::of('build.choose_one', ['attribute' => Label::inside($attribute)]);
            }
            if ($attribute->isCount()) {
                $messages["{$attribute->value}.*"] = self::notACount($attribute, $this->words());
            }
        }

        return $messages;
    }

    private static function outline(string $attribute, mixed $value, \Closure $fail): void
    {
        if (Outline::read(is_string($value) ? $value : null) === null) {
            $fail(Text::of('build.not_an_outline', ['least' => Outline::LEAST]));
        }
    }

    /** What is said of something that is no such count. */
    public static function notACount(CarAttribute $attribute, Words $words): string
    {
        [$least, $greatest] = $attribute->range();

        return $words->say(new Remark(
            $attribute->scale() === Scale::Angle ? 'quantity.not_whole_degrees' : 'quantity.not_whole',
            ['attribute' => $attribute, 'least' => $least, 'greatest' => $greatest],
        ));
    }

    protected function questions(): array
    {
        [$challenge, $group] = [$this->route('challenge'), $this->route('group')];
        $spelt = $challenge instanceof Challenge && $group instanceof Group
            ? (new SpeltAnew($challenge, $group))->questions($this->choices(), $group->newestCar()?->choices)
            : [];

        return self::unusual($this->choices(), $this->words()) + $spelt;
    }

    /** @return array<string, string> what is asked back of a car, by the value of the attribute */
    public static function unusual(Car $car, Words $words): array
    {
        $questions = [];
        foreach ($car->quantities as $key => $entry) {
            $attribute = CarAttribute::from($key);
            $si = $entry->quantity->si();
            $usual = $attribute->facts()->usual;
            if ($usual !== null && $attribute->isUnusual($si)) {
                $questions[$key] = $words->say(new Remark($si < $usual[0] ? 'quantity.unusually_small' : 'quantity.unusually_large', [
                    'attribute' => $attribute,
                    'value' => $attribute->shown($si, 0),
                    'least' => $attribute->shown($usual[0], 0),
                    'greatest' => $attribute->shown($usual[1], 0),
                ]));
            }
        }

        return self::around($car, $words) + $questions;
    }

    /** @return array<string, string> whether a balloon that is larger than it is made was measured around */
    private static function around(Car $car, Words $words): array
    {
        $nominal = $car->number(CarAttribute::BalloonNominal);
        $across = $car->balloonDiameterM();
        $isAcross = $car->balloonMeasuredAs !== SizeMeasure::Circumference;

        return $nominal === null || $across === null || !$isAcross || $across <= self::MOST_OF_NOMINAL * $nominal ? [] : [
            CarAttribute::BalloonSize->value => $words->say(new Remark('quantity.slip.around', [
                'nominal' => new Shown($nominal, Scale::Body), 'value' => new Shown($across, Scale::Body),
                'across' => new Shown($across / M_PI, Scale::Body, 1),
            ])),
        ];
    }

    /** Whether the car was changed, and not only its record; null where nobody said. */
    public function asNewVersion(): ?bool
    {
        return $this->filled('save_as') ? $this->input('save_as') === 'version' : null;
    }

    public function choices(): Car
    {
        return TypedCar::read($this->all(), $this->units());
    }
}
