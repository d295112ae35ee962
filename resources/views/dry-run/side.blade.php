{{-- The car of a design from the side: with each answer of Dry run. --}}
@php
    use App\Pages\Build\CarDrawing;
    $drawing = new CarDrawing($layout, [], false);
@endphp
<svg class="drawing" viewBox="0 0 {{ CarDrawing::WIDTH }} {{ $drawing->height }}" aria-hidden="true">
    <x-car-side :drawing="$drawing" />
    @if ($layout->source->blows())<text class="view-name" x="{{ $drawing->x($drawing->exit['x']) - 17 }}" y="{{ $drawing->y($drawing->nozzleYM) - 12 }}"
        text-anchor="middle">{{ $jet }}</text>@endif
    @if ($layout->source->blows() && $layout->nozzle->outlets > 1)
        <text class="view-name" x="0" y="14">{{ Text::of('dry_run.side.outlets', ['count' => $layout->nozzle->outlets]) }}</text>
    @endif
</svg>
