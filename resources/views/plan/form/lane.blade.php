@php
    use Skivo\Core\Measurement\Scale;
    $formUnits = \Skivo\Core\Measurement\UnitSystem::tryFrom((string) old('units', '')) ?? $challenge->units;
@endphp
<x-field
    name="lane_length" :scale="Scale::Lane" :units="$formUnits" :label="Text::of('challenge.form.lane_length')"
    :value="$challenge->lane_length?->text" :hint="Text::of('challenge.form.such_as_6_m_or_20')" />
