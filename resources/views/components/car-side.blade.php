{{-- The shapes of a car from the side. --}}
@props(['drawing', 'known' => [], 'leads' => false])
@php
    use App\Pages\Build\CarDrawing;
    use Skivo\Core\Car\Attribute\Step;
    $l = $drawing->layout;
@endphp
<line class="ground" x1="0" x2="{{ CarDrawing::WIDTH }}" y1="{{ $drawing->ground + 1 }}" y2="{{ $drawing->ground + 1 }}" />
@if ($l->source->blows())
<x-car-part :step="Step::Power" :known="$known" :leads="$leads"><path class="skin" d="{{ $drawing->skin() }}" /></x-car-part>
<x-car-part :step="Step::Nozzle" :known="$known" :leads="$leads">
    <g transform="rotate({{ $drawing->turn() }} {{ $drawing->x(0) }} {{ $drawing->y($drawing->nozzleYM) }})">
        @foreach (array_reverse($l->tubes()) as $tube)
        <rect
            class="tube" x="{{ $drawing->x($tube['x']) }}" y="{{ $drawing->before($drawing->y($drawing->nozzleYM), $tube['bore']) }}"
            width="{{ $drawing->size($tube['length']) }}" height="{{ $drawing->size($tube['bore']) }}" />
        @endforeach
        <path class="jet" d="M{{ $drawing->x($drawing->exit['x']) - 4 }} {{ $drawing->y($drawing->nozzleYM) }}h-26m7 -4l-7 4l7 4" />
    </g>
</x-car-part>
@endif
<x-car-part :step="Step::Chassis" :known="$known" :leads="$leads">
    <path class="card" d="{{ $drawing->chassisFromSide() }}" />
    @foreach ($drawing->studs() as $x)<circle class="stud" cx="{{ $x }}" cy="{{ $drawing->y($l->chassisBottom() + $l->body->height / 2) }}"
        r="{{ $drawing->size($l->body->height / 4) }}" />@endforeach
</x-car-part>
<x-car-part :step="Step::Wheels" :known="$known" :leads="$leads">
    @foreach ($drawing->axles() as [$at])
    <circle class="wheel" cx="{{ $drawing->x($at) }}" cy="{{ $drawing->y($drawing->wheelRadiusM) }}" r="{{ $drawing->size($drawing->wheelRadiusM) }}" />
    @endforeach
</x-car-part>
<x-car-part :step="Step::Axles" :known="$known" :leads="$leads">
    @foreach ($drawing->axles() as [$at])
    @if ($leads)<circle class="reach" cx="{{ $drawing->x($at) }}" cy="{{ $drawing->y($drawing->wheelRadiusM) }}" r="9" />@endif
    <circle class="rod" cx="{{ $drawing->x($at) }}" cy="{{ $drawing->y($drawing->wheelRadiusM) }}" r="{{ $drawing->size($l->axles->diameter / 2) }}" />
    @endforeach
</x-car-part>
@if ($l->source->winds())
<x-car-part :step="Step::Power" :known="$known" :leads="$leads"><path class="elastic" d="{{ $drawing->bandFromSide() }}" /></x-car-part>
@endif
