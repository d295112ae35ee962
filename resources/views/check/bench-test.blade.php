{{-- One test of a car: how it is done, its readings, what they gave. --}}
@php
    use App\Pages\Check\BenchRequest;
    use Skivo\Core\Bench\BenchTest;
    use Skivo\Core\Measurement\Scale;
    $held = $readings[$test->value] ?? collect();
    $fields = $test->fields();
    $old = $failed === $test->value;
    $count = BenchRequest::rowsFor($held->count(), $old);
    $result = $forces->results[$test->value] ?? null;
@endphp
<li id="{{ $test->value }}" class="bench-test">
    <details class="bench-how" @if ($held->isNotEmpty() || $old || $isOpen) open @endif>
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
                    @class(['button', 'do' => $isOpen])>{{ Text::of('bench.car.save',
                    ['test' => Label::inside($test)]) }}</button>@if ($result !== null)<span
                    class="num">{{ $words->result($test, $result) }}</span><span class="small">{{ $held->count() === 1
                    ? Text::of('bench.car.one_reading_its_is_the_reading')
                    : Text::of('bench.car.repeats_95', ['count' => $held->count()]) }}</span>@endif
                </p>
            </form>
        </div>
    </details>
</li>
