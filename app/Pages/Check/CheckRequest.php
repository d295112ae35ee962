<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Forms\AsksBack;
use App\Forms\InUnitsOfTheClass;
use App\Forms\JudgesQuantities;
use App\Forms\ReadsAs;
use App\Language\Label;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\Reading;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;

/** A check card as filled in; every field may be left empty. */
final class CheckRequest extends FormRequest
{
    use AsksBack;
    use InUnitsOfTheClass;
    use JudgesQuantities;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [];
        $units = $this->units();
        foreach (CheckItem::cases() as $item) {
            $key = self::key($item);
            $rules["{$key}_note"] = ['nullable', 'string', 'max:' . Limits::NOTE_CHARACTERS];
            $scale = $item->scale();
            if ($scale === null) {
                $rules["{$key}_answer"] = ['nullable', 'boolean'];
                continue;
            }
            $greatest = $item->greatest();
            $rules["{$key}_first"] = ['nullable', 'string', new ReadsAs(
                $this->unit($scale),
                static fn(float $si): ?Remark => $si <= $greatest ? null
                : new Remark(
                    'check.at_most',
                    ['reading' => Label::of($item, 'reading'), 'greatest' => new Shown($greatest, $scale)],
                ),
                $units,
            )];
            if ($item->hasSecond()) {
                $rules["{$key}_first"][] = "required_with:{$key}_second";
                $second = self::secondScale($item);
                $rules["{$key}_second"] = ['nullable', 'string', "required_with:{$key}_first", new ReadsAs(
                    $this->unit($second),
                    static fn(float $si): ?Remark => $si > 0.0 && $si <= $greatest ? null
                    : new Remark(
                        'check.above_nothing',
                        ['reading' => Label::of($item, 'second'), 'greatest' => new Shown($greatest, $second)],
                    ),
                    $units,
                )];
            }
            if ($item === CheckItem::Drift) {
                $rules["{$key}_side"] = ['nullable', Rule::enum(Side::class)];
            }
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.required_with' => Text::of('check.form.both_readings_are_needed')];
    }

    /** @return array<string, Reading|null> by the value of an item; null where nothing stands */
    public function readings(): array
    {
        $readings = [];
        foreach (CheckItem::cases() as $item) {
            $key = self::key($item);
            $scale = $item->scale();
            $note = $this->input("{$key}_note");
            $answer = $this->input("{$key}_answer");
            $reading = new Reading(
                $item,
                $scale === null ? null : ReadsAs::read($this->input("{$key}_first"), $this->unit($scale)),
                !$item->hasSecond() ? null : ReadsAs::read($this->input("{$key}_second"), $this->unit(self::secondScale($item))),
                $this->enum("{$key}_side", Side::class),
                $scale === null && $answer !== null ? $this->boolean("{$key}_answer") : null,
                is_string($note) ? $note : null,
            );
            $readings[$item->value] = $reading->first === null && $reading->answer === null && $reading->note === null ? null : $reading;
        }

        return $readings;
    }

    protected function questions(): array
    {
        $questions = [];
        foreach (CheckItem::cases() as $item) {
            $key = self::key($item);
            foreach (
                [
                    'first' => [$item->expected(), $item->scale()], 'second' => [$item->expectedSecond(), self::secondScale($item)],
                ] as $which => [$expected, $scale]
            ) {
                if ($expected !== null && $scale !== null) {
                    $questions["{$key}_{$which}"] = $this->slipIn("{$key}_{$which}", $expected, $this->unit($scale), $scale);
                }
            }
        }

        return array_filter($questions, static fn(?string $asked): bool => $asked !== null);
    }

    /** The name of an item's fields begins so. */
    public static function key(CheckItem $item): string
    {
        return str_replace('-', '_', $item->value);
    }

    /** A drift is over so much lane; an axle's other side is a part like the first. */
    public static function secondScale(CheckItem $item): Scale
    {
        return $item === CheckItem::Drift ? Scale::Distance : Scale::Part;
    }

    private function unit(Scale $scale): Unit
    {
        return $this->units()->unit($scale) ?? Unit::Second;
    }
}
