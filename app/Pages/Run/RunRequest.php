<?php

declare(strict_types=1);

namespace App\Pages\Run;

use App\Forms\AsksBack;
use App\Forms\InUnitsOfTheClass;
use App\Forms\ReadsAs;
use App\Language\Text;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use App\Record\ClassRecord;
use App\Record\ExpectedRun;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\FilledBy;
use Skivo\Core\Challenge\FillSweep;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Plausibility;
use Skivo\Core\Challenge\Run as CoreRun;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Remark;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;

/** A run as typed at the lane, or a correction of one: a correction changes only what its form shows. */
final class RunRequest extends FormRequest
{
    use AsksBack {
        after as private askBack;
    }
    use InUnitsOfTheClass;

    /** What is stored of a distance differs from what was typed by less (m). */
    private const SAME_M = 1e-6;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $units = $this->units();
        $distance = Limits::distanceComplaint(...);
        $isPost = $this->isMethod('post');
        $reads = static fn(Unit $unit, callable $complaint): array => ['nullable', 'string', new ReadsAs($unit, $complaint(...), $units)];
        $drift = fn(float $metres): ?Remark => $metres > 0.0 && $this->input('drift_side') === null
            ? new Remark('run.drift_needs_side')
            : $distance($metres);

        return [
            'id' => [Rule::requiredIf($isPost), 'uuid'],
            'group' => [
                $isPost ? 'required' : 'sometimes', 'integer',
                Rule::exists('groups', 'id')->where('challenge_id', $this->challenge()->id)->whereNull('deleted_at'),
            ],
            'distance' => [Rule::requiredIf($this->wantsADistance(...)), ...$reads($this->bareUnit(), $distance)],
            'time' => $reads(Unit::Second, Limits::timeComplaint(...)),
            'total_time' => $reads(Unit::Second, Limits::timeComplaint(...)),
            'limp' => $reads($this->bareUnit(), $distance),
            'drift' => $reads($this->bareUnit(), $drift),
            'drift_side' => ['nullable', Rule::enum(Side::class)],
            'load' => $reads($units->unit(Scale::Weight) ?? Unit::Gram, Limits::loadComplaint(...)),
            'lane' => ['nullable', 'integer', 'between:1,' . Limits::MOST_LANES],
            'inflation_kind' => ['nullable', Rule::enum(InflationKind::class)],
            'inflation_strokes' => ['nullable', 'integer', 'between:1,500', 'required_if:inflation_kind,strokes,turns'],
            'inflation_size' => [
                'required_if:inflation_kind,diameter,circumference',
                ...$reads($units->unit(Scale::Body) ?? Unit::Centimetre, CarAttribute::BalloonSize->complaint(...)),
            ],
            'void' => ['nullable', Rule::enum(VoidReason::class)],
            ...array_fill_keys(['past_end', 'hit_wall', 'practice'], ['nullable', 'boolean']),
            'kind' => ['nullable', Rule::enum(RunKind::class)],
            'surface' => ['nullable', 'string', 'max:' . Limits::SURFACE_CHARACTERS],
            'ramp' => $reads($this->bareUnit(), Limits::rampComplaint(...)),
            'filled_by' => ['nullable', Rule::enum(FilledBy::class)],
            'note' => ['nullable', 'string', 'max:' . Limits::NOTE_CHARACTERS],
            'confirmed' => ['nullable', 'string', 'max:200'],
            'edition' => ['nullable', 'integer'],
            'readings' => ['nullable', 'string', 'max:4000'],
            'typed_in' => ['nullable', Rule::enum(UnitSystem::class)],
        ];
    }

    /** Whether a run without one says nothing of how far it went. */
    private function wantsADistance(): bool
    {
        return $this->isMethod('post') && $this->input('void') === null && !$this->boolean('past_end') && !$this->boolean('hit_wall')
            && !($this->filled('time') && $this->isTimed());
    }

    /** One tap at the strip says why a run is void. */
    protected function prepareForValidation(): void
    {
        if ($this->filled('void_now')) {
            $this->merge(['void' => $this->input('void_now')]);
        }
    }

    /**
     * A correction is a form, and asks beside its fields; a new run is asked about by whoever took it (RunController::store).
     *
     * @return list<callable(Validator): void>
     */
    public function after(): array
    {
        return $this->isMethod('put') ? $this->askBack() : [];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group.required' => Text::of('run.form.choose_the_group_that_ran'),
            'group.*' => Text::of('run.form.this_group_is_not_in_the'),
            'distance.required' => Text::of('run.form.type_where_the_car_stopped_or'),
            'void' => Text::of('run.form.choose_one_of_the_reasons'),
            'kind' => Text::of('run.form.choose_a_kind'),
            'surface.*' => Text::of('run.form.the_floor_in_few_words'),
            'lane.*' => Text::of('run.form.the_lane_must_be_a_whole', ['most_lanes' => Limits::MOST_LANES]),
            'inflation_strokes.*' => Text::of('run.form.pump_strokes_must_be_a_whole'),
            'inflation_size.required_if' => Text::of('run.form.type_how_large_the_balloon_was'),
            'id.*' => Text::of('run.form.the_page_was_out_of_date'),
        ];
    }

    public function authorize(): bool
    {
        $run = $this->route('run');
        if ($run instanceof Run) {
            // Whose run it is decides as well as whose it is to become.
            Gate::authorize('logRuns', $run->car->group->setRelation('challenge', $this->challenge()));
        }
        $group = $this->input('group');
        $group = is_numeric($group) ? $this->challenge()->groups()->find((int) $group) : null;
        if ($group !== null) {
            Gate::authorize('logRuns', $group->setRelation('challenge', $this->challenge()));
        }

        return true;
    }

    /** The group that ran; of a correction that does not say, the one that it stands under. */
    public function group(): Group
    {
        $run = $this->route('run');
        $id = $this->has('group') || !$run instanceof Run ? $this->integer('group') : $run->car->group_id;

        return $this->challenge()->groups()->findOrFail($id);
    }

    /**
     * What was typed; where a form does not have a field, what is on record.
     *
     * @throws ValidationException where a run that is not void would be left without a distance
     */
    public function record(?Run $now = null): RunRecord
    {
        $held = $now?->record() ?? new RunRecord();
        $note = $this->input('note');
        $hitWall = $this->has('hit_wall') ? $this->boolean('hit_wall') : $held->hitWall;
        $pastEnd = $hitWall || ($this->has('past_end') ? $this->boolean('past_end') : $held->pastEnd);
        $distance = $this->has('distance') ? ReadsAs::read($this->input('distance'), $this->bareUnit()) : $held->distance;
        $isTimed = $now === null && $this->isTimed();
        // Who was timed over the whole length went at least so far.
        if ($isTimed && $distance === null && $this->filled('time') && $this->input('void') === null) {
            [$distance, $pastEnd] = [$this->challenge()->timed_length, true];
        }
        $record = new RunRecord(
            // Past the end without a distance: at least as far as the lane is long.
            $distance ?? ($pastEnd && $this->input('void') === null ? $this->challenge()->lane_length : null),
            $this->has('time') ? ReadsAs::read($this->input('time'), Unit::Second) : $held->time,
            $this->has('void') ? $this->enum('void', VoidReason::class) : $held->void,
            $this->has('note') ? (is_string($note) ? $note : null) : $held->note,
            $this->has('drift') ? ReadsAs::read($this->input('drift'), $this->bareUnit()) : $held->drift,
            $this->has('drift') ? $this->enum('drift_side', Side::class) : $held->side,
            $this->has('load') ? ReadsAs::read($this->input('load'), $this->units()->unit(Scale::Weight) ?? Unit::Gram) : $held->load,
            $this->has('inflation_kind') ? $this->inflation() : $held->inflation,
            $this->has('limp') ? ReadsAs::read($this->input('limp'), $this->bareUnit()) : $held->limp,
            $this->has('total_time') ? ReadsAs::read($this->input('total_time'), Unit::Second) : $held->totalTime,
            $this->has('lane') ? ($this->input('lane') === null ? null : $this->integer('lane')) : $held->lane,
            $pastEnd,
            $this->has('filled_by') ? $this->enum('filled_by', FilledBy::class) : $held->filledBy,
            match (true) {
                $this->has('kind') => $this->enum('kind', RunKind::class) ?? RunKind::Try,
                $this->boolean('practice') => RunKind::Practice,
                $isTimed => RunKind::Timed,
                $this->has('practice') => RunKind::Try,
                default => $held->kind,
            },
            $this->has('surface') ? $this->surface() : $held->surface,
            $this->has('ramp') ? $this->ramp() : $held->ramp,
            $hitWall,
        );
        if ($record->distance === null && $record->void === null) {
            throw ValidationException::withMessages(['distance' => $this->messages()['distance.required']]);
        }

        return $record;
    }

    /** Whether a new run is one of the timed round: after the tries, and nothing else is said of it. */
    private function isTimed(): bool
    {
        $challenge = $this->challenge();
        $group = $this->isMethod('post') && is_numeric($this->input('group')) ? $challenge->groups()->find($this->integer('group')) : null;
        if (
            $challenge->timed_rounds === 0
            || $challenge->timed_length === null
            || $group === null
            || $this->filled('kind')
            || $this->boolean('practice')
        ) {
            return false;
        }

        $tries = $group->newestCar()?->tries($challenge);
        $practiced = count(array_filter($tries->practice ?? [], static fn(CoreRun $run): bool => $run->void === null));

        return $tries !== null
            && $tries->timedLeft($challenge->timed_rounds) > 0
            && FillSweep::read($group->sweep, $challenge->units)?->next($practiced) === null;
    }

    /** Null where it is the class's own: then nothing is other. */
    private function surface(): ?string
    {
        $typed = trim($this->string('surface')->toString());

        return $typed === '' || mb_strtolower($typed) === mb_strtolower($this->challenge()->surface ?? '') ? null : $typed;
    }

    /** Null where it started level. */
    private function ramp(): ?Entry
    {
        $ramp = ReadsAs::read($this->input('ramp'), $this->bareUnit());

        return $ramp === null || $ramp->quantity->si() === 0.0 ? null : $ramp;
    }

    private function inflation(): ?Inflation
    {
        $kind = $this->enum('inflation_kind', InflationKind::class);

        return $kind === null ? null : new Inflation(
            $kind,
            $kind->isMeasured()
                ? ReadsAs::read($this->input('inflation_size'), $this->units()->unit(Scale::Body) ?? Unit::Centimetre) : null,
            $kind->isCounted() ? $this->integer('inflation_strokes') : null,
        );
    }

    /**
     * What looks like a slip of the pen and has not been confirmed yet.
     *
     * @return array<string, string> by field
     */
    public function questions(): array
    {
        $challenge = $this->challenge();
        $run = $this->route('run');
        $run = $run instanceof Run ? $run : null;
        $plausibility = new Plausibility(
            $challenge->lane_length->quantity->si(),
            $challenge->timed_length?->quantity->si(),
            $this->filled('distance') ? ExpectedRun::of($challenge, $this->group(), $run) : null,
        );
        $typed = $this->input('distance');
        $questions = $plausibility->questions($this->record($run), ReadsAs::bare($typed, $this->bareUnit()));
        if ($run !== null && $typed === $run->distance?->text) {
            // It stood there, and was asked about then.
            unset($questions['distance']);
        }

        return array_diff_key(
            array_map($this->words()->say(...), $questions) + ($run === null ? $this->practiceQuestion() : []),
            array_flip($this->confirmed()),
        );
    }

    /** @return array<string, string> whether one more run is practice, of a group whose practice is over */
    private function practiceQuestion(): array
    {
        if (!$this->boolean('practice') || $this->filled('kind') || $this->challenge()->practice_runs === 0) {
            return [];
        }
        $challenge = $this->challenge();
        $group = $this->group();
        $next = NextRun::of(ClassRecord::of($challenge), $group->loadMissing('cars'));

        return $next->isPractice ? [] : ['practice' => Text::of('run.question.practice', [
            'group' => $group->name, 'try' => $next->asTry,
        ])];
    }

    /** Whether a run that is stored under the id of this one is another: no sending once more says something else. */
    public function isOtherThan(Run $stored): bool
    {
        $logged = $stored->asLogged();
        $distance = ReadsAs::read($this->input('distance'), $this->bareUnit());
        $car = Car::query()->whereKey((int) $logged['car_id'])->first();

        return ($distance !== null && abs($distance->quantity->si() - (float) ($logged['distance_m'] ?? 0.0)) > self::SAME_M)
            || ($this->input('void') ?? null) !== $logged['void_reason']
            || ($car !== null && $car->group_id !== $this->integer('group'));
    }

    /** @return list<string> the questions that were answered with yes */
    public function confirmed(): array
    {
        return explode(',', (string) $this->input('confirmed'));
    }

    /** @return list<string> the readings that filled its fields */
    public function readingIds(): array
    {
        return array_values(array_filter(explode(',', (string) $this->input('readings')), Str::isUuid(...)));
    }

    private function bareUnit(): Unit
    {
        return $this->units()->unit(Scale::Distance) ?? Unit::Centimetre;
    }

    private function challenge(): Challenge
    {
        $challenge = $this->route('challenge');

        return $challenge instanceof Challenge ? $challenge : throw new \LogicException('A run belongs to a challenge.');
    }
}
