@php
    use App\Http\Requests\CutSizesRequest;
    use Skivo\Core\Session\CuttingStock;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $body = fn (float $m) => $units->show($m, Scale::Body);
    $part = fn (float $m) => $units->show($m, Scale::Part);
    $sizes = $plan->sizes;
    $fields = [
        'The car' => ['chassis_width' => 'Chassis width', 'wheel_thickness' => 'Wheel thickness', 'side_gap' => 'Bearing stands out, each side', 'end_play' => 'End play, in all', 'overhang' => 'Axle beyond the wheel, each side'],
        'What it is cut from' => ['straw_length' => 'A straw is', 'skewer_length' => 'A skewer is', 'kerf' => 'Lost at each cut', 'nozzle_length' => 'Piece for the nozzle'],
    ];
    $stocks = $plan->cuts === null ? [] : array_filter([
        'Straws' => $plan->cuts->straws, 'Straws for nozzles' => $plan->cuts->nozzleStraws, ($plan->kit->usesSkewers() ? 'Skewers' : 'Rods') => $plan->cuts->axles,
    ], fn ($stock) => $stock->count() > 0);
@endphp
<x-layout :title="'Cut sizes · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="cuts" />
    <x-errors />
    <div class="split pt-5">
        <section aria-labelledby="cut-title">
            <h2 id="cut-title">Cut to</h2>
            <dl class="answers">
                <div><dt>Bearing</dt><dd>{{ $body($sizes->bearingLengthM()) }}</dd></div>
                <div><dt>Axle</dt><dd>{{ $body($sizes->axleLengthM()) }}</dd></div>
                @if ($plan->cuts?->nozzleM !== null)<div><dt>Nozzle{{ $plan->cuts->nozzlesEach > 1 ? ', each of ' . $plan->cuts->nozzlesEach : '' }}</dt><dd>{{ $body($plan->cuts->nozzleM) }}</dd></div>@endif
                <div><dt>Track</dt><dd>{{ $body($sizes->trackM()) }}</dd></div>
            </dl>
            <x-axle-drawing :sizes="$sizes" :axle="$plan->kit->part(\Skivo\Core\Car\PartKind::Bearing, $plan->catalogue)->value('axle_m')" :wheel="$plan->kit->part(\Skivo\Core\Car\PartKind::Wheel, $plan->catalogue)->value('diameter_m')" :units="$units" />
            <div class="said mt-3">
                <p><strong>By the rule of thumb</strong> an axle is {{ $body(\Skivo\Core\Car\CutSizes::RULE_OF_THUMB_M) }} longer than its straw: {{ $body($sizes->axleByRuleOfThumbM()) }}. With these wheels that leaves
                    @if ($sizes->endPlayByRuleOfThumbM() < 0)nothing: it is {{ $part(-$sizes->endPlayByRuleOfThumbM()) }} too short.@else {{ $part($sizes->endPlayByRuleOfThumbM()) }} of end play{{ $sizes->endPlayByRuleOfThumbM() > 0.004 ? ', so much that the car wanders' : '' }}.@endif</p>
                <p class="small">{{ $part(0.001) }} to {{ $part(0.002) }} of end play is usual; some want almost none, so that the axle does not slide, others a clear gap, so that nothing binds. (Common practice.)</p>
            </div>
        </section>
        <section aria-labelledby="stock-title">
            <h2 id="stock-title">How many to get</h2>
            <p class="small">For {{ $plan->class->cars() }} cars: {{ $plan->class->groups }} {{ $plan->class->groups === 1 ? 'group' : 'groups' }} and {{ $plan->plan->spares_percent }} % spares.</p>
            @if ($plan->doesNotFit !== null)
                <p class="caution">{{ $plan->doesNotFit->piece }} needs {{ $body($plan->doesNotFit->lengthM) }}, and what it is cut from is {{ $body($plan->doesNotFit->stockM) }} long. Take longer stock, or a narrower chassis.</p>
            @endif
            @foreach ($stocks as $name => $stock)
                <h3 class="mt-4"><span class="num big-figure">{{ $stock->count() }}</span> {{ mb_strtolower($name) }} of {{ $body($stock->stockM) }}</h3>
                <x-cut-drawing :stock="$stock" :units="$units" :name="$name" />
                <p class="small">{{ $stock->isLeast ? 'No fewer can do.' : 'Perhaps a few less would do; that is not proved.' }} {{ number_format(100 * $stock->waste()) }} % is left over or lost in cuts.
                    @foreach ($stock->lengthsM as $piece => $length)One yields {{ CuttingStock::yield($stock->stockM, $stock->kerfM, $length) }} × {{ mb_strtolower($piece) }}. @endforeach</p>
            @endforeach
        </section>
    </div>
    <form method="post" action="{{ route('cuts.update', $challenge) }}" class="no-print">
        @csrf @method('put')<x-sent-with :units="$challenge->units" />
        @foreach ($fields as $title => $cuts)
            <section class="form-part">
                <h2>{{ $title }}</h2>
                <div class="form-grid">
                    @foreach ($cuts as $cut => $label)
                        <x-field :name="$cut" :label="$label" :value="$plan->plan->getAttribute($cut)?->text" :placeholder="str_replace(' ', ' ', $units->show($plan->usualLength($cut), CutSizesRequest::scale($cut)))" />
                    @endforeach
                    @if ($loop->last)<x-field name="nozzles_each" label="Straws in one nozzle" :value="$plan->plan->nozzles_each" inputmode="numeric" />@endif
                </div>
            </section>
        @endforeach
        <p class="actions border-t border-rule py-5">
            <button class="button do">Let the sizes follow</button>
            <a class="button" href="{{ route('timetable.show', $challenge) }}">To the timetable</a>
            <button type="button" class="button plain" data-print>Print</button>
            <span class="small">Empty fields take the value shown in grey, from the kit.</span>
        </p>
    </form>
</x-layout>
