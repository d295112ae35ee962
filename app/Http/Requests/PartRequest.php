<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Concerns\InUnitsOfTheClass;
use App\Models\Challenge;
use App\Rules\ReadsAs;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Measurement\Scale;

/** A part of the educator's own, as typed. */
final class PartRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'kind' => ['required', Rule::enum(PartKind::class)],
            'name' => ['required', 'string', 'max:80', $this->isNew(...)],
        ];
        foreach ($this->kind()?->fields() ?? [] as $key => [$label, $scale, $least, $greatest]) {
            $within = fn(float $si): ?string => $si >= $least && $si <= $greatest ? null
                : "{$label} must be from {$this->shown($least, $scale)} to {$this->shown($greatest, $scale)}. Check the unit.";
            $unit = $scale === null ? null : $this->units()->unit($scale);
            $rules[$key] = [$this->kind()?->isOptional($key) === true ? 'nullable' : 'required', 'string', $unit === null
                ? static function (string $attribute, mixed $value, Closure $fail) use ($within, $label): void {
                    $number = is_string($value) ? str_replace(',', '.', $value) : '';
                    $wrong = is_numeric($number) ? $within((float) $number) : "{$label} must be a number.";
                    if ($wrong !== null) {
                        $fail($wrong);
                    }
                }
                : new ReadsAs($unit, $within)];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind.*' => 'Choose the kind of part.',
            'name.required' => 'Give the part a name.',
            '*.required' => 'The run model starts from this value: measure it, or take it from a part like it.',
        ];
    }

    /** @return array<string, mixed> by column */
    public function part(): array
    {
        $values = [];
        foreach ($this->kind()?->fields() ?? [] as $key => [, $scale]) {
            $typed = $this->string($key)->toString();
            if ($typed === '') {
                // Of a wheel without one, the hub is as thick as the rim.
                $values[$key] = $key === 'hub_m' ? $values['thickness_m'] : Catalogue::standard()->usual($this->kind() ?? PartKind::Wheel)->value($key);
                continue;
            }
            $unit = $scale === null ? null : $this->units()->unit($scale);
            $values[$key] = $unit === null ? (float) str_replace(',', '.', $typed) : ReadsAs::read($typed, $unit)?->quantity->si();
        }

        return ['kind' => $this->kind(), 'name' => $this->string('name')->toString(), 'values' => $values, 'origin' => 'your own'];
    }

    private function isNew(string $attribute, mixed $value, Closure $fail): void
    {
        $challenge = $this->route('challenge');
        if ($challenge instanceof Challenge && is_string($value)
            && $challenge->ownParts()->where('kind', $this->input('kind'))->whereRaw('lower(name) = lower(?)', [$value])->exists()) {
            $fail('There is a part of your own with this name already. Remove that one first, or choose another name.');
        }
    }

    private function kind(): ?PartKind
    {
        return $this->enum('kind', PartKind::class);
    }

    private function shown(float $si, ?Scale $scale): string
    {
        return $scale === null ? (string) $si : $this->units()->show($si, $scale, 1);
    }
}
