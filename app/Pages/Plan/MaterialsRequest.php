<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\ReadsDays;
use App\Forms\ReadsPrices;
use App\Language\Text;
use App\Models\Challenge;
use App\Record\ClassPlan;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Session\Material;

/** The kit, the numbers, and what is changed on the lines of the list, as typed. */
final class MaterialsRequest extends FormRequest
{
    use ReadsDays;
    use ReadsPrices;

    /** @var list<string>|null once looked up */
    private ?array $lineKeys = null;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'groups' => ['required', 'integer', 'between:1,40'],
            'learners' => ['required', 'integer', 'between:1,480'],
            'spares_percent' => ['required', 'integer', 'between:0,200'],
            'kit_source' => ['nullable', Rule::enum(EnergySource::class)],
            'by_mouth' => ['sometimes', 'required', 'boolean'],
            'latex_free' => ['sometimes', 'required', 'boolean'],
            'collect_by' => ['nullable', 'date_format:Y-m-d'],
        ];
        foreach (['chassis', 'wheels', 'bearing'] as $part) {
            $rules["kit_{$part}"] = ['required', 'string', 'max:80'];
        }
        // Of a class without balloons these are not asked.
        foreach (['nozzle', 'balloon', 'joint'] as $part) {
            $rules["kit_{$part}"] = ['sometimes', 'required', 'string', 'max:80'];
        }
        foreach ($this->lines() as $key) {
            $rules["amount_{$key}"] = ['nullable', 'numeric', 'between:0,10000'];
            $rules["price_{$key}"] = ['nullable', 'numeric', 'between:0,100000'];
            $rules["pack_{$key}"] = ['nullable', 'integer', 'between:1,10000'];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'groups.*' => Text::of('plan.form.groups_must_be_a_whole_number'),
            'learners.*' => Text::of('plan.form.learners_must_be'),
            'spares_percent.*' => Text::of('plan.form.spares_must_be_a_whole_number'),
            'amount_*.*' => Text::of('plan.form.an_amount_must_be_a_number'),
            'pack_*.*' => Text::of('plan.form.a_pack_must_be'),
            'collect_by.*' => Text::of('plan.form.give_a_date'),
            'price_*.*' => Text::of('plan.form.a_price_must_be_a_number'),
            'kit_*.*' => Text::of('plan.form.choose_one_of_the_parts'),
            '*.required' => Text::of('plan.form.choose_one_of_the_two'),
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->readDays('collect_by');
        $this->readPrices(
            array_merge(...array_map(static fn(string $key): array => ["amount_{$key}", "price_{$key}"], $this->lines()) ?: [[]]),
        );
    }

    /** @return array<string, mixed> by column of the plan */
    public function plan(): array
    {
        return ['collect_by' => $this->date('collect_by', 'Y-m-d')] + $this->safe()->only(
            [
                'groups', 'learners', 'spares_percent', 'by_mouth', 'latex_free', 'kit_chassis', 'kit_wheels', 'kit_bearing', 'kit_nozzle',
                'kit_balloon', 'kit_joint',
            ],
        ) + ($this->filled('kit_source') ? ['kit_source' => $this->enum('kit_source', EnergySource::class)] : []);
    }

    /** @return array<string, array{float|null, float|null, int|null}> amount, price and pack by line, null for the usual one */
    public function changes(): array
    {
        $changes = [];
        foreach ($this->lines() as $key) {
            $amount = $this->input("amount_{$key}");
            $price = $this->input("price_{$key}");
            $changes[$key] = [
                is_numeric($amount) ? (float) $amount : null,
                is_numeric($price) ? (float) $price : null,
                $this->filled("pack_{$key}") ? $this->integer("pack_{$key}") : null,
            ];
        }

        return $changes;
    }

    /** @return list<string> the lines that were on the page */
    private function lines(): array
    {
        if ($this->lineKeys !== null) {
            return $this->lineKeys;
        }
        $challenge = $this->route('challenge');
        $lines = $challenge instanceof Challenge ? ClassPlan::of($challenge)->materials()->lines : [];
        $keys = array_map(
            static fn(Material $line): string => $line->key,
            array_filter($lines, static fn(Material $line): bool => $line->ownName === null),
        );

        return $this->lineKeys = array_values(array_filter($keys, fn(string $key): bool => $this->has("price_{$key}")));
    }
}
