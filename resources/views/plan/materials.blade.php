@php
    use Skivo\Core\Car\Choice;
    use Skivo\Core\Car\PartKind;
    use Skivo\Core\Session\Per;
    use Skivo\Core\Car\Suggestions;
    $materials = $plan->materials();
    $class = $materials->class;
    $names = fn (PartKind $kind, string $held) => array_values(array_unique([...array_map(fn ($part) => $part->name, $plan->catalogue->of($kind)), $held]));
    $kit = [
        'kit_chassis' => ['Chassis', $names(PartKind::Chassis, $plan->kit->chassis), $plan->kit->chassis],
        'kit_wheels' => ['Wheels', $names(PartKind::Wheel, $plan->kit->wheels), $plan->kit->wheels],
        'kit_bearing' => ['Axle and bearing', $names(PartKind::Bearing, $plan->kit->bearing), $plan->kit->bearing],
        'kit_balloon' => ['Balloon', $names(PartKind::Balloon, $plan->kit->balloon), $plan->kit->balloon],
        'kit_nozzle' => ['Nozzle', $names(PartKind::Nozzle, $plan->kit->nozzle), $plan->kit->nozzle],
        'kit_joint' => ['Joint', Suggestions::for(Choice::Joint), $plan->kit->joint],
    ];
    $saved = $challenge->materialLines->whereNotNull('key')->keyBy('key');
    $per = ['group' => 'for each group', 'learner' => 'for each learner', 'lane' => 'for each lane', 'class' => 'for the class'];
    $number = fn (float $n) => rtrim(rtrim(number_format($n, 2, '.', ''), '0'), '.');
    $cost = $materials->cost();
@endphp
<x-layout :title="'Materials · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="plan">
    <x-plan-pages :challenge="$challenge" here="materials" />
    <x-errors />
    <form method="post" action="{{ route('materials.update', $challenge) }}" id="materials">
        @csrf @method('put')
        <section class="form-part no-print">
            <h2>For whom, and what</h2>
            <div class="grid gap-4">
            <div class="form-grid narrow">
                <x-field name="groups" label="Groups" :value="$plan->plan->groups" inputmode="numeric" :hint="$record->groups->isNotEmpty() && $record->groups->count() !== $plan->plan->groups ? $record->groups->count() . ' groups are in' : 'as many as you expect'" />
                <x-field name="group_size" label="Learners in a group" :value="$plan->plan->group_size" inputmode="numeric" />
                <x-field name="spares_percent" label="Spares, in percent" :value="$plan->plan->spares_percent" inputmode="numeric" hint="on what breaks or gets lost" />
                    @foreach ($kit as $name => [$label, $options, $held])
                        <div class="field">
                            <label for="f-{{ $name }}">{{ $label }}</label>
                            <select id="f-{{ $name }}" name="{{ $name }}" class="input" data-follow>
                                @foreach ($options as $option)<option @selected(old($name, $held) === $option)>{{ $option }}</option>@endforeach
                            </select>
                        </div>
                    @endforeach
                    <div class="field">
                        <label for="f-by_mouth">Balloons are filled</label>
                        <select id="f-by_mouth" name="by_mouth" class="input"><option value="0">with a pump</option><option value="1" @selected((string) old('by_mouth', (int) $plan->plan->by_mouth) === '1')>by mouth</option></select>
                    </div>
                    <div class="field">
                        <label for="f-latex_free">Balloons are of</label>
                        <select id="f-latex_free" name="latex_free" class="input"><option value="0">latex</option><option value="1" @selected((string) old('latex_free', (int) $plan->plan->latex_free) === '1')>something free of latex</option></select>
                    </div>
                </div>
                <p class="small">Missing a part? Add it to the <a href="{{ route('parts.index', $challenge) }}">parts list</a>; then it can be chosen here.</p>
            </div>
        </section>
        <section class="py-4" aria-labelledby="list-title">
            <div class="lead-in !pt-0">
                <div>
                    <h2 id="list-title">To buy or collect</h2>
                    <p class="small">For {{ $class->groups }} {{ $class->groups === 1 ? 'group' : 'groups' }} of {{ $class->groupSize }}, with {{ $plan->plan->spares_percent }} % spares. Amounts are common practice; change any of them, or empty one for the usual amount.</p>
                </div>
                <p class="actions no-print">
                    <button class="button do">Save the materials</button>
                    <a class="button" href="{{ route('materials.download', $challenge) }}">CSV</a>
                    <a class="button" href="{{ route('materials.labels', $challenge) }}">Kit labels</a>
                    <button type="button" class="button" data-print>Print</button>
                </p>
            </div>
            @if ($materials->early() !== [])
                <p class="caution !mt-0 mb-3"><strong>Start collecting now:</strong> {{ implode('; ', array_map(fn ($line) => mb_strtolower($line->name) . ', ' . $line->total($class), $materials->early())) }}. Collecting them takes weeks.</p>
            @endif
            @if ($plan->doesNotFit !== null)<p class="caution !mt-0 mb-3">{{ $plan->doesNotFit->getMessage() }} Straws and axles are counted roughly until the <a href="{{ route('cuts.show', $challenge) }}">cut sizes</a> fit.</p>@endif
            <div class="scroll-x" tabindex="0" role="region" aria-label="List of materials">
                <table class="figures-table materials">
                    <thead><tr><th scope="col">Item</th><th scope="col" class="num">In all</th><th scope="col"><span class="sr-only">Unit</span></th><th scope="col" class="no-print">Amount</th><th scope="col" class="no-print">Price of one</th><th scope="col" class="num">Cost</th><th scope="col" class="verdict">Or instead</th></tr></thead>
                    <tbody>
                        @foreach ($materials->lines as $line)
                            @php($own = str_starts_with($line->key, 'own-'))
                            <tr>
                                <th scope="row"><span class="tick-box print-only" aria-hidden="true"></span> <bdi>{{ $line->name }}</bdi>@if ($line->isEarly) <span class="small block">collect early</span>@endif</th>
                                <td class="num big-figure">{{ $line->total($class) }}</td>
                                <td class="small">{{ $line->total($class) === 1 ? \Illuminate\Support\Str::singular($line->unit) : $line->unit }}</td>
                                <td class="no-print">
                                    @if ($own)
                                        <span class="small">{{ $number($line->amount) }} {{ $per[$line->per->value] }}</span>
                                    @else
                                        <div class="flex items-center gap-2 whitespace-nowrap">
                                            <input class="input short num" name="amount_{{ $line->key }}" inputmode="decimal" aria-label="Amount of {{ $line->name }}" value="{{ old("amount_{$line->key}", isset($saved[$line->key]->amount) ? $number($saved[$line->key]->amount) : '') }}" placeholder="{{ $line->fixed === null ? $number($line->amount) : 'as cut' }}" @error("amount_{$line->key}") aria-invalid="true" @enderror>
                                            <span class="small">{{ $per[$line->per->value] }}</span>
                                        </div>
                                    @endif
                                </td>
                                <td class="no-print">
                                    @if ($own)<span class="num">{{ $line->price === null ? '' : number_format($line->price, 2) }}</span>@else<input class="input short num" name="price_{{ $line->key }}" inputmode="decimal" aria-label="Price of one: {{ $line->name }}" value="{{ old("price_{$line->key}", isset($saved[$line->key]->price) ? number_format($saved[$line->key]->price, 2, '.', '') : '') }}" @error("price_{$line->key}") aria-invalid="true" @enderror>@endif
                                </td>
                                <td class="num">{{ $line->cost($class) === null ? '–' : number_format($line->cost($class), 2) }}</td>
                                <td class="small verdict"><bdi>{{ implode(', ', array_slice($line->alternatives, 0, 4)) }}</bdi></td>
                            </tr>
                        @endforeach
                    </tbody>
                    @if ($cost !== null)<tfoot><tr><th scope="row" colspan="3">All together{{ $materials->isPricedInPart() ? ', of what has a price' : '' }}</th><td class="no-print"></td><td class="no-print"></td><td class="num big-figure">{{ number_format($cost, 2) }}</td><td></td></tr></tfoot>@endif
                </table>
            </div>
            @foreach (array_unique([...$errors->get('amount_*'), ...$errors->get('price_*')], SORT_REGULAR) as $messages)@foreach ($messages as $message)<p class="error mt-2">{{ $message }}</p>@endforeach @endforeach
        </section>
    </form>
    <section class="form-part no-print" id="own">
        <h2>Lines of your own</h2>
        <div class="grid gap-4">
            @foreach ($challenge->materialLines->whereNull('key') as $line)
                <form class="flex gap-3 items-center" method="post" action="{{ route('materials.destroy', [$challenge, $line]) }}">@csrf @method('delete')<bdi>{{ $line->name }}</bdi><button class="button plain" aria-label="Remove {{ $line->name }}">Remove</button></form>
            @endforeach
            <form method="post" action="{{ route('materials.store', $challenge) }}" class="grid gap-4">
                @csrf
                <div class="form-grid">
                    <x-field name="name" label="Item" maxlength="80" />
                    <x-field name="amount" label="Amount" inputmode="decimal" />
                    <div class="field"><label for="f-per">For each</label><select id="f-per" name="per" class="input">@foreach (Per::cases() as $each)<option value="{{ $each->value }}" @selected(old('per') === $each->value)>{{ $each->value }}</option>@endforeach</select></div>
                    <x-field name="unit" label="Counted in" optional maxlength="40" hint="such as sheets" />
                    <x-field name="price" label="Price of one" optional inputmode="decimal" />
                    <div class="field self-end"><x-tick name="is_early">takes weeks to collect</x-tick></div>
                </div>
                <p><button class="button">Add to the list</button></p>
            </form>
        </div>
    </section>
    <p class="actions border-t border-rule py-5 no-print">
        <a class="button" href="{{ route('cuts.show', $challenge) }}">To the cut sizes</a>
        @if ($challenge->safety_read_at === null)<a class="button plain" href="{{ route('safety.show', $challenge) }}">Straight to safety, then build</a>@endif
    </p>
</x-layout>
