{{-- What orders the floor, and the length on the lane that it needs. --}}
@php
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Measurement\Scale;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
    $about = [
        'farthest' => Text::of('challenge.form.from_the_start_line_to_where'),
        'fastest' => Text::of('challenge.form.the_same_length_for_every_car'),
        'straightest' => Text::of('challenge.form.how_far_off_the_line_it'),
        'nearest' => Text::of('challenge.form.how_close_to_a_mark_on'),
        'load' => Text::of('challenge.form.carried_over_a_set_length'),
    ];
@endphp
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
<div class="form-grid goal-lengths">
    <x-field
        class="goal-length of-fastest" name="timed_length" :scale="Scale::Lane" :units="$formUnits"
        :label="Text::of('challenge.form.length_that_is_timed')" optional :value="$challenge->timed_length?->text"
        :hint="Text::of('challenge.form.for_the_fastest_or_if_times')" />
    <x-field
        class="goal-length of-nearest" name="mark_distance" :scale="Scale::Lane" :units="$formUnits" :label="Text::of('challenge.form.the_mark_lies_at')"
        optional :value="$challenge->mark_distance?->text"
        :hint="Text::of('challenge.form.for_the_nearest_from_the_start')" />
    <x-field
        class="goal-length of-load" name="load_length" :scale="Scale::Lane" :units="$formUnits"
        :label="Text::of('challenge.form.the_load_is_carried_over')" optional :value="$challenge->load_length?->text"
        :hint="Text::of('challenge.form.for_the_heaviest_load')" />
</div>
