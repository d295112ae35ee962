<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Concerns\AsksBack;
use App\Http\Requests\Concerns\InUnitsOfTheClass;
use App\Rules\ReadsAs;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Choice;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Physics\Hollow;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;

/** A build sheet, as typed. Every field may be left empty. */
final class CarRequest extends FormRequest
{
    use AsksBack;
    use InUnitsOfTheClass;

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
        foreach (Choice::cases() as $choice) {
            $rules[$choice->value] = match (true) {
                $choice === Choice::WheelMount => ['nullable', Rule::enum(WheelMount::class)],
                $choice === Choice::WheelHollow => ['nullable', Rule::enum(Hollow::class)],
                $choice->isKind() => ['nullable', 'string', 'max:' . Limits::KIND_CHARACTERS],
                $choice->isCount() => ['nullable', 'integer', 'between:' . implode(',', $choice->range())],
                default => ['nullable', 'string', new ReadsAs(TypedCar::bareUnit($choice, $this->units()), fn(float $si): ?string => $choice->complaint($si, $this->units()))],
            };
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = ['wheel_mount' => 'Choose one of the two ways of mounting wheels.', 'wheel_hollow' => 'Choose which way the hollow faces.'];
        foreach (Choice::cases() as $choice) {
            if ($choice->isCount()) {
                [$least, $greatest] = $choice->range();
                $messages["{$choice->value}.*"] = "{$choice->label()} must be a whole number from {$least} to {$greatest}" . ($choice->scale() === Scale::Angle ? ' degrees.' : '.');
            }
        }

        return $messages;
    }

    protected function questions(): array
    {
        $questions = [];
        foreach ($this->choices()->quantities as $key => $entry) {
            $choice = Choice::from($key);
            $si = $entry->quantity->si();
            if ($choice->isUnusual($si)) {
                [$least, $greatest] = $choice->usual() ?? [0.0, 0.0];
                $show = fn(float $value): string => $this->units()->show($value, $choice->scale() ?? Scale::Body);
                $questions[$key] = "{$choice->label()}: {$show($si)} is far " . ($si < $least ? "less than {$show($least)}, the least" : "more than {$show($greatest)}, the most") . ' that cars like this have. Is the unit right?';
            }
        }

        return $questions;
    }

    public function choices(): Car
    {
        return TypedCar::read($this->all(), $this->units());
    }
}
