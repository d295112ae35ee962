{{-- How far the model is off for each car: hollow without the class's factors, filled when foretold from the others. --}}
@props(['findings', 'words', 'record'])
@php
    $calibration = $findings->calibration;
    $cars = array_values(array_filter($findings->cars, fn ($car) => isset($calibration->after[$car->id])));
    $off = fn (array $distances, $car) => $distances[$car->id] / $car->sample->mean() - 1;
    $most = max(0.25, ...array_map(fn ($car) => abs($off($calibration->leftOut, $car)), $cars));
    [$left, $width, $row] = [190, 880, 24];
    $middle = $left + ($width - $left) / 2;
    $half = ($width - $left) / 2 - 20;
    $x = fn (float $share) => round($middle + max(-1.06, min(1.06, $share / $most)) * $half, 1);
    $height = 34 + $row * count($cars);
@endphp
<svg class="drawing residuals" viewBox="0 0 {{ $width }} {{ $height }}" role="img" aria-label="How far the model is off for each car">
    @foreach ([-1, -0.5, 0, 0.5, 1] as $part)<line class="{{ $part === 0 ? 'zero' : 'grid' }}" x1="{{ $x($part * $most) }}" x2="{{ $x($part * $most) }}" y1="20" y2="{{ $height - 8 }}" /><text class="axis" x="{{ $x($part * $most) }}" y="13" text-anchor="middle">{{ $part == 0 ? 'as measured' : ($part > 0 ? '+' : '−') . number_format(100 * abs($part) * $most) . ' %' }}</text>@endforeach
    @foreach ($cars as $index => $car)
        @php([$y, $before] = [34 + $row * $index, $off($calibration->before, $car)])
        <text x="{{ $left - 12 }}" y="{{ $y + 5 }}" text-anchor="end">{{ \Illuminate\Support\Str::limit($words->name($car->id), 22) }}</text>
        @if (abs($before) <= 1.06 * $most)<circle class="parts-dot" cx="{{ $x($before) }}" cy="{{ $y }}" r="4.5" />@else<path class="parts-dot" d="M{{ $x($before) }} {{ $y }}l{{ $before > 0 ? '-8 -5v10z' : '8 -5v10z' }}" />@endif
        <circle class="own-dot" cx="{{ $x($off($calibration->leftOut, $car)) }}" cy="{{ $y }}" r="5.5" />
    @endforeach
</svg>
<p class="small"><span class="interval-key estimated">the model by the parts alone; an arrow where it is farther off than is drawn</span> <span class="interval-key">foretold without the car</span></p>
