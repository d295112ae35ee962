<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Challenge\Limits;
use Skivo\Core\Challenge\Plausibility;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Expected;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Side;
use Skivo\Core\Measurement\Temperature;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\Air;
use Skivo\Core\Physics\Balloon;
use Skivo\Core\Physics\Nozzle;
use Skivo\Core\Physics\Steering;
use Skivo\Core\Physics\Tube;
use Skivo\Core\Physics\Vehicle;
use Skivo\Core\Simulation\Design;
use Skivo\Core\Simulation\EnergyLedger;
use Skivo\Core\Simulation\Regime;

/** Each limit from both sides: what it takes, and what it does not. */
final class ThresholdsTest extends TestCase
{
    private const A_LITTLE = 1e-9;

    /** @return array<string, array{\Closure(float): mixed, float, float}> what is made of a value, and the range that it may lie in */
    public static function ranges(): array
    {
        $balloon = static fn(
            float $relaxed = 0.06,
            float $film = 2.5e-4,
            float $inflated = 0.2,
            float $modulus = 3e5,
            float $hardening = 0.1,
            float $drag = 0.47,
        ): Balloon
            => new Balloon($relaxed, $film, $inflated, 1, $modulus, $hardening, $drag);
        $tube = new Tube(0.006, 0.1);

        return [
            'relaxed diameter' => [
                static fn(float $m): Balloon => $balloon(relaxed: $m, inflated: min(max($m, 0.05), 7.9 * $m)), 0.01, 0.3,
            ],
            'film' => [static fn(float $m): Balloon => $balloon(film: $m), 5e-5, 2e-3],
            'filled diameter' => [static fn(float $m): Balloon => $balloon(inflated: $m), 0.06, 0.48],
            'filled diameter of a large balloon' => [static fn(float $m): Balloon => $balloon(relaxed: 0.1, inflated: $m), 0.1, 0.6],
            'modulus' => [static fn(float $pa): Balloon => $balloon(modulus: $pa), 1e4, 1e7],
            'hardening' => [static fn(float $k): Balloon => $balloon(hardening: $k), 0.0, 1.0],
            'drag coefficient' => [static fn(float $c): Balloon => $balloon(drag: $c), 0.0, 2.0],
            'bore' => [static fn(float $m): Nozzle => new Nozzle([new Tube($m, 0.1)]), 0.001, 0.1],
            'tube length' => [static fn(float $m): Nozzle => new Nozzle([new Tube(0.006, $m)]), 0.0, 2.0],
            'entry loss' => [static fn(float $k): Nozzle => new Nozzle([$tube], entryLoss: $k), 0.0, 2.0],
            'extra loss' => [static fn(float $k): Nozzle => new Nozzle([$tube], extraLoss: $k), 0.0, 100.0],
            'nozzle angle' => [static fn(float $deg): Nozzle => new Nozzle([$tube], angleDeg: $deg), -80.0, 80.0],
            'air temperature' => [static fn(float $c): Air => new Air($c), -30.0, 60.0],
            'air pressure' => [static fn(float $pa): Air => new Air(20.0, $pa), 50_000.0, 110_000.0],
            'humidity' => [static fn(float $share): Air => new Air(20.0, 101_325.0, $share), 0.0, 1.0],
            'mass' => [static fn(float $kg): Vehicle => new Vehicle($kg, 0.02), 0.001, 10.0],
            'rolling coefficient' => [static fn(float $f): Vehicle => new Vehicle(0.06, $f), 0.0005, 1.0],
            'wheels' => [static fn(float $kg): Vehicle => new Vehicle(0.06, 0.02, $kg), 0.0, 5.0],
            'breakaway' => [static fn(float $b): Vehicle => new Vehicle(0.06, 0.02, 0.0, $b), 1.0, 5.0],
            'body drag' => [static fn(float $a): Vehicle => new Vehicle(0.06, 0.02, 0.0, 1.0, $a), 0.0, 0.5],
            'start speed' => [
                static fn(float $v): Design => new Design($balloon(), new Nozzle([$tube]), new Vehicle(0.06, 0.02), new Air(), $v), 0.0,
                10.0,
            ],
            'chassis width' => [static fn(float $m): CutSizes => new CutSizes($m, 0.002), 0.005, 0.6],
            'wheel thickness' => [static fn(float $m): CutSizes => new CutSizes(0.075, $m), 0.0003, 0.1],
            'end play' => [static fn(float $m): CutSizes => new CutSizes(0.075, 0.002, $m), 0.0, 0.05],
            'overhang' => [static fn(float $m): CutSizes => new CutSizes(0.075, 0.002, 0.001, $m), 0.0, 0.1],
            'side gap' => [static fn(float $m): CutSizes => new CutSizes(0.075, 0.002, 0.001, 0.003, $m), 0.0, 0.1],
        ];
    }

    /** @param \Closure(float): mixed $make */
    #[DataProvider('ranges')]
    public function testARangeIsTakenUpToItsEndsAndNoFarther(\Closure $make, float $least, float $greatest): void
    {
        self::assertNotNull($make($least));
        self::assertNotNull($make($greatest));
        $width = $greatest - $least;
        foreach ([$least - self::A_LITTLE * $width, $greatest + self::A_LITTLE * $width, $greatest * 1.2 + 0.01] as $outside) {
            try {
                $make($outside);
                self::fail("{$outside} was taken.");
            } catch (OutOfRangeException) {
            }
        }
    }

    /** The values that the JSON of a design shows for what it may leave out. */
    public function testWhatADesignMayLeaveOut(): void
    {
        $said = new Design(
            new Balloon(0.06, 2.5e-4, 0.2, count: 1, modulusPa: 300_000.0, hardening: 0.1, dragCoefficient: 0.47),
            new Nozzle([new Tube(0.006, 0.1)], parallel: 1, entryLoss: 0.5, extraLoss: 0.0, angleDeg: 0.0),
            new Vehicle(0.06, 0.02, wheelEquivalentMassKg: 0.0, breakawayRatio: 1.0, bodyDragAreaM2: 0.0),
            new Air(temperatureC: 20.0, pressurePa: 101_325.0, relativeHumidity: 0.5),
            startSpeedMS: 0.0,
        );
        self::assertEquals($said, new Design(new Balloon(0.06, 2.5e-4, 0.2), new Nozzle([new Tube(0.006, 0.1)]), new Vehicle(0.06, 0.02)));
        self::assertEquals(new CutSizes(0.075, 0.002, endPlayM: 0.0015, overhangM: 0.003, sideGapM: 0.003), new CutSizes(0.075, 0.002));
    }

    public function testCountsOfTheModel(): void
    {
        $balloons = static fn(int $count): Balloon => new Balloon(0.06, 2.5e-4, 0.2, $count);
        $outlets = static fn(int $count): Nozzle => new Nozzle([new Tube(0.006, 0.1)], $count);
        $tubes = static fn(int $count): Nozzle => new Nozzle(array_fill(0, $count, new Tube(0.006, 0.1)));
        foreach ([[$balloons, 1, 8], [$outlets, 1, 20], [$tubes, 1, 6]] as [$make, $fewest, $most]) {
            self::assertNotNull($make($fewest));
            self::assertNotNull($make($most));
            foreach ([$fewest - 1, $most + 1] as $outside) {
                try {
                    $make($outside);
                    self::fail("{$outside} was taken.");
                } catch (OutOfRangeException) {
                }
            }
        }
    }

    /** @return array<string, array{\Closure(float): bool, float, bool}> whether it is fine, the limit, and whether it is fine above it */
    public static function limits(): array
    {
        $lane = static fn(bool $isLane): \Closure => static fn(float $m): bool => Limits::laneComplaint($m, $isLane) === null;
        $usual = static fn(bool $isLane): \Closure => static fn(float $m): bool => Limits::unusualLane($m, $isLane) === null;

        return [
            'longest distance' => [static fn(float $m): bool => Limits::distanceComplaint($m) === null, 100.0, false],
            'shortest time' => [static fn(float $s): bool => Limits::timeComplaint($s) === null, 0.05, true],
            'longest time' => [static fn(float $s): bool => Limits::timeComplaint($s) === null, 600.0, false],
            'heaviest load' => [static fn(float $kg): bool => Limits::loadComplaint($kg) === null, 20.0, false],
            'shortest lane' => [$lane(true), 0.5, true],
            'longest lane' => [$lane(true), 100.0, false],
            'shortest stretch' => [$lane(false), 0.1, true],
            'usual lane, from' => [$usual(true), 2.0, true],
            'usual lane, to' => [$usual(true), 30.0, false],
            'usual stretch, from' => [$usual(false), 0.5, true],
            'usual stretch, to' => [$usual(false), 20.0, false],
            'coldest room' => [
                static fn(float $c): bool => Temperature::read(number_format($c, 6, '.', ''), UnitSystem::Metric) !== null, -10.0, true,
            ],
            'warmest room' => [
                static fn(float $c): bool => Temperature::read(number_format($c, 6, '.', ''), UnitSystem::Metric) !== null, 45.0, false,
            ],
        ];
    }

    /** @param \Closure(float): bool $isFine */
    #[DataProvider('limits')]
    public function testALimitIsFineItselfAndWrongBeyond(\Closure $isFine, float $limit, bool $isFineAbove): void
    {
        $step = 1e-5 * max(1.0, abs($limit));
        self::assertTrue($isFine($limit));
        self::assertSame($isFineAbove, $isFine($limit + $step));
        self::assertSame(!$isFineAbove, $isFine($limit - $step));
    }

    /** What a bench test or a check takes for real: least, greatest, and how far a careful reading may be off (SI). */
    public function testWhatAReadingMayBe(): void
    {
        $said = [];
        foreach (BenchTest::cases() as $test) {
            foreach ($test->fields() as $field) {
                $said["{$test->value} {$field->key}"] = [$field->least, $field->greatest, $field->halfWidth];
                self::assertSame($field->halfWidth / sqrt(3.0), $field->uncertainty());
            }
        }
        self::assertSame([
            'ramp release_height' => [0.002, 2.0, 0.001], 'ramp roll_out' => [0.02, 40.0, 0.01],
            'tilt rise' => [0.001, 2.0, 0.002], 'tilt run' => [0.05, 10.0, 0.005],
            'pull pull' => [0.0001, 5.0, 0.0005],
            'coast-down between_marks' => [0.05, 10.0, 0.005], 'coast-down mark_to_mark' => [0.02, 300.0, 0.1],
            'coast-down mark_to_stop' => [0.0, 40.0, 0.01],
            'static-thrust scale_reading' => [0.0001, 5.0, 0.0005],
            'first-stretch stretch' => [0.05, 5.0, 0.005], 'first-stretch from_release' => [0.02, 300.0, 0.1],
            'pressure water' => [0.005, 3.0, 0.002], 'pressure balloon_diameter' => [0.03, 0.6, 0.003],
            'load-share on_driven_axle' => [0.0005, 10.0, 0.0005], 'load-share on_other_axle' => [0.0, 10.0, 0.0005],
            'grip gives_way' => [0.0005, 10.0, 0.001], 'grip slides' => [0.0005, 10.0, 0.001],
            'band-pull turns' => [0.25, 500.0, 0.05], 'band-pull pull_winding' => [0.0005, 50.0, 0.002],
            'band-pull pull_back' => [0.0, 50.0, 0.002],
            'spin turns_for' => [0.02, 300.0, 0.1],
        ], $said);
        $greatest = array_map(
            static fn(CheckItem $item): float => $item->greatest(),
            [CheckItem::Spin, CheckItem::EndPlay, CheckItem::Wobble, CheckItem::Parallel, CheckItem::Drift, CheckItem::Airtight],
        );
        self::assertSame([600.0, 0.1, 0.1, 1.0, 20.0, 1.0], $greatest);
    }

    public function testWhatIsAskedAboutBeforeARunIsLogged(): void
    {
        // A lane of 8 m of which the first 2 m are timed, in a class whose cars go 4 m.
        $asks = static fn(RunRecord $run): array => array_map(
            static fn($remark): string => $remark->code,
            (new Plausibility(8.0, 2.0, new Expected(4.0, 0.5, 0.04)))->questions($run, Unit::Centimetre),
        );
        $run = static fn(
            string $distance,
            ?string $time = null,
            ?string $limp = null,
            ?string $total = null,
            ?string $drift = null,
        ): RunRecord
            => new RunRecord(
                self::length($distance),
                self::time($time),
                limp: self::length($limp),
                totalTime: self::time($total),
                drift: self::length($drift),
                side: $drift === null ? null : Side::Left,
            );

        self::assertSame([], $asks($run('10 m')), 'a lane has a run-out of a quarter of its length');
        self::assertSame(['distance' => 'run.question.beyond_lane'], $asks($run('10.01 m')));
        self::assertSame([], $asks($run('79 cm')), 'a fifth of what the class is used to: something happened to it');
        self::assertSame(['distance' => 'quantity.slip.less_meant'], $asks($run('78 cm')));
        self::assertSame(['distance' => 'quantity.slip.less_unit'], $asks($run('3 cm')));
        self::assertSame(['distance' => 'quantity.slip.less'], $asks($run('1 cm')), 'whatever was meant');
        self::assertSame([], (new Plausibility(8.0, 2.0, null))->questions($run('1 cm')));

        self::assertSame([], $asks($run('4 m', '0.25 s')), '8 m/s');
        self::assertSame(['time' => 'run.question.speed'], $asks($run('4 m', '0.24 s')));
        self::assertSame([], $asks($run('4 m', '100 s')), '2 cm/s');
        self::assertSame(['time' => 'run.question.speed'], $asks($run('4 m', '101 s')));
        self::assertSame([], $asks($run('196 cm', '1 s')), 'it stopped as good as at the end of the stretch');
        self::assertSame(['time' => 'run.question.stopped_before'], $asks($run('195 cm', '1 s')));

        $speeds = static fn(string $time): mixed => (
            new Plausibility(8.0, 2.0, null)
        )->questions($run('4 m', $time))['time']->values['speed'];
        self::assertSame(9.0, $speeds('0.22 s'), 'a fast one in whole metres a second');
        self::assertSame(0.019, $speeds('105.3 s'), 'a slow one in millimetres a second');

        self::assertSame([], $asks($run('4 m', limp: '4 m')));
        self::assertSame(['limp' => 'run.question.limp_beyond'], $asks($run('4 m', limp: '4.01 m')));
        self::assertSame([], $asks($run('4 m', '1 s', total: '1 s')));
        self::assertSame(['total_time' => 'run.question.total_shorter'], $asks($run('4 m', '1 s', total: '0.99 s')));
        self::assertSame([], $asks($run('4 m', total: '0.5 s')));
        self::assertSame(['total_time' => 'run.question.average_speed'], $asks($run('4 m', total: '0.49 s')));
        self::assertSame([], $asks($run('4 m', drift: '4 m')));
        self::assertSame(['drift' => 'run.question.strayed'], $asks($run('4 m', drift: '4.01 m')));
    }

    public function testTwoWhoTypedTheSameRun(): void
    {
        $alike = static fn(string $one, string $other): bool => (new RunRecord(self::length($one)))->mayBeSameRunAs(
            new RunRecord(self::length($other)),
        );

        self::assertTrue($alike('4 m', '3.81 m'), 'within 5 % of the greater');
        self::assertFalse($alike('4 m', '3.79 m'));
        self::assertTrue($alike('20 cm', '17.1 cm'), 'within 3 cm');
        self::assertFalse($alike('20 cm', '16.9 cm'));
        self::assertTrue($alike('3.81 m', '4 m'), 'whoever typed first');
    }

    public function testWhatHoldsACarBackMost(): void
    {
        $regime = static fn(float $rolling, float $drag, float $carriedOff = 0.0): Regime => Regime::of(
            new EnergyLedger(1.0, 0.1, $rolling, $drag, $carriedOff, 0.0),
        );

        self::assertSame(Regime::Rolling, $regime(6.0, 4.0));
        self::assertSame(Regime::Both, $regime(5.99, 4.01));
        self::assertSame(Regime::Both, $regime(4.01, 5.99));
        self::assertSame(Regime::Air, $regime(4.0, 6.0));
        self::assertSame(
            Regime::Air,
            $regime(4.0, 0.0, 6.0),
            'what the air takes that the balloon had carried along is lost to the air as well',
        );
        self::assertSame(Regime::DoesNotStart, $regime(0.0, 0.0));
    }

    public function testACircleNeedsADriftAndADistance(): void
    {
        self::assertEqualsWithDelta(2.5, Steering::ofDrift(1.0, Side::Left, 2.0, 0.1, 0.1)->radiusM, 1e-12);
        self::assertSame(0.5, Steering::ofDrift(0.5, Side::Left, 0.5, 0.1, 0.1)->radiusM);
        foreach ([[0.0, 2.0], [1.0, 0.0]] as [$drift, $distance]) {
            try {
                Steering::ofDrift($drift, Side::Left, $distance, 0.1, 0.1);
                self::fail('A car that stayed on its line turns on no circle.');
            } catch (\DomainException) {
            }
        }
        $circle = Steering::ofDrift(1.0, Side::Left, 2.0, 0.1, 0.1);
        self::assertEqualsWithDelta(1.0, $circle->driftOver(2.0), 1e-12);
        self::assertSame($circle->radiusM, $circle->driftOver(3.0), 'it has turned a quarter and more');
    }

    private static function length(?string $typed): ?Entry
    {
        return $typed === null ? null : (new QuantityReader())->read($typed, Unit::Centimetre);
    }

    private static function time(?string $typed): ?Entry
    {
        return $typed === null ? null : (new QuantityReader())->read($typed, Unit::Second);
    }
}
