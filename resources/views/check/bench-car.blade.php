@php
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
    [$first, $more] = collect(BenchTest::askedOf($source))->partition(fn (BenchTest $test): bool => $test->isUsual());
    $isMoreUsed = $more->contains(fn (BenchTest $test): bool => isset($readings[$test->value]) || $failed === $test->value);
@endphp
<x-layout :title="Text::of('bench.car.bench', ['group' => $group->name])" :challenge="$challenge" :record="$record" stage="check" :line="$challenge->question">
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
            href="{{ route('checks.index', $challenge) }}">{{ Text::of('bench.car.back_to_the_class') }}</a><button type="button"
            class="button plain" data-print>{{ Text::of('bench.car.print') }}</button>
        </p>
    </div>
    @if ($forces !== null)
        <dl class="answers bench-answers" data-part="forces">
            <div><dt>{{ Text::of('check.index.rolling') }}</dt><dd>{{ $words->pull($class->frictionOf($car) ?? 0.0) }}</dd>
                <dd class="small">{{ $words->perCar() }}; f {{ $forces->frictionIsMeasured() ? '= ' . $words->friction($forces->friction)
                    : '≈ ' . number_format($class->frictionOf($car) ?? 0, 3) }}, {{ $words->origin($forces->frictionFrom) }}{{ $forces->frictionIsMeasured()
                    ? Text::of('bench.car.the_parts_say', ['model_friction' => number_format($forces->modelFriction->value, 3)]) : '' }}
                </dd></div>
            @if ($source !== EnergySource::Ramp)<div>
                <dt>{{ Text::of($source->winds() ? 'bench.car.first_push_of_band' : 'bench.car.first_push') }}</dt><dd>{{ $words->pushOnScale($forces) }}</dd>
                <dd class="small">{{ Text::of('bench.car.mn', [
                        'thrust' => number_format(1000 * $forces->thrust->value),
                        'high' => number_format(1000 * ($forces->thrust->interval()->high - $forces->thrust->value)),
                    ]) }}, {{ $words->origin($forces->thrustFrom) }}{{ $forces->thrustIsMeasured()
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
        @foreach ($first as $test)@include('check.bench-test', ['isOpen' => $loop->first])@endforeach
    </ol>
    <details class="disclosure mt-4" @if ($isMoreUsed) open @endif>
        <summary>{{ Text::of('check.index.more_ways') }}</summary>
        <ol class="bench-tests">
            @foreach ($more as $test)@include('check.bench-test', ['isOpen' => false])@endforeach
        <li class="bench-test"><div class="bench-two"><span class="bench-name">{{ Text::of('bench.car.two_marks') }}</span>
        <span class="small">{{ Text::of('bench.car.where_the_push_ended') }}</span>
            </div></li>
        </ol>
    </details>
</x-layout>
