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
use Illuminate\Validation\Validator;
use Skivo\Core\Bench\BenchField;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;

/**
 * The repeats of one bench test as typed, a row each. Empty rows are left out; in a row that has something, what is left
 * empty is as in the row above.
 */
final class BenchRequest extends FormRequest
{
    use AsksBack {
        after as private askBack;
    }
    use InUnitsOfTheClass;
    use JudgesQuantities;

    public const MOST_REPEATS = 12;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [];
        for ($row = 0; $row < self::MOST_REPEATS; $row++) {
            foreach ($this->test()->fields() as $index => $field) {
                $rules[self::key($row, $index)] = [
                    'nullable', 'string', 'max:60', new ReadsAs(
                        $this->unit($field),
                        static fn(float $si): ?Remark => self::complaint($field, $si),
                        $this->units(),
                    ),
                ];
            }
        }

        return $rules;
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            $rows = $this->filledRows();
            $first = array_key_first($rows);
            if ($first === null) {
                return;
            }
            foreach ($this->test()->fields() as $index => $field) {
                if ($rows[$first][$index] === '') {
                    $validator->errors()->add(
                        self::key($first, $index),
                        Text::of('bench.form.is_missing_in_the_first_row', ['field' => Label::of($field)]),
                    );
                }
            }
        }, ...$this->askBack()];
    }

    protected function questions(): array
    {
        $questions = [];
        foreach (array_keys($this->filledRows()) as $row) {
            foreach ($this->test()->fields() as $index => $field) {
                $expected = $field->expected();
                $asked = $expected === null ? null : $this->slipIn(self::key($row, $index), $expected, $this->unit($field), $field->scale);
                if ($asked !== null) {
                    $questions[self::key($row, $index)] = $asked;
                }
            }
        }

        return $questions;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.max' => Text::of('bench.form.that_is_too_long_for_a')];
    }

    /** How many rows a test is shown with: those that have a reading or were typed, and one more, three at the least. */
    public static function rowsFor(int $held, bool $wasTyped): int
    {
        $typed = $wasTyped
            ? count(
                array_filter(
                    array_keys(session()->getOldInput()),
                    static fn(int|string $key): bool => preg_match('/^r\d+_0$/', (string) $key) === 1,
                ),
            )
            : 0;

        return max(3, $held + 1, $typed);
    }

    /** The name of a field. */
    public static function key(int $row, int $index): string
    {
        return "r{$row}_{$index}";
    }

    public function test(): BenchTest
    {
        $test = $this->route('test');

        return $test instanceof BenchTest ? $test : BenchTest::from((string) $test);
    }

    /** @return list<list<Entry>> a repeat each, with an entry for each field */
    public function repeats(): array
    {
        $repeats = [];
        foreach ($this->filledRows() as $row) {
            $above = $repeats[count($repeats) - 1] ?? [];
            $repeat = [];
            foreach ($this->test()->fields() as $index => $field) {
                $entry = ReadsAs::read($row[$index], $this->unit($field)) ?? $above[$index] ?? null;
                if ($entry !== null) {
                    $repeat[] = $entry;
                }
            }
            $repeats[] = $repeat;
        }

        return $repeats;
    }

    /** @return array<int, list<string>> by the number of the row on the page; those that have something */
    private function filledRows(): array
    {
        $rows = [];
        for ($row = 0; $row < self::MOST_REPEATS; $row++) {
            $texts = array_map(
                fn(int $index): string => trim((string) $this->string(self::key($row, $index))),
                array_keys($this->test()->fields()),
            );
            if (implode('', $texts) !== '') {
                $rows[$row] = $texts;
            }
        }

        return $rows;
    }

    private static function complaint(BenchField $field, float $si): ?Remark
    {
        return $si >= $field->least && $si <= $field->greatest ? null : new Remark('bench.out_of_range', [
            'field' => Label::of($field),
            'least' => new Shown($field->least, $field->scale, 1),
            'greatest' => new Shown($field->greatest, $field->scale),
        ]);
    }

    private function unit(BenchField $field): Unit
    {
        return $this->units()->unit($field->scale) ?? Unit::Second;
    }
}
