{{-- Balloon, wheel and nozzle beside each other on the ground, all to one scale: 26 cm fill the height. --}}
@props(['car'])
@php
    use App\Pages\Plan\PartsToScale;
    $parts = new PartsToScale($car);
    $ground = PartsToScale::GROUND;
@endphp
<svg class="parts" viewBox="0 0 176 80" role="img" aria-label="{{ Text::of('build.parts_to_scale.balloon_wheel_and_nozzle_to_scale') }}">
    <line class="ground" x1="0" x2="176" y1="{{ $ground + 1 }}" y2="{{ $ground + 1 }}" />
    @if ($parts->balloon !== null)<circle class="balloon" cx="42" cy="{{ $ground - $parts->balloon }}" r="{{ $parts->balloon }}" />@endif
    @if ($parts->wheel !== null)<circle class="wheel" cx="104" cy="{{ $ground - $parts->wheel }}" r="{{ $parts->wheel }}" />
    <circle cx="104" cy="{{ $ground - $parts->wheel }}" r="1.4" />@endif
    @foreach ($parts->tubes as $tube)
        <rect class="tube" x="128" y="{{ $tube['y'] }}" width="{{ $tube['width'] }}" height="{{ $tube['height'] }}" />
    @endforeach
</svg>
