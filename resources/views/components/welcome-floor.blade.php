{{-- A bit of lane with three cars' tries and a tape: what Skivo is about, before anyone has signed in. --}}
<svg class="w-full h-auto hidden desk:block" viewBox="0 0 700 330" aria-hidden="true">
    <rect width="700" height="288" fill="var(--color-board)" />
    @foreach ([96, 192] as $y)<line x1="0" x2="700" y1="{{ $y }}" y2="{{ $y }}" class="lane-plank" />@endforeach
    @foreach ([[150, 0], [430, 0], [300, 96], [590, 96], [90, 192], [380, 192], [640, 192]] as [$x, $y])
    <line x1="{{ $x }}" x2="{{ $x }}" y1="{{ $y }}" y2="{{ $y + 96 }}" class="lane-plank" />@endforeach
    @foreach ([['sail-solid', 48, 520, [488, 515, 557]], ['buoy-solid', 144, 392, [352, 401, 423]],
        ['pennant-solid', 240, 236, [214, 241, 253]]] as [$mark, $y, $mean, $tries])
        <g class="mark-{{ explode('-', $mark)[0] }}">
            <line x1="3" x2="{{ $mean }}" y1="{{ $y }}" y2="{{ $y }}" class="lane-track" />
            <line x1="{{ $mean }}" x2="{{ $mean }}" y1="{{ $y - 30 }}" y2="{{ $y + 30 }}" class="lane-mean" />
            @foreach ($tries as $x)<use href="#mark-{{ $mark }}" x="{{ $x - 14 }}" y="{{ $y - 14 }}" width="28" height="28" />@endforeach
        </g>
    @endforeach
    <line x1="2" x2="2" y1="0" y2="330" stroke="var(--color-ink)" stroke-width="5" />
    <rect x="4" y="288" width="696" height="42" fill="var(--color-tape)" />
    @for ($i = 1; $i <= 69; $i++)
    <line
        x1="{{ 3 + $i * 10 }}" x2="{{ 3 + $i * 10 }}" y1="288" y2="{{ $i % 10 === 0 ? 330 : ($i % 5 === 0 ? 308 : 299) }}"
        class="{{ $i % 10 === 0 ? 'tape-major' : 'tape-minor' }}" />
    @endfor
    @for ($i = 1; $i <= 6; $i++)<text x="{{ 3 + $i * 100 - 6 }}" y="323" text-anchor="end" class="tape-whole">{{ $i }} m</text>@endfor
</svg>
