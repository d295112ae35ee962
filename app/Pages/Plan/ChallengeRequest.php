<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Forms\AsksBack;
use App\Forms\ReadsAs;
use App\Forms\ReadsDays;
use App\Language\FactorWords;
use App\Language\Moment;
use App\Language\Text;
use App\Models\Challenge;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Challenge\Age;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Temperature;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** The rules of a challenge, as typed. */
final class ChallengeRequest extends FormRequest
{
    use AsksBack;
    use ReadsDays;

    /** Kinds of parts whose names the rules may limit. */
    public const LIMITED = [PartKind::Chassis, PartKind::Wheel, PartKind::Nozzle];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->unitSystem();
        $lane = new ReadsAs($this->bareUnit(), Limits::laneComplaint(...), $units);
        $length = new ReadsAs($this->bareUnit(), static fn(float $metres): ?Remark => Limits::laneComplaint($metres, false), $units);
        $rules = [
            'name' => [$this->isNew() ? 'nullable' : 'required', 'string', 'max:120'],
            'age' => ['nullable', Rule::enum(Age::class)],
            'groups' => ['nullable', 'integer', 'between:1,' . Limits::MOST_GROUPS],
            'starts_at' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'session_min' => ['nullable', 'integer', 'between:10,1440'],
            'safety' => ['nullable', 'boolean'],
            'question' => ['nullable', 'string', 'max:300'],
            'asks' => ['nullable', Rule::in(array_column(Question::askable(), 'value'))],
            'asks_outcome' => ['nullable', Rule::enum(Outcome::class)],
            'asks_from' => ['nullable', 'string', 'max:80', Rule::requiredIf($this->asksOfKinds())],
            'asks_to' => ['nullable', 'string', 'max:80', Rule::requiredIf($this->asksOfKinds()), 'different:asks_from'],
            'goal' => ['required', Rule::enum(Goal::class)],
            'scoring' => ['required', Rule::enum(Scoring::class)],
            'tries' => ['required', 'integer', 'between:1,' . Limits::MOST_TRIES],
            'units' => ['required', Rule::enum(UnitSystem::class)],
            'lane_length' => ['required', 'string', $lane],
            'lanes' => ['nullable', 'integer', 'between:1,' . Limits::MOST_LANES],
            'timed_length' => ['nullable', 'string', Rule::requiredIf($this->isAfter(Goal::Fastest) || $this->asksOfTime()), $length],
            'mark_distance' => ['nullable', 'string', Rule::requiredIf(fn(): bool => $this->isAfter(Goal::NearestMark)), $length],
            'load_length' => ['nullable', 'string', Rule::requiredIf(fn(): bool => $this->isAfter(Goal::HeaviestLoad)), $length],
            'surface' => ['nullable', 'string', 'max:' . Limits::KIND_CHARACTERS],
            'air_temperature' => ['nullable', 'string', $this->isTemperature(...)],
            'design' => ['nullable', Rule::in(['free', 'held'])],
            ...$this->design()->rules(),
            'push_is_foul' => ['nullable', 'boolean'],
            'void_is_retried' => ['nullable', 'boolean'],
            'no_start_is_zero' => ['nullable', 'boolean'],
            'practice_runs' => ['nullable', 'integer', 'between:0,' . Limits::MOST_PRACTICE_RUNS],
            'most_balloons' => ['nullable', 'integer', 'between:1,6'],
            'most_straws' => ['nullable', 'integer', 'between:1,60'],
            'heaviest' => [
                'nullable', 'string', new ReadsAs($units->unit(Scale::Weight) ?? Unit::Gram, CarAttribute::Mass->complaint(...), $units),
            ],
            'longest' => [
                'nullable', 'string', new ReadsAs(
                    $units->unit(Scale::Body) ?? Unit::Centimetre,
                    CarAttribute::ChassisLength->complaint(...),
                    $units,
                ),
            ],
        ];
        foreach (Goal::cases() as $goal) {
            $rules["award_{$goal->value}"] = ['nullable', 'boolean'];
        }
        foreach (Step::cases() as $step) {
            $rules["free_{$step->value}"] = ['nullable', 'boolean'];
        }
        foreach (self::LIMITED as $kind) {
            $rules["allowed_{$kind->value}"] = ['nullable', 'string', 'max:400'];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'asks.*' => Text::of('challenge.form.choose_what_the_class_asks'),
            'asks_outcome.*' => Text::of('challenge.form.choose_what_it_should_be_better_at'),
            'asks_from.*' => Text::of('challenge.form.name_the_two_kinds'),
            'asks_to.*' => Text::of('challenge.form.name_the_two_kinds'),
            ...TypedDesign::messages(),
            'age.*' => Text::of('challenge.form.choose_how_old_the_class_is'),
            'groups.*' => Text::of('challenge.form.groups_must_be_a_whole_number', ['most' => Limits::MOST_GROUPS]),
            'starts_at.*' => Text::of('plan.form.give_date_and_time_or_leave'),
            'session_min.*' => Text::of('plan.form.the_session_must_be_from_10'),
            'name.required' => Text::of('challenge.form.give_the_challenge_a_name'),
            'goal.required' => Text::of('challenge.form.choose_what_the_class_is_after'),
            'scoring.required' => Text::of('challenge.form.choose_how_tries_count'),
            'units.required' => Text::of('challenge.form.choose_the_units_the_class_works'),
            'tries.*' => Text::of('challenge.form.tries_per_group_must_be_a', ['most_tries' => Limits::MOST_TRIES]),
            'practice_runs.*' => Text::of('challenge.form.practice_runs_from_to', ['most' => Limits::MOST_PRACTICE_RUNS]),
            'lanes.*' => Text::of('challenge.form.lanes_must_be_a_whole_number', ['most_lanes' => Limits::MOST_LANES]),
            'lane_length.required' => Text::of('challenge.form.say_how_long_the_lane_is'),
            'timed_length.required' => Text::of('challenge.form.a_challenge_for_the_fastest_needs'),
            'mark_distance.required' => Text::of('challenge.form.a_challenge_for_the_nearest_needs'),
            'load_length.required' => Text::of('challenge.form.a_challenge_for_the_heaviest_load'),
            'most_balloons.*' => Text::of('challenge.form.balloons_must_be_a_whole_number'),
            'most_straws.*' => Text::of('challenge.form.straws_must_be_a_whole_number'),
        ];
    }

    /** What is not said on the one screen of a new challenge is as usual. */
    protected function prepareForValidation(): void
    {
        $this->readDays('starts_at');
        if ($this->isNew()) {
            $this->mergeIfMissing(
                ['goal' => Goal::Farthest->value, 'scoring' => Scoring::Mean->value, 'tries' => '3', 'units' => UnitSystem::Metric->value],
            );
        }
    }

    /** Whether the challenge is only being set. */
    private function isNew(): bool
    {
        return !$this->route('challenge') instanceof Challenge;
    }

    /** How many groups come; null where nobody said. */
    public function groups(): ?int
    {
        return $this->input('groups') === null ? null : $this->integer('groups');
    }

    /** What a challenge is called where nobody names it. */
    public static function nameOf(CarbonInterface $day): string
    {
        return Text::of('challenge.done.balloon_cars_on', ['day' => Moment::day($day)]);
    }

    /** @return array<string, mixed> by column of the plan, what was said of the day */
    public function day(): array
    {
        return array_filter([
            'starts_at' => $this->date('starts_at', 'Y-m-d\TH:i'),
            'session_min' => $this->input('session_min') === null ? null : $this->integer('session_min'),
            'groups' => $this->groups(),
            ...$this->design()->day(),
        ], static fn(mixed $value): bool => $value !== null);
    }

    /** How the class goes about its question. */
    public function design(): TypedDesign
    {
        $challenge = $this->route('challenge');

        return new TypedDesign($this, $this->unitSystem(), $challenge instanceof Challenge ? $challenge : null);
    }

    /** Whether it is asked which of two kinds is better. */
    private function asksOfKinds(): bool
    {
        return $this->enum('asks', CarAttribute::class)?->explainsAsNumber() === false;
    }

    private function asksOfTime(): bool
    {
        return $this->input('asks') !== null && $this->enum('asks_outcome', Outcome::class) === Outcome::Time;
    }

    /** @return array<string, mixed> by column of the challenge */
    public function plan(): array
    {
        $temperature = $this->temperature();
        $asked = $this->asked();

        return [
            'name' => $this->input('name') ?? self::nameOf($this->date('starts_at', 'Y-m-d\TH:i') ?? CarbonImmutable::now()),
            'age' => $this->enum('age', Age::class) ?? Age::TenToFourteen,
            'question' => $this->input('question') ?? ($asked === null ? null : FactorWords::question($asked)),
            'asks' => $asked?->attribute,
            'asks_outcome' => $asked->outcome ?? Outcome::Distance,
            'asks_from' => $asked?->from,
            'asks_to' => $asked?->to,
            'goal' => $this->enum('goal', Goal::class),
            'awards' => array_values(array_map(
                static fn(Goal $goal): string => $goal->value,
                array_filter(
                    Goal::cases(),
                    fn(Goal $goal): bool => $this->boolean("award_{$goal->value}") && $goal !== $this->enum('goal', Goal::class),
                ),
            )),
            'scoring' => $this->enum('scoring', Scoring::class),
            'tries' => $this->integer('tries'),
            'units' => $this->unitSystem(),
            'lane_length' => $this->length('lane_length'),
            'lanes' => $this->integer('lanes', 1) ?: 1,
            'timed_length' => $this->length('timed_length'),
            'mark_distance' => $this->length('mark_distance'),
            'load_length' => $this->length('load_length'),
            'surface' => $this->input('surface'),
            'air_temperature_c' => $temperature?->celsius,
            'air_temperature_entered' => $temperature?->text,
            ...$this->design()->columns(),
            'free_steps' => $this->design()->way()->isDivided() ? $this->design()->freeSteps() : ($this->input('design') === 'held'
                ? array_values(
                    array_map(
                        static fn(Step $step): string => $step->value,
                        array_filter(Step::cases(), fn(Step $step): bool => $this->boolean("free_{$step->value}")),
                    ),
                )
                : null),
            'push_is_foul' => $this->input('push_is_foul') === null || $this->boolean('push_is_foul'),
            'void_is_retried' => $this->input('void_is_retried') === null || $this->boolean('void_is_retried'),
            'no_start_is_zero' => $this->boolean('no_start_is_zero'),
            'practice_runs' => $this->integer('practice_runs'),
            'most_balloons' => $this->input('most_balloons'),
            'most_straws' => $this->input('most_straws'),
            'heaviest' => ReadsAs::read($this->input('heaviest'), $this->unitSystem()->unit(Scale::Weight) ?? Unit::Gram),
            'longest' => ReadsAs::read($this->input('longest'), $this->unitSystem()->unit(Scale::Body) ?? Unit::Centimetre),
            'allowed' => $this->allowed(),
        ];
    }

    private function asked(): ?Question
    {
        $asks = $this->enum('asks', CarAttribute::class);
        $kinds = $this->asksOfKinds()
            ? [trim($this->string('asks_from')->toString()), trim($this->string('asks_to')->toString())]
            : [null, null];

        return $asks === null ? null : new Question($asks, $this->enum('asks_outcome', Outcome::class) ?? Outcome::Distance, ...$kinds);
    }

    /** @return array<string, list<string>> names that a part may have, by the value of a PartKind */
    private function allowed(): array
    {
        $allowed = [];
        foreach (self::LIMITED as $kind) {
            $names = array_map(trim(...), explode(',', (string) $this->input("allowed_{$kind->value}")));
            $names = array_values(array_filter($names, static fn(string $name): bool => $name !== ''));
            $allowed += $names === [] ? [] : [$kind->value => $names];
        }

        return $allowed;
    }

    /** Lengths that no hall of a school has, or too short to run on: rather a slip of the unit. */
    protected function questions(): array
    {
        $questions = [];
        foreach (
            [
                'lane_length' => Text::of('challenge.form.a_lane'), 'timed_length' => Text::of(
                    'challenge.form.timed_stretch',
                ), 'mark_distance' => Text::of(
                    'challenge.form.place_for_a_mark',
                ), 'load_length' => Text::of(
                    'challenge.form.stretch_to_carry_a_load',
                ),
            ] as $field => $what
        ) {
            $metres = $this->length($field)?->quantity->si();
            $said = $metres === null ? null : Limits::unusualLane($metres, $field === 'lane_length');
            if ($said !== null) {
                $questions[$field] = Text::of(
                    'challenge.form.is_for_a_is_the_unit',
                    [
                        'metres' => $this->unitSystem()->show($metres, Scale::Lane), 'said' => Text::of("challenge.form.{$said}"),
                        'what' => $what,
                    ],
                );
            }
        }

        return $questions;
    }

    private function isAfter(Goal $goal): bool
    {
        return $this->input('goal') === $goal->value || $this->boolean("award_{$goal->value}");
    }

    private function isTemperature(string $attribute, mixed $value, Closure $fail): void
    {
        if ($this->temperature() === null) {
            $fail(Text::of('challenge.form.write_the_temperature_of_the_room'));
        }
    }

    private function temperature(): ?Temperature
    {
        $typed = $this->input('air_temperature');

        return is_string($typed) ? Temperature::read($typed, $this->unitSystem()) : null;
    }

    private function length(string $field): ?Entry
    {
        return ReadsAs::read($this->input($field), $this->bareUnit());
    }

    private function unitSystem(): UnitSystem
    {
        return $this->enum('units', UnitSystem::class) ?? UnitSystem::Metric;
    }

    private function bareUnit(): Unit
    {
        return $this->unitSystem()->unit(Scale::Lane) ?? Unit::Metre;
    }
}
