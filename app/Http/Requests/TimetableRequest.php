<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Presenters\Text;
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
            'starts_at' => Text::of('plan.form.give_date_and_time_or_leave'),
            'session_min.*' => Text::of('plan.form.the_session_must_be_from_10'),
            'heat_min.*' => Text::of('plan.form.minutes_for_each_filling_of_the'),
            'tries_again.*' => Text::of('plan.form.tries_after_the_change_must_be'),
            'lanes.*' => Text::of('plan.form.lanes_must_be_a_whole_number'),
            'tries.*' => Text::of('plan.form.tries_must_be_a_whole_number'),
            'phase_*.*' => Text::of('plan.form.minutes_must_be_a_whole_number'),
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
        return array_values(
            array_filter(Phase::cases(), static fn(Phase $phase): bool => $phase !== Phase::Runs && $phase !== Phase::RunsAgain),
        );
    }
}
