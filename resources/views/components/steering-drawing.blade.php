{{-- The path of a car that turns, on its strip of floor from above. --}}
@props(['steering', 'over', 'drift', 'units'])
@php
    use App\Pages\Build\SteeringDrawing;
    use Skivo\Core\Measurement\Scale;
    $drawing = new SteeringDrawing($steering, $over, $drift);
@endphp
<figure class="my-4">
    <div class="wide-drawing" tabindex="0">
    <svg
        class="drawing steering" viewBox="0 0 1000 140" role="img"
        aria-label="{{ Text::of('diagnosis.steering_drawing.its_path_to_the_after',
            ['drift' => $units->show(abs($drift), Scale::Distance), 'towards' => Label::of($steering->towards),
            'over' => $units->show($over, Scale::Lane)]) }}">
        <rect class="floor" x="40" y="6" width="920" height="128" />
        <line class="start" x1="40" x2="40" y1="6" y2="134" />
        <line class="straight" x1="40" x2="940" y1="70" y2="70" />
        <polyline class="path" points="{{ $drawing->path() }}" />
        <text x="50" y="24">{{ Text::of('diagnosis.steering_drawing.left') }}</text><text x="50"
            y="128">{{ Text::of('diagnosis.steering_drawing.right') }}</text>
        <text class="halo" x="940" y="{{ $drift > 0 ? 64 : 86 }}" text-anchor="end">{{ Text::of('diagnosis.steering_drawing.off_after', [
            'drift' => $units->show(abs($drift), Scale::Distance),
            'over' => $units->show($over, Scale::Lane),
        ]) }}</text>
    </svg>
    </div>
    <figcaption class="small">
        {{ Text::of('diagnosis.steering_drawing.it_rolls_on_a_circle_of', [
            'radius' => $units->show($steering->radiusM, Scale::Lane),
            'angle' => number_format(rad2deg($steering->angle), 2),
            'scale' => $drawing->isFlattened() ? ' ' . Text::of('diagnosis.steering_drawing.sideways_is_drawn_smaller_than_along') : '',
        ]) }}
    </figcaption>
</figure>
