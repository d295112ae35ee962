<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Diagnosis\Symptom;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;

/** What was seen, as chosen and typed. */
final class DiagnosisRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $length = new ReadsAs(
            $this->bareUnit(),
            static fn(float $metres): ?Remark => $metres > 0.0 ? Limits::distanceComplaint($metres) : new Remark('quantity.nothing'),
            $this->units(),
        );

        return [
            'seen' => ['nullable', Rule::enum(Symptom::class)],
            'drift' => ['nullable', 'string', 'required_with:over', $length],
            'side' => ['nullable', Rule::enum(Side::class)],
            'over' => ['nullable', 'string', 'required_with:drift', $length],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'seen' => Text::of('diagnosis.form.choose_what_was_seen'), '*.required_with' => Text::of(
                'diagnosis.form.the_drift_is_needed_and_the',
            ),
        ];
    }

    public function symptom(): ?Symptom
    {
        return $this->enum('seen', Symptom::class);
    }

    /** To the left (m); below zero to the right; null where it was not typed. */
    public function driftM(): ?float
    {
        $drift = ReadsAs::read($this->input('drift'), $this->bareUnit())?->quantity->si();

        return $drift === null ? null : $drift * ($this->enum('side', Side::class) ?? Side::Left)->sign();
    }

    public function overM(): ?float
    {
        return ReadsAs::read($this->input('over'), $this->bareUnit())?->quantity->si();
    }

    /** Where a wrong question leads: back to the page without it. */
    protected function getRedirectUrl(): string
    {
        return route('diagnosis.show', [$this->route('challenge'), $this->route('group')]);
    }

    private function bareUnit(): Unit
    {
        return $this->units()->unit(Scale::Distance) ?? Unit::Centimetre;
    }
}
