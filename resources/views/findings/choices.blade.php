@php
    use Skivo\Core\Findings\Outcome;
    use App\Language\Lists;
    use App\Language\Sentence;
    use Skivo\Core\Car\Attribute\CarAttribute;
    $address = fn (CarAttribute $factor, Outcome $outcome) => route('findings.choices', [$challenge, 'against' => $factor->value, 'of' => $outcome->value]);
    $effect = $figure?->effect;
    $named = static fn (array $factors) => Lists::and(array_map(fn ($factor) => Label::of($factor), $factors), 20);
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
        @if (count($outcomes) > 1 && $effect !== null)<span class="switch no-print">@foreach ($outcomes as $outcome)<a
            href="{{ $address($effect->factor, $outcome) }}"
            aria-current="{{ $choices->outcome === $outcome ? 'true' : 'false' }}">{{ Label::title($outcome) }}</a>@endforeach</span>@endif
    </div>
    @if ($choices->rows === [])<p class="prose">{{ Text::of('findings.choices.no_two_differ') }}</p>@endif
    <div data-part="choices">
        <ul class="choice-list">@foreach ($choices->told() as $row)
            <x-choice-row :challenge="$challenge" :row="$row" :words="$words" :most="$choices->most"
                :address="$address($row->factor, $choices->outcome)" :chosen="$row->factor === $effect?->factor" />@endforeach</ul>
        <details class="disclosure" @if ($choices->told() === []) open @endif>
            <summary>{{ $choices->open() === [] ? Text::of('findings.choices.the_rest')
                : Text::plural('findings.choices.cant_tell_of', count($choices->open())) }}</summary>
            <ul class="choice-list">@foreach ($choices->open() as $row)
                <x-choice-row :challenge="$challenge" :row="$row" :words="$words" :most="$choices->most"
                    :address="$address($row->factor, $choices->outcome)" :chosen="$row->factor === $effect?->factor" />@endforeach</ul>
        <p class="small choice-others">
        @if ($choices->same !== [])<span>{{ Text::of('findings.choices.same_on_every_car', ['same' => $named($choices->same)]) }}</span>@endif
        @if ($choices->unknown !== [])<span>{{ Text::of('findings.choices.on_record_for_no_car_that',
        ['unknown' => $named($choices->unknown)]) }}</span>@endif
        </p>
        </details>
    </div>
    @if ($figure !== null)
    <div class="lead-in border-t border-rule pt-4" id="one">
        <h2>{{ Text::of('findings.choices.against_2', ['outcome' => Label::title($effect->outcome), 'factor' => Label::of($effect->factor)]) }}</h2>
    </div>
    <div class="findings-layout" data-part="findings">
        <section
            class="min-w-0"
            aria-label="{{ Text::of('findings.choices.against_2',
                ['outcome' => Label::title($effect->outcome), 'factor' => Label::of($effect->factor)]) }}">
            <x-answer-figure :challenge="$challenge" :figure="$figure" :counting="$findings->counting" :tools="false" />
            <p class="actions no-print">
                <button type="button" class="button plain"
                    data-save-svg="{{ $effect->factor->value }}">{{ Text::of('findings.choices.save_as_svg') }}</button><a
                    class="button plain"
                    download href="{{ route('findings.download',
                        [$challenge, 'choice', 'against' => $effect->factor->value,
                        'of' => $effect->outcome->value]) }}">{{ Text::of('findings.choices.the_numbers_as_csv') }}</a>
            </p>
            <details class="disclosure">
                <summary>{{ Text::of('findings.choices.the_numbers_behind_the_figure') }}</summary>
                <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('findings.choices.the_numbers_behind_the_figure') }}">
                    <table class="figures-table">
                        <thead><tr><th scope="col">{{ Text::of('findings.choices.car') }}</th>
                                <th scope="col" class="num">{{ Label::title($effect->factor) }}</th>
                                <th scope="col" class="num">
                                    {{ Text::of('findings.choices.mean', ['outcome' => $effect->outcome->value]) }}</th>
                                <th scope="col" class="num">{{ Text::of('findings.choices.tries') }}</th></tr></thead>
                        <tbody>
                            @foreach ($figure->figure('')['points'] as $point)
                                <tr>
                                    <th scope="row"><span class="with-mark">{{ Glyph::of($point['mark']) }}<bdi
                                        class="max-w-60 truncate">{{ $point['name'] }}</bdi></span></th>
                                    <td class="num">{{ $point['factor'] }}</td>
                                    <td class="num">{{ $point['shown'] }}</td>
                                    <td class="num">{{ count($point['tries']) }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </div>
            </details>
        </section>
        <section class="said" aria-label="{{ Text::of('findings.choices.in_words') }}">
            <x-sentences :sentences="[$words->effect($effect), new Sentence('', $words->howWeKnow($effect))]" big />
            <p><x-behind :challenge="$challenge" :cars="$effect->cars()" /></p>
        </section>
    </div>
    @endif
</x-layout>
