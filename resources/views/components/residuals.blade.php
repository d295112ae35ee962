{{-- How far cars were predicted off before their runs, with the bands. --}}
@props(['drawing', 'words'])
@php use App\Pages\Findings\ResidualsDrawing; @endphp
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
    @foreach ($drawing->cars as ['id' => $id, 'y' => $y, 'off' => $off, 'low' => $low, 'high' => $high])
        <text x="{{ ResidualsDrawing::LEFT - 12 }}" y="{{ $y + 5 }}" text-anchor="end">{{ \Illuminate\Support\Str::limit($words->name($id), 22) }}</text>
        <line class="band-of" x1="{{ $drawing->x($low) }}" x2="{{ $drawing->x($high) }}" y1="{{ $y }}" y2="{{ $y }}" />
        <circle class="own-dot" cx="{{ $drawing->x($off) }}" cy="{{ $y }}" r="5.5" />
    @endforeach
</svg>
</div>
<p class="small">{{ Text::of('findings.residuals.each_dot_is_what_could_be_said') }}</p>
