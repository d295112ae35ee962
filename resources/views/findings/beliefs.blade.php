@php
    use App\Pages\Findings\BeliefWords;
    $regime = $schools->regime();
    [$told, $open] = collect($findings->found->rulings)->partition(fn ($ruling) => $ruling->isSupported !== null);
    $effects = $words->effects();
@endphp
<x-layout
    :title="Text::of('findings.beliefs.findings', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="beliefs" :counting="$findings->counting" />
    <div class="py-4" data-part="beliefs">
        <p class="prose">{{ Text::of('findings.beliefs.people_disagree') }}</p>
        <div class="scroll-x mt-3" tabindex="0" role="region" aria-label="{{ Text::of('findings.beliefs.where_people_disagree') }}">
            <table class="figures-table schools">
                <thead><tr><th scope="col">{{ Text::of('findings.beliefs.some_say') }}</th>
                        <th scope="col">{{ Text::of('findings.beliefs.here') }}</th>
                        <th scope="col">{{ Text::of('findings.beliefs.by_what') }}</th>
                        <th scope="col">{{ Text::of('findings.beliefs.the_model') }}</th></tr></thead>
                <tbody>
                    @foreach ($told as $ruling)
                        <tr>
                            <th scope="row">{!! Text::html('findings.beliefs.others', [
                                'claim' => $schools->claim($ruling),
                                'otherwise' => Label::of($ruling->belief, 'otherwise'),
                            ]) !!}</th>
                            <td @class(['verdict', 'font-bold' => $ruling->isSupported !== null])>{{ $schools->verdict($ruling) }}</td>
                            <td>{{ $schools->evidence($ruling) }}
                                @if ($ruling->effect !== null)<x-behind :challenge="$challenge" :cars="$ruling->effect->cars()" />@endif
                            </td>
                            <td class="small">{{ $schools->reason($ruling, $regime) }}</td>
                        </tr>
                    @endforeach
                    <tr><th scope="row">{!! Text::html('findings.beliefs.best_mean_or_median_counts_another') !!}</th>
                        <td class="verdict font-bold">{{ $schools->scoringVerdict()->lead }}</td>
                        <td>{{ $schools->scoringVerdict()->rest }}</td>
                        <td class="small">{{ Text::of('findings.beliefs.the_mean_uses_every_try_the') }}</td></tr>
                    <tr><th scope="row">{!! Text::html('findings.beliefs.same_car_for_all_or_free') !!}</th>
                        <td class="verdict">{{ $effects === [] ? Text::of('findings.beliefs.no_like_cars')
                            : Text::plural('findings.beliefs.choice_with_like_cars', count($effects)) }}</td>
                        <td>{{ $effects === [] ? Text::of('findings.beliefs.these_designs_are_too_free_to')
                            : Text::of('findings.beliefs.what_else_differs') }}</td><td class="small"></td></tr>
                </tbody>
            </table>
        </div>
        @if ($findings->found->doses !== [])
            <section class="mt-6" aria-labelledby="dose-title">
                <h2 id="dose-title">{{ Text::of('findings.dose.is_medium_best') }}</h2>
                <p class="small prose">{{ Text::of('findings.dose.lead') }}</p>
                <div class="doses">@foreach ($findings->found->doses as $dose)<figure>
                    <figcaption class="prose">{{ $words->dose($dose) }} <x-behind :challenge="$challenge" :cars="[$dose->car]" /></figcaption>
                    <x-dose :drawing="new \App\Pages\Findings\DoseDrawing($dose, $challenge->units)" :label="$words->dose($dose)" /></figure>@endforeach</div>
            </section>
        @endif
        @if ($open->isNotEmpty())
            <details class="disclosure mt-4">
                <summary>{{ Text::plural('findings.beliefs.these_runs_cant_speak_to', $open->count()) }}</summary>
                <ul class="claims">@foreach ($open as $ruling)<li>{!! Text::html('findings.beliefs.both', [
                    'claim' => $schools->claim($ruling), 'otherwise' => Label::of($ruling->belief, 'otherwise')]) !!}
                    {{ $ruling->effect === null ? $schools->missing($ruling) : $schools->evidence($ruling) }}
                    @if ($ruling->effect !== null)<x-behind :challenge="$challenge" :cars="$ruling->effect->cars()" />@endif
                    <span class="small">{{ $schools->reason($ruling, $regime) }}</span></li>@endforeach</ul>
            </details>
        @endif
        <details class="disclosure mt-4">
            <summary>{{ Text::of('findings.beliefs.no_run_can_tell') }}</summary>
            <ul class="claims">@foreach (BeliefWords::OPEN as $each)<li>{!! Text::html('findings.beliefs.both', [
                'claim' => Text::of("findings.beliefs.open.{$each}.some"), 'otherwise' => Text::of("findings.beliefs.open.{$each}.others")]) !!}
            </li>@endforeach</ul>
        </details>
    </div>
</x-layout>
