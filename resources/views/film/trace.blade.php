@php
    use App\Pages\Film\TraceDrawing;
    use App\Pages\Film\FilmWords;
    use App\Language\RunWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $name = \Illuminate\Support\Str::limit($run->car->group->name, 60);
    $unit = $units->symbol(Scale::Lane);
    $drawing = $trace === null ? null : new TraceDrawing($trace, $units);
    $sinceStart = fn (float $t) => number_format($drawing->since($t), 2);
    $between = $trace?->end === null || $sinceStart($trace->end->earliestS) === $sinceStart($trace->end->latestS) ? ''
        : ' ' . Text::of('trace.show.to', ['earliest_s' => $sinceStart($trace->end->earliestS), 'latest_s' => $sinceStart($trace->end->latestS)]);
@endphp
<x-layout :title="Text::of('trace.show.trace', ['name' => $name])" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in">
        <div><h2 class="with-mark">{{ Glyph::of($run->car->group->mark) }}<span>{!! Text::html('trace.show.trace_of_try',
            ['name' => $name, 'try' => $run->try]) !!}</span>
            </h2><p class="small mt-1">{{ RunWords::summary($run, $units) }}</p></div>
        <p class="actions"><a class="button" href="{{ route('film.show', [$challenge, $run]) }}">{{ Text::of('trace.show.read_a_film') }}</a>
            <a class="button" href="{{ route('runs.index', $challenge) }}#run-{{ $run->id }}">{{ Text::of('trace.show.back_to_the_runs') }}</a></p>
    </div>
    @if ($trace === null)
        <p class="prose pb-4">{{ Text::of('trace.show.no_trace_was_taken_of_this') }}</p>
    @else
        <div class="said prose pb-3">
            @if ($trace->end !== null)<p>
                {!! Text::html('trace.show.the_thrust_ended_s_after_the', [
                    'time_s' => $sinceStart($trace->end->timeS),
                    'between' => $between,
                    'place_m' => $units->show(max(0, $trace->end->placeM), Scale::Distance),
                ]) !!}
            </p>
            @elseif (! $trace->trace->moves())<p>{!! Text::html('trace.show.the_car_did_not_move_while') !!}</p>
            @elseif ($trace->film === null)<p>{{ Text::of('trace.show.the_trace_does_not_show_where') }}</p>@endif
            @if ($trace->coasting !== null)<p>
                {!! Text::html('trace.show.coasting_it_lost_s2_that_makes', [
                    'deceleration' => number_format($drawing->length($trace->coasting->deceleration), 3),
                    'deceleration_half' => number_format($drawing->length($trace->coasting->decelerationHalf), 3),
                    'unit' => $unit,
                    'rolling_coefficient' => number_format($trace->coasting->rollingCoefficient, 4),
                    'rolling_half' => number_format($trace->coasting->rollingHalf, 4),
                    'model_friction' => number_format($trace->modelFriction, 3),
                ]) !!}
            </p>@endif
        </div>
        @if ($trace->film !== null)
            <figure class="film-said">
                @if ($trace->picture !== null)<img class="film-kept" src="data:image/jpeg;base64,{{ $trace->picture }}"
                    alt="{{ Text::of('trace.show.as_filmed') }}">@endif
                <figcaption><strong>{{ Text::of('trace.show.film_said') }}</strong>
                    <dl>@foreach (FilmWords::of($trace->film, $challenge)->figures() as [$what, $value])
                        <dt>{{ $what }}</dt><dd class="num">{{ $value }}</dd>@endforeach</dl>
                </figcaption>
            </figure>
        @endif
        <figure>
            <div class="wide-drawing" tabindex="0">
            <svg
                class="drawing trace" viewBox="0 0 {{ TraceDrawing::WIDTH }} {{ TraceDrawing::HEIGHT }}" role="img"
                aria-label="{{ Text::of('trace.show.on_the_floor') }}">
                @foreach ($drawing->speedLines() as $line)
                    <line class="grid" x1="{{ TraceDrawing::LEFT }}" x2="{{ TraceDrawing::RIGHT }}" y1="{{ $line['y'] }}" y2="{{ $line['y'] }}" />
                    <text class="axis" x="{{ TraceDrawing::LEFT - 8 }}" y="{{ $line['y'] + 4 }}"
                        text-anchor="end">{{ Figure::of(round($line['value'], 2)) }}</text>
                @endforeach
                <text class="view-name halo" x="{{ TraceDrawing::LEFT }}"
                    y="{{ TraceDrawing::SPEED['top'] - 14 }}">{{ Text::of('trace.panel.speed', ['unit' => $unit]) }}</text>
                <polyline class="curve" points="{{ $drawing->speedCurve() }}" />
                <rect
                    class="trace-floor" x="{{ TraceDrawing::LEFT }}" y="{{ TraceDrawing::FLOOR['top'] }}"
                    width="{{ TraceDrawing::RIGHT - TraceDrawing::LEFT }}" height="{{ TraceDrawing::FLOOR['bottom'] - TraceDrawing::FLOOR['top'] }}" />
                @foreach ($drawing->dots() as $dot)
                    <circle class="trace-dot" cx="{{ $dot }}" cy="{{ TraceDrawing::FLOOR['middle'] }}" r="4.5" />
                @endforeach
                <rect
                    class="trace-tape" x="{{ TraceDrawing::LEFT }}" y="{{ TraceDrawing::FLOOR['bottom'] }}"
                    width="{{ TraceDrawing::RIGHT - TraceDrawing::LEFT }}" height="{{ TraceDrawing::TAPE - TraceDrawing::FLOOR['bottom'] }}" />
                @foreach ($drawing->ticks() as $index => $tick)
                    <line class="tick" x1="{{ $tick['x'] }}" x2="{{ $tick['x'] }}" y1="{{ TraceDrawing::FLOOR['bottom'] }}" y2="{{ TraceDrawing::TAPE }}" />
                    <text class="tick-name" x="{{ $tick['x'] + 4 }}"
                        y="{{ TraceDrawing::TAPE - 8 }}">{{ Figure::of(round($tick['value'], 2)) }}{{ $index === 0 ? " {$unit}" : '' }}</text>
                @endforeach
                @foreach ($drawing->gainLines() as $line)
                    <line class="grid" x1="{{ TraceDrawing::LEFT }}" x2="{{ TraceDrawing::RIGHT }}" y1="{{ $line['y'] }}" y2="{{ $line['y'] }}" />
                    <text class="axis" x="{{ TraceDrawing::LEFT - 8 }}" y="{{ $line['y'] + 4 }}"
                        text-anchor="end">{{ Figure::of(round($line['value'], 2)) }}</text>
                @endforeach
                <polygon class="gained" points="{{ $drawing->gainArea(1) }}" />
                <polygon class="lost" points="{{ $drawing->gainArea(-1) }}" />
                @if ($trace->pushEndedAtM() !== null)
                    {{-- Broken where the lower part's name stands. --}}
                    @foreach ([[TraceDrawing::SPEED['top'], TraceDrawing::TAPE], [TraceDrawing::GAIN['top'], TraceDrawing::GAIN['bottom']]] as [$from, $to])
                        <line
                            class="moment" x1="{{ $drawing->x($trace->pushEndedAtM()) }}" x2="{{ $drawing->x($trace->pushEndedAtM()) }}"
                            y1="{{ $from }}" y2="{{ $to }}" />
                    @endforeach
                    <text class="halo" x="{{ $drawing->x($trace->pushEndedAtM()) + 6 }}"
                        y="{{ TraceDrawing::SPEED['bottom'] - 10 }}">{{ Text::of('trace.show.thrust_ends') }}</text>
                @endif
                <text class="view-name halo" x="{{ TraceDrawing::LEFT }}"
                    y="{{ TraceDrawing::GAIN['top'] - 12 }}">{{ $drawing->showsForces() ? Text::of('trace.panel.forces')
                        : Text::of('trace.panel.gain', ['unit' => $unit]) }}</text>
            </svg>
            </div>
        </figure>
        <details class="disclosure"><summary>{{ Text::of('trace.show.the_figures') }}</summary>
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('trace.show.the_trace_in_figures') }}">
                <table class="figures-table w-auto"><thead><tr><th scope="col" class="num">
                                {{ Text::of('trace.show.time_s') }}</th><th scope="col" class="num">
                                {{ Text::of('trace.show.place', ['unit' => $unit]) }}</th><th scope="col" class="num">
                                {{ Text::of('trace.show.speed_s', ['unit' => $unit]) }}</th><th scope="col" class="num">
                                ± (1 s.e.)</th><th scope="col" class="num">
                                {{ Text::of('trace.show.acceleration_s2', ['unit' => $unit]) }}</th>
                            <th scope="col" class="num">± (1 s.e.)</th></tr></thead>
                    <tbody>@foreach ($trace->thinned() as $point)<tr><td class="num">
                                {{ $sinceStart($point->timeS) }}</td><td class="num">
                                {{ number_format($drawing->length($point->placeM), 3) }}</td><td class="num">
                                {{ number_format($drawing->length($point->speedMS), 3) }}</td><td class="num">
                                {{ number_format($drawing->length($point->speedError), 3) }}</td><td class="num">
                                {{ number_format($drawing->length($point->accelerationMS2), 2) }}</td><td class="num">
                                {{ number_format($drawing->length($point->accelerationError), 2) }}</td></tr>@endforeach</tbody>
                </table>
            </div>
        </details>
    @endif
    <form method="post" action="{{ route('trace.store', [$challenge, $run]) }}" enctype="multipart/form-data" class="border-t border-rule py-5 mt-4 no-print">
        @csrf
        <x-field
            class="max-w-xl" name="file" type="file" :label="Text::of('trace.show.bring_in_a_trace')"
            accept=".csv,text/csv,text/plain" :hint="Text::of('trace.show.csv_a_moment_in_s_and')" />
        <p class="mt-3"><button class="button">{{ Text::of('trace.show.bring_it_in') }}</button></p>
    </form>
</x-layout>
