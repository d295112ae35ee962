@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $model = new \App\Pages\Findings\ModelWords($record, $findings, $words);
    $judged = $model->judged();
    $works = $findings->found->works;
    $every = array_map(fn ($car) => $car->id, $findings->found->cars);
    $unit = $units->symbol(Scale::Distance);
    $show = fn (?float $metres) => $metres === null ? '–' : $units->figure($metres, Scale::Distance);
    $energy = ($works[$shown] ?? null)?->energy;
    $sum = ['stored' => 0.0, 'thrustWork' => 0.0];
    foreach ($works as $each) { $sum['stored'] += $each->energy->stored; $sum['thrustWork'] += $each->energy->push; }
@endphp
<x-layout
    :title="Text::of('findings.model.how_sure', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" :record="$record" here="sure" :counting="$findings->counting" />
    <div data-part="model">
    @if ($findings->found->cars === [])
        <p class="prose py-6">{{ Text::of('findings.model.nothing_to_set_beside_the_model') }}</p>
    @else
        <section class="findings-part" aria-labelledby="energy">
            <h2 id="energy">{{ Text::of('findings.model.where_the_energy_went') }}</h2>
            <div>
                @if ($energy !== null && $energy->putIn() > 0)
                    <form method="get" action="{{ route('findings.sure', $challenge) }}" class="flex flex-wrap gap-3 items-end no-print">
                        <div class="field"><label for="f-car">{{ Text::of('findings.model.one_run_of') }}</label>
                            <select id="f-car" name="car" class="input" data-follow>
                                @foreach (array_keys($works) as $id)
                                <option value="{{ $id }}" @selected($id === $shown)>{{ $words->name($id) }}</option>@endforeach
                            </select></div><button class="button js-hide">{{ Text::of('findings.model.show') }}</button></form>
                    <x-energy-flow :energy="$energy" :name="$words->name($shown)" :source="$source" />
                    <p class="actions no-print"><button type="button" class="button plain"
                        data-save-svg="energy">{{ Text::of('findings.model.save_as_svg') }}</button>
                    </p>
                    <p class="prose">
                        {!! Text::html("findings.model.moved_on.{$source->key()}", [
                            'car' => $words->name($shown),
                            'share' => number_format(100 * $energy->moved() / $energy->putIn(), 1),
                            'stored' => number_format($energy->putIn(), 2),
                            'lost' => number_format($energy->putIn() - $energy->moved(), 2),
                            'moved' => number_format(1000 * $energy->moved()),
                            'rolling' => number_format(1000 * $energy->rolling),
                            'drag' => number_format(1000 * ($energy->drag + $energy->carriedOff)),
                        ]) !!} @if (count($works) > 1 && ! $record->hasSeveralSources()) {{ Text::of('findings.model.over_the_class_it_is', [
                            'sum' => number_format(100 * $sum['thrustWork'] / max(1e-9, $sum['stored']), 1),
                        ]) }} @endif <x-behind :challenge="$challenge" :cars="[$shown]" />
                    </p>
                    <p class="small mt-1">{{ Text::of('findings.model.by_the_run_model_with_what') }} @if ($source->blows())
                        {{ Text::of('findings.model.slow_things_pushed_by_a_jet') }} @endif</p>
                @else
                    <p class="prose">{{ Text::of('findings.model.none_of_these_cars_starts_by') }}</p>
                @endif
            </div>
        </section>
        <section class="findings-part" aria-labelledby="reality">
            <h2 id="reality">{{ Text::of('findings.model.model_against_reality') }}</h2>
            <div>
                <div class="said prose"><x-sentences :sentences="$model->hands()" /></div>
                @if ($judged !== [])
                    <x-residuals :drawing="new \App\Pages\Findings\ResidualsDrawing($judged)" :words="$words" />
                    <p class="actions no-print"><button type="button" class="button plain"
                        data-save-svg="model-and-reality">{{ Text::of('findings.model.save_as_svg') }}</button><a class="button plain"
                        download href="{{ route('findings.download',
                        [$challenge, 'model', 'tries' => $findings->counting->value]) }}">{{ Text::of('findings.model.the_numbers_as_csv') }}</a>
                    </p>
                    <div
                        class="scroll-x mt-4" tabindex="0" role="region"
                        aria-label="{{ Text::of('findings.model.predicted_and_measured_distance_of_every') }}">
                        <table class="figures-table">
                            <thead><tr><th scope="col">{{ Text::of('findings.model.car') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.measured', ['unit' => $unit]) }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.predicted_before_its_runs') }}</th>
                                    <th scope="col" class="num">95 %</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.own_t_interval') }}</th>
                                    <th scope="col">{{ Text::of('findings.model.friction') }}</th></tr></thead>
                            <tbody>
                                @foreach ($judged as [$car, $before])
                                    @php([$group, $version] = $words->cars[(int) $car->id])
                                    @php($own = $car->sample->meanInterval())
                                    <tr>
                                        <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<bdi
                                            class="max-w-60 truncate">{{ $words->name($car->id) }}</bdi></span>
                                        </th>
                                        <td class="num">{{ $show($car->sample->mean()) }}</td>
                                        <td class="num">{{ $show($before->medianM) }}</td>
                                        <td class="num">{{ $show($before->band95->low) }} – {{ $show($before->band95->high) }}</td>
                                        <td class="num">{{ $own === null ? '–' : $show(max(0, $own->low)) . ' – ' . $show($own->high) }}</td>
                                        <td>{{ $forces->of($version)?->frictionIsMeasured() ? Text::of('findings.model.measured_2')
                                            : Text::of('findings.model.estimated') }}</td>
                                    </tr>
                                @endforeach
                            </tbody>
                        </table>
                    </div>
                @endif
            </div>
        </section>
        @if ($model->outside() !== [])
            <section class="findings-part" aria-labelledby="outside">
                <h2 id="outside">{{ Text::of('findings.model.outside_their_bands') }}</h2>
                <ul class="claims">@foreach ($model->outside() as [$sentence, $cars])
                    <x-claim :challenge="$challenge" :sentence="$sentence" :cars="$cars" />@endforeach</ul>
            </section>
        @endif
        <section class="findings-part" aria-labelledby="judged">
            <h2 id="judged">{{ Text::of('findings.model.how_claims_are_judged') }}</h2>
            <div>
                <p class="prose">{{ Text::of('findings.answer.all_else_shares_one_chance') }}</p>
                <p class="prose mt-2">{{ Text::plural('findings.model.so_many_were_looked_at', $findings->found->claims->count()) }}</p>
                <p class="small mt-2 prose">{{ Text::of('findings.model.what_like_cars_are') }}</p>
                <p class="actions no-print"><a class="button plain"
                    download href="{{ route('findings.json', $challenge) }}">{{ Text::of('findings.model.the_class_as_json') }}</a></p>
            </div>
        </section>
    @endif
    </div>
</x-layout>
