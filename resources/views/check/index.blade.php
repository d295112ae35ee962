@php
    use Skivo\Core\Car\Step;
    use Skivo\Core\Car\CheckItem;
    use Skivo\Core\Car\CheckVerdict;
    $items = count(CheckItem::cases());
    $waiting = collect($progress->rows)->first(fn ($row) => $row['built'] > 0 && $row['card']?->isReady() !== true && $row['counted'] < $row['allowed']);
@endphp
<x-layout :title="'Check · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="check" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div><h2>Who is how far</h2><p class="small mt-1">A car with something to fix may still run; it is marked so on the floor.</p></div>
        <p class="actions no-print">
            @if ($waiting !== null)<a class="button do" href="{{ route('checks.edit', [$challenge, $waiting['group']]) }}"><span>Check <bdi>{{ \Illuminate\Support\Str::limit($waiting['group']->name, 24) }}</bdi></span></a>@elseif ($record->groups->isNotEmpty())<a class="button do" href="{{ route('runs.show', $challenge) }}">To the runs</a>@endif
            <a class="button plain" href="{{ route('checks.tolerances', $challenge) }}">Limits</a>
        </p>
    </div>
    @if ($progress->rows === [])
        <div class="py-6 prose"><p class="mb-4">There are no groups yet. Add them under Build; then their cars can be checked here.</p><a class="button do" href="{{ route('groups.index', $challenge) }}">To the groups</a></div>
    @else
        <div class="scroll-x" tabindex="0" role="region" aria-label="Progress of every group" data-part="progress">
            <table class="figures-table progress">
                <thead><tr><th scope="col">Group</th><th scope="col">Built</th><th scope="col">Checked</th><th scope="col">Run</th><th scope="col">Next</th><th scope="col"><span class="sr-only">Pages</span></th></tr></thead>
                <tbody>
                    @foreach ($progress->rows as $row)
                        @php([$group, $card] = [$row['group'], $row['card']])
                        <tr>
                            <th scope="row"><span class="with-mark"><x-mark :mark="$group->mark" class="!w-6 !h-6" /><span><bdi>{{ \Illuminate\Support\Str::limit($group->name, 60) }}</bdi>@if ($group->cars->count() > 1)<span class="small block">version {{ $group->currentCar()->version }}</span>@endif</span></span></th>
                            <td><x-pips :states="[...array_fill(0, $row['built'], 'pass'), ...array_fill(0, count(Step::ofCar()) - $row['built'], 'none')]" :label="$row['built'] . ' of ' . count(Step::ofCar()) . ' steps recorded'" /></td>
                            <td><x-pips :states="array_map(fn ($item) => $card?->verdict($item)->value ?? 'none', CheckItem::cases())" :label="($card?->done() ?? 0) . ' of ' . $items . ' checked' . (($fixes = count($card?->with(CheckVerdict::Fix) ?? [])) > 0 ? ', ' . $fixes . ' to fix' : '')" /></td>
                            <td><x-pips :states="[...array_fill(0, $row['counted'], 'pass'), ...array_fill(0, max(0, $row['allowed'] - $row['counted']), 'none')]" :label="$row['counted'] . ' of ' . $row['allowed'] . ' tries' . ($row['void'] > 0 ? ', ' . $row['void'] . ' void' : '')" /></td>
                            <td>{{ \App\Wording\ProgressWords::next($row['missing'], $card, $row['counted'] >= $row['allowed']) }}</td>
                            <td class="no-print"><div class="actions !gap-1 justify-end">
                                <a class="button" href="{{ route('checks.edit', [$challenge, $group]) }}" aria-label="Card: {{ $group->name }}">Card</a>
                                <a class="button plain" href="{{ route('diagnosis.show', [$challenge, $group]) }}" aria-label="What is wrong? {{ $group->name }}">What is wrong?</a>
                            </div></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
    @endif
</x-layout>
