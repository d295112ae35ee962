{{-- The path of a car that turns, on its strip of floor from above. --}}
@props(['steering', 'over', 'drift', 'units'])
@php
    use Skivo\Core\Measurement\Scale;
    $width = 1000;
    $scale = 900 / $over;
    $points = [];
    for ($i = 0; $i <= 30; $i++) {
        $x = $over * $i / 30;
        $points[] = round(40 + $x * $scale, 1) . ',' . round(70 - ($drift > 0 ? 1 : -1) * $steering->driftOver($x) * min($scale, 50 / abs($drift)), 1);
    }
@endphp
<figure class="my-4">
    <svg class="drawing steering" viewBox="0 0 {{ $width }} 140" role="img" aria-label="Its path: {{ $units->show(abs($drift), Scale::Distance) }} to the {{ $steering->towards->value }} after {{ $units->show($over, Scale::Lane) }}">
        <rect class="floor" x="40" y="6" width="920" height="128" />
        <line class="start" x1="40" x2="40" y1="6" y2="134" />
        <line class="straight" x1="40" x2="940" y1="70" y2="70" />
        <polyline class="path" points="{{ implode(' ', $points) }}" />
        <text x="50" y="24">left</text><text x="50" y="128">right</text>
        <text class="halo" x="940" y="{{ $drift > 0 ? 64 : 86 }}" text-anchor="end">{{ $units->show(abs($drift), Scale::Distance) }} off after {{ $units->show($over, Scale::Lane) }}</text>
    </svg>
    <figcaption class="small">It rolls on a circle of {{ $units->show($steering->radiusM, Scale::Lane) }} radius: the axles are {{ number_format(rad2deg($steering->angle), 2) }}° out of parallel, if that is the cause.{{ abs($drift) * $scale > 50 ? ' Sideways is drawn smaller than along the lane.' : '' }}</figcaption>
</figure>
