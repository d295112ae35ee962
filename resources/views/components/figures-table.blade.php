@props(['record'])
@php
    use App\Wording\CarWords;
    use App\Wording\GoalWords;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Statistics\Verdict;
    $challenge = $record->challenge;
    $units = $challenge->units;
    $scale = $challenge->goal->scale();
    $figure = fn (?float $value, int $more = 0) => $value === null ? '–' : $units->figure($value, $scale, $more);
@endphp
<div class="scroll-x" tabindex="0" role="region" aria-label="Table of every car">
    <table class="figures-table">
        <thead>
            <tr>
                <th scope="col">Place</th><th scope="col">Group</th><th scope="col">Car</th>
                <th scope="col" class="num">Tries</th><th scope="col" class="num">Mean</th><th scope="col" class="num">Median</th>
                <th scope="col" class="num">Best</th><th scope="col" class="num">Spread (s)</th><th scope="col" class="num">95 % interval</th>
                <th scope="col" class="verdict">Against the leader</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($record->lines as $line)
                @php($rows = [[$line->car, $line->tries, $line->standing], ...array_map(fn ($car) => [$car, $record->tries($car), null], $line->otherCars)])
                @foreach ($rows as [$car, $tries, $standing])
                    @php($sample = $challenge->mainAward()->measure($tries))
                    @php($interval = $sample?->meanInterval())
                    <tr @class(['small' => $standing === null])>
                        <td class="num !text-left">{{ $standing?->rank === null ? '' : $standing->rank . ($standing->tied ? '=' : '') }}</td>
                        <th scope="row">
                            @if ($standing !== null)<span class="with-mark"><x-mark :mark="$line->group->mark" /><bdi class="max-w-60 truncate" title="{{ $line->group->name }}">{{ $line->group->name }}</bdi></span>@else<span class="small pl-7">version {{ $car->version }}</span>@endif
                        </th>
                        <td>{{ CarWords::brief($car?->choices, $units) }}</td>
                        <td class="num">{{ $sample->n ?? 0 }}</td>
                        <td class="num">{{ $figure($sample?->mean()) }}</td>
                        <td class="num">{{ $figure($sample?->median()) }}</td>
                        <td class="num">{{ $figure($sample === null ? null : $challenge->goal->best($sample)) }}</td>
                        @if ($sample?->n === 1)
                            <td colspan="2" class="small">one try: no spread yet</td>
                        @else
                            <td class="num">{{ $figure($sample?->standardDeviation()) }}</td>
                            <td class="num">{{ $interval === null ? '–' : $figure(max(0.0, $interval->low)) . ' – ' . $figure($interval->high) }}</td>
                        @endif
                        <td class="verdict">
                            {{ match ($standing?->againstLeader?->verdict) {
                                Verdict::TooCloseToCall => 'too close to call',
                                Verdict::ClearlyApart => 'clearly ' . GoalWords::worse($challenge->goal),
                                Verdict::NoSpreadYet => 'not judged yet',
                                null => $standing?->rank === 1 ? 'leads' : '',
                            } }}
                        </td>
                    </tr>
                @endforeach
            @endforeach
        </tbody>
    </table>
</div>
