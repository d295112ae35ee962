<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Requests\Concerns\ReadsPrices;
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
            'name.*' => 'Say what it is, in at most 80 characters.',
            'amount.*' => 'The amount must be a number above 0, such as 2, or 0.5 for one between two.',
            'per' => 'Choose what the amount is for.',
            'price.*' => 'A price must be a number, such as 1.20.',
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
