<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Bench\Circumstances;
use Skivo\Core\Bench\Force;
use Skivo\Core\Bench\Forces;
use Skivo\Core\Bench\Repeatability;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;
use Skivo\Core\Simulation\PumpCurve;
use Skivo\Core\Statistics\Estimate;
use Skivo\Core\Statistics\Propagation;
use Skivo\Core\Statistics\Sample;

/** Forces from measurements, each worked by hand. */
final class BenchForcesTest extends TestCase
{
    private const GRAVITY = 9.80665;

    /** @return iterable<string, array{BenchTest, list<float>, float}> */
    public static function worked(): iterable
    {
        yield 'rolls 2 m from 10 cm of height' => [BenchTest::Ramp, [0.1, 2.0], 0.05];
        yield 'keeps rolling at 3 cm in 60' => [BenchTest::Tilt, [0.03, 0.6], 0.05];
        yield 'is pulled by 3 g of its 60' => [BenchTest::Pull, [0.003], 0.05];
        yield 'pushes the scale by 6 g' => [BenchTest::StaticThrust, [0.006], 0.0588399];
        // a = 2·0.5/1² = 1 m/s²; 60 g with 1.1 times its inertia, and 0.04·0.06·9.80665 N of resistance
        yield 'half a metre in one second' => [BenchTest::FirstStretch, [0.5, 1.0], 0.066 + 0.04 * 0.06 * self::GRAVITY];
        // 25 cm of water is 2451.6625 Pa; the stand-in model has 2000 Pa
        yield '25 cm of water' => [BenchTest::Pressure, [0.25, 0.2], 1.22583125];
        yield 'turns for 6 s' => [BenchTest::Spin, [6.0], 6.0];
    }

    /** @param list<float> $reading */
    #[DataProvider('worked')]
    public function testEachTestGivesWhatItIsFor(BenchTest $test, array $reading, float $expected): void
    {
        self::assertEqualsWithDelta($expected, $test->value($reading, $this->car()), 1e-9 * max(1.0, $expected));
        self::assertCount(count($reading), $test->fields());
    }

    public function testACoastDownGivesBackTheFrictionThatMadeIt(): void
    {
        foreach ([[0.02, 0.5, 1.5], [0.1, 0.3, 0.4], [0.04, 1.0, 0.0]] as [$f, $gap, $rest]) {
            $a = $f * self::GRAVITY / 1.05;
            $time = (sqrt(2 * $a * ($gap + $rest)) - sqrt(2 * $a * $rest)) / $a;
            self::assertEqualsWithDelta($f, BenchTest::CoastDown->value([$gap, $time, $rest], $this->car()), 1e-12);
        }
    }

    public function testReadingErrorsArePropagatedAsByHand(): void
    {
        // Ramp: height ±1 mm and distance ±1 cm, each anywhere within: u = a/√3.
        $exact = new Repeatability(['ramp' => [0.0, 1e12]]);
        $result = BenchTest::Ramp->result([[0.1, 2.0]], $this->car(), $exact);
        $height = 0.001 / sqrt(3) / 2.0;
        $distance = 0.05 * 0.01 / sqrt(3) / 2.0;
        self::assertEqualsWithDelta(hypot($height, $distance), $result->standardUncertainty, 1e-8);
        // One reading of a kind that nobody repeated: 5 % besides, with four degrees of freedom, and never "± 1 %".
        $once = BenchTest::Ramp->result([[0.1, 2.0]], $this->car());
        self::assertEqualsWithDelta(hypot(0.05 * 0.05, $result->standardUncertainty), $once->standardUncertainty, 1e-8);
        self::assertEqualsWithDelta(4 * ($once->standardUncertainty / (0.05 * 0.05)) ** 4, $once->degreesOfFreedom, 1e-6);
        // Three repeats that happen to agree: a third of that in the square.
        $often = BenchTest::Ramp->result([[0.1, 2.0], [0.1, 2.0], [0.1, 2.0]], $this->car());
        self::assertEqualsWithDelta(hypot(0.05 * 0.05 / sqrt(3), $result->standardUncertainty), $often->standardUncertainty, 1e-8);
    }

    /** By hand: 4·0.05² and the squares of what repeats of the class differ by, over all degrees of freedom. */
    public function testRepeatsArePooledOverTheClass(): void
    {
        $model = CarModel::of(new Car(), Catalogue::standard());
        $readings = [
            ['ramp' => [[0.1, 1.8], [0.1, 2.2]]], ['ramp' => [[0.1, 1.0]]],
            ['ramp' => [[0.1, 1.0], [0.1, 1.0], [0.1, 1.0]], 'spin' => [[4.0], [6.0]]],
        ];
        $repeats = Repeatability::of(array_map(static fn(array $each): array => [$model, $each], $readings));
        $mean = (0.1 / 1.8 + 0.1 / 2.2) / 2;
        $squares = (0.1 / 1.8 / $mean - 1) ** 2 + (0.1 / 2.2 / $mean - 1) ** 2;
        self::assertEqualsWithDelta(sqrt((4 * 0.05 ** 2 + $squares) / 7), $repeats->relative(BenchTest::Ramp), 1e-12);
        self::assertSame(7.0, $repeats->degreesOfFreedom(BenchTest::Ramp));
        self::assertEqualsWithDelta(sqrt((4 * 0.05 ** 2 + 0.08) / 5), $repeats->relative(BenchTest::Spin), 1e-12);
        self::assertSame([0.05, 4.0], [$repeats->relative(BenchTest::Pull), $repeats->degreesOfFreedom(BenchTest::Pull)]);
    }

    public function testTheTemperaturesOfTheGuideToUncertainty(): void
    {
        // JCGM 100:2008, 4.4.3, table 1: twenty readings of a temperature (°C).
        $readings = [
            96.90, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42, 100.68, 100.95, 101.11, 101.20, 101.57,
            101.84, 102.36, 102.72,
        ];
        $sample = new Sample($readings);
        self::assertEqualsWithDelta(0.333, $sample->standardError(), 0.0005);
        $estimate = Estimate::ofRepeats($readings, (float) $sample->standardDeviation() / $sample->mean(), 19.0, 0.0);
        self::assertEqualsWithDelta(100.145, $estimate->value, 0.0005);
        self::assertEqualsWithDelta(0.333, $estimate->standardUncertainty, 0.0005);
        self::assertEqualsWithDelta(19.0, $estimate->degreesOfFreedom, 1e-9);
    }

    public function testThePropagationOfAProductIsTheSumOfRelativeSquares(): void
    {
        // GUM 5.1.6: for y = c·x₁^p₁·x₂^p₂ the relative variances add, times the squared powers.
        $u = Propagation::through(
            static fn(array $x): float => 3.0 * $x['a'] ** 2 / $x['b'],
            ['a' => 5.0, 'b' => 2.0],
            ['a' => 0.005, 'b' => 0.004],
        );
        self::assertEqualsWithDelta(37.5 * hypot(2 * 0.001, 0.002), $u, 1e-6);
    }

    public function testTestsOfOneThingAreWeighedAndWidenedWhereTheyDisagree(): void
    {
        $agree = Estimate::weighted([new Estimate(10.0, 1.0), new Estimate(11.0, 2.0)]);
        self::assertEqualsWithDelta(10.2, $agree->value, 1e-12);
        self::assertEqualsWithDelta(sqrt(0.8), $agree->standardUncertainty, 1e-12);
        $disagree = Estimate::weighted([new Estimate(10.0, 1.0), new Estimate(20.0, 1.0)]);
        // χ² = 2·5² = 50 on one degree of freedom.
        self::assertEqualsWithDelta(sqrt(50.0 / 2), $disagree->standardUncertainty, 1e-9);
        self::assertEqualsWithDelta(1.959964, (new Estimate(0.0, 1.0))->interval()->high, 1e-5);
    }

    public function testTheFreedomOfAWeightedMeanIsThatOfItsTests(): void
    {
        // GUM G.4 (Welch and Satterthwaite): weights of 0.8 and 0.2 of the whole, so 1/ν = 0.8²/5 + 0.2²/10.
        $weighted = Estimate::weighted([new Estimate(10.0, 1.0, 5.0), new Estimate(10.0, 2.0, 10.0)]);
        self::assertEqualsWithDelta(1.0 / 0.132, $weighted->degreesOfFreedom, 1e-9);
        self::assertInfinite(Estimate::weighted([new Estimate(10.0, 1.0), new Estimate(10.0, 2.0)])->degreesOfFreedom);
    }

    public function testMeasuredForcesTakeThePlaceOfAssumedOnes(): void
    {
        $model = CarModel::of($this->recorded(), Catalogue::standard());
        $parts = Forces::of($model, []);
        self::assertFalse($parts->frictionIsMeasured());
        self::assertFalse($parts->thrustIsMeasured());
        self::assertSame($parts->modelFriction->value, $parts->friction->value);
        // A quarter either way is what an estimate from parts may be off by.
        self::assertEqualsWithDelta(1.25 * $parts->friction->value, $parts->friction->interval()->high, 1e-4);

        $newtons = 1.3 * $parts->modelThrust->value;
        $measured = Forces::of(
            $model,
            ['ramp' => [[0.1, 1.0], [0.1, 1.02]], 'static-thrust' => [[$newtons / self::GRAVITY]], 'spin' => [[5.0], [6.0]]],
        );
        self::assertSame([BenchTest::Ramp], $measured->frictionFrom);
        self::assertEqualsWithDelta(0.099, $measured->friction->value, 0.0005);
        self::assertEqualsWithDelta($measured->friction->value, $measured->model->settings->rollingCoefficient(), 1e-12);
        self::assertSame(Origin::Measured, $measured->model->origins[CarAttribute::RollingCoefficient->value]);
        self::assertEqualsWithDelta($newtons, $measured->model->settings->design()->firstThrustN(), 1e-6 * $newtons);
        self::assertTrue($measured->thrustIsMeasured());
        self::assertArrayHasKey('spin', $measured->results);
    }

    /** Half as much again as the parts' own is what a careful build does not have. */
    public function testFrictionIsHighFromHalfAsMuchAgainOn(): void
    {
        $model = CarModel::of($this->recorded(), Catalogue::standard());
        $parts = Forces::of($model, []);
        self::assertFalse($parts->frictionIsHigh(), 'what is not measured is not high');
        foreach ([[1.45, false], [1.55, true]] as [$times, $isHigh]) {
            $pull = $times * $parts->friction->value * $model->settings->get(CarAttribute::Mass);
            self::assertSame($isHigh, Forces::of($model, ['pull' => [[$pull]]])->frictionIsHigh(), "{$times} times");
        }
    }

    public function testAWaterTubeScalesTheBalloonAndAThrustBeyondReasonIsFlagged(): void
    {
        $model = CarModel::of($this->recorded(), Catalogue::standard());
        $at = $model->settings->get(CarAttribute::BalloonSize);
        $pascals = 1.5 * $model->settings->design()->balloon->gaugePressurePa($at);
        $tube = Forces::of($model, ['pressure' => [[$pascals / 9806.65, $at]]]);
        self::assertEqualsWithDelta(1.5, $tube->model->settings->get(CarAttribute::BalloonPressure), 1e-9);
        self::assertTrue($tube->thrustIsMeasured());
        self::assertSame([BenchTest::Pressure], $tube->thrustFrom);

        $beyond = Forces::of($model, ['static-thrust' => [[2.0]]]);
        self::assertTrue($beyond->isBeyondModel);
        self::assertFalse($beyond->thrustIsMeasured());
        self::assertSame(1.0, $beyond->model->settings->get(CarAttribute::BalloonPressure));
    }

    public function testEveryForceHasATest(): void
    {
        foreach (Force::cases() as $force) {
            self::assertNotSame([], array_filter(BenchTest::cases(), static fn(BenchTest $test): bool => $test->measures() === $force));
        }
    }

    public function testPumpStrokesMakeALineOfVolumes(): void
    {
        // 0.3 litres a stroke on a balloon of 5 cm.
        $diameter = static fn(int $strokes): float => (6 / M_PI * (M_PI / 6 * 0.05 ** 3 + $strokes * 0.0003)) ** (1 / 3);
        $curve = PumpCurve::fit([[5, $diameter(5)], [10, $diameter(10)], [20, $diameter(20)]]);
        self::assertNotNull($curve);
        self::assertEqualsWithDelta(0.0003, $curve->strokeM3, 1e-12);
        self::assertEqualsWithDelta($diameter(14), $curve->diameterM(14), 1e-9);
        self::assertSame(3, $curve->readings);
        self::assertNull(PumpCurve::fit([[5, 0.1], [5, 0.11]]), 'one number of strokes makes no line');
        self::assertNull(PumpCurve::fit([[5, 0.2], [10, 0.1]]), 'more strokes can’t make it smaller');

        $car = new Car([], [CarAttribute::PumpStrokes->value => 14]);
        $size = static fn(?PumpCurve $pump): CarModel => CarModel::of($car, Catalogue::standard(), pump: $pump);
        self::assertEqualsWithDelta($diameter(14), $size($curve)->settings->get(CarAttribute::BalloonSize), 1e-9);
        self::assertSame(Origin::Measured, $size($curve)->origins[CarAttribute::BalloonSize->value]);
        self::assertSame(Origin::Assumed, $size(null)->origins[CarAttribute::BalloonSize->value]);
    }

    private function car(): Circumstances
    {
        return new Circumstances(
            0.06,
            0.0005,
            1.05,
            1.1,
            new Estimate(0.04, 0.005),
            static fn(float $diameter): float => 2000.0,
            0.6,
            static fn(float $turns): float => 0.1 * $turns,
        );
    }

    private function recorded(): Car
    {
        $entry = static fn(string $typed) => (new QuantityReader())->read($typed, Unit::Centimetre);

        return new Car([
            CarAttribute::Mass->value => (new QuantityReader())->read('60 g', Unit::Gram),
            CarAttribute::NozzleBore->value => $entry('0.8 cm'),
            CarAttribute::BalloonSize->value => $entry('20 cm'),
            CarAttribute::WheelDiameter->value => $entry('3.2 cm'),
        ]);
    }
}
