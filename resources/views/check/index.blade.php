@php
    use App\Pages\Check\ProgressWords;
    use Skivo\Core\Car\Check\CheckCard;
@endphp
<x-layout
    :title="Text::of('check.index.check', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="check" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div><h2>{{ Text::of('check.index.look_before_it_runs') }}</h2><p class="prose mt-1">{{ Text::of('check.index.what') }}</p></div>
        <p class="actions no-print">
            @if ($progress->waiting !== null)<a class="button do"
                href="{{ route('checks.edit', [$challenge, $progress->waiting]) }}"><span>{!! Text::html('check.index.check_2',
                ['waiting' => Str::limit($progress->waiting->name, 24)]) !!}</span></a>@elseif ($record->groups->isNotEmpty())<a class="button do"
                href="{{ route('runs.show', $challenge) }}">{{ Text::of('check.index.to_the_runs') }}</a>@endif
        </p>
    </div>
    @if ($progress->rows === [])
        <div class="py-6 prose"><p class="mb-4">{{ Text::of('check.index.there_are_no_groups_yet_add') }}</p>
            <a class="button do" href="{{ route('groups.index', $challenge) }}">{{ Text::of('check.index.to_the_groups') }}</a>
        </div>
    @else
        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('check.index.every_car') }}" data-part="progress">
            <table class="figures-table progress">
                <thead><tr><th scope="col">{{ Text::of('check.index.car') }}</th>
                        <th scope="col">{{ Text::of('check.index.looks') }}</th>
                        <th scope="col">{{ Text::of('check.index.rolling') }}
                            <span class="small block">{{ $words->perCar() }}</span></th>
                        <th scope="col">{{ Text::of('check.index.push') }}
                            <span class="small block">{{ Text::of('check.index.on_a_scale') }}</span></th>
                        <th scope="col"><span class="sr-only">{{ Text::of('check.index.pages') }}</span></th></tr></thead>
                <tbody>
                    @foreach ($progress->rows as $row)
                        @php([$group, $card, $forces] = [$row['group'], $row['card'], $row['forces']])
                        <tr>
                            <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}
                                <span><bdi>{{ Str::limit($group->name, 60) }}</bdi>@if ($group->cars->count() > 1)
                                    <span class="small block">{{ Text::of('check.index.version', ['version' => $group->currentCar()->version]) }}</span>
                                @endif</span></span>
                            </th>
                            <td>
                                <x-pips
                                    :states="array_map(fn ($item) => $card?->verdict($item)->value ?? 'none',
                                        $card?->counted() ?? (new CheckCard([]))->counted())"
                                    :label="ProgressWords::next($row['missing'], $card, $row['hasRun'])" />
                            </td>
                            <td data-of="{{ Text::of('check.index.rolling') }}">@if ($forces?->frictionIsMeasured())
                                {{ $words->rolling($forces->friction->value) }}
                                @elseif (($gain = $words->gain($row['forecast'], $row['once'])) !== null)<span class="small">{{ $gain }}</span>
                                @else<span class="small">{{ Text::of('check.measure.not_measured') }}</span>@endif</td>
                            <td data-of="{{ Text::of('check.index.push') }}">@if ($forces !== null)
                                <span @class(['small' => ! $forces->thrustIsMeasured()])>{{ $words->push($forces) }}</span>
                                @else<span class="small">{{ Text::of('check.measure.not_measured') }}</span>@endif</td>
                            <td class="no-print"><div class="actions gap-1 justify-end flex-nowrap">
                                <a class="button" href="{{ route('checks.edit', [$challenge, $group]) }}"
                                    aria-label="{{ Text::of('check.index.look', ['group' => $group->name]) }}">{{ Text::of('check.index.look_2') }}</a>
                                <a class="button plain" href="{{ route('bench.edit', [$challenge, $group]) }}"
                                    aria-label="{{ Text::of('check.index.measure', ['group' => $group->name]) }}">{{ Text::of('check.index.measure_2') }}</a>
                            </div></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <p class="actions mt-4 no-print"><a class="button plain" href="{{ route('bench.index', $challenge) }}">{{ Text::of('check.index.more_ways') }}</a>
            <a class="button plain" href="{{ route('checks.tolerances', $challenge) }}">{{ Text::of('check.index.limits') }}</a></p>
    @endif
</x-layout>
