{{-- A measured value with its interval beside what the parts say, on a common scale from 0. --}}
@props(['max', 'estimated', 'measured' => null, 'said'])
@php
    $bar = new \App\Pages\Findings\IntervalBar($max);
    [$parts, $own] = [$estimated->interval(), $measured?->interval()];
@endphp
<svg class="interval-bar" viewBox="0 0 200 26" role="img" aria-label="{{ $said }}">
    <line class="axis" x1="4" x2="4" y1="2" y2="24" />
    <line class="parts-range" x1="{{ $bar->x($parts->low) }}" x2="{{ $bar->x($parts->high) }}" y1="{{ $own === null ? 13 : 19 }}"
        y2="{{ $own === null ? 13 : 19 }}" />
    <circle class="parts-dot" cx="{{ $bar->x($estimated->value) }}" cy="{{ $own === null ? 13 : 19 }}" r="4" />
    @if ($own !== null)<line class="own-range" x1="{{ $bar->x($own->low) }}" x2="{{ $bar->x($own->high) }}" y1="9" y2="9" />
    <circle class="own-dot" cx="{{ $bar->x($measured->value) }}" cy="9" r="5" />@endif
</svg>
