<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\ReadsDays;
use App\Language\Text;
use App\Models\Challenge;
use Illuminate\Foundation\Http\FormRequest;
use Skivo\Core\Session\Phase;

/** How long a session is and what it is spent on, as typed. */
final class TimetableRequest extends FormRequest
{
    use ReadsDays;

    /** So many sessions a plan may have. */
    public const MOST_SESSIONS = 4;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        /** @var array<string, list<mixed>> $rules */
        $rules = [
            'starts_at' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'session_min' => ['required', 'integer', 'between:10,1440'],
            'heat_min' => ['required', 'numeric', 'between:0.5,60'],
            'tries_again' => ['required', 'integer', 'between:0,20'],
            'lanes' => ['required', 'integer', 'between:1,12'],
            'tries' => ['required', 'integer', 'between:1,20'],
            'adults' => ['nullable', 'integer', 'between:1,40'],
        ];
        for ($session = 2; $session <= self::MOST_SESSIONS; $session++) {
            $rules["session_{$session}_min"] = ['nullable', 'integer', 'between:10,1440'];
            $rules["session_{$session}_starts_at"] = [
                'nullable', 'date_format:Y-m-d\TH:i', "required_with:session_{$session}_min", $this->followsOn($session),
            ];
        }
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
            'adults.*' => Text::of('steps.form.adults_are_from_1'),
            'session_*_min.*' => Text::of('plan.form.the_session_must_be_from_10'),
            'session_*_starts_at.required_with' => Text::of('plan.form.say_when_it_begins'),
            'session_*_starts_at.date_format' => Text::of('plan.form.give_date_and_time_or_leave'),
            'phase_*.*' => Text::of('plan.form.minutes_must_be_a_whole_number'),
        ];
    }

    protected function prepareForValidation(): void
    {
        $this->readDays('starts_at', ...array_map(
            static fn(int $session): string => "session_{$session}_starts_at",
            range(2, self::MOST_SESSIONS),
        ));
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
            'further_sessions' => $this->furtherSessions(),
            ...($this->filled('adults') ? ['adults' => $this->integer('adults')] : []),
        ];
    }

    /** A session begins after the one before it has begun. */
    private function followsOn(int $session): \Closure
    {
        return function (string $field, mixed $value, \Closure $fail) use ($session): void {
            $before = $this->input($session === 2 ? 'starts_at' : 'session_' . ($session - 1) . '_starts_at');
            if (is_string($value) && is_string($before) && $value <= $before) {
                $fail(Text::of('plan.form.it_begins_before_the_one_before'));
            }
        };
    }

    /** @return list<array{starts_at: string|null, minutes: int}> */
    private function furtherSessions(): array
    {
        $sessions = [];
        for ($session = 2; $session <= self::MOST_SESSIONS; $session++) {
            $starts = $this->input("session_{$session}_starts_at");
            if (is_string($starts) && $starts !== '') {
                $sessions[] = [
                    'starts_at' => $starts,
                    'minutes' => $this->filled("session_{$session}_min")
                        ? $this->integer("session_{$session}_min")
                        : $this->integer('session_min'),
                ];
            }
        }

        return $sessions;
    }

    /** @return array<string, int|string> by column of the challenge */
    public function rulesOfTheChallenge(): array
    {
        $rules = ['lanes' => $this->integer('lanes'), 'tries' => $this->integer('tries')];
        $challenge = $this->route('challenge');
        $day = $this->date('starts_at', 'Y-m-d\TH:i');
        // What was called after its day is called after its new one.
        $isCalledAfterItsDay = $challenge instanceof Challenge && $challenge->name === ChallengeRequest::nameOf($challenge->day());

        return $isCalledAfterItsDay && $day !== null ? $rules + ['name' => ChallengeRequest::nameOf($day)] : $rules;
    }

    /** @return list<Phase> those whose minutes are typed; the runs' follow from the run order */
    public static function phases(): array
    {
        return array_values(
            array_filter(Phase::cases(), static fn(Phase $phase): bool => $phase !== Phase::Runs && $phase !== Phase::RunsAgain),
        );
    }
}
