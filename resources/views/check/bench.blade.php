@php
    use App\Pages\Check\BenchWords;
    use Skivo\Core\Physics\SizeMeasure;
    use Skivo\Core\Measurement\Scale;
    use Skivo\Core\Statistics\Sample;
    $units = $challenge->units;
    $words = new BenchWords($units);
    $say = new \App\Language\ForecastWords($units);
    $rows = $forces->rows();
    [$mostFriction, $mostThrust] = $forces->greatest();
    $ratios = $forces->frictionRatios();
    $ratio = $ratios === [] ? null : Sample::geometricMean($ratios);
@endphp
<x-layout
    :title="Text::of('bench.index.bench', ['challenge' => $challenge->name])" :challenge="$challenge" :record="$record"
    stage="check" :line="$challenge->question" live="page">
    <div class="lead-in">
        <div>
            <h2>
                {{ $ratios === [] ? Text::of('bench.index.no_force_is_measured_yet')
                    : (count($ratios) === 1 ? Text::of('bench.index.one_cars_friction_is_measured')
                    : Text::of('bench.index.friction_is_measured_on_cars', ['count' => count($ratios)])) }}
            </h2>
            <p class="small mt-1 prose">@if ($ratio !== null){{ Text::of('bench.index.they_roll_with_their_parts_would', [
                'times' => BenchWords::times($ratio),
                'friction' => BenchWords::isAbout($ratio) ? Text::of('bench.index.the_friction') : Text::of('bench.index.the_friction_that'),
            ]) }} @endif {{ Text::of('bench.index.what_nobody_measured_is_estimated_from') }}
            </p>
        </div>
        <p class="actions no-print"><a class="button plain"
            download href="{{ route('bench.download', $challenge) }}">{{ Text::of('bench.index.every_reading_as_csv') }}</a><button type="button"
            class="button plain" data-print>{{ Text::of('bench.index.print') }}</button>
        </p>
    </div>
    @if ($rows === [])
        <p class="prose pb-6">{!! Text::html('bench.index.there_are_no_groups_yet_add', ['challenge' => route('groups.index', $challenge)]) !!}</p>
    @else
        <div class="scroll-x" tabindex="0" role="region" aria-label="{{ Text::of('bench.index.forces_of_every_car') }}" data-part="bench">
            <table class="figures-table bench-table">
                <thead>
                    <tr><th scope="col">{{ Text::of('bench.index.car') }}</th><th scope="col">
                            {!! Text::html('bench.index.friction_f_0_to', ['most_friction' => number_format($mostFriction, 2)]) !!}
                        </th><th scope="col" class="num">f</th><th scope="col">
                            {!! Text::html('bench.index.first_push_0_to_mn', ['most_thrust' => number_format(1000 * $mostThrust)]) !!}
                        </th><th scope="col" class="num">{{ Text::of('bench.index.mn') }}</th>
                        <th scope="col" class="num">{{ Text::of('bench.index.one_more_try', ['unit' => $units->symbol(Scale::Distance)]) }}</th>
                        <th scope="col" class="no-print"><span class="sr-only">{{ Text::of('bench.index.measure') }}</span>
                        </th></tr>
                </thead>
                <tbody>
                    @foreach ($rows as [$group, $car, $own])
                        <tr>
                            <th scope="row" class="whitespace-nowrap"><span class="with-mark">{{ Glyph::of($group->mark) }}<a
                                class="max-w-60 truncate"
                                href="{{ route('bench.edit',
                                    ['challenge' => $challenge, 'group' => $group,
                                    'version' => $car?->version]) }}"><bdi>{{ $group->name }}</bdi></a>@if ($group->cars->count() > 1)<span
                                    class="small whitespace-nowrap">{{ Text::of('bench.index.version',
                                    ['version' => $car->version]) }}</span>@endif</span>
                            </th>
                            @if ($own === null)
                                <td colspan="5" class="small">
                                    {{ isset($forces->beyond[$car->id ?? 0])
                                        ? \App\Pages\Findings\ModelWords::beyond($forces->beyond[$car->id], $units)
                                        : Text::of('bench.index.nothing_recorded_of_its_car_yet') }}
                                </td>
                            @else
                                <td>
                                    <x-interval-bar
                                        :max="$mostFriction" :estimated="$own->modelFriction"
                                        :measured="$own->frictionIsMeasured() ? $own->friction : null"
                                        :said="'f ' . number_format($forces->frictionOf($car) ?? 0, 3) . ', ' . $words->origin($own->frictionFrom)"
                                        />
                                </td>
                                <td class="num">{{ $own->frictionIsMeasured() ? $words->friction($own->friction)
                                    : '≈ ' . number_format($forces->frictionOf($car) ?? 0, 3) }}<span
                                    class="origin">{{ $words->briefly($own->frictionFrom) }}</span></td>
                                <td>
                                    <x-interval-bar
                                        :max="$mostThrust" :estimated="$own->modelThrust"
                                        :measured="$own->thrustIsMeasured() ? $own->thrust : null"
                                        :said="Text::of('bench.index.push', ['thrust' => $words->thrust($own->thrust), 'thrust_from' =>
                                        $words->origin($own->thrustFrom)])"
                                        />
                                </td>
                                <td class="num">{{ number_format(1000 * $own->thrust->value) }} ±
                                {{ number_format(1000 * ($own->thrust->interval()->high - $own->thrust->value)) }}<span
                                    class="origin">{{ $words->briefly($own->thrustIsMeasured() ? $own->thrustFrom : []) }}</span>
                                </td>
                                <td class="num whitespace-nowrap">{{ ($forecast = $forces->forecast($car)) === null ? '–' : $say->figures($forecast) }}</td>
                            @endif
                            <td class="no-print">
                                <a
                                    class="button"
                                    href="{{ route('bench.edit',
                                        ['challenge' => $challenge, 'group' => $group,
                                        'version' => $car?->version]) }}">{!! Text::html('bench.index.measure_2',
                                        ['group' => $group->name]) !!}</a>
                            </td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <p class="small mt-2">{!! Text::html('bench.index.bars_are_95_intervals_measured_from') !!}</p>
    @endif
    <section id="pump" class="form-part mt-6 no-print" aria-labelledby="pump-title">
        <h2 id="pump-title">{{ Text::of('bench.index.the_classs_pump') }}</h2>
        <form method="post" action="{{ route('bench.pump', $challenge) }}">
            @csrf @method('put')<x-sent-with :units="$challenge->units" />
            <p class="prose small mb-3">{{ Text::of('bench.index.pump_a_balloon_like_the_classs') }}</p>
            <x-errors />
            <div class="choices grid-cols-[repeat(2,minmax(0,12rem))] mb-3">
                @foreach ([[SizeMeasure::Diameter, Text::of('bench.across')], [SizeMeasure::Circumference, Text::of('bench.around')]] as [$measure, $said])
                    <x-choice
                        name="measured_as" :value="$measure->value"
                        :checked="old('measured_as', $pumped->first()?->measured_as->value ?? 'diameter') === $measure->value">
                        {{ Text::of('bench.index.measured', ['said' => $said]) }}</x-choice>
                @endforeach
            </div>
            <div class="form-grid narrow">
                @for ($row = 0; $row < max(4, $pumped->count() + 1); $row++)
                    <div class="repeat">
                        <div class="field"><label for="pump-{{ $row }}-s">{{ Text::of('bench.index.after_strokes') }}
                            </label>
                            <input
                                id="pump-{{ $row }}-s" class="input num" name="strokes_{{ $row }}" inputmode="numeric"
                                autocomplete="off" value="{{ old("strokes_{$row}", $pumped->get($row)?->strokes ?? '') }}"
                                @error("strokes_{$row}") aria-invalid="true" @enderror>
                        </div>
                        <div class="field"><label for="pump-{{ $row }}-d">{{ Text::of('bench.index.size') }}</label>
                            <div class="unit-in">
                                <input
                                    id="pump-{{ $row }}-d" class="input num" name="size_{{ $row }}" inputmode="decimal"
                                    autocomplete="off" value="{{ old("size_{$row}", $pumped->get($row)?->size->text ?? '') }}"
                                    @error("size_{$row}") aria-invalid="true" @enderror>
                                <span class="unit" aria-hidden="true">{{ $units->symbol(Scale::Body) }}</span></div></div>
                        @foreach (["strokes_{$row}", "size_{$row}"] as $key)@error($key)<p class="error wide">{{ $message }}</p>@enderror @endforeach
                    </div>
                @endfor
            </div>
            @if ($forces->pump !== null)
                <p class="mt-3"><strong>{{ Text::of('bench.index.a_stroke_holds') }}</strong>
                <span class="num">{{ Text::of('bench.index.ml',
                    ['stroke_m3' => number_format(1e6 * $forces->pump->strokeM3)]) }}</span>@if ($forces->pump->strokeIntervalM3 !== null)
                <span class="small">{{ Text::of('bench.index.to_at_95_readings', [
                    'low' => number_format(1e6 * $forces->pump->strokeIntervalM3->low),
                    'high' => number_format(1e6 * $forces->pump->strokeIntervalM3->high),
                    'readings' => $forces->pump->readings,
                ]) }}</span>@endif{{ Text::of('bench.index.ten_strokes_make_twenty', [
                    'ten' => $units->show($forces->pump->diameterM(10), Scale::Body),
                    'twenty' => $units->show($forces->pump->diameterM(20), Scale::Body),
                ]) }}
                </p>
            @elseif ($pumped->count() > 0)
                <p class="mt-3 small">{{ Text::of('bench.index.it_takes_two_different_numbers_of') }}</p>
            @endif
            <p class="mt-3"><button class="button">{{ Text::of('bench.index.save_the_pump') }}</button></p>
        </form>
    </section>
</x-layout>
