<?php

declare(strict_types=1);

namespace App\Pages\Build;

use App\Forms\AsksBack;
use App\Forms\TypedName;
use App\Language\Lists;
use App\Language\Text;
use App\Models\Challenge;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Challenge\GroupName;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Exchange\RunTable;

/** Names of new groups, one a line. */
final class GroupsRequest extends FormRequest
{
    use AsksBack;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['names' => ['required', 'string', 'max:20000', $this->eachLineIsNew(...)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['names.required' => Text::of('build.form.type_at_least_one_name_one')];
    }

    protected function questions(): array
    {
        $people = array_values(array_filter($this->names(), GroupName::mayBePeople(...)));

        return $people === [] ? [] : ['names' => Text::of('build.form.are_these_children', ['name' => Lists::and($people, 3)])];
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_values(array_filter(
            array_map(TypedName::tidy(...), explode("\n", $this->string('names')->toString())),
            static fn(string $name): bool => $name !== '',
        ));
    }

    private function eachLineIsNew(string $attribute, mixed $value, Closure $fail): void
    {
        $challenge = $this->route('challenge');
        if (!$challenge instanceof Challenge) {
            return;
        }
        $here = $challenge->groups()->pluck('name')->map(static fn($name): string => RunTable::groupKey((string) $name))->all();
        $seen = [];
        foreach ($this->names() as $index => $name) {
            $line = Text::of('build.form.name', ['index' => $index + 1]);
            $key = RunTable::groupKey($name);
            $shown = mb_strimwidth($name, 0, 40, '…');
            if (mb_strlen($name) > Limits::GROUP_NAME_CHARACTERS) {
                $fail(
                    Text::of(
                        'build.form.is_longer_than_characters_shorten_it',
                        ['line' => $line, 'shown' => $shown, 'group_name_characters' => Limits::GROUP_NAME_CHARACTERS],
                    ),
                );
            } elseif (in_array($key, $here, true)) {
                $fail(Text::of('build.form.there_is_a_group_already_tell', ['line' => $line, 'shown' => $shown]));
            } elseif (isset($seen[$key])) {
                $fail(Text::of('build.form.is_in_the_list_twice_tell', ['line' => $line, 'shown' => $shown]));
            }
            $seen[$key] = true;
        }
        if (count($here) + count($seen) > Limits::MOST_GROUPS) {
            $fail(Text::of('build.form.a_challenge_has_room_for_groups', ['most_groups' => Limits::MOST_GROUPS, 'count' => count($here)]));
        }
    }
}
