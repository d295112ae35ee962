@php
    use App\Reading\Outcome;
    use App\Wording\RelationWords;
    use Skivo\Core\Findings\Factor;
    $timed = $record->hasTimes();
    $address = fn (Factor $factor, Outcome $outcome) => route('findings.choices', [$challenge, 'against' => $factor->value, 'of' => $outcome->value]);
@endphp
<x-layout :title="'Findings · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="choices" />
    <nav class="factors" aria-label="What to set against distance">
        @if ($timed)
            <span class="switch mr-3">
                <a href="{{ $address($relation->factor, Outcome::Distance) }}" aria-current="{{ $relation->outcome === Outcome::Distance ? 'true' : 'false' }}">Distance</a>
                <a href="{{ $address($relation->factor, Outcome::Time) }}" aria-current="{{ $relation->outcome === Outcome::Time ? 'true' : 'false' }}">Time</a>
            </span>
            <span class="of">against</span>
        @else
            <span class="of">Distance against</span>
        @endif
        @foreach (Factor::cases() as $factor)
            @continue($counts[$factor->value] === 0 && $factor !== $relation->factor)
            <a href="{{ $address($factor, $relation->outcome) }}" @class(['none' => $counts[$factor->value] === 0]) aria-current="{{ $factor === $relation->factor ? 'true' : 'false' }}">{{ $factor->label() }}<span class="num">{{ $counts[$factor->value] }}</span></a>
        @endforeach
        @php($unknown = array_filter(Factor::cases(), fn ($factor) => $counts[$factor->value] === 0))
        @if ($unknown !== [])<span class="small">On record for no car that ran: {{ \App\Wording\Lists::and(array_map(fn ($factor) => $factor->label(), $unknown), 20) }}.</span>@endif
    </nav>
    <div class="findings-layout" data-part="findings">
        <section class="min-w-0" aria-label="{{ ucfirst($relation->outcome->value) }} against {{ $relation->factor->label() }}">
            <div class="figure" data-relation>
                <script type="application/json">@json($relation->figure(), JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
                <div data-stage></div>
            </div>
            <p class="small mt-2">
                Each mark is one car: the mean of its counted tries, which lie small around it.
                @if ($relation->factor->isNumber() && count($relation->relation->points) > 2) The line is the least-squares fit; the shaded band is where the line may lie, the dashes where one more car may, both at 95 %. @endif
                @if (! $relation->factor->isNumber()) The bar below each kind is the mean of its cars with its 95 % interval. @endif
            </p>
            <p class="actions no-print"><button type="button" class="button plain" data-save-svg="{{ $relation->factor->value }}">Save as SVG</button><a class="button plain" href="{{ route('findings.download', [$challenge, 'choice', 'against' => $relation->factor->value, 'of' => $relation->outcome->value]) }}">The numbers as CSV</a></p>
            <details class="disclosure">
                <summary>The numbers behind the figure</summary>
                <div class="scroll-x" tabindex="0" role="region" aria-label="The numbers behind the figure">
                    <table class="figures-table">
                        <thead><tr><th scope="col">Car</th><th scope="col" class="num">{{ ucfirst($relation->factor->label()) }}</th><th scope="col" class="num">Mean {{ $relation->outcome->value }}</th><th scope="col" class="num">Tries</th></tr></thead>
                        <tbody>
                            @foreach ($relation->relation->points as $point)
                                @php([$group, $car] = $relation->cars[(int) $point->id])
                                <tr>
                                    <th scope="row"><span class="with-mark"><x-mark :mark="$group->mark" /><bdi class="max-w-60 truncate">{{ $group->name }}</bdi>@if ($group->cars->count() > 1)<span class="small">version {{ $car->version }}</span>@endif</span></th>
                                    <td class="num">{{ is_float($point->x) ? $relation->showFactor($point->x) : $point->x }}</td>
                                    <td class="num">{{ $relation->showOutcome($point->y) }}</td>
                                    <td class="num">{{ $record->measure($relation->outcome, $car)->n ?? 0 }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    @if (! $relation->factor->isNumber() && $relation->relation->kinds !== [])
                        <table class="figures-table mt-4">
                            <thead><tr><th scope="col">Kind</th><th scope="col" class="num">Cars</th><th scope="col" class="num">Mean</th><th scope="col" class="num">Spread (s)</th></tr></thead>
                            <tbody>
                                @foreach ($relation->relation->kinds as $kind => $sample)
                                    <tr><th scope="row">{{ $kind }}</th><td class="num">{{ $sample->n }}</td><td class="num">{{ $relation->showOutcome($sample->mean()) }}</td><td class="num">{{ $sample->standardDeviation() === null ? 'one car: none' : $relation->showOutcome($sample->standardDeviation()) }}</td></tr>
                                @endforeach
                            </tbody>
                        </table>
                    @endif
                </div>
            </details>
        </section>
        <section class="said" aria-label="In words">
            <x-sentences :sentences="(new RelationWords($relation))->finding()" big />
            <p class="small mt-5 border-t border-rule pt-3">Cars differ in more than one choice, so a trend can have another cause that goes along with it. To be sure, change one thing on one car and run it again.</p>
        </section>
    </div>
</x-layout>
