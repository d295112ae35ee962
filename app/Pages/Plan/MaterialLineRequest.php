<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\ReadsPrices;
use App\Language\Text;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Session\Per;

/** A line of the educator's own on the list of materials, as typed. */
final class MaterialLineRequest extends FormRequest
{
    use ReadsPrices;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'],
            'amount' => ['required', 'numeric', 'between:0.01,10000'],
            'per' => ['required', Rule::enum(Per::class)],
            'unit' => ['nullable', 'string', 'max:40'],
            'price' => ['nullable', 'numeric', 'between:0,100000'],
            'is_early' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.*' => Text::of('plan.form.say_what_it_is_in_at'),
            'amount.*' => Text::of('plan.form.the_amount_must_be_a_number'),
            'per' => Text::of('plan.form.choose_what_the_amount_is_for'),
            'price.*' => Text::of('plan.form.a_price_must_be_a_number'),
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->readPrices(['amount', 'price']);
    }

    /** @return array<string, mixed> */
    public function line(): array
    {
        $line = $this->safe()->only(['name', 'amount', 'per', 'unit', 'price']);

        return $line + ['is_early' => $this->boolean('is_early')];
    }
}
