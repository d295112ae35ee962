{{-- A short field with its unit inside. --}}
@props(['name', 'label', 'value' => null, 'unit'])
<div class="field">
    <label for="f-{{ $name }}">{{ $label }}</label>
    <div class="unit-in">
        <input
            id="f-{{ $name }}" name="{{ $name }}" class="input num" inputmode="decimal" autocomplete="off"
            value="{{ old($name, $value) }}" @error($name) aria-invalid="true" aria-describedby="f-{{ $name }}-error" @enderror>
        <span class="unit" aria-hidden="true">{{ $unit }}</span>
    </div>
    @error($name)<p class="error" id="f-{{ $name }}-error">{{ $message }}</p>@enderror
</div>
