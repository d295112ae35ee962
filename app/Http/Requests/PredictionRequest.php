<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Concerns\InUnitsOfTheClass;
use App\Rules\ReadsAs;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;

/** How far a group expects its next try to go. */
final class PredictionRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** Farther than any hall (m). */
    private const FARTHEST_M = 100.0;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->units();

        return ['predicted' => ['required', 'string', 'max:60', new ReadsAs($this->unit(), static fn(float $si): ?string => $si <= self::FARTHEST_M ? null : "At most {$units->show(self::FARTHEST_M, Scale::Lane)}. Check the unit.")]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['predicted.required' => 'How far will it go?'];
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
