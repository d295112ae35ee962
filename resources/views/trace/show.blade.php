@php
    use App\Wording\RunWords;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $name = \Illuminate\Support\Str::limit($run->car->group->name, 60);
    $metric = $units->value === 'metric';
    // Positions in the class's unit; speed and acceleration go with it.
    $long = $metric ? 1.0 : 1 / 0.3048;
    $unit = $metric ? 'm' : 'ft';
    if ($trace !== null) {
        $points = $trace->trace->points;
        [$from, $to] = [$points[0]->timeS, end($points)->timeS];
        $left = 64;
        $width = 1140;
        $x = fn (float $t) => $left + ($t - $from) / max(1e-9, $to - $from) * ($width - $left - 12);
        $panels = [
            ['Place', $unit, fn ($p) => $p->placeM * $long, 150],
            ['Speed', "{$unit}/s", fn ($p) => $p->speedMS * $long, 120],
            ['Acceleration', "{$unit}/s²", fn ($p) => $p->accelerationMS2 * $long, 120],
        ];
        $top = 8;
        $stepOf = function (float $span, int $most) { foreach ([0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100] as $step) { if ($span / $step <= $most) { return $step; } } return 1000; };
    }
@endphp
<x-layout :title="'Trace · ' . $name" :challenge="$challenge" :record="$record" stage="run" :line="$challenge->question">
    <div class="lead-in">
        <div><h2 class="with-mark"><x-mark :mark="$run->car->group->mark" class="!w-7 !h-7" /><span>Trace of <bdi>{{ $name }}</bdi>, try {{ $run->try }}</span></h2><p class="small mt-1">{{ RunWords::summary($run, $units) }}</p></div>
        <a class="button" href="{{ route('runs.index', $challenge) }}#run-{{ $run->id }}">Back to the runs</a>
    </div>
    @if ($trace === null)
        <p class="prose pb-4">No trace was taken of this run. A motion sensor posts them by itself; a file from one can be brought in here.</p>
    @else
        <div class="said prose pb-3">
            @if ($trace->end !== null)<p><strong>The thrust ended</strong> <span class="num">{{ number_format($trace->end->timeS - $trace->trace->t[0], 2) }} s</span> after the trace began ({{ number_format($trace->end->earliestS - $trace->trace->t[0], 2) }} to {{ number_format($trace->end->latestS - $trace->trace->t[0], 2) }}), at <span class="num">{{ $units->show(max(0, $trace->end->placeM), Scale::Distance) }}</span>.</p>
            @elseif (! $trace->trace->moves())<p><strong>The car did not move</strong> while the sensor looked.</p>
            @else<p>The trace does not show where the thrust ended.</p>@endif
            @if ($trace->coasting !== null)<p><strong>Coasting,</strong> it lost <span class="num">{{ number_format($trace->coasting->deceleration * $long, 3) }} ± {{ number_format($trace->coasting->decelerationHalf * $long, 3) }} {{ $unit }}/s²</span>. That makes f <span class="num">{{ number_format($trace->coasting->rollingCoefficient, 4) }} ± {{ number_format($trace->coasting->rollingHalf, 4) }}</span>, air resistance included; from its parts the model has {{ number_format($trace->modelFriction, 3) }}. <span class="small">± is half the 95 % interval of the fit.</span></p>@endif
        </div>
        <figure>
            <svg class="drawing trace" viewBox="0 0 {{ $width }} 470" role="img" aria-label="Place, speed and acceleration over time">
                @foreach ($panels as [$title, $symbol, $value, $height])
                    @php
                        $values = array_map($value, $points);
                        [$low, $high] = [min(0, min($values)), max(max($values), 0.01)];
                        $y = fn (float $v) => $top + $height - ($v - $low) / ($high - $low) * $height;
                        $step = $stepOf($high - $low, 5);
                    @endphp
                    @for ($v = ceil($low / $step) * $step; $v <= $high + 1e-9; $v += $step)
                        <line class="grid" x1="{{ $left }}" x2="{{ $width - 12 }}" y1="{{ round($y($v), 1) }}" y2="{{ round($y($v), 1) }}" /><text class="axis" x="{{ $left - 8 }}" y="{{ round($y($v) + 4, 1) }}" text-anchor="end">{{ rtrim(rtrim(number_format($v, 2), '0'), '.') ?: '0' }}</text>
                    @endfor
                    <polyline class="curve" points="{{ $trace->polyline($value, $x, $y) }}" />
                    <text class="view-name halo" x="{{ $left + 6 }}" y="{{ $top + 14 }}">{{ $title }}, {{ $symbol }}</text>
                    @php($top += $height + 16)
                @endforeach
                @if ($trace->end !== null)<line class="moment" x1="{{ round($x($trace->end->timeS), 1) }}" x2="{{ round($x($trace->end->timeS), 1) }}" y1="4" y2="{{ $top - 12 }}" /><text class="halo" x="{{ round($x($trace->end->timeS) + 5, 1) }}" y="{{ $top - 18 }}">thrust ends</text>@endif
                @php($step = $stepOf($to - $from, 14))
                @for ($t = 0.0; $t <= $to - $from + 1e-9; $t += $step)
                    <text class="axis" x="{{ round($x($from + $t), 1) }}" y="{{ $top + 6 }}" text-anchor="middle">{{ rtrim(rtrim(number_format($t, 2), '0'), '.') ?: '0' }}{{ $t == 0.0 ? ' s' : '' }}</text>
                @endfor
            </svg>
        </figure>
        <details class="disclosure"><summary>The figures</summary>
            <div class="scroll-x" tabindex="0" role="region" aria-label="The trace in figures">
                <table class="figures-table !w-auto"><thead><tr><th scope="col" class="num">Time (s)</th><th scope="col" class="num">Place ({{ $unit }})</th><th scope="col" class="num">Speed ({{ $unit }}/s)</th><th scope="col" class="num">± (1 s.e.)</th><th scope="col" class="num">Acceleration ({{ $unit }}/s²)</th><th scope="col" class="num">± (1 s.e.)</th></tr></thead>
                    <tbody>@foreach ($trace->thinned() as $point)<tr><td class="num">{{ number_format($point->timeS - $from, 2) }}</td><td class="num">{{ number_format($point->placeM * $long, 3) }}</td><td class="num">{{ number_format($point->speedMS * $long, 3) }}</td><td class="num">{{ number_format($point->speedError * $long, 3) }}</td><td class="num">{{ number_format($point->accelerationMS2 * $long, 2) }}</td><td class="num">{{ number_format($point->accelerationError * $long, 2) }}</td></tr>@endforeach</tbody>
                </table>
            </div>
        </details>
    @endif
    <form method="post" action="{{ route('trace.store', [$challenge, $run]) }}" enctype="multipart/form-data" class="border-t border-rule py-5 mt-4 no-print">
        @csrf
        <x-field class="max-w-xl" name="file" type="file" label="Bring in a trace" accept=".csv,text/csv,text/plain" hint="CSV: a moment in s and a place in m on each line. A header may say ms, cm or mm." />
        <p class="mt-3"><button class="button">Bring it in</button></p>
    </form>
</x-layout>
