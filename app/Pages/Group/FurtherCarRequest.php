<?php

declare(strict_types=1);

namespace App\Pages\Group;

use App\Actions\AddGroups;
use App\Forms\AsksBack;
use App\Forms\TypedName;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Challenge\GroupName;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Exchange\RunTable;

/** The name of one more car of a group. */
final class FurtherCarRequest extends FormRequest
{
    use AsksBack;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['car_name' => ['required', 'string', 'max:40', $this->fits(...)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['car_name.required' => Text::of('device.group.name_the_car'), 'car_name.max' => Text::of('device.group.shorter_car_name')];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['car_name' => TypedName::tidy($this->string('car_name')->toString())]);
    }

    /** With the name of its group before it. */
    public function carName(): string
    {
        return $this->team()->name . AddGroups::OF . $this->string('car_name')->toString();
    }

    /** @return array<string, string> */
    protected function questions(): array
    {
        $name = $this->string('car_name')->toString();

        return GroupName::mayBePeople($name) ? ['car_name' => Text::of('build.form.are_these_children', ['name' => $name])] : [];
    }

    private function fits(string $attribute, mixed $value, Closure $fail): void
    {
        $names = $this->challenge()->groups()->pluck('name')->map(static fn($name): string => RunTable::groupKey((string) $name))->all();
        if (in_array(RunTable::groupKey($this->carName()), $names, true)) {
            $fail(Text::of('device.group.car_is_there'));
        } elseif (mb_strlen($this->carName()) > Limits::GROUP_NAME_CHARACTERS) {
            $fail(Text::of('device.group.shorter_car_name'));
        } elseif ($this->team()->furtherCars()->count() + 1 >= Limits::MOST_CARS_OF_A_GROUP) {
            $fail(Text::of('device.group.enough_cars', ['most' => Limits::MOST_CARS_OF_A_GROUP]));
        }
    }

    private function team(): Group
    {
        $group = $this->route('group');
        assert($group instanceof Group);

        return $group->of_group_id === null ? $group : $this->challenge()->groups()->findOrFail($group->of_group_id);
    }

    private function challenge(): Challenge
    {
        $challenge = $this->route('challenge');
        assert($challenge instanceof Challenge);

        return $challenge;
    }
}
