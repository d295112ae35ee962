<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Challenge;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Exchange\ClassSheet;

/** Names of new groups, one a line. */
final class GroupsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['names' => ['required', 'string', 'max:20000', $this->eachLineIsNew(...)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['names.required' => 'Type at least one name, one group a line.'];
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_values(array_filter(
            array_map(self::tidy(...), explode("\n", $this->string('names')->toString())),
            static fn(string $name): bool => $name !== '',
        ));
    }

    /** A name as stored: one form for each letter, no invisible differences, single spaces. */
    public static function tidy(string $name): string
    {
        $composed = \Normalizer::normalize($name, \Normalizer::FORM_C);

        return trim((string) preg_replace('/[\s\p{Z}\x{200B}\x{FEFF}]+/u', ' ', $composed === false ? $name : $composed));
    }

    private function eachLineIsNew(string $attribute, mixed $value, Closure $fail): void
    {
        $challenge = $this->route('challenge');
        if (!$challenge instanceof Challenge) {
            return;
        }
        $here = $challenge->groups()->pluck('name')->map(static fn($name): string => ClassSheet::groupKey((string) $name))->all();
        $seen = [];
        foreach ($this->names() as $index => $name) {
            $line = 'Name ' . ($index + 1);
            $key = ClassSheet::groupKey($name);
            $shown = mb_strimwidth($name, 0, 40, '…');
            if (mb_strlen($name) > Limits::GROUP_NAME_CHARACTERS) {
                $fail("{$line} (“{$shown}”) is longer than " . Limits::GROUP_NAME_CHARACTERS . ' characters. Shorten it.');
            } elseif (in_array($key, $here, true)) {
                $fail("{$line}: there is a group “{$shown}” already. Tell them apart, for instance “{$shown} 2”.");
            } elseif (isset($seen[$key])) {
                $fail("{$line}: “{$shown}” is in the list twice. Tell them apart, for instance “{$shown} 2”.");
            }
            $seen[$key] = true;
        }
        if (count($here) + count($seen) > Limits::MOST_GROUPS) {
            $fail('A challenge has room for ' . Limits::MOST_GROUPS . ' groups, and has ' . count($here) . '. Make a second challenge for the others.');
        }
    }
}
