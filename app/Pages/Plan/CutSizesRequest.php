<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Plan;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Shown;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** The lengths to cut to and from, as typed; empty for the usual ones. */
final class CutSizesRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** Least and greatest (m), and the scale on which it is read. */
    private const RANGES = [
        'chassis_width' => [0.005, 0.6, Scale::Body],
        'wheel_thickness' => [0.0003, 0.1, Scale::Part],
        'end_play' => [0.0, 0.05, Scale::Part],
        'overhang' => [0.0, 0.1, Scale::Part],
        'side_gap' => [0.0, 0.1, Scale::Part],
        'straw_length' => [0.03, 2.0, Scale::Body],
        'skewer_length' => [0.03, 2.0, Scale::Body],
        'kerf' => [0.0, 0.02, Scale::Part],
        'nozzle_length' => [0.005, 2.0, Scale::Body],
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = ['nozzles_each' => ['required', 'integer', 'between:1,12']];
        $units = $this->units();
        foreach (self::RANGES as $cut => [$least, $greatest, $scale]) {
            $rules[$cut] = ['nullable', 'string', new ReadsAs(
                self::bareUnit($cut, $units),
                static fn(float $metres): ?Remark => $metres >= $least && $metres <= $greatest ? null
                : new Remark(
                    'quantity.length_out_of_range',
                    ['least' => new Shown($least, $scale, 1), 'greatest' => new Shown($greatest, $scale)],
                ),
                $units,
            )];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['nozzles_each.*' => Text::of('plan.form.straws_in_a_nozzle_must_be')];
    }

    /** @return array<string, mixed> by column of the plan */
    public function plan(): array
    {
        $plan = ['nozzles_each' => $this->integer('nozzles_each')];
        foreach (Plan::CUTS as $cut) {
            $plan[$cut] = ReadsAs::read($this->input($cut), self::bareUnit($cut, $this->units()));
        }

        return $plan;
    }

    public static function scale(string $cut): Scale
    {
        return self::RANGES[$cut][2];
    }

    private static function bareUnit(string $cut, UnitSystem $units): Unit
    {
        return $units->unit(self::scale($cut)) ?? Unit::Millimetre;
    }
}
