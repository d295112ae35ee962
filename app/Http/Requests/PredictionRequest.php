<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Concerns\InUnitsOfTheClass;
use App\Presenters\Text;
use App\Rules\ReadsAs;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;

/** How far a group expects its next try to go. */
final class PredictionRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->units();

        return ['predicted' => ['required', 'string', 'max:60', new ReadsAs($this->unit(), Limits::distanceComplaint(...), $units)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['predicted.required' => Text::of('run.form.how_far_will_it_go')];
    }

    public function distance(): Entry
    {
        return ReadsAs::read($this->input('predicted'), $this->unit()) ?? throw new \LogicException('It was validated.');
    }

    private function unit(): Unit
    {
        return $this->units()->unit(Scale::Distance) ?? Unit::Centimetre;
    }
}
