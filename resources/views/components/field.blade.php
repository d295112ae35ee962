@props(['name', 'label', 'value' => null, 'hint' => null, 'optional' => false, 'type' => 'text', 'suggestions' => [], 'scale' => null, 'units' => null])
@php
    $id = 'f-' . $name;
    $isDay = in_array($type, ['date', 'datetime-local'], true);
@endphp
<div {{ $attributes->only('class')->class('field') }}>
    <label for="{{ $id }}">{{ $label }}@if ($optional) <span class="optional">{{ Text::of('frame.field.optional') }}</span>@endif
        @if ($scale !== null && $units->unit($scale) !== null)<span class="sr-only">{{ Text::of('frame.field.in', [
            'unit' => \App\Language\Phrase::unit($units->unit($scale)),
        ]) }}</span>@endif</label>
    <div @class(['unit-in' => $scale !== null])>
        <input
            id="{{ $id }}" name="{{ $name }}" type="{{ $isDay ? 'text' : $type }}"
            @unless ($type === 'password') value="{{ $isDay ? Moment::inField(old($name, $value)) : old($name, $value) }}" @endunless
            @if ($isDay) data-day="{{ $type }}" data-pick="{{ Text::of('frame.field.pick', ['field' => $label]) }}"
                placeholder="{{ Text::of($type === 'date' ? 'frame.field.a_day' : 'frame.field.a_day_and_time') }}" @endif
            @if ($suggestions !== []) list="{{ $id }}-list" @endif
            @error($name) aria-invalid="true" @enderror
            @if ($hint !== null || $errors->has($name)) aria-describedby="{{ $id }}-about" @endif
            {{ $attributes->except('class')->merge(['autocomplete' => 'off']) }}
            @class(['input'])
        >
        @if ($scale !== null)
            <span
                class="unit" aria-hidden="true" @foreach (\Skivo\Core\Measurement\UnitSystem::cases() as $system)
                data-{{ $system->value }}="{{ $system->symbol($scale) }}" @endforeach>{{ $units->symbol($scale) }}</span>
        @endif
    </div>
    @if ($suggestions !== [])
        <datalist id="{{ $id }}-list">@foreach ($suggestions as $suggestion)<option value="{{ $suggestion }}"></option>@endforeach</datalist>
    @endif
    @if ($hint !== null || $errors->has($name))
        <div id="{{ $id }}-about">
            @error($name)<p class="error">{{ $message }}</p>@enderror
            @if ($hint !== null)<p class="hint">{{ $hint }}</p>@endif
        </div>
    @endif
</div>
