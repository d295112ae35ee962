<?php

declare(strict_types=1);

namespace App\Pages\Check;

use App\Language\ForecastWords;
use App\Language\Label;
use App\Language\Lists;
use App\Language\Sentence;
use App\Language\Text;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Force;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Statistics\Estimate;

/** The bench in words: how each test is done, what it gave, and what it stands for. */
final readonly class BenchWords
{
    /** Standard acceleration of free fall (m/s², ISO 80000-3). */
    private const GRAVITY = 9.80665;

    /** Below the first share of its weight it takes little to keep a car rolling, above the second a lot. From memory. */
    private const LITTLE = 0.05;
    private const A_LOT = 0.1;

    public function __construct(private UnitSystem $units) {}

    /** As in "11 g: a lot", of what perCar() says. */
    public function rolling(float $friction): string
    {
        return Text::of('check.measure.pull', [
            'pull' => $this->pull($friction),
            'much' => Text::of(match (true) {
                $friction > self::A_LOT => 'check.measure.a_lot',
                $friction < self::LITTLE => 'check.measure.little',
                default => 'check.measure.usual',
            }),
        ]);
    }

    /** What keeps so much of a car rolling as perCar() says. */
    public function pull(float $friction): string
    {
        return $this->units === UnitSystem::Metric
            ? number_format(100 * $friction) . "\u{00A0}g"
            : number_format(10 * $friction, 1) . "\u{00A0}oz";
    }

    public function perCar(): string
    {
        return Text::of($this->units === UnitSystem::Metric ? 'check.measure.per_car_g' : 'check.measure.per_car_oz');
    }

    /** What measuring its friction would make of the forecast; null where that is not known, or hardly anything. */
    public function gain(?Forecast $now, ?Forecast $once): ?string
    {
        $say = new ForecastWords($this->units);

        return $now === null || $once === null || !$once->saysWhere() || !$once->isNarrowerThan($now) ? null : Text::of(
            $now->saysWhere() ? 'check.measure.gain' : 'check.measure.first_forecast',
            ['now' => $say->band($now), 'then' => $say->band($once)],
        );
    }

    /** The first push as a scale shows it: as measured, or about what its parts give. */
    public function push(Forces $forces): string
    {
        $push = $this->pushOnScale($forces);

        return $forces->thrustIsMeasured() ? $push : Text::of('check.measure.push_of_parts', ['push' => $push]);
    }

    public function pushOnScale(Forces $forces): string
    {
        return $this->units->show($forces->thrust->value / self::GRAVITY, Scale::Weight);
    }

    /** @return list<string> how it is done, step by step */
    public function steps(BenchTest $test, EnergySource $source): array
    {
        return match ($test) {
            BenchTest::Ramp => [
                Text::of('bench.bench_words.prop_up_a_board_and_let', ['undriven' => self::undriven($source)]),
                Text::of('bench.bench_words.hold_the_car_on_the_board'),
                Text::of('bench.bench_words.measure_from_below_the_release_point'),
                Text::of('bench.bench_words.three_times_from_the_same_height'),
            ],
            BenchTest::Tilt => [
                Text::of('bench.bench_words.stand_the_car_on_a_board'), Text::of('bench.bench_words.measure_how_far_the_end_is'),
            ],
            BenchTest::Pull => [
                Text::of('bench.bench_words.hook_a_light_thread_to_the'), Text::of('bench.bench_words.read_the_scale_while_the_car'),
            ],
            BenchTest::CoastDown => [
                Text::of('bench.bench_words.two_marks_on_the_floor_push', ['undriven' => self::undriven($source)]),
                Text::of('bench.bench_words.time_it_from_mark_to_mark'),
                Text::of('bench.bench_words.measure_from_the_second_mark_to'),
            ],
            BenchTest::StaticThrust => [
                Text::of('bench.bench_words.stand_a_kitchen_scale_on_its'),
                Text::of('bench.bench_words.fill_the_balloon_to_its_running'),
                Text::of('bench.bench_words.read_the_highest_steady_value_within'),
            ],
            BenchTest::FirstStretch => [
                Text::of('bench.bench_words.mark_a_short_stretch_from_the'), Text::of('bench.bench_words.time_it_from_release_to_the'),
            ],
            BenchTest::Pressure => [
                Text::of('bench.bench_words.a_clear_hose_bent_to_a'), Text::of('bench.bench_words.measure_how_much_higher_the_water'),
            ],
            BenchTest::LoadShare => [
                Text::of('bench.bench_words.stand_only_the_driven_axle'), Text::of('bench.bench_words.then_the_other_axle'),
            ],
            BenchTest::Grip => [
                Text::of('bench.bench_words.hold_the_driven_wheels'), Text::of('bench.bench_words.pull_until_it_gives_way'),
                Text::of('bench.bench_words.go_on_pulling'),
            ],
            BenchTest::BandPull => [
                Text::of('bench.bench_words.unhook_the_band_and_hook_a_scale'), Text::of('bench.bench_words.wind_and_read'),
                Text::of('bench.bench_words.let_it_back_and_read'), Text::of('bench.bench_words.at_three_turns_or_more'),
            ],
            BenchTest::Spin => [Text::of('bench.bench_words.lift_the_car_flick_the_wheel')],
        };
    }

    /** So that nothing drives the car while its friction is measured. */
    private static function undriven(EnergySource $source): string
    {
        return match (true) {
            $source->winds() => Text::of('bench.bench_words.band_off_its_axle'),
            $source->blows() => Text::of('bench.bench_words.balloon_empty_on_the_car'),
            default => Text::of('bench.bench_words.as_it_runs'),
        };
    }

    public function gives(BenchTest $test): string
    {
        return match ($test->measures()) {
            Force::Friction => Text::of('bench.bench_words.gives_the_friction_f_in_the'),
            Force::Thrust => Text::of('bench.bench_words.gives_the_first_push_in_the'),
            Force::Pressure => Text::of('bench.bench_words.gives_this_balloons_pressure_in_the'),
            Force::LoadShare => Text::of('bench.bench_words.gives_the_load_share'),
            Force::Grip => Text::of('bench.bench_words.gives_the_grip'),
            Force::Pull => Text::of('bench.bench_words.gives_the_bands_pull'),
            null => Text::of('bench.bench_words.compares_wheels_before_and_after_a'),
        };
    }

    /** A result with half its 95 % interval, as in 0.098 ± 0.012. */
    public function result(BenchTest $test, Estimate $estimate): string
    {
        return match ($test->measures()) {
            Force::Friction => 'f = ' . self::withHalf($estimate, 3),
            Force::Thrust => $this->thrust($estimate),
            Force::Pressure => Text::of(
                'bench.bench_words.times_the_usual_balloons_pressure',
                ['estimate' => self::withHalf($estimate, 2)],
            ),
            Force::LoadShare => Text::of('bench.bench_words.of_the_weight', ['estimate' => self::withHalf($estimate->times(100.0), 0)]),
            Force::Grip => 'μ = ' . self::withHalf($estimate, 2),
            Force::Pull => Text::of('bench.bench_words.times_the_usual_bands_pull', ['estimate' => self::withHalf($estimate, 2)]),
            null => self::withHalf($estimate, 1) . "\u{00A0}s",
        };
    }

    public function friction(Estimate $estimate): string
    {
        return self::withHalf($estimate, 3);
    }

    /** In mN, with what a scale would show. */
    public function thrust(Estimate $estimate): string
    {
        return Text::of(
            'bench.bench_words.mn_as_of_on_a_scale',
            [
                'times' => self::withHalf($estimate->times(1000.0), 0), 'estimate' => $this->units->show(
                    $estimate->value / self::GRAVITY,
                    Scale::Weight,
                ),
            ],
        );
    }

    /** @param list<BenchTest> $tests */
    public function origin(array $tests): string
    {
        return $tests === []
            ? Text::of('bench.bench_words.estimated_from_the_parts')
            : Text::of(
                'bench.bench_words.measured',
                ['tests' => Lists::and(array_map(static fn(BenchTest $test): string => Label::inside($test), $tests), 9)],
            );
    }

    /**
     * The same in two words, for a table.
     *
     * @param list<BenchTest> $tests
     */
    public function briefly(array $tests): string
    {
        return $tests === []
            ? Text::of('bench.bench_words.from_the_parts')
            : Text::of(
                'bench.bench_words.by',
                ['tests' => Lists::and(array_map(static fn(BenchTest $test): string => Label::inside($test), $tests), 2)],
            );
    }

    /** How measured forces compare with what the model has from the parts. */
    public function againstModel(Forces $forces): ?Sentence
    {
        if ($forces->isBeyondModel) {
            return new Sentence(
                Text::of('bench.bench_words.the_push_on_the_scale_is'),
                Text::of('bench.bench_words.no_pressure_that_a_balloon_bears'),
            );
        }
        $said = [];
        if ($forces->frictionIsMeasured()) {
            $said[] = Text::of(
                'bench.bench_words.rolls_with_the_friction_that_its',
                ['friction' => self::times($forces->friction->value / $forces->modelFriction->value)],
            );
        }
        if ($forces->thrustIsMeasured()) {
            $said[] = Text::of(
                $forces->model->source()->winds()
                    ? 'bench.bench_words.is_pushed_by_what_a_usual_band'
                    : 'bench.bench_words.is_pushed_by_what_a_usual',
                ['thrust' => self::times($forces->thrust->value / max(1e-9, $forces->modelThrust->value))],
            );
        }

        return $said === []
            ? null
            : new Sentence(
                Text::of('bench.bench_words.it', ['said' => Lists::and($said, 9)]),
                $forces->frictionIsHigh()
                    ? Text::of('bench.bench_words.glue_tape_on_an_axle_a')
                    : '',
            );
    }

    public static function times(float $ratio): string
    {
        return self::isAbout($ratio)
            ? Text::of('bench.bench_words.about')
            : Text::of('bench.bench_words.times', ['ratio' => number_format($ratio, 1)]);
    }

    /** Whether "1.0 times" would be said of it, or nearly. */
    public static function isAbout(float $ratio): bool
    {
        return $ratio > 0.93 && $ratio < 1.07;
    }

    private static function withHalf(Estimate $estimate, int $decimals): string
    {
        $half = $estimate->interval()->high - $estimate->value;

        return number_format($estimate->value, $decimals) . ' ± ' . number_format($half, $decimals);
    }
}
