{{-- How far the model is off for each car: hollow without the class's factors, filled when foretold from the others. --}}
@props(['findings', 'words', 'record'])
@php
    use App\Drawings\ResidualsDrawing;
    $drawing = new ResidualsDrawing($findings);
@endphp
<div class="wide-drawing" tabindex="0">
<svg
    class="drawing residuals" viewBox="0 0 {{ ResidualsDrawing::WIDTH }} {{ $drawing->height() }}" role="img"
    aria-label="{{ Text::of('findings.residuals.how_far_the_model_is_off') }}">
    @foreach ($drawing->lines() as $share)
        <line
            class="{{ $share === 0.0 ? 'zero' : 'grid' }}" x1="{{ $drawing->x($share) }}" x2="{{ $drawing->x($share) }}"
            y1="20" y2="{{ $drawing->height() - 8 }}" />
        <text class="axis" x="{{ $drawing->x($share) }}" y="13" text-anchor="middle">
            {{ $share === 0.0 ? Text::of('findings.residuals.as_measured') : Figure::signedPercent($share) }}
        </text>
    @endforeach
    @foreach ($drawing->cars as ['id' => $id, 'y' => $y, 'before' => $before, 'foretold' => $foretold, 'isBeyond' => $isBeyond])
        <text x="{{ ResidualsDrawing::LEFT - 12 }}" y="{{ $y + 5 }}" text-anchor="end">{{ \Illuminate\Support\Str::limit($words->name($id), 22) }}</text>
        @if ($isBeyond)
            <path class="parts-dot" d="M{{ $drawing->x($before) }} {{ $y }}l{{ $before > 0 ? '-8 -5v10z' : '8 -5v10z' }}" />
        @else
            <circle class="parts-dot" cx="{{ $drawing->x($before) }}" cy="{{ $y }}" r="4.5" />
        @endif
        <circle class="own-dot" cx="{{ $drawing->x($foretold) }}" cy="{{ $y }}" r="5.5" />
    @endforeach
</svg>
</div>
<p class="small"><span class="interval-key estimated">{{ Text::of('findings.residuals.the_model_by_the_parts_alone') }}</span>
<span class="interval-key">{{ Text::of('findings.residuals.foretold_without_the_car') }}</span>
</p>
