@props(['name', 'value', 'checked' => false, 'hint' => null])
<label class="choice">
    <input type="radio" name="{{ $name }}" value="{{ $value }}" @checked(old($name, $checked ? $value : null) === $value)>
    <span>{{ $slot }}@if ($hint !== null)<small>{{ $hint }}</small>@endif</span>
</label>
