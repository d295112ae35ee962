{{-- A row of small squares, one a thing to do: full, striped for a note, crossed for what must be mended, empty. --}}
@props(['states', 'label'])
<span class="pips">
    <svg viewBox="0 0 {{ 16 * count($states) }} 14" width="{{ 16 * count($states) }}" height="14" aria-hidden="true">
        @foreach ($states as $index => $state)
            <rect class="pip pip-{{ $state }}" x="{{ 16 * $index + 1 }}" y="1" width="12" height="12" />
            @if ($state === 'fix')<path class="pip-cross" d="M{{ 16 * $index + 3.5 }} 3.5l7 7m0 -7l-7 7" />
            @elseif ($state === 'note')<path class="pip-stripe" d="M{{ 16 * $index + 3 }} 11l8 -8" />@endif
        @endforeach
    </svg>
    <span class="small">{{ $label }}</span>
</span>
