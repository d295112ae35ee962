@php
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $calibration = $findings->calibration;
    $unit = $units->symbol(Scale::Distance);
    $show = fn (?float $metres) => $metres === null ? '–' : $units->figure($metres, Scale::Distance);
    $energy = $findings->energies[$shown] ?? null;
    $sum = ['stored' => 0.0, 'thrustWork' => 0.0];
    foreach ($findings->energies as $each) { $sum['stored'] += $each->stored; $sum['thrustWork'] += $each->thrustWork; }
@endphp
<x-layout
    :title="Text::of('findings.model.beside_the_model', ['challenge' => $challenge->name])" :challenge="$challenge"
    :record="$record" stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="model" :counting="$findings->counting" />
    <div data-part="model">
    @if ($findings->cars === [])
        <p class="prose py-6">{{ Text::of('findings.model.nothing_to_set_beside_the_model') }}</p>
    @else
        <section class="findings-part" aria-labelledby="energy">
            <h2 id="energy">{{ Text::of('findings.model.where_the_energy_went') }}</h2>
            <div>
                @if ($energy !== null && $energy->stored > 0)
                    <form method="get" action="{{ route('findings.model', $challenge) }}" class="flex flex-wrap gap-3 items-end no-print">
                        <div class="field"><label for="f-car">{{ Text::of('findings.model.one_run_of') }}</label>
                            <select id="f-car" name="car" class="input" data-follow>
                                @foreach (array_keys($findings->energies) as $id)
                                <option value="{{ $id }}" @selected($id === $shown)>{{ $words->name($id) }}</option>@endforeach
                            </select></div><button class="button js-hide">{{ Text::of('findings.model.show') }}</button></form>
                    <x-energy-flow :energy="$energy" :name="$words->name($shown)" />
                    <p class="actions no-print"><button type="button" class="button plain"
                        data-save-svg="energy">{{ Text::of('findings.model.save_as_svg') }}</button>
                    </p>
                    <p class="prose">
                        {!! Text::html('findings.model.moved_on_of_what_its_balloon', [
                            'car' => $words->name($shown),
                            'share' => number_format(100 * $energy->thrustWork / $energy->stored, 1),
                            'stored' => number_format($energy->stored, 2),
                            'jet_and_nozzle' => number_format($energy->jetAndNozzle(), 2),
                            'thrust_work' => number_format(1000 * $energy->thrustWork),
                            'rolling' => number_format(1000 * $energy->rolling),
                            'drag' => number_format(1000 * ($energy->drag + $energy->carriedOff)),
                        ]) !!} @if (count($findings->energies) > 1) {{ Text::of('findings.model.over_the_class_it_is', [
                            'sum' => number_format(100 * $sum['thrustWork'] / max(1e-9, $sum['stored']), 1),
                        ]) }} @endif <x-behind :challenge="$challenge" :cars="[$shown]" />
                    </p>
                    <p class="small mt-1">{{ Text::of('findings.model.by_the_run_model_with_what') }}</p>
                @else
                    <p class="prose">{{ Text::of('findings.model.none_of_these_cars_starts_by') }}</p>
                @endif
            </div>
        </section>
        <section class="findings-part" aria-labelledby="calibration">
            <h2 id="calibration">{{ Text::of('findings.model.model_against_reality') }}</h2>
            <div>
                <div class="said prose"><x-sentences :sentences="(new \App\Presenters\ModelWords($record, $findings, $words))->calibration()" /></div>
                @if ($calibration !== null)
                    <p><x-behind :challenge="$challenge" :cars="array_map(fn ($car) => $car->id, $findings->cars)" /></p>
                    <x-residuals :findings="$findings" :words="$words" :record="$record" />
                    <p class="actions no-print"><button type="button" class="button plain"
                        data-save-svg="model-and-reality">{{ Text::of('findings.model.save_as_svg') }}</button><a class="button plain"
                        href="{{ route('findings.download',
                        [$challenge, 'model', 'tries' => $findings->counting->value]) }}">{{ Text::of('findings.model.the_numbers_as_csv') }}</a>
                    </p>
                    <div
                        class="scroll-x mt-4" tabindex="0" role="region"
                        aria-label="{{ Text::of('findings.model.predicted_and_measured_distance_of_every') }}">
                        <table class="figures-table">
                            <thead><tr><th scope="col">{{ Text::of('findings.model.car') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.measured', ['unit' => $unit]) }}
                                    </th><th scope="col" class="num">{{ Text::of('findings.model.model') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.set_to_the_class') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.foretold_without_it') }}</th>
                                    <th scope="col" class="num">{{ Text::of('findings.model.off_by') }}</th>
                                    <th scope="col">{{ Text::of('findings.model.friction') }}</th></tr></thead>
                            <tbody>
                                @foreach ($findings->cars as $car)
                                    @continue(! isset($calibration->after[$car->id]))
                                    @php([$group, $version] = $words->cars[(int) $car->id])
                                    <tr>
                                        <th scope="row"><span class="with-mark">{{ Glyph::of($group->mark) }}<bdi
                                            class="max-w-60 truncate">{{ $words->name($car->id) }}</bdi></span>
                                        </th>
                                        <td class="num">{{ $show($car->sample->mean()) }}</td><td class="num">
                                            {{ $show($calibration->before[$car->id]) }}</td><td class="num">
                                            {{ $show($calibration->after[$car->id]) }}</td><td class="num">
                                            {{ $show($calibration->leftOut[$car->id]) }}</td>
                                        <td class="num">
                                            {{ ($calibration->leftOut[$car->id] >= $car->sample->mean() ? '+' : '−')
                                                . number_format(100 * abs($calibration->leftOut[$car->id] / $car->sample->mean() - 1)) }} %
                                        </td>
                                        <td>
                                            {{ $forces->of($version)?->frictionIsMeasured() ? Text::of('findings.model.measured_2')
                                                : Text::of('findings.model.estimated') }}
                                        </td>
                                    </tr>
                                @endforeach
                            </tbody>
                        </table>
                    </div>
                @endif
            </div>
        </section>
    @endif
    </div>
</x-layout>
