<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\ReadsDays;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use Carbon\CarbonImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How many of what is collected are there, as typed. */
final class MaterialCountRequest extends FormRequest
{
    use ReadsDays;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $challenge = $this->route('challenge');
        $keys = $challenge instanceof Challenge ? array_column(ClassPlan::of($challenge)->materials()->early(), 'key') : [];

        return [
            'key' => ['required', Rule::in($keys)],
            'count' => ['required', 'integer', 'between:0,100000'],
            'counted_on' => ['required', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'key.*' => Text::of('plan.form.this_is_not_collected'),
            'count.*' => Text::of('plan.form.a_count_must_be'),
            'counted_on.*' => Text::of('plan.form.give_a_date'),
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->readDays('counted_on');
    }

    public function countedOn(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->string('counted_on')->toString());
    }
}
