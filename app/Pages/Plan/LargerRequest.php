<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\LargerCar;

/** How many times as large, who sits on it, and what fills it: a question, not a record. */
final class LargerRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** Of an electric pump for airbeds, in litres a minute (from memory), and a child. */
    private const PUMP = 300.0;
    private const RIDER_KG = 40.0;
    private const SCALE = 10.0;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'scale' => ['nullable', 'numeric', 'between:1,' . LargerCar::GREATEST_SCALE],
            'rider' => ['nullable', 'string', new ReadsAs(
                $this->weight(),
                static fn(float $kg): ?Remark => $kg <= LargerCar::HEAVIEST_RIDER_KG ? null : new Remark('plan.larger.too_heavy'),
                $this->units(),
            )],
            'pump' => ['nullable', 'numeric', 'between:0.1,10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'scale.*' => Text::of('plan.larger.scale_from_1', ['most' => (int) LargerCar::GREATEST_SCALE]),
            'pump.*' => Text::of('plan.larger.pump_is_a_number'),
        ];
    }

    /** Typed wrong, the question is asked again on its own page. */
    protected function getRedirectUrl(): string
    {
        return route('plan.larger', $this->route('challenge'));
    }

    public function scale(): float
    {
        return $this->filled('scale') ? (float) $this->string('scale')->toString() : self::SCALE;
    }

    public function riderKg(): float
    {
        return ReadsAs::read($this->input('rider'), $this->weight())?->quantity->si() ?? self::RIDER_KG;
    }

    public function litresPerMinute(): float
    {
        return $this->filled('pump') ? (float) $this->string('pump')->toString() : self::PUMP;
    }

    private function weight(): Unit
    {
        return $this->units() === UnitSystem::Metric ? Unit::Kilogram : Unit::Pound;
    }
}
