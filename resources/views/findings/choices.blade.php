@php
    use Skivo\Core\Findings\Outcome;
    use App\Presenters\RelationWords;
    use Skivo\Core\Car\CarAttribute;
    $timed = $record->hasTimes();
    $address = fn (CarAttribute $factor, Outcome $outcome) => route('findings.choices', [$challenge, 'against' => $factor->value, 'of' => $outcome->value]);
@endphp
<x-layout
    :title="Text::of('findings.choices.findings', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="choices" />
    @if ($words->effects() !== [])
        <section class="findings-part no-top" aria-labelledby="mattered">
            <h2 id="mattered">{{ Text::of('findings.choices.what_mattered') }}</h2>
            <ul class="claims">@foreach ($words->effects() as [$sentence, $cars])
                <x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
        </section>
    @endif
    <nav class="factors" aria-label="{{ Text::of('findings.choices.what_to_set_against_distance') }}">
        @if ($timed)
            <span class="switch mr-3">
                @foreach (Outcome::cases() as $outcome)
                    <a
                        href="{{ $address($relation->factor, $outcome) }}"
                        aria-current="{{ $relation->outcome === $outcome ? 'true' : 'false' }}">{{ Label::title($outcome) }}</a>
                @endforeach
            </span>
            <span class="of">{{ Text::of('findings.choices.against') }}</span>
        @else
            <span class="of">{{ Text::of('findings.choices.distance_against') }}</span>
        @endif
        @foreach (CarAttribute::explaining() as $factor)
            @continue($counts[$factor->value] === 0 && $factor !== $relation->factor)
            <a
                href="{{ $address($factor, $relation->outcome) }}" @class(['none' => $counts[$factor->value] === 0])
                aria-current="{{ $factor === $relation->factor ? 'true' : 'false' }}">{{ Label::of($factor) }}<span
                    class="num">{{ $counts[$factor->value] }}</span></a>
        @endforeach
        @php($unknown = array_filter(CarAttribute::explaining(), fn ($factor) => $counts[$factor->value] === 0))
        @if ($unknown !== [])<span class="small">{{ Text::of('findings.choices.on_record_for_no_car_that', [
            'unknown' => \App\Presenters\Lists::and(array_map(fn ($factor) => Label::of($factor), $unknown), 20),
        ]) }}</span>@endif
    </nav>
    <div class="findings-layout" data-part="findings">
        <section
            class="min-w-0"
            aria-label="{{ Text::of('findings.choices.against_2',
                ['outcome' => Label::title($relation->outcome), 'factor' => Label::of($relation->factor)]) }}">
            <div class="figure" data-relation>
                <script type="application/json">@json($relation->figure(Label::title($relation->factor)),
                    JSON_HEX_TAG | JSON_HEX_AMP | JSON_HEX_APOS | JSON_HEX_QUOT)</script>
                <div data-stage></div>
            </div>
            <p class="small mt-2">
                {{ Text::of('findings.choices.each_mark_is_one_car_the') }}
                @if ($relation->factor->explainsAsNumber() && count($relation->relation->points) > 2)
                {{ Text::of('findings.choices.the_line_is_the_least_squares') }} @endif
                @if (! $relation->factor->explainsAsNumber()) {{ Text::of('findings.choices.the_bar_below_each_kind_is') }} @endif
            </p>
            <p class="actions no-print">
                <button type="button" class="button plain"
                    data-save-svg="{{ $relation->factor->value }}">{{ Text::of('findings.choices.save_as_svg') }}</button><a
                    class="button plain"
                    href="{{ route('findings.download',
                        [$challenge, 'choice', 'against' => $relation->factor->value,
                        'of' => $relation->outcome->value]) }}">{{ Text::of('findings.choices.the_numbers_as_csv') }}</a>
            </p>
            <details class="disclosure">
                <summary>{{ Text::of('findings.choices.the_numbers_behind_the_figure') }}</summary>
                <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('findings.choices.the_numbers_behind_the_figure') }}">
                    <table class="figures-table">
                        <thead><tr><th scope="col">{{ Text::of('findings.choices.car') }}</th>
                                <th scope="col" class="num">{{ Label::title($relation->factor) }}</th>
                                <th scope="col" class="num">
                                    {{ Text::of('findings.choices.mean', ['outcome' => $relation->outcome->value]) }}</th>
                                <th scope="col" class="num">{{ Text::of('findings.choices.tries') }}</th></tr></thead>
                        <tbody>
                            @foreach ($relation->relation->points as $point)
                                @php([$group, $car] = $relation->cars[(int) $point->id])
                                <tr>
                                    <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<bdi
                                        class="max-w-60 truncate">{{ $group->name }}</bdi>@if ($group->cars->count() > 1)<span
                                        class="small">{{ Text::of('findings.choices.version',
                                        ['version' => $car->version]) }}</span>@endif</span>
                                    </th>
                                    <td class="num">{{ is_float($point->x) ? $relation->showFactor($point->x) : $point->x }}</td>
                                    <td class="num">{{ $relation->showOutcome($point->y) }}</td>
                                    <td class="num">{{ $record->measure($relation->outcome, $car)->n ?? 0 }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    @if (! $relation->factor->explainsAsNumber() && $relation->relation->kinds !== [])
                        <table class="figures-table mt-4">
                            <thead><tr><th scope="col">{{ Text::of('findings.choices.kind') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.choices.cars') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.choices.mean_2') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.choices.spread_s') }}</th></tr></thead>
                            <tbody>
                                @foreach ($relation->relation->kinds as $kind => $sample)
                                    <tr><th scope="row">{{ $kind }}</th><td class="num">{{ $sample->n }}</td>
                                        <td class="num">{{ $relation->showOutcome($sample->mean()) }}</td>
                                        <td class="num">
                                            {{ $sample->standardDeviation() === null ? Text::of('findings.choices.one_car_none')
                                                : $relation->showOutcome($sample->standardDeviation()) }}
                                        </td></tr>
                                @endforeach
                            </tbody>
                        </table>
                    @endif
                </div>
            </details>
        </section>
        <section class="said" aria-label="{{ Text::of('findings.choices.in_words') }}">
            <x-sentences :sentences="(new RelationWords($relation, $holds))->finding()" big />
            <p class="small mt-5 border-t border-rule pt-3">{{ Text::of('findings.choices.cars_differ_in_more_than_one') }}</p>
        </section>
    </div>
</x-layout>
