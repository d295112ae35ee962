<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Forms\AsksBack;
use App\Forms\InUnitsOfTheClass;
use App\Forms\SpeltAnew;
use App\Forms\TypedCar;
use App\Forms\TypedName;
use App\Language\Text;
use App\Models\Challenge;
use App\Models\Group;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Challenge\GroupName;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Exchange\RunTable;

/** The cars of all groups, as typed into one table. Its fields are named by the attribute and the id of the group: mass_12. */
final class CarsRequest extends FormRequest
{
    use AsksBack;
    use InUnitsOfTheClass;

    protected function prepareForValidation(): void
    {
        foreach ($this->groups() as $group) {
            $name = $this->input("name_{$group->id}");
            if (is_string($name)) {
                $this->merge(["name_{$group->id}" => TypedName::tidy($name)]);
            }
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = ['columns' => ['required', 'string', 'max:2000'], 'save_as' => ['nullable', Rule::in(['version', 'correction'])]];
        foreach ($this->groups() as $group) {
            $rules["name_{$group->id}"] = ['required', 'string', 'max:' . Limits::GROUP_NAME_CHARACTERS, $this->isTheirsAlone($group)];
            $rules["edition_{$group->id}"] = ['nullable', 'string', 'max:20'];
            foreach ($this->columns() as $column) {
                $rules["{$column->value}_{$group->id}"] = CarRequest::rule($column, $this->units());
            }
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = [];
        foreach ($this->groups() as $group) {
            $messages["name_{$group->id}.required"] = Text::of('build.form.a_group_needs_a_name');
            $messages["name_{$group->id}.max"] = Text::of(
                'build.form.the_name_is_longer_than_characters',
                ['group_name_characters' => Limits::GROUP_NAME_CHARACTERS],
            );
            foreach ($this->columns() as $column) {
                if ($column->isCount()) {
                    $messages["{$column->value}_{$group->id}.*"] = CarRequest::notACount($column, $this->words());
                }
            }
        }

        return $messages;
    }

    /** @return list<CarAttribute> that the table had */
    public function columns(): array
    {
        $sent = explode(',', $this->string('columns')->toString());

        return array_values(
            array_filter(CarAttribute::recorded(), static fn(CarAttribute $each): bool => in_array($each->value, $sent, true)),
        );
    }

    /** @return array<int, Car> by the id of the group: what is on record, with what the table had in its place */
    public function cars(): array
    {
        $cars = [];
        foreach ($this->groups() as $group) {
            $cars[$group->id] = $this->carOf($group, $group->newestCar()->choices ?? new Car());
        }

        return $cars;
    }

    /** Whether cars that have run were changed, and not only their record; null where nobody said. */
    public function asNewVersions(): ?bool
    {
        return $this->filled('save_as') ? $this->input('save_as') === 'version' : null;
    }

    /** @return array<int, string> by the id of the group */
    public function names(): array
    {
        return $this->groups()
            ->mapWithKeys(fn(Group $group): array => [$group->id => $this->string("name_{$group->id}")->toString()])
            ->all();
    }

    /** @return array<int, string> by the id of the group: which car in which edition the table showed */
    public function editions(): array
    {
        return $this->groups()->mapWithKeys(fn(Group $group): array => [$group->id => $this->string("edition_{$group->id}")->toString()])
            ->filter(static fn(string $edition): bool => $edition !== '')->all();
    }

    protected function questions(): array
    {
        $questions = [];
        foreach ($this->groups() as $group) {
            $name = $this->string("name_{$group->id}")->toString();
            if ($name !== $group->name && GroupName::mayBePeople($name)) {
                $questions["name_{$group->id}"] = Text::of('build.form.are_these_children', ['name' => $name]);
            }
        }
        $challenge = $this->route('challenge');
        $spelt = $challenge instanceof Challenge ? new SpeltAnew($challenge) : null;
        foreach ($this->cars() as $id => $car) {
            $before = $this->groups()->firstWhere('id', $id)?->newestCar()?->choices;
            foreach ($spelt?->questions($car, $before) ?? [] as $key => $question) {
                $questions["{$key}_{$id}"] = $question;
            }
            $had = $before->quantities ?? [];
            foreach (CarRequest::unusual($car, $this->words()) as $key => $question) {
                // What was there before was asked about then.
                if (!isset($had[$key], $car->quantities[$key]) || $had[$key]->text !== $car->quantities[$key]->text) {
                    $questions["{$key}_{$id}"] = $question;
                }
            }
        }

        return $questions;
    }

    private function carOf(Group $group, Car $held): Car
    {
        $keys = array_map(static fn(CarAttribute $column): string => $column->value, $this->columns());
        $typed = [];
        foreach ($keys as $key) {
            $typed[$key] = $this->input("{$key}_{$group->id}");
        }
        $typed = TypedCar::read($typed, $this->units());
        $drop = array_flip($keys);

        return new Car(
            $typed->quantities + array_diff_key($held->quantities, $drop),
            $typed->counts + array_diff_key($held->counts, $drop),
            $typed->kinds + array_diff_key($held->kinds, $drop),
            $held->balloonMeasuredAs ?? $typed->balloonMeasuredAs,
            $held->note,
        );
    }

    private function isTheirsAlone(Group $group): Closure
    {
        return function (string $attribute, mixed $value, Closure $fail) use ($group): void {
            foreach ($this->groups() as $other) {
                $theirs = $this->input("name_{$other->id}");
                if (
                    $other->id < $group->id
                    && is_string($theirs)
                    && is_string($value)
                    && RunTable::groupKey($theirs) === RunTable::groupKey($value)
                ) {
                    $fail(Text::of('build.form.another_group_has_this_name_tell'));
                }
            }
        };
    }

    /** @return Collection<int, Group> */
    private function groups(): Collection
    {
        $challenge = $this->route('challenge');

        return $challenge instanceof Challenge ? $challenge->loadMissing('groups.cars')->groups->toBase() : new Collection();
    }
}
