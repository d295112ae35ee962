{{-- The floor: drawing and table in one. A row a group, each with a strip of lane to one scale. --}}
@props(['record', 'fresh' => null])
@php
    use App\Pages\Run\FloorDrawing;
    use App\Language\CarWords;
    use App\Language\GoalWords;
    use App\Language\ReachWords;
    use Skivo\Core\Car\Check\CheckVerdict;
    use Skivo\Core\Measurement\Scale;
    $challenge = $record->challenge;
    $units = $challenge->units;
    $scale = $challenge->goal->scale();
    $drawing = new FloorDrawing($record, $fresh);
@endphp
<div class="relative" data-floor>
    <script type="application/json">@json($drawing->data(), JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
    <table @class(['floor', 'many' => count($record->lines()) > 14])>
        <caption class="sr-only">{{ Text::of('run.floor.every_groups_runs_on_the_floor') }}</caption>
        <colgroup><col class="c-rank"><col class="c-group"><col><col class="c-number"></colgroup>
        <thead class="sr-only"><tr><th scope="col">{{ Text::of('run.floor.place') }}</th>
                <th scope="col">{{ Text::of('run.floor.group') }}</th><th scope="col">{{ Text::of('run.floor.runs') }}</th>
                <th scope="col">{{ Label::title($challenge->scoring) }}</th></tr></thead>
        <tbody>
            @foreach ($record->lines() as $line)
                @php($standing = $line->standing)
                <tr @class(['fresh' => $drawing->isFresh($line)])>
                    <td class="rank num">{{ $standing->rank === null ? '–' : $standing->rank . ($standing->tied ? '=' : '') }}</td>
                    <th scope="row" class="who">
                        <div class="who-in">
                            {{ Glyph::of($line->group->mark) }}
                            <div>
                                <bdi class="name" title="{{ $line->group->name }}">{{ $line->group->name }}</bdi>
                                <span class="brief">{{ CarWords::brief($line->car?->choices, $units, $challenge->asks) }}{{ ($line->car->version ?? 1) > 1
                                    ? " · v{$line->car->version}" : '' }}</span>
                                @if (($record->card($line->group)?->with(CheckVerdict::Fix) ?? []) !== [])<a class="to-mend"
                                    href="{{ route('checks.edit',
                                    [$challenge, $line->group]) }}">{{ Text::of('run.floor.needs_fixing') }}</a>@endif
                            </div>
                        </div>
                    </th>
                    <td class="lane" data-lane="{{ $line->group->id }}"><span class="sr-only">{{ $drawing->inWords($line) }}</span></td>
                    <td class="number">
                        @if ($standing->score !== null)
                            <span class="score">{{ ReachWords::figure($standing->reach, $challenge->mainAward(),
                                $challenge->scoring, $units) }}</span>
                        @else
                            <span class="score score-none">{{ count($line->tries->counted) > 0 ? GoalWords::missing($challenge->goal)
                                : Text::of('run.floor.no_run') }}</span>
                        @endif
                        <span class="count">{{ $drawing->count($line) }}</span>
                    </td>
                </tr>
            @endforeach
            <tr class="tape-row" aria-hidden="true">
                <td></td><td></td><td class="tape"></td>
                <td class="unit-note">{{ Label::of($challenge->scoring) }}, {{ $units->symbol($scale) }}</td>
            </tr>
        </tbody>
    </table>
</div>
