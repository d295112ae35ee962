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
<x-layout :title="'Beside the model · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="findings" :line="$challenge->question" live="page">
    <x-findings-pages :challenge="$challenge" here="model" :counting="$findings->counting" />
    <div data-part="model">
    @if ($findings->cars === [])
        <p class="prose py-6">Nothing to set beside the model yet: it takes cars with tries that count.</p>
    @else
        <section class="findings-part" aria-labelledby="energy">
            <h2 id="energy">Where the energy went</h2>
            <div>
                @if ($energy !== null && $energy->stored > 0)
                    <form method="get" action="{{ route('findings.model', $challenge) }}" class="flex flex-wrap gap-3 items-end no-print"><div class="field"><label for="f-car">One run of</label><select id="f-car" name="car" class="input" data-follow>@foreach (array_keys($findings->energies) as $id)<option value="{{ $id }}" @selected($id === $shown)>{{ $words->name($id) }}</option>@endforeach</select></div><button class="button js-hide">Show</button></form>
                    <x-energy-flow :energy="$energy" :name="$words->name($shown)" />
                    <p class="actions no-print"><button type="button" class="button plain" data-save-svg="energy">Save as SVG</button></p>
                    <p class="prose"><strong>{{ $words->name($shown) }} moved on {{ number_format(100 * $energy->thrustWork / $energy->stored, 1) }} % of what its balloon held.</strong> Of {{ number_format($energy->stored, 2) }} J in rubber and air, {{ number_format($energy->jetAndNozzle(), 2) }} J left with the jet and in the nozzle; {{ number_format(1000 * $energy->thrustWork) }} mJ pushed the car: {{ number_format(1000 * $energy->rolling) }} mJ went into rolling, {{ number_format(1000 * ($energy->drag + $energy->carriedOff)) }} mJ into the air. @if (count($findings->energies) > 1) Over the class it is {{ number_format(100 * $sum['thrustWork'] / max(1e-9, $sum['stored']), 1) }} %. @endif <x-behind :challenge="$challenge" :cars="[$shown]" /></p>
                    <p class="small mt-1">By the run model, with what was measured of this car and the class’s factors. A car that rolls slowly leaves nearly all of the energy to the jet: that is so for every slow thing that is pushed by a fast jet.</p>
                @else
                    <p class="prose">None of these cars starts by the model, so there is no energy to follow. Check bore, balloon and mass on the build sheets.</p>
                @endif
            </div>
        </section>
        <section class="findings-part" aria-labelledby="calibration">
            <h2 id="calibration">Model against reality</h2>
            <div>
                <div class="said prose"><x-sentences :sentences="(new \App\Wording\ModelWords($record, $findings, $words))->calibration()" /></div>
                @if ($calibration !== null)
                    <p><x-behind :challenge="$challenge" :cars="array_map(fn ($car) => $car->id, $findings->cars)" /></p>
                    <x-residuals :findings="$findings" :words="$words" :record="$record" />
                    <p class="actions no-print"><button type="button" class="button plain" data-save-svg="model-and-reality">Save as SVG</button><a class="button plain" href="{{ route('findings.download', [$challenge, 'model', 'tries' => $findings->counting->value]) }}">The numbers as CSV</a></p>
                    <div class="scroll-x mt-4" tabindex="0" role="region" aria-label="Predicted and measured distance of every car">
                        <table class="figures-table">
                            <thead><tr><th scope="col">Car</th><th scope="col" class="num">Measured ({{ $unit }})</th><th scope="col" class="num">Model</th><th scope="col" class="num">set to the class</th><th scope="col" class="num">foretold without it</th><th scope="col" class="num">off by</th><th scope="col">Friction</th></tr></thead>
                            <tbody>
                                @foreach ($findings->cars as $car)
                                    @continue(! isset($calibration->after[$car->id]))
                                    @php([$group, $version] = $words->cars[(int) $car->id])
                                    <tr>
                                        <th scope="row"><span class="with-mark"><x-mark :mark="$group->mark" /><bdi class="max-w-60 truncate">{{ $words->name($car->id) }}</bdi></span></th>
                                        <td class="num">{{ $show($car->sample->mean()) }}</td><td class="num">{{ $show($calibration->before[$car->id]) }}</td><td class="num">{{ $show($calibration->after[$car->id]) }}</td><td class="num">{{ $show($calibration->leftOut[$car->id]) }}</td>
                                        <td class="num">{{ ($calibration->leftOut[$car->id] >= $car->sample->mean() ? '+' : '−') . number_format(100 * abs($calibration->leftOut[$car->id] / $car->sample->mean() - 1)) }} %</td>
                                        <td>{{ $forces->of($version)?->frictionIsMeasured() ? 'measured' : 'estimated' }}</td>
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
