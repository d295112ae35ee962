{{-- One step of the build, at the car's own sizes. --}}
@props(['layout', 'task', 'units', 'label'])
@php
    use App\Pages\Plan\StepDrawing;
    $drawing = new StepDrawing($layout, $task, $units);
@endphp
<svg class="drawing step-drawing" viewBox="0 0 {{ StepDrawing::WIDTH }} {{ StepDrawing::HEIGHT }}" role="img" aria-label="{{ $label }}">
    <x-shapes :shapes="$drawing->shapes()" />
</svg>
