{{-- A measured value with its interval beside what the parts say, on a common scale from 0. --}}
@props(['max', 'estimated', 'measured' => null, 'said'])
@php
    $x = fn (float $value): float => round(4 + min(1.0, max(0.0, $value / $max)) * 192, 1);
    [$parts, $own] = [$estimated->interval(), $measured?->interval()];
@endphp
<svg class="interval-bar" viewBox="0 0 200 26" role="img" aria-label="{{ $said }}">
    <line class="axis" x1="4" x2="4" y1="2" y2="24" />
    <line class="parts-range" x1="{{ $x($parts->low) }}" x2="{{ $x($parts->high) }}" y1="{{ $own === null ? 13 : 19 }}" y2="{{ $own === null ? 13 : 19 }}" /><circle class="parts-dot" cx="{{ $x($estimated->value) }}" cy="{{ $own === null ? 13 : 19 }}" r="4" />
    @if ($own !== null)<line class="own-range" x1="{{ $x($own->low) }}" x2="{{ $x($own->high) }}" y1="9" y2="9" /><circle class="own-dot" cx="{{ $x($measured->value) }}" cy="9" r="5" />@endif
</svg>
