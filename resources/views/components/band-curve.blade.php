{{-- What a wound band pulls over the length wound: the area is the energy, and what lies between the two lines became warmth. --}}
@props(['curve', 'units'])
@php
    $drawing = new \App\Pages\Check\BandCurveDrawing($curve, $units);
@endphp
@if ($curve->storedJ === null)
    <p class="small mt-2">{{ Text::of('bench.bench_words.curve_needs_more') }}</p>
@else
    <svg class="drawing band-curve" viewBox="0 0 440 210" role="img"
        aria-label="{{ Text::of('bench.bench_words.curve_label', ['stored' => $drawing->stored, 'returned' => $drawing->returned]) }}">
        <path class="returned" d="{{ $drawing->returnedArea }}" /><path class="lost" d="{{ $drawing->lostArea }}" />
        <line class="ground" x1="56" x2="410" y1="165" y2="165" />
        <polyline class="winding" points="{{ $drawing->winding }}" /><polyline class="let-back" points="{{ $drawing->letBack }}" />
        @foreach ($drawing->dots as [$x, $y, $class])<circle class="{{ $class }}" cx="{{ $x }}" cy="{{ $y }}" r="4.5" />@endforeach
        @foreach ($drawing->along as [$x, $said])<text x="{{ $x }}" y="183" text-anchor="middle">{{ $said }}</text>@endforeach
        @foreach ($drawing->up as [$y, $said])<text x="50" y="{{ $y }}" text-anchor="end">{{ $said }}</text>@endforeach
        <text class="name" x="{{ $drawing->nameAt[0] }}" y="{{ $drawing->nameAt[1] }}" text-anchor="end">{{ Text::of('bench.bench_words.winding') }}</text>
        <text class="name" x="{{ $drawing->backNameAt[0] }}" y="{{ $drawing->backNameAt[1] }}">{{ Text::of('bench.bench_words.let_back') }}</text>
        <text x="233" y="203" text-anchor="middle">{{ Text::of('bench.bench_words.turns_and_length') }}</text>
    </svg>
    <p class="prose small mt-1">{!! Text::html('bench.bench_words.curve_stores', [
        'turns' => $drawing->turns, 'stored' => $drawing->stored, 'returned' => $drawing->returned, 'lost' => $drawing->lost,
    ]) !!}</p>
@endif
