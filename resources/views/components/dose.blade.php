{{-- Fills of one car and how far it went with each; the parabola through them, and where its top may lie. --}}
@props(['drawing', 'label'])
<svg class="drawing dose" viewBox="0 0 420 200" role="img" aria-label="{{ $label }}">
    <line class="ground" x1="40" x2="410" y1="165" y2="165" />
    @if ($drawing->top !== null)<rect class="tape-band" x="{{ $drawing->top[0] }}" y="12" width="{{ $drawing->top[1] }}" height="153" />@endif
    @if ($drawing->curve !== '')<polyline class="dose-curve" points="{{ $drawing->curve }}" />@endif
    @foreach ($drawing->points as [$x, $y])<circle class="dose-point" cx="{{ $x }}" cy="{{ $y }}" r="5" />@endforeach
    @foreach ($drawing->fills as [$x, $said])<text x="{{ $x }}" y="183" text-anchor="middle">{{ $said }}</text>@endforeach
    @foreach ($drawing->heights as [$y, $said])<text x="34" y="{{ $y }}" text-anchor="end">{{ $said }}</text>@endforeach
</svg>
