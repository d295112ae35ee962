@php
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Measurement\Scale;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
@endphp
<div class="form-grid">
    @if (isset($lane))<p class="wide prose" data-lane-forecast>{{ (new \App\Language\ForecastWords($challenge->units))->lane($lane) }}</p>@endif
    @includeWhen($challenge->exists, 'plan.form.lane')
    <x-field
        name="lanes" :label="Text::of('challenge.form.lanes')" :value="$challenge->lanes" inputmode="numeric"
        :hint="Text::of('challenge.form.side_by_side')" />
    <x-field
        name="surface" :label="Text::of('challenge.form.surface')" optional :value="$challenge->surface"
        :suggestions="\Skivo\Core\Car\Part\Catalogue::standard()->namesOf(CarAttribute::Surface)" />
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
