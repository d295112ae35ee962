{{-- A car from the side and from above, both to one scale, the balloon at full size. Forward is to the right, as on the lane. --}}
@props(['layout', 'units', 'faults' => [], 'terms' => true, 'known' => [], 'leads' => false, 'drawing' => null])
@php
    use App\Pages\Build\CarDrawing;
    use Skivo\Core\Car\Attribute\Step;
    use Skivo\Core\Measurement\Scale;
    $drawing ??= new CarDrawing($layout, $faults);
    $l = $layout;
    $exit = $drawing->exit;
    $body = fn (float $m) => $units->show($m, Scale::Body);
@endphp
<svg
    class="drawing car-drawing" viewBox="0 0 {{ CarDrawing::WIDTH }} {{ $leads ? CarDrawing::MOST_HEIGHT : $drawing->height }}"
    role="{{ $leads ? 'group' : 'img' }}"
    aria-label="{{ Text::of($l->source->blows() ? 'build.car_drawing.the_car_to_scale_from_the' : 'build.car_drawing.the_car_without_a_balloon',
        ['r' => $body(2 * $drawing->balloonRadiusM), 'chassis_length' => $body($l->body->length),
        'chassis_width' => $body($l->body->width), 'wheelbase' => $body($l->axles->wheelbase), 'front_track' => $body($l->axles->frontTrack)]) }}">
    <text class="view-name" x="0" y="14">{{ Text::of('build.car_drawing.from_the_side') }}</text>
    <x-car-side :drawing="$drawing" :known="$known" :leads="$leads" />
    @if ($terms)<g class="dimension">
        <line
            x1="{{ $drawing->x($l->frontAxle()) }}" x2="{{ $drawing->x($l->axles->rear) }}"
            y1="{{ $drawing->ground + 14 }}" y2="{{ $drawing->ground + 14 }}" />
        <text x="{{ ($drawing->x($l->frontAxle()) + $drawing->x($l->axles->rear)) / 2 }}" y="{{ $drawing->ground + 29 }}"
            text-anchor="middle">{{ $body($l->axles->wheelbase) }}</text>
        <text x="0" y="{{ $drawing->ground + 48 }}">{{ Text::of('build.car_drawing.ground_clearance',
            ['ground_clearance' => $units->show(max(0, $l->groundClearance()), Scale::Part)]) }}</text>
        @if ($l->source->blows())<text x="0" y="{{ $drawing->ground + 70 }}">{{ Text::of('build.car_drawing.balloon_clears_the_floor_by', [
            'balloon_clearance' => $units->show(max(0, $l->balloonClearance()), Scale::Part),
        ]) }}</text>@endif
    </g>@endif
    <text class="view-name" x="0" y="{{ $drawing->ground + 98 }}">{{ Text::of('build.car_drawing.from_above') }}</text>
    <x-car-part :step="Step::Axles" :known="$known" :leads="$leads">
    @foreach ($drawing->axles() as [$at, $track, $length, $bearing])
        @if ($leads)<rect
            class="reach" x="{{ $drawing->x($at) - 9 }}" y="{{ $drawing->z(-$length / 2) }}" width="18" height="{{ $drawing->size($length) }}" />@endif
        <rect
            class="rod" x="{{ $drawing->before($drawing->x($at), $l->axles->diameter) }}" y="{{ $drawing->z(-$length / 2) }}"
            width="{{ $drawing->size($l->axles->diameter) }}" height="{{ $drawing->size($length) }}" />
        <rect
            class="straw" x="{{ $drawing->before($drawing->x($at), $l->axles->bearingBore) }}" y="{{ $drawing->z(-$bearing / 2) }}"
            width="{{ $drawing->size($l->axles->bearingBore) }}" height="{{ $drawing->size($bearing) }}" />
    @endforeach
    </x-car-part>
    <x-car-part :step="Step::Chassis" :known="$known" :leads="$leads"><path class="card see-through" d="{{ $drawing->chassisFromAbove() }}" /></x-car-part>
    <x-car-part :step="Step::Wheels" :known="$known" :leads="$leads">
    @foreach ($drawing->axles() as [$at, $track])
        @foreach ([-1, 1] as $side)
        <rect
            class="wheel" x="{{ $drawing->x($at - $drawing->wheelRadiusM) }}" y="{{ $drawing->before($drawing->z($side * $track / 2), $l->wheels->thickness) }}"
            width="{{ $drawing->size(2 * $drawing->wheelRadiusM) }}" height="{{ $drawing->size($l->wheels->thickness) }}" />
        @endforeach
    @endforeach
    </x-car-part>
    @if ($l->source->blows())
    <x-car-part :step="Step::Nozzle" :known="$known" :leads="$leads">
    @foreach ($drawing->outlets() as $y)
        <rect class="tube" x="{{ $drawing->x($exit['x']) }}" y="{{ $y }}" width="{{ $drawing->size($exit['length']) }}"
            height="{{ $drawing->size($exit['bore']) }}" />
    @endforeach
    </x-car-part>
    <x-car-part :step="Step::Power" :known="$known">
    <circle class="skin see-through" cx="{{ $drawing->x($drawing->balloonXM) }}" cy="{{ $drawing->z(0) }}" r="{{ $drawing->size($drawing->balloonRadiusM) }}" />
    </x-car-part>
    @elseif ($l->source->winds())
    <x-car-part :step="Step::Power" :known="$known"><path class="elastic" d="{{ $drawing->bandFromAbove() }}" /></x-car-part>
    @endif
    @if ($terms)<g class="dimension">
        <line x1="6" x2="6" y1="{{ $drawing->z(-$l->axles->rearTrack / 2) }}" y2="{{ $drawing->z($l->axles->rearTrack / 2) }}" />
        <text class="halo" x="0"
            y="{{ $drawing->z($l->axles->rearTrack / 2) + 20 }}">{{ Text::of('build.car_drawing.track',
            ['rear_track' => $body($l->axles->rearTrack)]) }}</text>
        <text x="{{ $drawing->x($l->body->length / 2) }}" y="{{ $drawing->height - 6 }}"
            text-anchor="middle">{{ Text::of('build.car_drawing.chassis_x',
            ['chassis_length' => $body($l->body->length), 'chassis_width' => $body($l->body->width)]) }}</text>
    </g>@endif
    @foreach ($drawing->faultMarks() as [$atX, $atY, $number, $stops])
        <g @class(['fault-mark', 'stops' => $stops])><circle cx="{{ $atX }}" cy="{{ $atY }}" r="10" />
            <text x="{{ $atX }}" y="{{ $atY + 4.5 }}" text-anchor="middle">{{ $number }}</text></g>
    @endforeach
</svg>
