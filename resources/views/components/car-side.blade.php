{{-- The shapes of a car from the side. --}}
@props(['drawing'])
@php
    use App\Drawings\CarDrawing;
@endphp
<line class="ground" x1="0" x2="{{ CarDrawing::WIDTH }}" y1="{{ $drawing->ground + 1 }}" y2="{{ $drawing->ground + 1 }}" />
<path class="skin" d="{{ $drawing->skin() }}" />
<g transform="rotate({{ $drawing->turn() }} {{ $drawing->x(0) }} {{ $drawing->y($drawing->nozzleYM) }})">
    @foreach (array_reverse($drawing->layout->tubes()) as $tube)
    <rect
        class="tube" x="{{ $drawing->x($tube['x']) }}" y="{{ $drawing->before($drawing->y($drawing->nozzleYM), $tube['bore']) }}"
        width="{{ $drawing->size($tube['length']) }}" height="{{ $drawing->size($tube['bore']) }}" />
    @endforeach
    <path class="jet" d="M{{ $drawing->x($drawing->exit['x']) - 4 }} {{ $drawing->y($drawing->nozzleYM) }}h-26m7 -4l-7 4l7 4" />
</g>
<rect class="card" x="{{ $drawing->x(0) }}" y="{{ $drawing->y($drawing->layout->chassisTop()) }}" width="{{ $drawing->size($drawing->layout->chassisLength) }}"
    height="{{ $drawing->size($drawing->layout->chassisHeight) }}" />
@foreach ($drawing->axles() as [$at])
    <circle class="wheel" cx="{{ $drawing->x($at) }}" cy="{{ $drawing->y($drawing->wheelRadiusM) }}" r="{{ $drawing->size($drawing->wheelRadiusM) }}" />
    <circle class="rod" cx="{{ $drawing->x($at) }}" cy="{{ $drawing->y($drawing->wheelRadiusM) }}"
        r="{{ $drawing->size($drawing->layout->axleDiameter / 2) }}" />
@endforeach
