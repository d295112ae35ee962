{{-- The lane's tape, and on it where such a car usually stops. --}}
@props(['drawing', 'mark' => null, 'at' => null])
<svg class="guess-tape-strip" aria-hidden="true">
    <rect class="tape-ground" width="100%" height="100%" />
    @if ($drawing->band !== null)<rect class="tape-band" x="{{ $drawing->band[0] }}%" width="{{ $drawing->band[1] }}%" height="100%" />@endif
    @foreach ($drawing->lines() as [$x, $n])
        <line class="tape-major" x1="{{ $x }}%" x2="{{ $x }}%" y1="0" y2="45%" />
        <text class="tape-whole" x="{{ $x }}%" dx="-4" y="85%" text-anchor="end">{{ $n }}{{ $loop->last ? " {$drawing->unit()}" : '' }}</text>
    @endforeach
    @if ($mark !== null && $at !== null)<svg x="{{ $drawing->x($at) }}%" y="0" overflow="visible"><use class="mark-{{ explode('-', $mark)[0] }}"
        href="#mark-{{ $mark }}" x="-11" y="2" width="22" height="22" /></svg>@endif
</svg>
