<?php

declare(strict_types=1);

namespace App\Pages\Report;

use App\Language\Text;
use App\Models\Challenge;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** An award of the educator's own, or the number of one to remove. */
final class OwnAwardRequest extends FormRequest
{
    private const MOST = 40;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->has('remove') ? ['remove' => ['integer', 'min:0']] : [
            'award_title' => ['required', 'string', 'max:60', $this->hasRoom(...)],
            'award_group' => [
                'required', 'integer', Rule::exists('groups', 'id')->where('challenge_id', $this->challenge()->id)->whereNull('deleted_at'),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'award_title.required' => Text::of('report.certificates.say_what_for'),
            'award_group.*' => Text::of('report.certificates.choose_a_group'),
        ];
    }

    private function hasRoom(string $attribute, mixed $value, Closure $fail): void
    {
        if (count($this->challenge()->own_awards) >= self::MOST) {
            $fail(Text::of('report.certificates.enough', ['most' => self::MOST]));
        }
    }

    private function challenge(): Challenge
    {
        $challenge = $this->route('challenge');
        assert($challenge instanceof Challenge);

        return $challenge;
    }
}
