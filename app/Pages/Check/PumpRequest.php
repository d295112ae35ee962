<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Physics\SizeMeasure;

/** How large a balloon is after so many pump strokes, a row each; empty rows are left out. */
final class PumpRequest extends FormRequest
{
    use InUnitsOfTheClass;

    private const MOST_ROWS = 20;

    /** @return array<string, array<int, mixed>> */
    public function rules(): array
    {
        $units = $this->units();
        $rules = ['measured_as' => ['required', Rule::enum(SizeMeasure::class)]];
        for ($row = 0; $row < self::MOST_ROWS; $row++) {
            $rules["strokes_{$row}"] = ['nullable', 'integer', 'between:1,500', "required_with:size_{$row}"];
            $rules["size_{$row}"] = [
                'nullable', 'string', 'max:60', "required_with:strokes_{$row}", new ReadsAs(
                    $this->unit(),
                    CarAttribute::BalloonSize->complaint(...),
                    $units,
                ),
            ];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = ['measured_as.*' => Text::of('bench.form.say_whether_it_was_measured_across')];
        for ($row = 0; $row < self::MOST_ROWS; $row++) {
            $messages["strokes_{$row}.required_with"] = Text::of('bench.form.after_how_many_strokes');
            $messages["size_{$row}.required_with"] = Text::of('bench.form.how_large_was_it_then');
            $messages["strokes_{$row}.*"] = Text::of('bench.form.strokes_a_whole_number_from_1');
        }

        return $messages;
    }

    public function measuredAs(): SizeMeasure
    {
        return SizeMeasure::from($this->string('measured_as')->toString());
    }

    /** @return list<array{int, Entry}> */
    public function readings(): array
    {
        $readings = [];
        for ($row = 0; $row < self::MOST_ROWS; $row++) {
            $entry = ReadsAs::read($this->input("size_{$row}"), $this->unit());
            if ($entry !== null) {
                $readings[] = [$this->integer("strokes_{$row}"), $entry];
            }
        }

        return $readings;
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Body) ?? Unit::Centimetre;
    }
}
