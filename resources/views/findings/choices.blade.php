@php
    use Skivo\Core\Findings\Outcome;
    use App\Pages\Findings\RelationWords;
    use App\Language\Sentence;
    use Skivo\Core\Car\Attribute\CarAttribute;
    $address = fn (CarAttribute $factor, Outcome $outcome) => route('findings.choices', [$challenge, 'against' => $factor->value, 'of' => $outcome->value]);
@endphp
<x-layout
    :title="Text::of('findings.choices.findings', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="choices" />
    <div class="lead-in">
        <div>
            <h2>{{ Text::of('findings.choices.what_each_choice_does') }}</h2>
            <p class="prose mt-1">{{ Text::of('findings.choices.like_cars_are_compared') }}</p>
        </div>
        @if (count($outcomes) > 1)<span class="switch no-print">@foreach ($outcomes as $outcome)<a
            href="{{ $address($relation->factor, $outcome) }}"
            aria-current="{{ $relation->outcome === $outcome ? 'true' : 'false' }}">{{ Label::title($outcome) }}</a>@endforeach</span>@endif
    </div>
    @if ($choices->spokenOf() !== [])
        <ul class="choice-list" data-part="choices">@foreach ($choices->spokenOf() as $row)
            <x-choice-row :challenge="$challenge" :row="$row" :words="$words" :most="$choices->most"
                :address="$address($row->factor, $relation->outcome)" :chosen="$row->factor === $relation->factor" />@endforeach</ul>
    @endif
    @if ($choices->open() !== [])
        <p class="mt-3"><strong>{{ Text::of('findings.choices.cannot_tell_yet') }}</strong> {{ Text::of('findings.choices.no_cars_are_alike_but_for') }}</p>
        <ul class="choice-open" data-part="open">@foreach ($choices->open() as $row)
            <li data-choice="{{ $row->factor->value }}"><a class="choice-name"
                href="{{ $address($row->factor, $relation->outcome) }}#one"
                @if ($row->factor === $relation->factor) aria-current="true" @endif>{{ Label::title($row->factor) }}</a>
            @if ($row->alongWith !== [])<span class="small">{{ $words->alongWith($row) }}</span>@endif</li>@endforeach</ul>
    @endif
    <nav class="small choice-others no-print" aria-label="{{ Text::of('findings.choices.what_else_to_draw') }}">
        @foreach ($choices->others() as $key => $factors)@if ($factors !== [])<span>{{ Text::of("findings.choices.others.{$key}") }}
            @foreach ($factors as $factor)<a href="{{ $address($factor, $relation->outcome) }}">{{ Label::of($factor) }}</a>@if (! $loop->last),
            @endif @endforeach</span>@endif @endforeach
        @if ($choices->unknown !== [])<span>{{ Text::of('findings.choices.on_record_for_no_car_that', [
            'unknown' => \App\Language\Lists::and(array_map(fn ($factor) => Label::of($factor), $choices->unknown), 20),
        ]) }}</span>@endif
    </nav>
    <div class="lead-in border-t border-rule pt-4" id="one">
        <h2>{{ Text::of('findings.choices.against_2', ['outcome' => Label::title($relation->outcome), 'factor' => Label::of($relation->factor)]) }}</h2>
        @if ($alike !== null)<span class="switch no-print">@foreach (['all', 'alike'] as $each)<a
            href="{{ $address($relation->factor, $relation->outcome) }}&amp;cars={{ $each }}#one"
            aria-current="{{ $each === $cars ? 'true' : 'false' }}">{{ Text::of("findings.choices.cars_{$each}") }}</a>@endforeach</span>@endif
    </div>
    <div class="findings-layout" data-part="findings">
        <section
            class="min-w-0"
            aria-label="{{ Text::of('findings.choices.against_2',
                ['outcome' => Label::title($relation->outcome), 'factor' => Label::of($relation->factor)]) }}">
            @if ($cars === 'alike' && $alike !== null)
            <x-answer-figure :challenge="$challenge" :figure="$alike" :counting="$findings->counting" :tools="false" />
            @else
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
            @endif
            <p class="actions no-print">
                <button type="button" class="button plain"
                    data-save-svg="{{ $relation->factor->value }}">{{ Text::of('findings.choices.save_as_svg') }}</button><a
                    class="button plain"
                    download href="{{ route('findings.download',
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
            @if ($cars === 'alike' && $alike !== null)
                <x-sentences :sentences="[$words->effect($alike->effect), new Sentence('', $words->howWeKnow($alike->effect))]" big />
                <p><x-behind :challenge="$challenge" :cars="$alike->effect->cars()" /></p>
            @else
            <x-sentences :sentences="(new RelationWords($relation, $holds))->finding()" big />
            @if (count(\Skivo\Core\Findings\Confounding::varying($findings->found->cars)) > 1)<p
                class="small mt-5 border-t border-rule pt-3">{{ Text::of('findings.choices.cars_differ_in_more_than_one') }}</p>@endif
            @endif
        </section>
    </div>
</x-layout>
