{{-- The phases of a session along a ruler of minutes; what waits runs in the row below. --}}
@props(['timetable', 'start' => null, 'session' => 0])
@php
    use App\Pages\Plan\TimelineDrawing;
    $drawing = new TimelineDrawing($timetable, $session);
    $width = TimelineDrawing::WIDTH;
    $end = $drawing->end();
    $clock = fn (float $min) => Moment::atMinute($start, $min);
@endphp
<div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('plan.timeline.the_session_as_a_line_of') }}">
    <svg
        class="timeline" viewBox="0 0 {{ $width }} 118" role="img"
        aria-label="{{ implode(', ',
            array_map(fn ($slot) => Text::of('plan.timeline.to',
            ['phase' => Label::of($slot->phase), 'from_min' => $clock($slot->fromMin), 'to_min' => $clock($slot->toMin)]),
            $drawing->slots)) }}">
        @if ($drawing->over() > 0)<rect class="over" x="{{ $end }}" y="0" width="{{ $drawing->over() }}" height="90" />@endif
        @foreach ($drawing->slots as $slot)
            <g class="phase phase-{{ $slot->phase->value }}">
                <rect x="{{ $drawing->x($slot->fromMin) }}" y="{{ $drawing->y($slot) }}" width="{{ $drawing->width($slot) }}"
                    height="{{ $drawing->height($slot) }}" />
                @foreach ([Label::of($slot->phase), Label::of($slot->phase, 'short')] as $name)
                    @if ($drawing->holds($slot, $name))
                        <text x="{{ $drawing->x($slot->fromMin) + 6 }}" y="{{ $drawing->y($slot) + 18 }}">{{ $name }}</text>
                        @break
                    @endif
                @endforeach
                @if ($drawing->showsMinutes($slot))
                    <text class="minutes" x="{{ $drawing->x($slot->fromMin) + 6 }}"
                        y="{{ $drawing->y($slot) + 35 }}">{{ Figure::of(round($slot->lengthMin(), 1)) }}</text>
                @endif
            </g>
        @endforeach
        <g class="minutes-tape">
            <rect x="0" y="90" width="{{ $width }}" height="28" />
            @foreach ($drawing->ruler() as [$min, $isNumbered])
                <line x1="{{ $drawing->x($min) }}" x2="{{ $drawing->x($min) }}" y1="90" y2="98" />
                @if ($isNumbered)<text x="{{ $drawing->x($min) + 4 }}" y="111">{{ $clock($min) }}</text>@endif
            @endforeach
        </g>
        <line class="end" x1="{{ $end }}" x2="{{ $end }}" y1="0" y2="118" />
    </svg>
</div>
