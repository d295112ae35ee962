@php
    use Skivo\Core\Car\Attribute\Step;
    use Skivo\Core\Car\Check\CheckItem;
    use Skivo\Core\Car\Check\CheckVerdict;
    $waiting = collect($progress->rows)->first(fn ($row) => $row['built'] > 0 && $row['card']?->isReady() !== true && $row['counted'] < $row['allowed']);
@endphp
<x-layout
    :title="Text::of('check.index.check', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="check" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div><h2>{{ Text::of('check.index.who_is_how_far') }}</h2><p class="small mt-1">{{ Text::of('check.index.a_car_with_something_to_fix') }}</p></div>
        <p class="actions no-print">
            @if ($waiting !== null)<a class="button do"
                href="{{ route('checks.edit', [$challenge, $waiting['group']]) }}"><span>{!! Text::html('check.index.check_2',
                ['waiting' => \Illuminate\Support\Str::limit($waiting['group']->name,
                24)]) !!}</span></a>@elseif ($record->groups->isNotEmpty())<a class="button do"
                href="{{ route('runs.show', $challenge) }}">{{ Text::of('check.index.to_the_runs') }}</a>@endif
            <a class="button plain" href="{{ route('checks.tolerances', $challenge) }}">{{ Text::of('check.index.limits') }}</a>
        </p>
    </div>
    @if ($progress->rows === [])
        <div class="py-6 prose"><p class="mb-4">{{ Text::of('check.index.there_are_no_groups_yet_add') }}</p>
            <a class="button do" href="{{ route('groups.index', $challenge) }}">{{ Text::of('check.index.to_the_groups') }}</a>
        </div>
    @else
        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('check.index.progress_of_every_group') }}" data-part="progress">
            <table class="figures-table progress">
                <thead><tr><th scope="col">{{ Text::of('check.index.group') }}</th>
                        <th scope="col">{{ Text::of('check.index.built') }}</th><th scope="col">
                            {{ Text::of('check.index.checked') }}</th><th scope="col">{{ Text::of('check.index.run') }}</th>
                        <th scope="col">{{ Text::of('check.index.next') }}</th><th scope="col"><span class="sr-only">{{ Text::of('check.index.pages') }}</span>
                        </th></tr></thead>
                <tbody>
                    @foreach ($progress->rows as $row)
                        @php([$group, $card] = [$row['group'], $row['card']])
                        <tr>
                            <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}
                                <span><bdi>{{ \Illuminate\Support\Str::limit($group->name, 60) }}</bdi>@if ($group->cars->count() > 1)
                                    <span class="small block">{{ Text::of('check.index.version', ['version' => $group->currentCar()->version]) }}</span>
                                @endif</span></span>
                            </th>
                            <td>
                                <x-pips
                                    :states="[...array_fill(0, $row['built'], 'pass'), ...array_fill(0, count(Step::ofCar()) - $row['built'], 'none')]"
                                    :label="Text::of('check.index.of_steps_recorded', ['row' => $row['built'], 'count' => count(Step::ofCar())])"
                                    />
                            </td>
                            <td>
                                <x-pips
                                    :states="array_map(fn ($item) => $card?->verdict($item)->value ?? 'none', $card?->items() ?? CheckItem::cases())"
                                    :label="Text::of('check.index.of_checked', ['done' => $card?->done() ?? 0, 
                                    'items' => count($card?->items() ?? CheckItem::cases()), 'to_fix' =>
                                    ($fixes = count($card?->with(CheckVerdict::Fix) ?? [])) > 0 ? Text::of('check.index.to_fix', ['fixes' =>
                                    $fixes]) : ''])"
                                    />
                            </td>
                            <td>
                                <x-pips
                                    :states="[...array_fill(0, $row['counted'], 'pass'), ...array_fill(0, max(0, $row['allowed'] - $row['counted']), 'none')]"
                                    :label="Text::plural('check.index.of_tries', $row['allowed'], ['counted' => $row['counted'], 'void'
                                    => $row['void'] > 0 ? Text::of('check.index.void', ['void' => $row['void']]) : ''])"
                                    />
                            </td>
                            <td>{{ \App\Pages\Check\ProgressWords::next($row['missing'], $card, $row['counted'] >= $row['allowed']) }}</td>
                            <td class="no-print"><div class="actions gap-1 justify-end">
                                <a
                                    class="button" href="{{ route('checks.edit', [$challenge, $group]) }}"
                                    aria-label="{{ Text::of('check.index.card', ['group' => $group->name]) }}">{{ Text::of('check.index.card_2') }}</a>
                                <a
                                    class="button plain" href="{{ route('diagnosis.show', [$challenge, $group]) }}"
                                    aria-label="{{ Text::of('check.index.what_is_wrong',
                                        ['group' => $group->name]) }}">{{ Text::of('check.index.what_is_wrong_2') }}</a>
                            </div></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    @endif
</x-layout>
