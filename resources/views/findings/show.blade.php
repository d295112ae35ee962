@php
    use App\ViewModels\Counting;
    use App\Presenters\ModelWords;
    use App\Presenters\SchoolWords;
    $headline = $words->headline();
    $effects = $words->effects();
    $next = $words->nextTest();
    $enough = count($findings->cars) >= 3;
    $several = $words->severalFactors();
    $marked = array_map(fn ($id) => $words->name($id), array_keys($findings->marks));
    $off = (new ModelWords($record, $findings, $words))->offTheLine();
    $schools = new SchoolWords($record, $findings, $words);
    $every = array_map(fn ($car) => $car->id, $findings->cars);
@endphp
<x-layout
    :title="Text::of('findings.show.findings', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="class" :counting="$findings->counting" />
    <div class="findings-layout" data-part="findings">
        <section class="min-w-0" aria-label="{{ Text::of('findings.show.distance_against_thrust_over_resistance') }}">
            <x-class-figure :challenge="$challenge" :figure="$figure" :words="$words" :counting="$findings->counting" />
            @if ($words->notDrawn() !== null)<p class="small mt-2 prose">{{ $words->notDrawn() }}</p>@endif
            <p class="small mt-3 prose">{{ Text::of('findings.show.by_work_and_energy_distance_thrust') }} @if ($marked !== [])
            {{ Text::of('findings.show.the_ratio_straight_from_two_marks', [
                'cars' => \App\Presenters\Lists::and($marked, 9),
                'have' => Text::plural('findings.show.has_have', count($marked)),
            ]) }} @endif {{ Text::of('findings.show.filled_marks_are_measured_hollow_ones') }}
            </p>
        </section>
        <section class="said" aria-label="{{ Text::of('findings.show.in_words') }}">
            <x-sentences :sentences="[$headline]" big />
            @if ($findings->cars !== [])<p><x-behind :challenge="$challenge" :cars="$words->behindHeadline()" /></p>@endif
            @if ($next !== null)<p class="next-test"><strong>{{ $next->lead }}</strong> {{ $next->rest }}</p>@endif
            <form method="get" action="{{ route('findings.show', $challenge) }}" class="mt-4 no-print">
                <span class="switch">@foreach (Counting::cases() as $each)<a
                    href="{{ route('findings.show', [$challenge] + ($each === Counting::Rule ? [] : ['tries' => $each->value])) }}"
                    aria-current="{{ $each === $findings->counting ? 'true' : 'false' }}">{{ Label::of($each) }}</a>@endforeach</span>
            </form>
            @if ($words->voids() !== null)<p class="small mt-2">{{ $words->voids() }}</p>@endif
            <ul class="claims">@foreach ($words->outliers() as [$sentence, $cars])
                <x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
        </section>
    </div>
    <div data-part="found">
    @if ($enough)
        <section class="findings-part" aria-labelledby="mattered">
            <h2 id="mattered">{{ Text::of('findings.show.what_mattered') }}</h2>
            <div>
                @if ($effects === [])<p class="prose">{{ Text::of('findings.show.no_two_cars_differ_in_one') }}</p>@endif
                <ul class="claims">
                    @foreach ($effects as [$sentence, $cars])<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach
                    @foreach ($words->confounded() as $sentence)<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$every" />@endforeach
                    @if ($words->notJudged() !== null)<x-claim :challenge="$challenge" :sentence="$words->notJudged()" />@endif
                    @if ($several !== null)<x-claim :challenge="$challenge" :sentence="$several" :cars="$every" />@endif
                </ul>
                <p class="small mt-2 prose">{{ Text::of('findings.answer.all_else_shares_one_chance') }}</p>
                <p class="small mt-2 prose">{{ Text::of('findings.show.a_fair_pair_is_two_cars') }}</p>
            </div>
        </section>
        <section class="findings-part" aria-labelledby="schools">
            <h2 id="schools">{{ Text::of('findings.show.which_school_was_right_here') }}</h2>
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('findings.show.where_teachers_disagree') }}">
                <table class="figures-table schools">
                    <thead><tr><th scope="col">{{ Text::of('findings.show.some_say') }}</th>
                            <th scope="col">{{ Text::of('findings.show.here') }}</th><th scope="col">
                                {{ Text::of('findings.show.by_what') }}</th><th scope="col">
                                {{ Text::of('findings.show.the_model') }}</th></tr></thead>
                    <tbody>
                        @php($regime = $findings->typical === null ? null : $schools->regime())
                        @foreach ($findings->rulings as $ruling)
                            <tr>
                                <th scope="row">
                                    {!! Text::html('findings.show.others', [
                                        'claim' => Label::of($ruling->school, 'claim'),
                                        'otherwise' => Label::of($ruling->school, 'otherwise'),
                                    ]) !!}
                                </th>
                                <td @class(['verdict', 'font-bold' => $ruling->isSupported !== null])>{{ $schools->verdict($ruling) }}</td>
                                <td>{{ $schools->evidence($ruling) }}
                                @if ($ruling->effect !== null && ! $ruling->byRegression)<x-behind :challenge="$challenge"
                                    :cars="$words->behind($ruling->effect)" />@elseif ($ruling->byRegression)<x-behind
                                    :challenge="$challenge" :cars="$every" />@endif
                                </td>
                                <td class="small">{{ $schools->reason($ruling, $regime) }}</td>
                            </tr>
                        @endforeach
                        <tr><th scope="row">{!! Text::html('findings.show.best_mean_or_median_counts_another') !!}</th>
                            <td class="verdict font-bold">{{ $schools->scoringVerdict()->lead }}</td>
                            <td>{{ $schools->scoringVerdict()->rest }} <x-behind :challenge="$challenge" :cars="$every" />
                            </td><td class="small">{{ Text::of('findings.show.the_mean_uses_every_try_the') }}</td></tr>
                        <tr><th scope="row">{!! Text::html('findings.show.same_car_for_all_or_free') !!}</th>
                            <td class="verdict">
                                {{ $effects === [] ? Text::of('findings.show.no_fair_pair')
                                    : Text::plural('findings.show.choice_with_fair_pairs', count($findings->effects)) }}
                            </td><td>
                                {{ $effects === [] ? Text::of('findings.show.these_designs_are_too_free_to')
                                    : Text::of('findings.show.where_cars_were_alike_but_for') }}
                            </td><td class="small"></td></tr>
                    </tbody>
                </table>
            </div>
        </section>
        @if ($off !== [])
            <section class="findings-part" aria-labelledby="off">
                <h2 id="off">{{ Text::of('findings.show.who_lies_off_the_line') }}</h2>
                <ul class="claims">@foreach ($off as [$sentence, $cars])<x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
            </section>
        @endif
    @endif
    </div>
</x-layout>
