{{-- The car on the cover of the booklet and on the labels of its kits. --}}
@props(['layout'])
@php
    use App\Pages\Build\CarDrawing;
    $drawing = new CarDrawing($layout, [], false);
@endphp
<svg class="drawing cover-car" viewBox="0 0 {{ CarDrawing::WIDTH }} {{ $drawing->height }}" aria-hidden="true"><x-car-side :drawing="$drawing" /></svg>
