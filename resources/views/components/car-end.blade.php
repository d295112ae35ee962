{{-- A car from behind, to the scale of the other views. --}}
@props(['drawing', 'known' => [], 'leads' => false])
@php
    use App\Pages\Build\CarDrawing;
    use Skivo\Core\Car\Attribute\Step;
    $l = $drawing->layout;
    $floor = fn (float $m) => $drawing->y($m);
@endphp
<svg
    class="drawing car-end" viewBox="0 0 {{ CarDrawing::MOST_END_WIDTH }} {{ $drawing->ground + 12 }}" role="{{ $leads ? 'group' : 'img' }}"
    aria-label="{{ Text::of('build.car_drawing.from_behind') }}">
    <text class="view-name" x="0" y="14">{{ Text::of('build.car_drawing.from_behind') }}</text>
    <line class="ground" x1="0" x2="{{ CarDrawing::MOST_END_WIDTH }}" y1="{{ $drawing->ground + 1 }}" y2="{{ $drawing->ground + 1 }}" />
    @if ($l->source->blows())
    <x-car-part :step="Step::Power" :known="$known" :leads="$leads">
        <circle class="skin" cx="{{ $drawing->e(0) }}" cy="{{ $floor($drawing->balloonYM) }}" r="{{ $drawing->size($drawing->balloonRadiusM) }}" />
    </x-car-part>
    @endif
    <x-car-part :step="Step::Axles" :known="$known" :leads="$leads">
        <rect class="rod" x="{{ $drawing->e(-$l->axles->rearLength / 2) }}" y="{{ $floor($l->wheelRadius() + $l->axles->diameter / 2) }}"
            width="{{ $drawing->size($l->axles->rearLength) }}" height="{{ $drawing->size($l->axles->diameter) }}" />
        <rect class="straw" x="{{ $drawing->e(-$l->axles->rearBearing / 2) }}" y="{{ $floor($l->wheelRadius() + $l->axles->bearingBore / 2) }}"
            width="{{ $drawing->size($l->axles->rearBearing) }}" height="{{ $drawing->size($l->axles->bearingBore) }}" />
    </x-car-part>
    <x-car-part :step="Step::Chassis" :known="$known" :leads="$leads">
        <rect class="card" x="{{ $drawing->e(-$l->body->width / 2) }}" y="{{ $floor($l->chassisTop()) }}" width="{{ $drawing->size($l->body->width) }}"
            height="{{ $drawing->size($l->body->height) }}" rx="{{ $l->body->form->isRound() ? $drawing->size($l->body->height / 2) : 0 }}" />
    </x-car-part>
    <x-car-part :step="Step::Wheels" :known="$known" :leads="$leads">
        @foreach ([-1, 1] as $side)
        <rect
            class="wheel" x="{{ $drawing->before($drawing->e($side * $l->axles->rearTrack / 2), $l->wheels->thickness) }}"
            y="{{ $floor($l->wheels->diameter) }}"
            width="{{ $drawing->size($l->wheels->thickness) }}" height="{{ $drawing->size($l->wheels->diameter) }}" />
        @endforeach
    </x-car-part>
    @if ($l->source->blows())
    <x-car-part :step="Step::Nozzle" :known="$known" :leads="$leads">
        <circle class="tube" cx="{{ $drawing->e(0) }}" cy="{{ $floor($drawing->nozzleYM) }}" r="{{ $drawing->size($drawing->exit['bore'] / 2) }}" />
    </x-car-part>
    @endif
</svg>
