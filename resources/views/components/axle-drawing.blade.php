{{-- One axle from behind, to scale, with what makes up its length. --}}
@props(['sizes', 'axle', 'wheel', 'units'])
@php
    use Skivo\Core\Measurement\Scale;
    $width = 560;
    $margin = 20;
    $scale = ($width - 2 * $margin) / max($sizes->axleLengthM(), $sizes->chassisWidthM);
    $shown = fn (float $m) => $units->show($m, Scale::Body);
    $radius = min($wheel / 2 * $scale, 90);
    $middle = $width / 2;
    $floor = 70 + 2 * $radius;
    $hub = $floor - $radius;
    $x = fn (float $m) => round($middle + $m * $scale, 2);
    $bearing = $sizes->bearingLengthM() / 2;
    $inner = $bearing + $sizes->endPlayM / 2;
    $outer = $inner + $sizes->wheelThicknessM;
    $end = $sizes->axleLengthM() / 2;
    $thick = max(2.5, $axle * $scale);
    $lines = [[$bearing, $floor + 24, 'bearing ' . $shown(2 * $bearing)], [$end, $floor + 52, 'axle ' . $shown(2 * $end)]];
@endphp
<svg class="drawing mt-3" viewBox="0 0 {{ $width }} {{ round($floor + 66) }}" role="img" aria-label="The axle from behind, to scale: chassis {{ $shown($sizes->chassisWidthM) }}, bearing {{ $shown(2 * $bearing) }}, axle {{ $shown(2 * $end) }}">
    <line class="ground" x1="0" x2="{{ $width }}" y1="{{ $floor + 1 }}" y2="{{ $floor + 1 }}" />
    <rect class="card" x="{{ $x(-$sizes->chassisWidthM / 2) }}" y="{{ $hub - $thick - 12 }}" width="{{ round($sizes->chassisWidthM * $scale, 2) }}" height="9" />
    <rect class="straw" x="{{ $x(-$bearing) }}" y="{{ $hub - $thick / 2 - 3 }}" width="{{ round(2 * $bearing * $scale, 2) }}" height="{{ $thick + 6 }}" />
    <rect class="rod" x="{{ $x(-$end) }}" y="{{ $hub - $thick / 2 }}" width="{{ round(2 * $end * $scale, 2) }}" height="{{ $thick }}" />
    @foreach ([-1, 1] as $side)
        <rect class="wheel" x="{{ $x($side < 0 ? -$outer : $inner) }}" y="{{ round($hub - $radius, 2) }}" width="{{ round(max(2, $sizes->wheelThicknessM * $scale), 2) }}" height="{{ round(2 * $radius, 2) }}" />
    @endforeach
    <g class="dimension">
        <line x1="{{ $x(-$sizes->chassisWidthM / 2) }}" x2="{{ $x($sizes->chassisWidthM / 2) }}" y1="22" y2="22" /><text x="{{ $middle }}" y="15" text-anchor="middle">chassis {{ $shown($sizes->chassisWidthM) }}</text>
        @foreach ($lines as [$half, $y, $label])
            <line x1="{{ $x(-$half) }}" x2="{{ $x($half) }}" y1="{{ $y }}" y2="{{ $y }}" /><text x="{{ $middle }}" y="{{ $y - 5 }}" text-anchor="middle">{{ $label }}</text>
        @endforeach
    </g>
</svg>
