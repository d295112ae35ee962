@props(['name', 'checked' => false])
<label class="tick">
    <input type="hidden" name="{{ $name }}" value="0">
    <input type="checkbox" name="{{ $name }}" value="1" @checked((string) old($name, $checked ? '1' : '0') === '1')>
    <span>{{ $slot }}</span>
</label>
