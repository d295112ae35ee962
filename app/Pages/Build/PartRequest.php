<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\OwnPart;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\PartTrait;
use Skivo\Core\Measurement\Remark;

/** A part of the educator's own, as typed. */
final class PartRequest extends FormRequest
{
    use InUnitsOfTheClass;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'kind' => ['required', Rule::enum(PartKind::class)],
            'name' => ['required', 'string', 'max:80', $this->isNew(...)],
        ];
        foreach ($this->known() as $attribute) {
            $rules[$attribute->value] = [$attribute->facts()->isLeftToPart ? 'nullable' : 'required', 'string', $this->reads($attribute)];
        }
        $rules['form'] = ['nullable', Rule::enum(ChassisForm::class)];
        $rules['traits'] = ['nullable', 'array'];
        $rules['traits.*'] = [Rule::enum(PartTrait::class)];

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'form.*' => Text::of('dry_run.form.choose_one_of_the_forms'),
            'kind.*' => Text::of('dry_run.form.choose_the_kind_of_part'),
            'name.required' => Text::of('dry_run.form.give_the_part_a_name'),
            '*.required' => Text::of('dry_run.form.the_run_model_starts_from_this'),
        ];
    }

    /** @return array<string, mixed> by column */
    public function part(): array
    {
        $kind = $this->kind() ?? throw new \LogicException('It was validated.');
        /** @var array<string, float> $values */
        $values = [];
        foreach ($this->known() as $attribute) {
            $typed = $this->string($attribute->value)->toString();
            $unit = $attribute->bareUnit($this->units());
            $value = match (true) {
                // Of a wheel without one, the hub is as thick as the rim; tubes that are not there stay away.
                $typed === '' && $attribute === CarAttribute::WheelHub => $values[CarAttribute::WheelThickness->value],
                $typed === ''
                    && in_array(
                        $attribute,
                        [CarAttribute::WheelBore, CarAttribute::NozzleOutside, CarAttribute::WiderOutside],
                        true,
                    ) => null,
                $typed === '' => Catalogue::standard()->usual($kind)->find($attribute),
                $unit === null => (float) str_replace(',', '.', $typed),
                default => ReadsAs::read($typed, $unit)?->quantity->si(),
            };
            if ($value !== null) {
                $values[$attribute->value] = $value;
            }
        }
        $traits = array_intersect(array_column(PartTrait::of($kind), 'value'), (array) $this->input('traits', []));

        return [
            'kind' => $kind, 'name' => $this->string('name')->toString(), 'values' => $values, 'traits' => array_values($traits),
            'origin' => OwnPart::ORIGIN,
            'form' => $kind === PartKind::Chassis ? $this->enum('form', ChassisForm::class) : null,
        ];
    }

    /** @return list<CarAttribute> what is known of such a part */
    private function known(): array
    {
        return $this->kind() === null ? [] : CarAttribute::ofPart($this->kind());
    }

    private function reads(CarAttribute $attribute): ReadsAs|Closure
    {
        $unit = $attribute->bareUnit($this->units());

        return $unit !== null ? new ReadsAs($unit, $attribute->complaint(...), $this->units())
            : function (string $name, mixed $value, Closure $fail) use ($attribute): void {
                $number = is_string($value) ? str_replace(',', '.', $value) : '';
                $wrong = is_numeric($number)
                    ? $attribute->complaint((float) $number)
                    : new Remark('quantity.not_a_number', ['attribute' => $attribute]);
                if ($wrong !== null) {
                    $fail($this->words()->say($wrong));
                }
            };
    }

    private function isNew(string $attribute, mixed $value, Closure $fail): void
    {
        $challenge = $this->route('challenge');
        if ($challenge instanceof Challenge && is_string($value)
            && $challenge->ownParts()->where('kind', $this->input('kind'))->whereRaw('lower(name) = lower(?)', [$value])->exists()) {
            $fail(Text::of('dry_run.form.there_is_a_part_of_your'));
        }
    }

    private function kind(): ?PartKind
    {
        return $this->enum('kind', PartKind::class);
    }
}
