<div class="ruler" data-setting="{{ $setting['key'] }}">
    <label for="w-{{ $setting['key'] }}">{{ $setting['label'] }}</label>
    <span class="unit-in">
    <input
        class="input num" inputmode="decimal" autocomplete="off" data-field
        aria-label="{{ $setting['label'] }}, {{ $setting['unit'] ?: Text::of('dry_run.setting.number') }}">
    <span class="unit" aria-hidden="true">{{ $setting['unit'] }}</span></span>
    <input type="range" id="w-{{ $setting['key'] }}" min="{{ $setting['least'] }}" max="{{ $setting['greatest'] }}" step="{{ $setting['step'] }}" data-slider>
</div>
