@php
    use App\Pages\Plan\CutSizesRequest;
    use Skivo\Core\Session\CuttingStock;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $body = fn (float $m) => $units->show($m, Scale::Body);
    $part = fn (float $m) => $units->show($m, Scale::Part);
    $sizes = $plan->sizes;
    $fields = [
        Text::of('plan.cuts.the_car') => ['chassis_width' => Text::of('plan.cuts.chassis_width'),
            'wheel_thickness' => Text::of('plan.cuts.wheel_thickness'), 'side_gap' => Text::of('plan.cuts.bearing_stands_out_each_side'),
            'end_play' => Text::of('plan.cuts.end_play_in_all'), 'overhang' => Text::of('plan.cuts.axle_beyond_the_wheel_each_side')],
        Text::of('plan.cuts.what_it_is_cut_from') => ['straw_length' => Text::of('plan.cuts.a_straw_is'),
            'skewer_length' => Text::of('plan.cuts.a_skewer_is'), 'kerf' => Text::of('plan.cuts.lost_at_each_cut'),
            'nozzle_length' => Text::of('plan.cuts.piece_for_the_nozzle')],
    ];
    $stocks = $plan->cuts() === null ? [] : array_filter([
        Text::of('plan.cuts.straws') => $plan->cuts()->straws,
        Text::of('plan.cuts.straws_for_nozzles') => $plan->cuts()->nozzleStraws,
        Text::of($plan->kit->usesSkewers() ? 'plan.cuts.skewers' : 'plan.cuts.rods') => $plan->cuts()->axles,
    ], fn ($stock) => $stock->count() > 0);
@endphp
<x-layout :title="Text::of('plan.cuts.cut_sizes', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="cuts" />
    <x-errors />
    <div class="split pt-5">
        <section aria-labelledby="cut-title">
            <h2 id="cut-title">{{ Text::of('plan.cuts.cut_to') }}</h2>
            <dl class="answers">
                <div><dt>{{ Text::of('plan.cuts.bearing') }}</dt><dd>{{ $body($sizes->bearingLengthM()) }}</dd></div>
                <div><dt>{{ Text::of('plan.cuts.axle') }}</dt><dd>{{ $body($sizes->axleLengthM()) }}</dd></div>
                @if ($plan->cuts()?->nozzleM !== null)<div><dt>
                        {{ Text::of('plan.cuts.nozzle', [
                            'each' => $plan->cuts()->nozzlesEach > 1 ? Text::of('plan.cuts.each_of', ['nozzles_each' => $plan->cuts()->nozzlesEach]) : '',
                        ]) }}
                    </dt><dd>{{ $body($plan->cuts()->nozzleM) }}</dd></div>@endif
                <div><dt>{{ Text::of('plan.cuts.track') }}</dt><dd>{{ $body($sizes->trackM()) }}</dd></div>
            </dl>
            <x-axle-drawing
                :sizes="$sizes"
                :axle="$plan->kit->part(\Skivo\Core\Car\Attribute\PartKind::Bearing)->value(\Skivo\Core\Car\Attribute\CarAttribute::AxleDiameter)"
                :wheel="$plan->kit->part(\Skivo\Core\Car\Attribute\PartKind::Wheel)->value(\Skivo\Core\Car\Attribute\CarAttribute::WheelDiameter)"
                :units="$units" />
            <div class="said mt-3">
                <p>
                    {!! Text::html('plan.cuts.by_the_rule_of_thumb_an', [
                        'rule_of_thumb_m' => $body(\Skivo\Core\Car\Part\CutSizes::RULE_OF_THUMB_M),
                        'axle_by_rule_of_thumb_m' => $body($sizes->axleByRuleOfThumbM()),
                    ]) !!}
                    {{ Text::of($plan->overhangByRuleOfThumbM() < 0 ? 'plan.cuts.it_is_too_short' : 'plan.cuts.it_sticks_out',
                        ['by' => $part(abs($plan->overhangByRuleOfThumbM()))]) }}
                    </p>
                <p class="small">{{ Text::of('plan.cuts.to_of_end_play_is_usual',
                    ['from' => $part($sizes::USUAL_END_PLAY_M[0]), 'to' => $part($sizes::USUAL_END_PLAY_M[1])]) }}</p>
            </div>
        </section>
        <section aria-labelledby="stock-title">
            <h2 id="stock-title">{{ Text::of('plan.cuts.how_many_to_get') }}</h2>
            <p class="small">
                {{ Text::of('plan.cuts.for_cars_and_spares', [
                    'cars' => $plan->class->cars(),
                    'groups' => $plan->class->groups,
                    'groups_word' => Text::plural('plan.cuts.group_groups', $plan->class->groups),
                    'spares_percent' => $plan->plan->spares_percent,
                ]) }}
            </p>
            @if ($plan->doesNotFit() !== null)
                <p class="caution">
                    {{ Text::of('plan.cuts.needs_and_what_it_is_cut', [
                        'piece' => Label::of(\Skivo\Core\Session\CutPiece::from($plan->doesNotFit()->piece)),
                        'length_m' => $body($plan->doesNotFit()->lengthM),
                        'stock_m' => $body($plan->doesNotFit()->stockM),
                    ]) }}
                </p>
            @endif
            @foreach ($stocks as $name => $stock)
                <h3 class="mt-4">
                    {!! Text::html('plan.cuts.of', ['count' => $stock->count(), 'name' => mb_strtolower($name), 'stock_m' => $body($stock->stockM)]) !!}
                </h3>
                <x-cut-drawing :stock="$stock" :units="$units" :name="$name" />
                <p class="small">
                    {{ Text::of('plan.cuts.is_left_over_or_lost_in', [
                        'verdict' => $stock->isLeast ? Text::of('plan.cuts.no_fewer_can_do') : Text::of('plan.cuts.perhaps_a_few_less_would_do'),
                        'waste' => number_format(100 * $stock->waste()),
                    ]) }}
                    @foreach ($stock->lengthsM as $piece => $length){{ Text::of('plan.cuts.one_yields_x', [
                        'stock_m' => CuttingStock::yield($stock->stockM, $stock->kerfM, $length),
                        'piece' => Label::inside(\Skivo\Core\Session\CutPiece::from($piece)),
                    ]) }} @endforeach
                    </p>
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
                        <x-field
                            :name="$cut" :label="$label" :value="$plan->plan->getAttribute($cut)?->text"
                            :placeholder="str_replace(' ', ' ', $units->show($plan->usualLength($cut), CutSizesRequest::scale($cut)))"
                            />
                    @endforeach
                    @if ($loop->last)
                    <x-field name="nozzles_each" :label="Text::of('plan.cuts.straws_in_one_nozzle')" :value="$plan->plan->nozzles_each" inputmode="numeric" />
                    @endif
                </div>
            </section>
        @endforeach
        <p class="actions border-t border-rule py-5">
            <button class="button do">{{ Text::of('plan.cuts.update_the_sizes') }}</button>
            <a class="button" href="{{ route('timetable.show', $challenge) }}">{{ Text::of('plan.cuts.to_the_timetable') }}</a>
            <button type="button" class="button plain" data-print>{{ Text::of('plan.cuts.print') }}</button>
            <span class="small">{{ Text::of('plan.cuts.empty_fields_take_the_value_shown') }}</span>
        </p>
    </form>
</x-layout>
