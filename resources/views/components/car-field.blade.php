{{-- A field of the build sheet, with a slider under it where one makes sense. --}}
@props(['choice', 'car', 'kit', 'units', 'held' => null, 'usual' => null, 'hint' => null, 'suggestions' => []])
@php
    $ruler = \App\Pages\Build\FieldRuler::of($choice, $car, $kit, $units);
@endphp
<div class="car-field" @if ($ruler !== null) data-ruler @endif>
    <x-field
        :name="$choice->value" :label="Label::title($choice)" :value="$held" :suggestions="$suggestions"
        :inputmode="$choice->isCount() ? 'numeric' : 'text'" :hint="$hint" :placeholder="$usual"
        :scale="$choice->isQuantity() ? $choice->scale() : null" :units="$units" />
    @if ($ruler !== null)
        <input
            type="range" @class(['rule', 'is-unset' => ! $ruler->isSet]) tabindex="-1" aria-label="{{ Label::title($choice) }}"
            min="{{ $ruler->least }}"
            max="{{ $ruler->greatest }}" step="{{ $ruler->step }}" value="{{ $ruler->at }}" data-unit="{{ $ruler->unit }}"
            @if ($ruler->isInFractions) data-fractions @endif>
    @endif
</div>
