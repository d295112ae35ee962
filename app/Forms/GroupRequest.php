<?php

declare(strict_types=1);

namespace App\Forms;

use App\Language\Text;
use App\Models\Group;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Challenge\GroupName;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Exchange\RunTable;

/** A group's name and mark. */
final class GroupRequest extends FormRequest
{
    use AsksBack;

    protected function questions(): array
    {
        $group = $this->route('group');
        $name = $this->string('name')->toString();

        return GroupName::mayBePeople($name) && !($group instanceof Group && $group->name === $name)
            ? ['name' => Text::of('build.form.are_these_children', ['name' => $name])] : [];
    }

    protected function prepareForValidation(): void
    {
        $this->merge(['name' => TypedName::tidy($this->string('name')->toString())]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:' . Limits::GROUP_NAME_CHARACTERS, $this->isFree('name', RunTable::groupKey(...))],
            'mark' => [
                Rule::requiredIf($this->routeIs('groups.update')), Rule::in(Mark::all()),
                $this->isFree('mark', static fn(string $mark): string => $mark),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Text::of('build.form.a_group_needs_a_name'),
            'name.max' => Text::of(
                'build.form.the_name_is_longer_than_characters',
                ['group_name_characters' => Limits::GROUP_NAME_CHARACTERS],
            ),
            'mark.required' => Text::of('build.form.choose_one_of_the_marks'),
            'mark.in' => Text::of('build.form.choose_one_of_the_marks'),
        ];
    }

    /** @param callable(string): string $key */
    private function isFree(string $column, callable $key): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($column, $key): void {
            $group = $this->route('group');
            if (!$group instanceof Group || !is_string($value)) {
                return;
            }
            // A group and its further cars have one mark.
            $others = Group::query()->where('challenge_id', $group->challenge_id)->whereKeyNot($group->id)
                ->when(
                    $column === 'mark',
                    static fn($groups) => $groups->whereKeyNot($group->team())->where(
                        static fn($each) => $each->whereNull('of_group_id')->orWhere('of_group_id', '<>', $group->team()),
                    ),
                )
                ->pluck($column)->all();
            foreach ($others as $other) {
                if (is_string($other) && $key($other) === $key($value)) {
                    $fail(
                        $column === 'mark'
                            ? Text::of('build.form.another_group_has_this_mark_choose')
                            : Text::of('build.form.another_group_has_this_name_tell'),
                    );
                }
            }
        };
    }
}
