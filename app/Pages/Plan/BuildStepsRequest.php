<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Build\Sets;

/** How the class's cars are held together and decorated, and how many adults are at hand. */
final class BuildStepsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'decoration' => ['required', Rule::enum(Decoration::class)],
            'decorated_with' => ['required', Rule::in(array_column(Sets::ofDecoration(), 'value'))],
            'bearings_by' => ['required', Rule::in(array_column(Sets::ofBearings(), 'value'))],
            'adults' => ['required', 'integer', 'between:1,40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'decoration.*' => Text::of('steps.form.choose_when'),
            'decorated_with.*' => Text::of('steps.form.choose_with_what'),
            'bearings_by.*' => Text::of('steps.form.choose_what_holds'),
            'adults.*' => Text::of('steps.form.adults_are_from_1'),
        ];
    }

    /** @return array<string, mixed> by column of the plan */
    public function plan(): array
    {
        return [
            'decoration' => $this->enum('decoration', Decoration::class),
            'decorated_with' => $this->enum('decorated_with', Sets::class),
            'bearings_by' => $this->enum('bearings_by', Sets::class),
            'adults' => $this->integer('adults'),
        ];
    }
}
