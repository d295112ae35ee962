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
    <x-field
        name="practice_runs" :label="Text::of('challenge.form.practice_first')" :value="$challenge->practice_runs" inputmode="numeric"
        :hint="Text::of('challenge.form.the_first_runs_of_a_car')" />
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
