{{-- One axle from behind, to scale, with what makes up its length. --}}
@props(['sizes', 'axle', 'wheel', 'units'])
@php
    use App\Pages\Build\AxleDrawing;
    use Skivo\Core\Measurement\Scale;
    $drawing = new AxleDrawing($sizes, $axle, $wheel);
    [$bearing, $axleLength, $chassis] = [
        $units->show($sizes->bearingLengthM(), Scale::Body), $units->show($sizes->axleLengthM(), Scale::Body), $units->show($sizes->chassisWidthM, Scale::Body),
    ];
@endphp
<svg
    class="drawing mt-3" viewBox="0 0 {{ AxleDrawing::WIDTH }} {{ $drawing->height() }}" role="img"
    aria-label="{{ Text::of('plan.axle_drawing.the_axle_from_behind_to_scale',
        ['chassis_width_m' => $chassis, 'bearing' => $bearing, 'end' => $axleLength]) }}">
    <line class="ground" x1="0" x2="{{ AxleDrawing::WIDTH }}" y1="{{ $drawing->floor + 1 }}" y2="{{ $drawing->floor + 1 }}" />
    <rect
        class="card" x="{{ $drawing->x(-$sizes->chassisWidthM / 2) }}" y="{{ $drawing->hub - $drawing->thick - 12 }}"
        width="{{ $drawing->length($sizes->chassisWidthM) }}" height="9" />
    <rect
        class="straw" x="{{ $drawing->x(-$drawing->bearing) }}" y="{{ $drawing->hub - $drawing->thick / 2 - 3 }}"
        width="{{ $drawing->length(2 * $drawing->bearing) }}" height="{{ $drawing->thick + 6 }}" />
    <rect
        class="rod" x="{{ $drawing->x(-$drawing->end) }}" y="{{ $drawing->hub - $drawing->thick / 2 }}"
        width="{{ $drawing->length(2 * $drawing->end) }}" height="{{ $drawing->thick }}" />
    @foreach ([-$drawing->outer, $drawing->inner] as $wheelAt)
        <rect
            class="wheel" x="{{ $drawing->x($wheelAt) }}" y="{{ round($drawing->hub - $drawing->radius, 2) }}"
            width="{{ max(2, $drawing->length($sizes->wheelThicknessM)) }}" height="{{ round(2 * $drawing->radius, 2) }}" />
    @endforeach
    <g class="dimension">
        @foreach ([
            [$sizes->chassisWidthM / 2, 22, 7, Text::of('plan.axle_drawing.chassis', ['chassis_width_m' => $chassis])],
            [$drawing->bearing, $drawing->floor + 24, 5, Text::of('plan.axle_drawing.bearing', ['bearing' => $bearing])],
            [$drawing->end, $drawing->floor + 52, 5, Text::of('plan.axle_drawing.axle', ['end' => $axleLength])],
        ] as [$half, $y, $above, $label])
            <line x1="{{ $drawing->x(-$half) }}" x2="{{ $drawing->x($half) }}" y1="{{ $y }}" y2="{{ $y }}" />
            <text x="{{ AxleDrawing::MIDDLE }}" y="{{ $y - $above }}" text-anchor="middle">{{ $label }}</text>
        @endforeach
    </g>
</svg>
