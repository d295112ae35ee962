@php
    use App\Pages\Plan\ChallengeRequest;
    use Skivo\Core\Car\Attribute\Step;
    use Skivo\Core\Measurement\Scale;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
    $free = $challenge->free_steps;
    $limited = ['chassis' => Text::of('challenge.form.chassis_may_be'), 'wheel' => Text::of('challenge.form.wheels_may_be'),
        'nozzle' => Text::of('challenge.form.nozzles_may_be')];
    $hasLimits = $challenge->most_balloons !== null || $challenge->most_straws !== null || $challenge->heaviest !== null
        || $challenge->longest !== null || $challenge->allowed !== [];
@endphp
<div class="grid gap-4">
    <div class="what-varies grid gap-4">
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
    </div>
    <details class="disclosure" @if ($hasLimits || $errors->hasAny(['most_balloons', 'most_straws', 'heaviest', 'longest'])) open @endif>
        <summary>{{ Text::of($hasLimits ? 'challenge.form.limits_on_materials' : 'challenge.form.no_limits_on_materials') }}</summary>
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
