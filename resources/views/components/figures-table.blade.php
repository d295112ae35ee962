@props(['record'])
@php
    use App\Language\CarWords;
    use App\Language\GoalWords;
    use App\Language\ReachWords;
    use Skivo\Core\Challenge\Goal;
    use Skivo\Core\Challenge\Reach;
    use Skivo\Core\Challenge\Scoring;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Statistics\Verdict;
    $challenge = $record->challenge;
    $units = $challenge->units;
    $scale = $challenge->goal->scale();
    $figure = fn (?float $value, int $more = 0) => $value === null ? '–' : $units->figure($value, $scale, $more);
@endphp
<div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('run.figures_table.table_of_every_car') }}">
    <table class="figures-table">
        <thead>
            <tr>
                <th scope="col">{{ Text::of('run.figures_table.place') }}</th>
                <th scope="col">{{ Text::of('run.figures_table.group') }}</th>
                <th scope="col">{{ Text::of('run.figures_table.car') }}</th>
                <th scope="col" class="num">{{ Text::of('run.figures_table.tries') }}</th>
                <th scope="col" class="num">{{ Text::of('run.figures_table.mean') }}</th>
                <th scope="col" class="num">{{ Text::of('run.figures_table.median') }}</th>
                <th scope="col" class="num">{{ Text::of('run.figures_table.best') }}</th>
                <th scope="col" class="num">{{ Text::of('run.figures_table.spread_s') }}</th>
                <th scope="col" class="num">{{ Text::of('run.figures_table.95_interval') }}</th>
                <th scope="col" class="verdict">{{ Text::of('run.figures_table.against_the_leader') }}</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($record->lines() as $line)
                @php($rows = [[$line->car, $line->tries, $line->standing], ...array_map(fn ($car) => [$car, $record->tries($car), null], $line->otherCars)])
                @foreach ($rows as [$car, $tries, $standing])
                    @php($sample = $challenge->mainAward()->measure($tries))
                    @php($interval = $record->interval($challenge->goal, $sample))
                    <tr @class(['small' => $standing === null])>
                        <td class="num text-left">{{ $standing?->rank === null ? '' : $standing->rank . ($standing->tied ? '=' : '') }}</td>
                        <th scope="row">
                            @if ($standing !== null)<span class="with-mark">{{ Glyph::of($line->group->mark) }}<bdi
                                class="max-w-60 truncate" title="{{ $line->group->name }}">{{ $line->group->name }}</bdi></span>@else<span
                                class="small pl-7">{{ Text::of('run.figures_table.version', ['version' => $car->version]) }}</span>@endif
                        </th>
                        <td>{{ CarWords::brief($car?->choices, $units) }}</td>
                        <td class="num">{{ $sample->n ?? 0 }}</td>
                        @foreach (Scoring::inOrder() as $scoring)
                            @php($reach = Reach::of($challenge->mainAward(), $tries, $scoring))
                            <td class="num">{{ ReachWords::figure($reach, $challenge->mainAward(), $scoring, $units) }}@if ($scoring ===
                                Scoring::Mean)<x-other-units :units="$units" :si="$reach?->value" :scale="$scale" />
                                @if ($challenge->goal === Goal::Farthest && ($likely = ReachWords::estimate($tries, $units)) !== null)<span
                                    class="small block whitespace-normal">{{ $likely }}</span>@endif @endif</td>
                        @endforeach
                        <td class="num">{{ $figure($sample?->standardDeviation()) }}</td>
                        <td class="num">
                            {{ $interval === null ? '–' : $figure(max(0.0, $interval->low)) . ' – ' . $figure($interval->high) }}
                            @if ($sample?->n === 1)<span class="small block">{{ Text::of($interval === null
                                ? 'run.figures_table.one_try_no_spread_yet' : 'run.figures_table.by_the_spread_of_the_class') }}</span>@endif
                        </td>
                        <td class="verdict">
                            {{ match ($standing?->againstLeader) {
                                Verdict::TooCloseToCall => Text::of('run.figures_table.too_close_to_call'),
                                Verdict::ClearlyApart => Text::of('run.figures_table.clearly', ['goal' => GoalWords::worse($challenge->goal)]),
                                Verdict::NoSpreadYet => Text::of('run.figures_table.not_judged_yet'),
                                null => Text::plural('run.figures_table.leads', $standing?->rank),
                            } }}
                        </td>
                    </tr>
                @endforeach
            @endforeach
        </tbody>
    </table>
</div>
