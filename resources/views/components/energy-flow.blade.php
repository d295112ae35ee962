{{-- The energy of a run as one bar, and the little that pushes the car drawn out below it. --}}
@props(['energy', 'name'])
@php
    $width = 880;
    $share = $energy->thrustWork / $energy->stored;
    $push = max(2, $share * $width);
    $spent = max(1e-12, $energy->rolling + $energy->drag + $energy->carriedOff);
    $rolling = $energy->rolling / $spent * 520;
@endphp
<svg class="drawing energy" viewBox="0 0 {{ $width }} 190" role="img" aria-label="Energy of {{ $name }}: {{ number_format(100 * $share, 1) }} % pushes the car">
    <text x="0" y="16">stored in rubber and air: {{ number_format($energy->stored, 2) }} J</text>
    <rect class="jet-share" x="0" y="26" width="{{ $width }}" height="44" /><rect class="push-share" x="0" y="26" width="{{ round($push, 1) }}" height="44" />
    <text x="{{ round(min($width - 330, $push + 14), 1) }}" y="53">jet and nozzle {{ number_format($energy->jetAndNozzle(), 2) }} J</text>
    <path class="drawn-out" d="M0 70L0 104L520 104L{{ round($push, 1) }} 70Z" />
    <rect class="rolling-share" x="0" y="104" width="{{ round($rolling, 1) }}" height="44" /><rect class="air-share" x="{{ round($rolling, 1) }}" y="104" width="{{ round(520 - $rolling, 1) }}" height="44" />
    <text x="534" y="131">pushed the car: {{ number_format(1000 * $energy->thrustWork) }} mJ, {{ number_format(100 * $share, 1) }} %</text>
    <text x="0" y="168">rolling {{ number_format(1000 * $energy->rolling) }} mJ</text><text x="520" y="168" text-anchor="end">air {{ number_format(1000 * ($energy->drag + $energy->carriedOff)) }} mJ</text>
</svg>
