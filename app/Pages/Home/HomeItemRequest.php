<?php

declare(strict_types=1);

namespace App\Pages\Home;

use App\Forms\AsksBack;
use App\Forms\JudgesQuantities;
use App\Forms\ReadsAs;
use App\Forms\TypedCar;
use App\Language\Text;
use App\Language\Words;
use App\Models\HomeLink;
use App\Models\Photo;
use App\Pages\Build\CarRequest;
use App\Pages\Run\PredictionRequest;
use App\Record\ExpectedRun;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** What a group sends from home. */
final class HomeItemRequest extends FormRequest
{
    use AsksBack;
    use JudgesQuantities;

    /** What may be otherwise about the car at home. */
    public const CHOICES = [CarAttribute::NozzleBore, CarAttribute::BalloonSize, CarAttribute::Mass];

    private const LONGEST_RUN_M = 100.0;
    private const LARGEST_KB = 12_000;

    private ?HomeLink $link = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->link()->group->challenge->units ?? UnitSystem::Metric;
        $kind = $this->input('kind');
        $rules = [
            'kind' => ['required', Rule::in(['run', 'note', 'photo'])],
            'distance' => [Rule::requiredIf($kind === 'run'), 'nullable', 'string', 'max:40', new ReadsAs(
                $units->unit(Scale::Distance) ?? Unit::Centimetre,
                static fn(float $si): ?Remark => $si > 0.0 && $si <= self::LONGEST_RUN_M
                    ? null
                    : new Remark('home.form.how_far_up_to', ['greatest' => new Shown(self::LONGEST_RUN_M, Scale::Lane)]),
                $units,
            )],
            'text' => [Rule::requiredIf($kind === 'note'), 'nullable', 'string', 'max:' . Limits::NOTE_CHARACTERS],
            'photo' => [Rule::requiredIf($kind === 'photo'), 'nullable', 'file', 'max:' . self::LARGEST_KB, $this->isPhoto(...)],
        ];
        foreach (self::CHOICES as $choice) {
            $rules[$choice->value] = [
                'nullable', 'string', 'max:40', new ReadsAs($choice->bareUnit($units) ?? Unit::Millimetre, $choice->complaint(...), $units),
            ];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => Text::of('home.form.say_what_it_is'),
            'distance.required' => Text::of('home.form.how_far'),
            'text.required' => Text::of('home.form.write_something'),
            'photo.*' => Text::of('home.form.choose_a_photo'),
        ];
    }

    public function link(): ?HomeLink
    {
        return $this->link ??= HomeLink::withToken((string) $this->route('token'));
    }

    /** @return array<string, string> as typed, by field, each with its unit */
    public function payload(): array
    {
        $fields = match ($this->string('kind')->toString()) {
            'run' => ['distance', 'text', ...array_map(static fn(CarAttribute $choice): string => $choice->value, self::CHOICES)],
            default => ['text'],
        };

        $typed = array_filter(
            array_map(fn(string $field): string => trim($this->string($field)->toString()), array_combine($fields, $fields)),
            static fn(string $typed): bool => $typed !== '',
        );

        return array_combine(array_keys($typed), array_map($this->withUnit(...), array_keys($typed), $typed));
    }

    protected function questions(): array
    {
        $group = $this->link()?->group;
        if ($group === null || $this->input('kind') !== 'run') {
            return [];
        }
        $units = $group->challenge->units;
        $unit = $units->unit(Scale::Distance) ?? Unit::Centimetre;
        // At home the floor is another, and as long as the flat.
        $asked = [
            'distance' => $this->slipIn(
                'distance',
                ExpectedRun::of($group->challenge, $group)->atLeast(PredictionRequest::OF_A_GUESS),
                $unit,
                Scale::Distance,
            ),
        ];

        return array_filter($asked, static fn(?string $each): bool => $each !== null)
            + CarRequest::unusual(TypedCar::read($this->only(array_column(self::CHOICES, 'value')), $units, true), $this->words());
    }

    private function words(): Words
    {
        return new Words($this->link()->group->challenge->units ?? UnitSystem::Metric);
    }

    /** A bare number with the unit that stood beside it. */
    private function withUnit(string $field, string $typed): string
    {
        $units = $this->link()->group->challenge->units ?? UnitSystem::Metric;
        $unit = $field === 'distance' ? $units->unit(Scale::Distance) : CarAttribute::tryFrom($field)?->bareUnit($units);

        return $unit === null ? $typed : ReadsAs::read($typed, $unit)->text ?? $typed;
    }

    public function photo(): ?Photo
    {
        $file = $this->file('photo');
        $photo = $file instanceof UploadedFile && $this->input('kind') === 'photo' ? Photo::read((string) $file->getRealPath()) : null;

        return $photo instanceof Photo ? $photo : null;
    }

    private function isPhoto(string $attribute, mixed $value, Closure $fail): void
    {
        if ($value instanceof UploadedFile && !Photo::read((string) $value->getRealPath()) instanceof Photo) {
            $fail(Text::of('home.form.choose_a_photo'));
        }
    }
}
