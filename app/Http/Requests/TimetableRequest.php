<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Session\Phase;

/** How long a session is and what it is spent on, as typed. */
final class TimetableRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [
            'starts_at' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'session_min' => ['required', 'integer', 'between:10,1440'],
            'heat_min' => ['required', 'numeric', 'between:0.5,60'],
            'tries_again' => ['required', 'integer', 'between:0,20'],
            'lanes' => ['required', 'integer', 'between:1,12'],
            'tries' => ['required', 'integer', 'between:1,20'],
        ];
        foreach (self::phases() as $phase) {
            $rules["phase_{$phase->value}"] = ['required', 'integer', 'between:0,600'];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'starts_at' => 'Give date and time, or leave it empty.',
            'session_min.*' => 'The session must be from 10 to 1440 whole minutes long.',
            'heat_min.*' => 'Minutes for each filling of the lanes must be from 0.5 to 60.',
            'tries_again.*' => 'Tries after the change must be a whole number from 0 to 20.',
            'lanes.*' => 'Lanes must be a whole number from 1 to 12.',
            'tries.*' => 'Tries must be a whole number from 1 to 20.',
            'phase_*.*' => 'Minutes must be a whole number from 0 to 600; 0 leaves the phase out.',
        ];
    }

    protected function prepareForValidation(): void
    {
        $typed = $this->input('heat_min');
        if (is_string($typed)) {
            $this->merge(['heat_min' => str_replace(',', '.', $typed)]);
        }
    }

    /** @return array<string, mixed> by column of the plan */
    public function plan(): array
    {
        $phases = [];
        foreach (self::phases() as $phase) {
            $phases[$phase->value] = $this->integer("phase_{$phase->value}");
        }

        return [
            'starts_at' => $this->date('starts_at', 'Y-m-d\TH:i'),
            'session_min' => $this->integer('session_min'),
            'heat_min' => $this->float('heat_min'),
            'tries_again' => $this->integer('tries_again'),
            'phases' => $phases,
        ];
    }

    /** @return array<string, int> by column of the challenge */
    public function rulesOfTheChallenge(): array
    {
        return ['lanes' => $this->integer('lanes'), 'tries' => $this->integer('tries')];
    }

    /** @return list<Phase> those whose minutes are typed; the runs' follow from the run order */
    public static function phases(): array
    {
        return array_values(array_filter(Phase::cases(), static fn(Phase $phase): bool => $phase !== Phase::Runs && $phase !== Phase::RunsAgain));
    }
}
