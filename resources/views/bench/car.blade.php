@php
    use App\Http\Requests\BenchRequest;
    use App\Wording\BenchWords;
    use Skivo\Core\Bench\BenchTest;
    use Skivo\Core\Car\Choice;
    use Skivo\Core\Measurement\Scale;
    $units = $challenge->units;
    $words = new BenchWords($units);
    $prediction = $forces?->prediction();
    $said = $forces === null ? null : $words->againstModel($forces);
    $version = $car->version ?? 1;
    $own = $car === null ? null : $record->tries($car)->distances();
    $failed = session()->getOldInput('test');
@endphp
<x-layout :title="'Bench · ' . $group->name" :challenge="$challenge" :record="$record" stage="bench" :line="$challenge->question">
    <div class="lead-in">
        <div>
            <h2 class="with-mark"><x-mark :mark="$group->mark" class="!w-7 !h-7" /><span>Forces of <bdi>{{ \Illuminate\Support\Str::limit($group->name, 80) }}</bdi>{{ $group->cars->count() > 1 ? ", version {$version}" : '' }}</span></h2>
            @if ($group->cars->count() > 1)<p class="small mt-1">@foreach ($group->cars as $other)@if ($other->version === $version)<strong>version {{ $other->version }}</strong>@else<a href="{{ route('bench.edit', ['challenge' => $challenge, 'group' => $group, 'version' => $other->version]) }}">version {{ $other->version }}</a>@endif{{ $loop->last ? '' : ' · ' }}@endforeach</p>@endif
        </div>
        <p class="actions no-print"><a class="button" href="{{ route('bench.index', $challenge) }}">Back to the class</a><button type="button" class="button plain" data-print>Print</button></p>
    </div>
    @if ($forces !== null)
        <dl class="answers bench-answers" data-part="forces">
            <div><dt>Friction f</dt><dd>{{ $words->friction($forces->friction) }}</dd><dd class="small">{{ $words->origin($forces->frictionFrom) }}@if ($forces->frictionIsMeasured()); the parts say {{ number_format($forces->modelFriction->value, 3) }}@endif</dd></div>
            <div><dt>First push</dt><dd>{{ number_format(1000 * $forces->thrust->value) }} ± {{ number_format(1000 * ($forces->thrust->interval()->high - $forces->thrust->value)) }} mN</dd><dd class="small">{{ $words->origin($forces->thrustFrom) }}@if ($forces->thrustIsMeasured()); a usual balloon gives {{ number_format(1000 * $forces->modelThrust->value) }}@endif</dd></div>
            <div><dt>So the model has it go</dt><dd>{{ $prediction->run->moves ? $units->show($prediction->band->low, Scale::Distance) . ' to ' . $units->show($prediction->band->high, Scale::Distance) : 'nowhere' }}</dd><dd class="small">@if ($own !== null)its tries: {{ $units->show($own->mean(), Scale::Distance) }} on average @else no try counts yet @endif</dd></div>
        </dl>
        @if ($said !== null)<div class="said prose mt-3"><x-sentences :sentences="[$said]" /></div>@endif
        @if ($car?->choices->number(Choice::Mass) === null)<p class="caution">The car’s mass is not recorded, so {{ $units->show($forces->model->settings->get(\Skivo\Core\Simulation\Setting::Mass), Scale::Weight) }} is taken. <a href="{{ route('cars.edit', [$challenge, $group]) }}">Record it</a> before a pull or a first stretch counts for much.</p>@endif
    @endif
    <p class="caution no-print">Keep the balloon below bursting size, eyes away from the nozzle, and cars off table edges. The school’s own rules come first.</p>
    <ol class="bench-tests">
        @foreach (BenchTest::cases() as $test)
            @php
                $held = $readings[$test->value] ?? collect();
                $fields = $test->fields();
                $old = $failed === $test->value;
                $count = max(3, $held->count() + 1, $old ? count(array_filter(session()->getOldInput(), fn ($typed, $key) => preg_match('/^r\d+_0$/', $key) === 1, ARRAY_FILTER_USE_BOTH)) : 0);
                $result = $forces->results[$test->value] ?? null;
            @endphp
            <li id="{{ $test->value }}" class="bench-test">
                <details class="bench-how" @if ($held->isNotEmpty() || $old || $loop->first) open @endif>
                    <summary><span class="bench-name">{{ $test->label() }}</span><span class="small">{{ $words->gives($test) }}</span>@if ($result !== null)<span class="num bench-result">{{ $words->result($test, $result) }}</span>@endif</summary>
                    <div class="bench-body">
                        <div><x-bench-sketch :test="$test" /><ol class="bench-steps">@foreach ($words->steps($test) as $step)<li>{{ $step }}</li>@endforeach</ol></div>
                        <form method="post" action="{{ route('bench.update', [$challenge, $group, $test->value]) }}">
                            @csrf @method('put')<x-sent-with :units="$challenge->units" />
                            <input type="hidden" name="test" value="{{ $test->value }}"><input type="hidden" name="version" value="{{ $version }}">
                            @if ($old)<x-errors />@endif
                            <table class="repeats">
                                <thead><tr><th scope="col"><span class="sr-only">Repeat</span></th>@foreach ($fields as $field)<th scope="col">{{ $field->label }} <span class="small">{{ $units->symbol($field->scale) }}</span></th>@endforeach</tr></thead>
                                <tbody>
                                    @for ($row = 0; $row < $count; $row++)
                                        <tr>
                                            <th scope="row" class="num">{{ $row + 1 }}</th>
                                            @foreach ($fields as $index => $field)
                                                @php([$key, $id, $text] = [BenchRequest::key($row, $index), "{$test->value}-{$row}-{$index}", $held->get($row)?->texts()[$index] ?? ''])
                                                <td><input id="{{ $id }}" class="input num" name="{{ $key }}" aria-label="{{ $field->label }}, repeat {{ $row + 1 }}" inputmode="decimal" autocomplete="off" value="{{ $old ? old($key, '') : $text }}" @if ($old) @error($key) aria-invalid="true" aria-describedby="{{ $id }}-e" @enderror @endif>@if ($old) @error($key)<p class="error" id="{{ $id }}-e">{{ $message }}</p>@enderror @endif</td>
                                            @endforeach
                                        </tr>
                                    @endfor
                                </tbody>
                            </table>
                            @if ($test->measures() !== null && count($fields) > 1)<p class="small mt-1">Left empty, a reading is as in the row above.</p>@endif
                            @foreach ($test === BenchTest::StaticThrust || $test === BenchTest::Pull ? $weighed : [] as $seen)
                                @php($shown = $units->figure((float) ($seen->data['value_kg'] ?? 0), Scale::Weight, 1) . ' ' . $units->symbol(Scale::Weight))
                                <button type="button" class="button plain" data-take="{{ $shown }}">Take the scale’s {{ $shown }}<span class="small"><time data-ago="{{ $seen->measured_at->toIso8601String() }}">{{ $seen->measured_at->diffForHumans() }}</time></span></button>
                            @endforeach
                            <p class="actions mt-3"><button @class(['button', 'do' => $loop->first])>Save {{ mb_strtolower($test->label()) }}</button>@if ($result !== null)<span class="num">{{ $words->result($test, $result) }}</span><span class="small">{{ $held->count() === 1 ? 'one reading: its ± is the reading error' : "{$held->count()} repeats, 95 %" }}</span>@endif</p>
                        </form>
                    </div>
                </details>
            </li>
        @endforeach
        <li class="bench-test"><div class="bench-two"><span class="bench-name">Two marks</span> <span class="small">Thrust over resistance straight from a run: mark where the balloon goes limp, besides the stop. Log it with the run, under “More”.</span>
            @if ($car !== null && ($marks = \Skivo\Core\Bench\WorkBalance::ofMarks(array_values(array_map(fn ($run) => [$run->limpM, $run->distanceM], array_filter($record->tries($car)->counted, fn ($run) => ($run->limpM ?? 0) > 0))))) !== null)<span class="num bench-result">thrust ÷ resistance {{ number_format($marks->value, 1) }} ± {{ number_format($marks->interval()->high - $marks->value, 1) }}</span>@endif</div></li>
    </ol>
</x-layout>
