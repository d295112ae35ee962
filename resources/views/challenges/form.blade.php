@php
    use App\Http\Requests\ChallengeRequest;
    use App\Presenters\FactorWords;
    use Skivo\Core\Car\CarAttribute;
    use Skivo\Core\Car\Step;
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Findings\Outcome;
    use Skivo\Core\Findings\Question;
    use Skivo\Core\Measurement\Scale;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
    $free = $challenge->free_steps;
    $limited = ['chassis' => Text::of('challenge.form.chassis_may_be'), 'wheel' => Text::of('challenge.form.wheels_may_be'),
        'nozzle' => Text::of('challenge.form.nozzles_may_be')];
    $hasLimits = $challenge->most_balloons !== null || $challenge->most_straws !== null || $challenge->heaviest !== null
        || $challenge->longest !== null || $challenge->allowed !== [];
    $about = [
        'farthest' => Text::of('challenge.form.from_the_start_line_to_where'),
        'fastest' => Text::of('challenge.form.the_same_length_for_every_car'),
        'straightest' => Text::of('challenge.form.how_far_off_the_line_it'),
        'nearest' => Text::of('challenge.form.how_close_to_a_mark_on'),
        'load' => Text::of('challenge.form.carried_over_a_set_length'),
    ];
@endphp
<x-errors />
<x-sent-with :units="$formUnits" />
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_question') }}</h2>
    <div class="grid gap-4 max-w-2xl">
        <x-field name="name" :label="Text::of('challenge.form.name')" :value="$challenge->name" maxlength="120" />
        <div class="field">
            <label for="f-asks">{{ Text::of('challenge.form.what_the_class_asks') }}</label>
            <select id="f-asks" name="asks" class="input" aria-describedby="f-asks-about">
                <option value="">{{ Text::of('challenge.form.free_design_no_single_question') }}</option>
                @foreach (Question::askable() as $attribute)
                    <option value="{{ $attribute->value }}" @selected(old('asks', $challenge->asks?->value) === $attribute->value)>
                        {{ FactorWords::asked($attribute) }}</option>
                @endforeach
            </select>
            <div id="f-asks-about">
                @error('asks')<p class="error">{{ $message }}</p>@enderror
                <p class="hint">{{ Text::of('challenge.form.its_answer_is_judged_by_itself') }}</p>
            </div>
        </div>
        <div class="field">
            <label for="f-asks-outcome">{{ Text::of('challenge.form.what_it_should_be_better_at') }}</label>
            <select id="f-asks-outcome" name="asks_outcome" class="input">
                @foreach (Outcome::cases() as $outcome)
                    <option value="{{ $outcome->value }}" @selected(old('asks_outcome', $challenge->asks_outcome->value ?? 'distance') === $outcome->value)>
                        {{ Text::of("challenge.form.better_{$outcome->value}") }}</option>
                @endforeach
            </select>
            @error('asks_outcome')<p class="error">{{ $message }}</p>@enderror
        </div>
        <div class="form-grid narrow">
            <x-field name="asks_to" :label="Text::of('challenge.form.for_kinds_this_one')" optional :value="$challenge->asks_to" maxlength="80" />
            <x-field name="asks_from" :label="Text::of('challenge.form.for_kinds_than_this_one')" optional :value="$challenge->asks_from" maxlength="80" />
        </div>
        <x-field
            name="question" :label="Text::of('challenge.form.question_the_class_is_to_answer')" optional
            :value="$challenge->question" maxlength="300" :hint="Text::of('challenge.form.for_instance_does_a_wider_nozzle')" />
    </div>
</section>
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_goal') }}</h2>
    <div class="grid gap-4">
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.what_orders_the_floor') }}</legend>
            <div class="choices">
                @foreach (Goal::cases() as $goal)
                    <x-choice name="goal" :value="$goal->value" :checked="$challenge->goal === $goal" :hint="$about[$goal->value]">
                        {{ Label::of($goal) }}{{ $goal === Goal::Fastest ? ' ' . Text::of('challenge.form.over_a_set_length') : '' }}
                    </x-choice>
                @endforeach
            </div>
            @error('goal')<p class="error">{{ $message }}</p>@enderror
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.further_awards_each_for_itself') }}</legend>
            <div class="ticks">
                @foreach (Goal::cases() as $goal)
                    <x-tick name="award_{{ $goal->value }}" :checked="$challenge->exists && $challenge->isAfter($goal) && $challenge->goal !== $goal">
                        {{ Label::of($goal) }}</x-tick>
                @endforeach
            </div>
        </fieldset>
        <div class="form-grid">
            <x-field
                name="timed_length" :scale="Scale::Lane" :units="$formUnits"
                :label="Text::of('challenge.form.length_that_is_timed')" optional :value="$challenge->timed_length?->text"
                :hint="Text::of('challenge.form.for_the_fastest_or_if_times')" />
            <x-field
                name="mark_distance" :scale="Scale::Lane" :units="$formUnits" :label="Text::of('challenge.form.the_mark_lies_at')"
                optional :value="$challenge->mark_distance?->text"
                :hint="Text::of('challenge.form.for_the_nearest_from_the_start')" />
            <x-field
                name="load_length" :scale="Scale::Lane" :units="$formUnits"
                :label="Text::of('challenge.form.the_load_is_carried_over')" optional :value="$challenge->load_length?->text"
                :hint="Text::of('challenge.form.for_the_heaviest_load')" />
        </div>
    </div>
</section>
<section class="form-part">
    <h2>{{ Text::of('challenge.form.tries') }}</h2>
    <div class="grid gap-4">
        <x-field
            class="max-w-40" name="tries" :label="Text::of('challenge.form.tries_per_group')" :value="$challenge->tries"
            inputmode="numeric" :hint="Text::of('challenge.form.three_is_usual')" />
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.how_tries_count') }}</legend>
            <div class="choices">
                <x-choice
                    name="scoring" value="mean" :checked="$challenge->scoring->value === 'mean'"
                    :hint="Text::of('challenge.form.rewards_a_car_that_is_good')">
                    {{ Text::of('challenge.form.mean_of_all') }}</x-choice>
                <x-choice
                    name="scoring" value="best" :checked="$challenge->scoring->value === 'best'"
                    :hint="Text::of('challenge.form.rewards_the_one_great_run_forgives')">
                    {{ Text::of('challenge.form.best_one') }}</x-choice>
                <x-choice
                    name="scoring" value="median" :checked="$challenge->scoring->value === 'median'"
                    :hint="Text::of('challenge.form.one_odd_try_does_not_matter')">
                    {{ Text::of('challenge.form.median') }}</x-choice>
            </div>
            @error('scoring')<p class="error">{{ $message }}</p>@enderror
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.a_void_try') }}</legend>
            <div class="choices max-w-2xl">
                <x-choice name="void_is_retried" value="1" :checked="$challenge->void_is_retried" :hint="Text::of('challenge.form.under_its_own_number')">
                    {{ Text::of('challenge.form.is_made_again') }}</x-choice>
                <x-choice name="void_is_retried" value="0" :checked="! $challenge->void_is_retried" :hint="Text::of('challenge.form.as_if_it_had_not_been')">
                    {{ Text::of('challenge.form.is_lost') }}</x-choice>
            </div>
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.a_car_that_does_not_start') }}</legend>
            <div class="choices max-w-2xl">
                <x-choice
                    name="no_start_is_zero" value="0" :checked="! $challenge->no_start_is_zero"
                    :hint="Text::of('challenge.form.no_try_that_counts')">
                    {{ Text::of('challenge.form.makes_a_void_try') }}</x-choice>
                <x-choice
                    name="no_start_is_zero" value="1" :checked="$challenge->no_start_is_zero"
                    :hint="Text::of('challenge.form.a_distance_like_any_other')">
                    {{ Text::of('challenge.form.counts_as_0') }}</x-choice>
            </div>
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.a_push_at_the_start') }}</legend>
            <div class="choices max-w-2xl">
                <x-choice name="push_is_foul" value="1" :checked="$challenge->push_is_foul" :hint="Text::of('challenge.form.the_car_must_move_by_itself')">
                    {{ Text::of('challenge.form.is_a_foul') }}</x-choice>
                <x-choice name="push_is_foul" value="0" :checked="! $challenge->push_is_foul" :hint="Text::of('challenge.form.every_car_may_be_given_one')">
                    {{ Text::of('challenge.form.is_allowed') }}</x-choice>
            </div>
        </fieldset>
    </div>
</section>
<section class="form-part">
    <h2>{{ Text::of('challenge.form.the_floor') }}</h2>
    <div class="form-grid">
        @if (isset($lane))<p class="wide prose" data-lane-forecast>{{ (new \App\Presenters\ForecastWords($challenge->units))->lane($lane) }}</p>@endif
        <x-field
            name="lane_length" :scale="Scale::Lane" :units="$formUnits" :label="Text::of('challenge.form.lane_length')"
            :value="$challenge->lane_length?->text" :hint="Text::of('challenge.form.such_as_6_m_or_20')" />
        <x-field
            name="lanes" :label="Text::of('challenge.form.lanes')" :value="$challenge->lanes" inputmode="numeric"
            :hint="Text::of('challenge.form.side_by_side')" />
        <x-field
            name="surface" :label="Text::of('challenge.form.surface')" optional :value="$challenge->surface"
            :suggestions="\Skivo\Core\Car\Catalogue::standard()->namesOf(CarAttribute::Surface)" />
        <x-field
            name="air_temperature" :label="Text::of('challenge.form.air_temperature')" optional
            :value="$challenge->air_temperature_entered" :hint="Text::of('challenge.form.such_as_20_c_or_68')" />
        <fieldset class="wide">
            <legend class="field-label mb-1">{{ Text::of('challenge.form.units_the_class_works_in') }}</legend>
            <div class="choices max-w-2xl">
                <x-choice name="units" value="metric" :checked="$challenge->units->value === 'metric'">{{ Text::of('challenge.form.cm_and_g') }}</x-choice>
                <x-choice name="units" value="imperial" :checked="$challenge->units->value === 'imperial'">{{ Text::of('challenge.form.in_and_oz') }}</x-choice>
            </div>
        </fieldset>
    </div>
</section>
<section class="form-part">
    <h2>{{ Text::of('challenge.form.what_may_be_varied') }}</h2>
    <div class="grid gap-4">
        <fieldset>
            <legend class="sr-only">{{ Text::of('challenge.form.design') }}</legend>
            <div class="choices max-w-2xl">
                <x-choice name="design" value="free" :checked="$free === null" :hint="Text::of('challenge.form.learners_invent_comparing_is_harder')">
                    {{ Text::of('challenge.form.free_design') }}</x-choice>
                <x-choice name="design" value="held" :checked="$free !== null" :hint="Text::of('challenge.form.as_in_the_kit_but_for')">
                    {{ Text::of('challenge.form.the_same_car_for_all') }}</x-choice>
            </div>
        </fieldset>
        <fieldset>
            <legend class="field-label mb-1">{{ Text::of('challenge.form.with_the_same_car_for_all') }}</legend>
            <div class="ticks">
                @foreach (Step::cases() as $step)
                    <x-tick name="free_{{ $step->value }}" :checked="in_array($step->value, $free ?? ['nozzle'], true)">{{ Label::of($step) }}</x-tick>
                @endforeach
            </div>
        </fieldset>
        <details class="disclosure" @if ($hasLimits || $errors->hasAny(['most_balloons', 'most_straws', 'heaviest', 'longest'])) open @endif>
            <summary>{{ Text::of('challenge.form.limits_on_materials') }}</summary>
            <div class="form-grid mt-3">
                <x-field
                    name="most_balloons" :label="Text::of('challenge.form.balloons_at_most')" optional
                    :value="$challenge->most_balloons" inputmode="numeric" />
                <x-field
                    name="most_straws" :label="Text::of('challenge.form.straws_at_most')" optional
                    :value="$challenge->most_straws" inputmode="numeric"
                    :hint="Text::of('challenge.form.in_nozzle_and_bearings_together')" />
                <x-field
                    name="heaviest" :scale="Scale::Weight" :units="$formUnits"
                    :label="Text::of('challenge.form.car_weighs_at_most')" optional :value="$challenge->heaviest?->text" />
                <x-field
                    name="longest" :scale="Scale::Body" :units="$formUnits" :label="Text::of('challenge.form.chassis_at_most')"
                    optional :value="$challenge->longest?->text" :hint="Text::of('challenge.form.long')" />
                @foreach (ChallengeRequest::LIMITED as $kind)
                    <x-field
                        class="wide max-w-2xl" name="allowed_{{ $kind->value }}" :label="$limited[$kind->value]" optional
                        :value="implode(', ', $challenge->allowed[$kind->value] ?? [])"
                        :hint="Text::of('challenge.form.names_from_the_parts_list_with')" />
                @endforeach
            </div>
        </details>
    </div>
</section>
