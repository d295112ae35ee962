{{-- The phases of a session along a ruler of minutes; what waits runs in the row below. --}}
@props(['timetable', 'start' => null])
@php
    $width = 1140;
    $longest = max($timetable->sessionMin, $timetable->lengthMin, 1.0);
    $scale = ($width - 12) / $longest;
    $step = collect([5, 10, 15, 30, 60, 120, 240])->first(fn ($step) => $longest / $step <= 14) ?? 480;
    $clock = fn (float $min) => $start === null ? (int) $min . "\u{00A0}min" : $start->addSeconds((int) round(60 * $min))->format('H:i');
@endphp
<div class="scroll-x" tabindex="0" role="region" aria-label="The session as a line of time">
    <svg class="timeline" viewBox="0 0 {{ $width }} 118" role="img" aria-label="{{ implode(', ', array_map(fn ($slot) => "{$slot->phase->label()} {$clock($slot->fromMin)} to {$clock($slot->toMin)}", $timetable->slots)) }}">
        @if ($timetable->lengthMin > $timetable->sessionMin)<rect class="over" x="{{ round($timetable->sessionMin * $scale, 2) }}" y="0" width="{{ round(($timetable->lengthMin - $timetable->sessionMin) * $scale, 2) }}" height="90" />@endif
        @foreach ($timetable->slots as $slot)
            @php([$x, $w, $y] = [round($slot->fromMin * $scale, 2), round($slot->lengthMin() * $scale, 2), $slot->phase->waits() ? 54 : 8])
            <g class="phase phase-{{ $slot->phase->value }}">
                <rect x="{{ $x }}" y="{{ $y }}" width="{{ max(1, $w - 1.5) }}" height="{{ $slot->phase->waits() ? 26 : 42 }}" />
                @php($name = collect([$slot->phase->label(), $slot->phase->short()])->first(fn ($name) => $w > 7.2 * mb_strlen($name) + 8))
                @if ($name !== null)<text x="{{ $x + 6 }}" y="{{ $y + 18 }}">{{ $name }}</text>@endif
                @if ($w > 26 && ! $slot->phase->waits())<text class="minutes" x="{{ $x + 6 }}" y="{{ $y + 35 }}">{{ rtrim(rtrim(number_format($slot->lengthMin(), 1), '0'), '.') }}</text>@endif
            </g>
        @endforeach
        <g class="minutes-tape">
            <rect x="0" y="90" width="{{ $width }}" height="28" />
            @for ($min = 0; $min <= $longest; $min += $step)
                <line x1="{{ round($min * $scale, 2) }}" x2="{{ round($min * $scale, 2) }}" y1="90" y2="98" />
                @if ($min * $scale < $width - 60)<text x="{{ round($min * $scale + 4, 2) }}" y="111">{{ $clock($min) }}</text>@endif
            @endfor
        </g>
        <line class="end" x1="{{ round($timetable->sessionMin * $scale, 2) }}" x2="{{ round($timetable->sessionMin * $scale, 2) }}" y1="0" y2="118" />
    </svg>
</div>
