<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;

/** What somebody tapped on a photograph of a car: things of known length, and parts of it. */
final class CarPhotoRequest extends FormRequest
{
    use InUnitsOfTheClass;

    private const MOST = 24;
    private const MOST_PX = 40_000;

    /** Something of known length in a photo of a car is no longer (m). */
    private const LONGEST_M = 3.0;

    /** Lines come as one text of JSON, since a form's fields hold no lists. */
    protected function prepareForValidation(): void
    {
        $seen = json_decode((string) $this->input('seen'), true, 6);
        $this->merge(array_intersect_key(is_array($seen) ? $seen : [], ['known' => 1, 'parts' => 1]));
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $length = new ReadsAs($this->unit(), static fn(float $si): ?Remark => $si > 0.0 && $si <= self::LONGEST_M ? null
            : new Remark('photo.form.length', ['greatest' => new Shown(self::LONGEST_M, Scale::Lane)]), $this->units());
        $px = ['required', 'numeric', 'between:0,' . self::MOST_PX];

        return [
            'seen' => ['required', 'string', 'max:20000'],
            'known' => ['present', 'array', 'max:' . self::MOST],
            'known.*.px' => $px,
            'known.*.length' => ['required', 'string', 'max:40', $length],
            'parts' => ['present', 'array', 'max:' . self::MOST],
            'parts.*.px' => $px,
            'parts.*.part' => [
                'required', Rule::in(array_map(static fn(CarAttribute $part): string => $part->value, CarPhotoController::MEASURED)),
            ],
            'per_screen_px' => ['required', 'numeric', 'between:0.001,1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'known.*.length.required' => Text::of('photo.form.say_how_long'),
            'seen.*' => Text::of('photo.form.tap_first'),
            'per_screen_px.*' => Text::of('photo.form.tap_first'),
        ];
    }

    /** @return list<array{float, float}> px and m */
    public function known(): array
    {
        return array_map(
            fn(array $known): array => [(float) $known['px'], ReadsAs::read($known['length'], $this->unit())?->quantity->si() ?? 0.0],
            array_values((array) $this->input('known')),
        );
    }

    /** @return list<array{CarAttribute, float}> and px */
    public function parts(): array
    {
        return array_map(
            static fn(array $part): array => [CarAttribute::from((string) $part['part']), (float) $part['px']],
            array_values((array) $this->input('parts')),
        );
    }

    public function perScreenPx(): float
    {
        return (float) $this->input('per_screen_px');
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Body) ?? Unit::Centimetre;
    }
}
