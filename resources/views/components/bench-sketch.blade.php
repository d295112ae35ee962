{{-- How a bench test is set up, to scale: 2 px a centimetre. --}}
@props(['test'])
@php
    use Skivo\Core\Bench\BenchTest;
    $floor = 118;
    $car = function (float $x, float $y, float $turn = 0): string {
        [$x, $y] = [round($x, 1), round($y, 1)];

        return <<<SVG
            <g transform="translate({$x} {$y}) rotate({$turn})"><rect class="card" x="-15" y="-8" width="30" height="3"/>
            <circle class="wheel" cx="-9" cy="-3.4" r="3.4"/><circle class="wheel" cx="9" cy="-3.4" r="3.4"/></g>
            SVG;
    };
@endphp
<svg
    {{ $attributes->class('drawing bench-sketch') }}
    viewBox="{{ match ($test) { BenchTest::Pressure => '0 8 420 130', BenchTest::Spin => '0 26 420 98', default => '0 44 420 106' } }}"
    role="img" aria-label="{{ Text::of('bench.bench_sketch.as_it_is_set_up', ['test' => Label::of($test)]) }}">
    @if ($test !== BenchTest::Pressure)<line class="ground" x1="4" x2="416" y1="{{ $floor }}" y2="{{ $floor }}" />@endif
    @switch($test)
        @case(BenchTest::Ramp)
            <path class="card" d="M20 {{ $floor - 30 }}L120 {{ $floor }}L120 {{ $floor - 3 }}L20 {{ $floor - 33 }}Z" />
            <rect class="tube" x="22" y="{{ $floor - 29 }}" width="16" height="29" />
            {!! $car(48, $floor - 24, 16.7) !!}{!! $car(340, $floor) !!}
            <g class="dimension"><line x1="8" x2="8" y1="{{ $floor - 24 }}" y2="{{ $floor }}" />
                <text x="14" y="{{ $floor - 48 }}">{{ Text::of('bench.bench_sketch.height') }}</text>
                <line x1="48" x2="340" y1="{{ $floor + 12 }}" y2="{{ $floor + 12 }}" />
                <text x="194" y="{{ $floor + 28 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.release_to_stop_level') }}</text>
            </g>
            @break
        @case(BenchTest::Tilt)
            <path class="card" d="M60 {{ $floor - 16 }}L300 {{ $floor }}L300 {{ $floor - 3 }}L60 {{ $floor - 19 }}Z" />
            <rect class="tube" x="62" y="{{ $floor - 15 }}" width="24" height="15" />
            {!! $car(160, $floor - 12, 3.8) !!}<path class="jet" d="M190 {{ $floor - 26 }}h40m-7 -4l7 4l-7 4" />
            <g class="dimension"><line x1="46" x2="46" y1="{{ $floor - 16 }}" y2="{{ $floor }}" />
                <text x="14" y="{{ $floor - 24 }}">{{ Text::of('bench.bench_sketch.rise') }}</text>
                <line x1="60" x2="300" y1="{{ $floor + 12 }}" y2="{{ $floor + 12 }}" />
                <text x="180" y="{{ $floor + 28 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.run') }}</text></g>
            @break
        @case(BenchTest::Pull)
            {!! $car(100, $floor) !!}<line class="tube" x1="116" x2="230" y1="{{ $floor - 7 }}" y2="{{ $floor - 7 }}" />
            <rect class="card" x="230" y="{{ $floor - 17 }}" width="64" height="20" rx="5" />
            <path class="jet" d="M304 {{ $floor - 7 }}h46m-7 -4l7 4l-7 4" />
            <text x="262" y="{{ $floor - 26 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.scale') }}</text><text x="168"
                y="{{ $floor - 16 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.thread_level') }}</text>
            @break
        @case(BenchTest::CoastDown)
            {!! $car(40, $floor) !!}{!! $car(360, $floor) !!}<path class="jet" d="M62 {{ $floor - 8 }}h34m-7 -4l7 4l-7 4" />
            <g class="dimension"><line x1="120" x2="120" y1="{{ $floor - 34 }}" y2="{{ $floor }}" />
                <line x1="220" x2="220" y1="{{ $floor - 34 }}" y2="{{ $floor }}" />
                <line x1="120" x2="220" y1="{{ $floor - 24 }}" y2="{{ $floor - 24 }}" />
                <text x="170" y="{{ $floor - 40 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.timed') }}</text>
                <line x1="220" x2="360" y1="{{ $floor + 12 }}" y2="{{ $floor + 12 }}" />
                <text x="290" y="{{ $floor + 28 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.second_mark_to_stop') }}</text>
            </g>
            @break
        @case(BenchTest::StaticThrust)
            <rect class="card" x="60" y="{{ $floor - 70 }}" width="12" height="70" />
            <rect class="tube" x="72" y="{{ $floor - 34 }}" width="8" height="34" />{!! $car(100, $floor) !!}
            <circle class="skin" cx="112" cy="{{ $floor - 34 }}" r="21" />
            <path class="jet" d="M138 {{ $floor - 22 }}h26m6 -6h22m-22 6h26m-32 6h20" />
            <text x="210" y="{{ $floor - 18 }}">{{ Text::of('bench.bench_sketch.jet') }}</text><text x="8"
                y="{{ $floor - 78 }}">{{ Text::of('bench.bench_sketch.wall') }}</text><text x="84"
                y="{{ $floor + 20 }}">{{ Text::of('bench.bench_sketch.scale_on_its_side_car_against') }}</text>
            @break
        @case(BenchTest::FirstStretch)
            <line class="start-line" x1="60" x2="60" y1="{{ $floor - 40 }}" y2="{{ $floor }}" />{!! $car(44, $floor) !!}
            <circle class="skin see-through" cx="38" cy="{{ $floor - 32 }}" r="21" />{!! $car(144, $floor) !!}
            <circle class="skin" cx="138" cy="{{ $floor - 28 }}" r="17" />
            <g class="dimension"><line x1="160" x2="160" y1="{{ $floor - 40 }}" y2="{{ $floor }}" />
                <line x1="60" x2="160" y1="{{ $floor + 12 }}" y2="{{ $floor + 12 }}" />
                <text x="110" y="{{ $floor + 28 }}" text-anchor="middle">{{ Text::of('bench.bench_sketch.stretch') }}</text></g>
            <text x="180" y="{{ $floor - 20 }}">{{ Text::of('bench.bench_sketch.timed_from_release') }}</text>
            @break
        @case(BenchTest::Pressure)
            <circle class="skin" cx="70" cy="60" r="40" /><path class="hose" d="M110 60H200V108a18 18 0 0 0 36 0V20" />
            <path class="water" d="M200 96V108a18 18 0 0 0 36 0V46" />
            <g class="dimension"><line x1="200" x2="270" y1="96" y2="96" />
                <line x1="236" x2="270" y1="46" y2="46" /><line x1="262" x2="262" y1="46" y2="96" /><text x="272"
                    y="76">{{ Text::of('bench.bench_sketch.difference') }}</text>
                <line x1="30" x2="110" y1="112" y2="112" /><text x="70" y="130" text-anchor="middle">{{ Text::of('bench.bench_sketch.diameter') }}</text>
            </g>
            @break
        @case(BenchTest::LoadShare)
            <rect class="tube" x="40" y="{{ $floor - 12 }}" width="46" height="12" /><rect class="card" x="108" y="{{ $floor - 12 }}" width="46" height="12" />
            {!! $car(100, $floor - 12) !!}
            <text x="40" y="{{ $floor + 18 }}">{{ Text::of('bench.bench_sketch.driven_axle_on_the_scale') }}</text>
            @break
        @case(BenchTest::Grip)
            {!! $car(100, $floor) !!}<path class="hose" d="M114 {{ $floor - 16 }}H230" />
            <rect class="tube" x="230" y="{{ $floor - 24 }}" width="40" height="16" />
            <path class="jet" d="M286 {{ $floor - 16 }}h40m-8 -5l8 5l-8 5" />
            <text x="20" y="{{ $floor + 20 }}">{{ Text::of('bench.bench_sketch.driven_wheels_held') }}</text>
            <text x="230" y="{{ $floor - 32 }}">{{ Text::of('bench.bench_sketch.scale') }}</text>
            @break
        @case(BenchTest::BandPull)
            {!! $car(100, $floor) !!}<path class="elastic" d="M66 {{ $floor - 10 }}L230 {{ $floor - 18 }}" />
            <rect class="tube" x="230" y="{{ $floor - 26 }}" width="40" height="16" />
            <path class="jet" d="M48 {{ $floor - 24 }}a18 18 0 0 0 -4 22m-6 -10l6 10l10 -4" />
            <text x="230" y="{{ $floor - 34 }}">{{ Text::of('bench.bench_sketch.scale') }}</text>
            <text x="20" y="{{ $floor + 20 }}">{{ Text::of('bench.bench_sketch.turn_and_count') }}</text>
            @break
        @case(BenchTest::Spin)
            <g transform="translate(120 66)"><rect class="card" x="-60" y="-20" width="120" height="8" />
                <circle class="wheel" cx="-36" cy="2" r="18" /><circle class="wheel" cx="36" cy="2" r="18" />
                <path class="jet" d="M8 -4a30 30 0 1 1 -2 24m10 2l-10 -2l-2 10" transform="translate(0 0)" /></g><text x="220"
                    y="70">{{ Text::of('bench.bench_sketch.flick_once_time_until_it_stands') }}</text>
            @break
    @endswitch
</svg>
