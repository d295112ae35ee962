@php
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Car\Attribute\EnergySource;
    use Skivo\Core\Car\Attribute\PartKind;
    use Skivo\Core\Session\Per;
    use App\Pages\Plan\MaterialWords;
    $materials = $plan->materials();
    $class = $materials->class;
    $names = fn (PartKind $kind, string $held) => array_values(array_unique([...array_map(fn ($part) => $part->name, $plan->catalogue->of($kind)), $held]));
    $blows = array_filter($plan->each(), fn ($of) => $of->kit->source->blows()) !== [];
    $kit = [
        'kit_chassis' => [Text::of('plan.materials.chassis'), $names(PartKind::Chassis, $plan->kit->chassis), $plan->kit->chassis],
        'kit_wheels' => [Text::of('build.part.name.wheels'), $names(PartKind::Wheel, $plan->kit->wheels), $plan->kit->wheels],
        'kit_bearing' => [Text::of('plan.materials.axle_and_bearing'), $names(PartKind::Bearing, $plan->kit->bearing), $plan->kit->bearing],
        ...($blows ? [
            'kit_balloon' => [Text::of('build.part.name.balloon'), $names(PartKind::Balloon, $plan->kit->balloon), $plan->kit->balloon],
            'kit_nozzle' => [Text::of('build.part.name.nozzle'), $names(PartKind::Nozzle, $plan->kit->nozzle), $plan->kit->nozzle],
            'kit_joint' => [Label::title(CarAttribute::Joint), $plan->catalogue->namesOf(CarAttribute::Joint), $plan->kit->joint],
        ] : []),
    ];
    $saved = $challenge->materialLines->whereNotNull('key')->keyBy('key');
    $per = ['group' => '', 'learner' => Text::of('plan.materials.for_each_learner'),
        'lane' => Text::of('plan.materials.for_each_lane'), 'class' => Text::of('plan.materials.for_the_class')];
    $number = fn (float $n) => rtrim(rtrim(number_format($n, 2, '.', ''), '0'), '.');
    $cost = $materials->cost();
@endphp
<x-layout :title="Text::of('plan.materials.materials', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="materials" />
    <x-errors />
    <form method="post" action="{{ route('materials.update', $challenge) }}" id="materials">
        @csrf @method('put')
        <section class="no-print pt-3">
            <h2 class="sr-only">{{ Text::of('plan.materials.for_whom_and_what') }}</h2>
            <x-plan-line :name="Text::of('plan.materials.for_whom')" :said="MaterialWords::forWhom($class, $plan->plan->spares_percent)">
            <div class="form-grid narrow">
                <x-field
                    name="groups" :label="Text::of('plan.materials.groups')" :value="$plan->plan->groups" inputmode="numeric"
                    :hint="$record->groups->isNotEmpty() && $record->groups->count() !== $plan->plan->groups ?
                    Text::of('plan.materials.groups_are_in', ['count' => $record->groups->count()]) :
                    Text::of('plan.materials.as_many_as_you_expect')"
                    />
                <x-field name="learners" :label="Text::of('plan.materials.learners')" :value="$class->learners" inputmode="numeric" />
                <x-field
                    name="spares_percent" :label="Text::of('plan.materials.spares_in_percent')"
                    :value="$plan->plan->spares_percent" inputmode="numeric"
                    :hint="Text::of('plan.materials.on_what_breaks_or_gets_lost')" />
                <x-field name="collect_by" type="date" :label="Text::of('plan.materials.collect_by')" optional
                    :value="$plan->collectBy()?->format('Y-m-d')" />
            </div>
            </x-plan-line>
            <x-plan-line :name="Text::of('plan.materials.made_of')" :said="MaterialWords::madeOf($plan)">
                <div class="form-grid narrow">
                    <div class="field">
                        <label for="f-kit_source">{{ Text::of('plan.materials.driven_by') }}</label>
                        <select id="f-kit_source" name="kit_source" class="input" data-follow>@foreach (EnergySource::cases() as $source)
                            <option value="{{ $source->value }}" @selected(old('kit_source', $plan->plan->kit_source->value) === $source->value)>{{
                                Label::of($source) }}</option>@endforeach</select>
                    </div>
                    @foreach ($kit as $name => [$label, $options, $held])
                        <div @class(['field', 'wide' => max(array_map(mb_strlen(...), $options)) > 24])>
                            <label for="f-{{ $name }}">{{ $label }}</label>
                            <select id="f-{{ $name }}" name="{{ $name }}" class="input" data-follow>
                                @foreach ($options as $option)<option @selected(old($name, $held) === $option)>{{ $option }}</option>@endforeach
                            </select>
                            @if ($name === 'kit_balloon')<p class="hint">{{ Text::of('plan.materials.balloons_that_do_badly') }}</p>@endif
                        </div>
                    @endforeach
                    @if ($blows)<div class="field">
                        <label for="f-by_mouth">{{ Text::of('plan.materials.balloons_are_filled') }}</label>
                        <select id="f-by_mouth" name="by_mouth" class="input"><option value="0">
                                {{ Text::of('plan.materials.with_a_pump') }}</option>
                            <option value="1" @selected((string) old('by_mouth', (int) $plan->plan->by_mouth) === '1')>
                                {{ Text::of('plan.materials.by_mouth') }}</option></select>
                    </div>
                    <div class="field">
                        <label for="f-latex_free">{{ Text::of('plan.materials.balloons_are_of') }}</label>
                        <select id="f-latex_free" name="latex_free" class="input"><option value="0">
                                {{ Text::of('plan.materials.latex') }}</option>
                            <option value="1" @selected((string) old('latex_free', (int) $plan->plan->latex_free) === '1')>
                                {{ Text::of('plan.materials.something_free_of_latex') }}</option></select>
                    </div>@endif
                </div>
                <p class="small">{!! Text::html('plan.materials.missing_a_part_add_it_to', ['challenge' => route('parts.index', $challenge)]) !!}</p>
            </x-plan-line>
        </section>
        <section class="py-4" aria-labelledby="list-title">
            <div class="lead-in pt-0">
                <div>
                    <h2 id="list-title">{{ Text::of('plan.materials.to_buy_or_collect') }}</h2>
                    <p class="small">
                        {{ Text::of('plan.materials.for_of_with_spares_amounts_are', [
                            'groups' => $class->groups,
                            'groups_word' => Text::plural('plan.materials.group_groups', $class->groups),
                            'learners' => $class->learners,
                            'spares_percent' => $plan->plan->spares_percent,
                        ]) }}
                    </p>
                </div>
                <p class="actions no-print">
                    <button class="button do">{{ Text::of('plan.materials.save_the_materials') }}</button>
                    <a class="button" download href="{{ route('materials.download', $challenge) }}">{{ Text::of('plan.materials.csv') }}</a>
                    <a class="button" href="{{ route('materials.labels', $challenge) }}">{{ Text::of('plan.materials.kit_labels') }}</a>
                    <a class="button" href="{{ route('materials.note', $challenge) }}">{{ Text::of('plan.materials.note_home') }}</a>
                    <button type="button" class="button" data-print>{{ Text::of('plan.materials.print') }}</button>
                    <label class="tick prices"><input type="checkbox" @checked($cost !== null || $errors->hasAny(['price_*', 'pack_*']))>
                        <span>{{ Text::of('plan.materials.prices_and_packs') }}</span></label>
                </p>
            </div>
            @if ($materials->early() !== [])
                <p class="caution mt-0 mb-3">
                    {!! Text::html('plan.materials.start_collecting_now_collecting_them_takes', [
                        'early' => implode('; ', array_map(fn ($line) => mb_strtolower(MaterialWords::material($line)) . ', ' .
                        $line->total($class), $materials->early())),
                    ]) !!}
                </p>
            @endif
            @if ($plan->doesNotFit() !== null)<p class="caution mt-0 mb-3">
                {!! Text::html('plan.materials.is_longer_than_what_it_is', [
                    'piece' => Label::of(\Skivo\Core\Session\CutPiece::from($plan->doesNotFit()->piece)),
                    'challenge' => route('cuts.show', $challenge),
                ]) !!}
            </p>@endif
            <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('plan.materials.list_of_materials') }}">
                <table class="figures-table materials">
                    <thead><tr><th scope="col">{{ Text::of('plan.materials.item') }}</th>
                            <th scope="col" class="num whitespace-nowrap">{{ Text::of('plan.materials.in_all') }}</th>
                            <th scope="col"><span class="sr-only">{{ Text::of('plan.materials.unit') }}</span></th>
                            <th scope="col" class="no-print">{{ Text::of('plan.materials.per_group') }}</th>
                            <th scope="col" class="no-print of-price">{{ Text::of('plan.materials.price_of_one') }}</th>
                            <th scope="col" class="no-print of-price">{{ Text::of('plan.materials.pack_of') }}</th>
                            <th scope="col" class="num of-price">{{ Text::of('plan.materials.cost') }}</th>
                            <th scope="col" class="verdict">{{ Text::of('plan.materials.or_instead') }}</th></tr></thead>
                    <tbody>
                        @foreach ($materials->lines as $line)
                            @php($own = $line->ownName !== null)
                            <tr>
                                <th scope="row"><span class="tick-box print-only" aria-hidden="true"></span>
                                <bdi>{{ MaterialWords::material($line) }}</bdi>@if ($line->isEarly)
                                <span class="small block">{{ Text::of('plan.materials.collect_early') }}</span>@endif
                                </th>
                                <td class="num big-figure">{{ $line->total($class) }}</td>
                                <td class="small">{{ MaterialWords::unit($line, $line->total($class)) }}@if ($line->packs($class) !== null)
                                    <span class="block">{{ MaterialWords::packs($line, $class) }}</span>@endif</td>
                                <td class="no-print" data-of="{{ $per[$line->per->value] ?: Text::of('plan.materials.per_group') }}">
                                    @if ($own)
                                        <span class="small">{{ $number($line->amount) }} {{ $per[$line->per->value] }}</span>
                                    @else
                                        <div class="flex items-center gap-2 whitespace-nowrap">
                                            <input
                                                class="input short num" name="amount_{{ $line->key }}" inputmode="decimal"
                                                aria-label="{{ Text::of('plan.materials.amount_of', ['line' => MaterialWords::material($line)]) }}"
                                                value="{{ old("amount_{$line->key}", isset($saved[$line->key]->amount)
                                                    ? $number($saved[$line->key]->amount) : '') }}"
                                                placeholder="{{ $line->fixed === null ? $number($line->amount) : Text::of('plan.materials.as_cut') }}"
                                                @error("amount_{$line->key}") aria-invalid="true" @enderror>
                                            <span class="small">{{ $per[$line->per->value] }}</span>
                                        </div>
                                    @endif
                                </td>
                                <td class="no-print of-price">
                                    @if ($own)<span class="num">{{ $line->price === null ? '' : number_format($line->price, 2) }}</span>@else
                                    <input
                                        class="input short num" name="price_{{ $line->key }}" inputmode="decimal"
                                        aria-label="{{ Text::of('plan.materials.price_of_one_2', ['line' => MaterialWords::material($line)]) }}"
                                        value="{{ old("price_{$line->key}", isset($saved[$line->key]->price)
                                            ? number_format($saved[$line->key]->price, 2, '.', '') : '') }}"
                                        @error("price_{$line->key}") aria-invalid="true" @enderror>
                                    @endif
                                </td>
                                <td class="no-print of-price">@unless ($own)<input
                                    class="input short num" name="pack_{{ $line->key }}" inputmode="numeric"
                                    aria-label="{{ Text::of('plan.materials.pack_of_2', ['line' => MaterialWords::material($line)]) }}"
                                    value="{{ old("pack_{$line->key}", $line->pack) }}"
                                    @error("pack_{$line->key}") aria-invalid="true" @enderror>@endunless</td>
                                <td class="num of-price">{{ $line->cost($class) === null ? '–' : number_format($line->cost($class), 2) }}</td>
                                <td class="small verdict"><bdi>{{ implode(', ', array_slice(MaterialWords::instead($line), 0, 4)) }}</bdi></td>
                            </tr>
                        @endforeach
                    </tbody>
                    @if ($cost !== null)<tfoot><tr><th scope="row" colspan="3">
                                {{ Text::of('plan.materials.all_together', [
                                    'of_what' => $materials->isPricedInPart() ? Text::of('plan.materials.of_what_has_a_price') : '',
                                ]) }}
                            </th><td class="no-print"></td><td class="no-print of-price"></td><td class="no-print of-price"></td><td class="num big-figure">
                                {{ number_format($cost, 2) }}</td><td></td></tr></tfoot>@endif
                </table>
            </div>
            @foreach (array_unique([...$errors->get('amount_*'), ...$errors->get('price_*'), ...$errors->get('pack_*')], SORT_REGULAR)
                as $messages)@foreach ($messages as $message)
            <p class="error mt-2">{{ $message }}</p>@endforeach @endforeach
        </section>
    </form>
    @if ($materials->early() !== [])
    <section class="form-part no-print" id="collecting">
        <h2>{{ Text::of('plan.materials.collecting') }}</h2>
        <ul class="collecting">
            @foreach ($materials->early() as $line)
                @php($collecting = $plan->collecting($line, $materials))
                <li>
                    <p><strong><bdi>{{ MaterialWords::material($line) }}</bdi></strong>
                        <span class="num big-figure">{{ $collecting->have }}</span> {{ Text::of('plan.materials.of_need', ['need' => $collecting->need]) }}</p>
                    <progress max="{{ $collecting->need }}" value="{{ min($collecting->need, $collecting->have) }}"
                        aria-label="{{ MaterialWords::material($line) }}"></progress>
                    <p class="small">{{ MaterialWords::collecting($collecting, $plan->collectBy()) }}</p>
                    <form method="post" action="{{ route('materials.count', $challenge) }}" class="actions">
                        @csrf<input type="hidden" name="key" value="{{ $line->key }}">
                        <label>{{ Text::of('plan.materials.there_are') }}
                            <input class="input short num" name="count" inputmode="numeric"
                                value="{{ old('key') === $line->key ? old('count') : '' }}"></label>
                        <label>{{ Text::of('plan.materials.on') }}
                            <input class="input" name="counted_on" data-day="date"
                                value="{{ Moment::inField((old('key') === $line->key ? old('counted_on') : null) ?? now()->format('Y-m-d')) }}"
                                data-pick="{{ Text::of('frame.field.pick', ['field' => Text::of('plan.materials.on')]) }}"></label>
                        <button class="button">{{ Text::of('plan.materials.count_them') }}</button>
                    </form>
                    @if ($collecting->have > 0)<form method="post" action="{{ route('materials.count.back', [$challenge, $line->key]) }}">
                        @csrf @method('delete')<button class="button plain">{{ Text::of('plan.materials.take_back') }}</button></form>@endif
                </li>
            @endforeach
        </ul>
    </section>
    @endif
    <details class="disclosure no-print" id="own"
        @if ($challenge->materialLines->whereNull('key')->isNotEmpty() || $errors->hasAny(['name', 'amount', 'per', 'unit', 'price'])) open @endif>
        <summary>{{ Text::of('plan.materials.lines_of_your_own') }}</summary>
        <div class="grid gap-4 pt-3">
            @foreach ($challenge->materialLines->whereNull('key') as $line)
                <form class="flex gap-3 items-center" method="post" action="{{ route('materials.destroy', [$challenge, $line]) }}">
                    @csrf @method('delete')<bdi>{{ $line->name }}</bdi><button class="button plain"
                        aria-label="{{ Text::of('plan.materials.remove',
                        ['line' => $line->name]) }}">{{ Text::of('plan.materials.remove_2') }}</button>
                </form>
            @endforeach
            <form method="post" action="{{ route('materials.store', $challenge) }}" class="grid gap-4">
                @csrf
                <div class="form-grid">
                    <x-field name="name" :label="Text::of('plan.materials.item')" maxlength="80" />
                    <x-field name="amount" :label="Text::of('plan.materials.how_many')" inputmode="decimal" />
                    <div class="field"><label for="f-per">{{ Text::of('plan.materials.for_each') }}</label>
                        <select id="f-per" name="per" class="input">@foreach (Per::cases() as $each)
                            <option value="{{ $each->value }}" @selected(old('per', Per::WholeClass->value) === $each->value)>{{ Label::of($each) }}
                            </option>@endforeach</select></div>
                    <x-field
                        name="unit" :label="Text::of('plan.materials.counted_in')" optional maxlength="40"
                        :hint="Text::of('plan.materials.such_as_sheets')" />
                    <x-field name="price" :label="Text::of('plan.materials.price_of_one')" optional inputmode="decimal" />
                    <div class="field self-end"><x-tick name="is_early">{{ Text::of('plan.materials.takes_weeks_to_collect') }}</x-tick></div>
                </div>
                <p><button class="button">{{ Text::of('plan.materials.add_to_the_list') }}</button></p>
            </form>
        </div>
    </details>
    <p class="actions border-t border-rule py-5 no-print">
        <a class="button" href="{{ route('cuts.show', $challenge) }}">{{ Text::of('plan.materials.to_the_cut_sizes') }}</a>
        @if ($challenge->safety_read_at === null)<a class="button plain"
            href="{{ route('safety.show', $challenge) }}">{{ Text::of('plan.materials.straight_to_safety_then_build') }}</a>@endif
    </p>
</x-layout>
