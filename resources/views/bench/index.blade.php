@php
    use App\Wording\BenchWords;
    use Skivo\Core\Physics\SizeMeasure;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $words = new BenchWords($units);
    // The newest version of every car, and older ones that were measured.
    $rows = $record->groups->flatMap(fn ($group) => $group->cars->isEmpty() ? [[$group, null, null]] : $group->cars->reverse()
        ->filter(fn ($car) => $car->id === $group->currentCar()->id || $car->bench_readings_exists)->map(fn ($car) => [$group, $car, $forces->of($car)])->values()->all())->values();
    $known = $rows->filter(fn ($row) => $row[2] !== null);
    $most = fn (string $force, string $model) => max(1e-6, ...$known->map(fn ($row) => max($row[2]->$force->interval()->high, $row[2]->$model->interval()->high))->values()->all() ?: [1.0]);
    [$mostFriction, $mostThrust] = [$most('friction', 'modelFriction'), $most('thrust', 'modelThrust')];
    $measured = $known->filter(fn ($row) => $row[2]->frictionIsMeasured());
    $ratio = $measured->isEmpty() ? null : exp($measured->avg(fn ($row) => log($row[2]->friction->value / $row[2]->modelFriction->value)));
@endphp
<x-layout :title="'Bench · ' . $challenge->name" :challenge="$challenge" :record="$record" stage="bench" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div>
            <h2>{{ $measured->isEmpty() ? 'No force is measured yet' : ($measured->count() === 1 ? 'One car’s friction is measured' : "Friction is measured on {$measured->count()} cars") }}</h2>
            <p class="small mt-1 prose">@if ($ratio !== null)They roll with {{ BenchWords::times($ratio) }} {{ $ratio > 0.93 && $ratio < 1.07 ? 'the friction' : 'the friction that' }} their parts would have. @endif What nobody measured is estimated from the parts, and may be off by a quarter. A ramp and three roll-outs take a minute a car.</p>
        </div>
        <p class="actions no-print"><a class="button plain" href="{{ route('bench.download', $challenge) }}">Every reading as CSV</a><button type="button" class="button plain" data-print>Print</button></p>
    </div>
    @if ($rows->isEmpty())
        <p class="prose pb-6">There are no groups yet. <a href="{{ route('groups.index', $challenge) }}">Add them under Build</a>, then measure their cars here.</p>
    @else
        <div class="scroll-x" tabindex="0" role="region" aria-label="Forces of every car" data-part="bench">
            <table class="figures-table bench-table">
                <thead>
                    <tr><th scope="col">Car</th><th scope="col">Friction f <span class="small">0 to {{ number_format($mostFriction, 2) }}</span></th><th scope="col" class="num">f</th><th scope="col">First push <span class="small">0 to {{ number_format(1000 * $mostThrust) }} mN</span></th><th scope="col" class="num">mN</th><th scope="col" class="no-print"><span class="sr-only">Measure</span></th></tr>
                </thead>
                <tbody>
                    @foreach ($rows as [$group, $car, $own])
                        <tr>
                            <th scope="row" class="whitespace-nowrap"><span class="with-mark"><x-mark :mark="$group->mark" /><a class="max-w-60 truncate" href="{{ route('bench.edit', ['challenge' => $challenge, 'group' => $group, 'version' => $car?->version]) }}"><bdi>{{ $group->name }}</bdi></a>@if ($group->cars->count() > 1)<span class="small whitespace-nowrap">version {{ $car->version }}</span>@endif</span></th>
                            @if ($own === null)
                                <td colspan="4" class="small">{{ isset($forces->beyond[$car->id ?? 0]) ? \App\Wording\ModelWords::beyond($forces->beyond[$car->id], $units) : 'nothing recorded of its car yet' }}</td>
                            @else
                                <td><x-interval-bar :max="$mostFriction" :estimated="$own->modelFriction" :measured="$own->frictionIsMeasured() ? $own->friction : null" :said="'f ' . $words->friction($own->friction) . ', ' . $words->origin($own->frictionFrom)" /></td>
                                <td class="num">{{ $words->friction($own->friction) }}<span class="origin">{{ $words->briefly($own->frictionFrom) }}</span></td>
                                <td><x-interval-bar :max="$mostThrust" :estimated="$own->modelThrust" :measured="$own->thrustIsMeasured() ? $own->thrust : null" :said="'push ' . $words->thrust($own->thrust) . ', ' . $words->origin($own->thrustFrom)" /></td>
                                <td class="num">{{ number_format(1000 * $own->thrust->value) }} ± {{ number_format(1000 * ($own->thrust->interval()->high - $own->thrust->value)) }}<span class="origin">{{ $words->briefly($own->thrustIsMeasured() ? $own->thrustFrom : []) }}</span></td>
                            @endif
                            <td class="no-print"><a class="button" href="{{ route('bench.edit', ['challenge' => $challenge, 'group' => $group, 'version' => $car?->version]) }}">Measure<span class="sr-only"> {{ $group->name }}</span></a></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <p class="small mt-2">Bars are 95 % intervals: <span class="interval-key">measured</span> <span class="interval-key estimated">from the parts</span></p>
    @endif
    <section id="pump" class="form-part mt-6 no-print" aria-labelledby="pump-title">
        <h2 id="pump-title">The class’s pump</h2>
        <form method="post" action="{{ route('bench.pump', $challenge) }}">
            @csrf @method('put')<x-sent-with :units="$challenge->units" />
            <p class="prose small mb-3">Pump a balloon like the class’s, measure it after so many strokes, at two different numbers at least. Every car whose strokes were counted then has its balloon’s size.</p>
            <x-errors />
            <div class="choices !grid-cols-[repeat(2,minmax(0,12rem))] mb-3">
                @foreach ([[SizeMeasure::Diameter, 'across'], [SizeMeasure::Circumference, 'around']] as [$measure, $said])
                    <x-choice name="measured_as" :value="$measure->value" :checked="old('measured_as', $pumped->first()?->measured_as->value ?? 'diameter') === $measure->value">measured {{ $said }}</x-choice>
                @endforeach
            </div>
            <div class="form-grid narrow">
                @for ($row = 0; $row < max(4, $pumped->count() + 1); $row++)
                    <div class="repeat">
                        <div class="field"><label for="pump-{{ $row }}-s">After strokes</label><input id="pump-{{ $row }}-s" class="input num" name="strokes_{{ $row }}" inputmode="numeric" autocomplete="off" value="{{ old("strokes_{$row}", $pumped->get($row)?->strokes ?? '') }}" @error("strokes_{$row}") aria-invalid="true" @enderror></div>
                        <div class="field"><label for="pump-{{ $row }}-d">Size</label><div class="unit-in"><input id="pump-{{ $row }}-d" class="input num" name="size_{{ $row }}" inputmode="decimal" autocomplete="off" value="{{ old("size_{$row}", $pumped->get($row)?->size->text ?? '') }}" @error("size_{$row}") aria-invalid="true" @enderror><span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Body) }}</span></div></div>
                        @foreach (["strokes_{$row}", "size_{$row}"] as $key)@error($key)<p class="error wide">{{ $message }}</p>@enderror @endforeach
                    </div>
                @endfor
            </div>
            @if ($forces->pump !== null)
                <p class="mt-3"><strong>A stroke holds</strong> <span class="num">{{ number_format(1e6 * $forces->pump->strokeM3) }} ml</span>@if ($forces->pump->strokeIntervalM3 !== null) <span class="small">({{ number_format(1e6 * $forces->pump->strokeIntervalM3->low) }} to {{ number_format(1e6 * $forces->pump->strokeIntervalM3->high) }} at 95 %, {{ $forces->pump->readings }} readings)</span>@endif. Ten strokes make {{ $units->show($forces->pump->diameterM(10), Scale::Body) }}, twenty {{ $units->show($forces->pump->diameterM(20), Scale::Body) }}.</p>
            @elseif ($pumped->count() > 0)
                <p class="mt-3 small">It takes two different numbers of strokes, the larger number with the larger balloon.</p>
            @endif
            <p class="mt-3"><button class="button">Save the pump</button></p>
        </form>
    </section>
</x-layout>
