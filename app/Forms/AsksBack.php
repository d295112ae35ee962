<?php

declare(strict_types=1);

namespace App\Forms;

use App\Language\Text;
use Illuminate\Validation\Validator;

/**
 * For forms in which a value may be a slip of the pen: it is asked about once, beside its field, and taken as it stands when
 * it is sent again unchanged.
 */
trait AsksBack
{
    /** @return array<string, string> what is asked, by field */
    abstract protected function questions(): array;

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $confirmed = explode(',', (string) $this->input('confirmed'));
            $questions = $this->questions();
            $tokens = array_map(
                fn(string $field): string => $field . ':' . hash('crc32b', (string) $this->input($field)),
                array_keys($questions),
            );
            foreach (array_keys($questions) as $index => $field) {
                if (!in_array($tokens[$index], $confirmed, true)) {
                    $validator->errors()->add($field, Text::of('frame.form.if_it_is_right_save_it', ['questions' => $questions[$field]]));
                }
            }
            $this->session()->flash('asked', implode(',', $tokens));
        }];
    }
}
