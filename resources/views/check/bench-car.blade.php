@php
    use App\Pages\Check\BenchRequest;
    use App\Pages\Check\BenchWords;
    use Skivo\Core\Bench\BenchTest;
    use Skivo\Core\Car\Attribute\CarAttribute;
    use Skivo\Core\Car\Attribute\EnergySource;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $words = new BenchWords($units);
    $said = $forces === null ? null : $words->againstModel($forces);
    $version = $car->version ?? 1;
    $source = $car?->choices->source() ?? EnergySource::Balloon;
    $own = $car === null ? null : $record->tries($car)->distances();
    $failed = session()->getOldInput('test');
@endphp
<x-layout :title="Text::of('bench.car.bench', ['group' => $group->name])" :challenge="$challenge" :record="$record" stage="bench" :line="$challenge->question">
    <div class="lead-in">
        <div>
            <h2 class="with-mark">{{ Glyph::of($group->mark) }}<span>{!! Text::html('bench.car.forces_of', [
                'group' => \Illuminate\Support\Str::limit($group->name, 80),
                'version' => $group->cars->count() > 1 ? Text::of('bench.car.version', ['version' => $version]) : '',
            ]) !!}</span>
            </h2>
            @if ($group->cars->count() > 1)<p class="small mt-1">
                @foreach ($group->cars as $other)
                    @if ($other->version === $version)
                        <strong>{{ Text::of('bench.car.version_2', ['version' => $version]) }}</strong>
                    @else
                        <a href="{{ route('bench.edit', ['challenge' => $challenge, 'group' => $group, 'version' => $other->version]) }}">{{ Text::of(
                            'bench.car.version_2', ['version' => $other->version]) }}</a>
                    @endif
                    {{ $loop->last ? '' : ' · ' }}
                @endforeach
            </p>@endif
        </div>
        <p class="actions no-print"><a class="button"
            href="{{ route('bench.index', $challenge) }}">{{ Text::of('bench.car.back_to_the_class') }}</a><button type="button"
            class="button plain" data-print>{{ Text::of('bench.car.print') }}</button>
        </p>
    </div>
    @if ($forces !== null)
        <dl class="answers bench-answers" data-part="forces">
            <div><dt>{{ Text::of('bench.car.friction_f') }}</dt><dd>{{ $forces->frictionIsMeasured() ? $words->friction($forces->friction)
                    : '≈ ' . number_format($class->frictionOf($car) ?? 0, 3) }}</dd>
                <dd class="small">{{ $words->origin($forces->frictionFrom) }}{{ $forces->frictionIsMeasured()
                    ? Text::of('bench.car.the_parts_say', ['model_friction' => number_format($forces->modelFriction->value, 3)]) : '' }}
                </dd></div>
            @if ($source !== EnergySource::Ramp)<div>
                <dt>{{ Text::of($source->winds() ? 'bench.car.first_push_of_band' : 'bench.car.first_push') }}</dt><dd>
                    {{ Text::of('bench.car.mn', [
                        'thrust' => number_format(1000 * $forces->thrust->value),
                        'high' => number_format(1000 * ($forces->thrust->interval()->high - $forces->thrust->value)),
                    ]) }}
                </dd><dd class="small">{{ $words->origin($forces->thrustFrom) }}{{ $forces->thrustIsMeasured()
                    ? Text::of($source->winds() ? 'bench.car.a_usual_band_gives' : 'bench.car.a_usual_balloon_gives',
                        ['model_thrust' => number_format(1000 * $forces->modelThrust->value)]) : '' }}
                </dd></div>@endif
            <div><dt>{{ Text::of('bench.car.its_tries') }}</dt>
                <dd>{{ $own === null ? '–' : \App\Language\ReachWords::mean($record->tries($car), $units) }}</dd>
                <dd class="small">{{ $own === null ? Text::of('bench.car.no_try_counts_yet') : Text::of('bench.car.on_average') }}</dd></div>
        </dl>
        <x-forecast :challenge="$challenge" :record="$record" :car="$car" />
        @if ($said !== null)<div class="said prose mt-3"><x-sentences :sentences="[$said]" /></div>@endif
        @if ($car?->choices->number(CarAttribute::Mass) === null)<p class="caution">
            {!! Text::html('bench.car.the_cars_mass_is_not_recorded', [
                'mass' => $units->show($forces->model->settings->get(\Skivo\Core\Car\Attribute\CarAttribute::Mass), Scale::Weight),
                'route' => route('cars.edit', [$challenge, $group]),
            ]) !!}
        </p>@endif
    @endif
    @if ($source->blows())<p class="caution no-print">{{ Text::of('bench.car.keep_the_balloon_below_bursting_size') }}</p>@endif
    @if ($source->winds())<p class="caution no-print">{{ Text::of('bench.car.bands_fly') }}</p>@endif
    <ol class="bench-tests">
        @foreach (BenchTest::askedOf($source) as $test)
            @php
                $held = $readings[$test->value] ?? collect();
                $fields = $test->fields();
                $old = $failed === $test->value;
                $count = BenchRequest::rowsFor($held->count(), $old);
                $result = $forces->results[$test->value] ?? null;
            @endphp
            <li id="{{ $test->value }}" class="bench-test">
                <details class="bench-how" @if ($held->isNotEmpty() || $old || $loop->first) open @endif>
                    <summary><span class="bench-name">{{ Label::of($test) }}</span><span
                        class="small">{{ $words->gives($test) }}</span>@if ($result !== null)<span
                        class="num bench-result">{{ $words->result($test, $result) }}</span>@endif
                    </summary>
                    <div class="bench-body">
                        <div><x-bench-sketch :test="$test" /><ol class="bench-steps">
                                @foreach ($words->steps($test, $source) as $step)<li>{{ $step }}</li>@endforeach</ol></div>
                        <form method="post" action="{{ route('bench.update', [$challenge, $group, $test->value]) }}">
                            @csrf @method('put')<x-sent-with :units="$challenge->units" />
                            <input type="hidden" name="test" value="{{ $test->value }}"><input type="hidden" name="version" value="{{ $version }}">
                            @if ($old)<x-errors />@endif
                            <table class="repeats">
                                <thead><tr><th scope="col"><span class="sr-only">{{ Text::of('bench.car.repeat') }}</span>
                                        </th>@foreach ($fields as $field)<th scope="col">{{ Label::of($field) }}
                                        <span class="small">{{ $units->symbol($field->scale) }}</span>
                                        </th>@endforeach</tr></thead>
                                <tbody>
                                    @for ($row = 0; $row < $count; $row++)
                                        <tr>
                                            <th scope="row" class="num">{{ $row + 1 }}</th>
                                            @foreach ($fields as $index => $field)
                                                @php([$key, $id, $text] = [BenchRequest::key($row, $index),
                                                    "{$test->value}-{$row}-{$index}", $held->get($row)?->texts()[$index] ?? ''])
                                                <td>
                                                    <input
                                                        id="{{ $id }}" class="input num" name="{{ $key }}"
                                                        aria-label="{{ Text::of('bench.car.repeat_2', ['field' => Label::of($field), 'row' => $row + 1]) }}"
                                                        inputmode="decimal" autocomplete="off"
                                                        value="{{ $old ? old($key, '') : $text }}"
                                                        @if ($old) @error($key) aria-invalid="true" aria-describedby="{{ $id }}-e" @enderror @endif>
                                                    @if ($old) @error($key)<p class="error" id="{{ $id }}-e">{{ $message }}
                                                    </p>@enderror @endif</td>
                                            @endforeach
                                        </tr>
                                    @endfor
                                </tbody>
                            </table>
                            @if ($test->measures() !== null && count($fields) > 1)<p class="small mt-1">
                                {{ Text::of('bench.car.left_empty_a_reading_is_as') }}</p>@endif
                            @if ($test === BenchTest::BandPull && $forces?->band !== null)
                            <x-band-curve :curve="$forces->band" :units="$units" />@endif
                            @foreach ($test->readsAScale() ? $weighed : [] as $seen)
                                @php($shown = $units->figure((float) ($seen->data['value_kg'] ?? 0), Scale::Weight, 1) . ' ' . $units->symbol(Scale::Weight))
                                <button type="button" class="button plain"
                                    data-take="{{ $shown }}">{{ Text::of('bench.car.take_the_scales', ['shown' => $shown]) }}<span
                                    class="small"><time
                                        data-ago="{{ $seen->measured_at->toIso8601String() }}">{{ $seen->measured_at->diffForHumans() }}</time></span></button>
                            @endforeach
                            <p class="actions mt-3"><button
                                @class(['button', 'do' => $loop->first])>{{ Text::of('bench.car.save',
                                ['test' => Label::inside($test)]) }}</button>@if ($result !== null)<span
                                class="num">{{ $words->result($test, $result) }}</span><span class="small">{{ $held->count() === 1
                                ? Text::of('bench.car.one_reading_its_is_the_reading')
                                : Text::of('bench.car.repeats_95', ['count' => $held->count()]) }}</span>@endif
                            </p>
                        </form>
                    </div>
                </details>
            </li>
        @endforeach
        <li class="bench-test"><div class="bench-two"><span class="bench-name">{{ Text::of('bench.car.two_marks') }}</span>
        <span class="small">{{ Text::of('bench.car.where_the_push_ended') }}</span>
            </div></li>
    </ol>
</x-layout>
