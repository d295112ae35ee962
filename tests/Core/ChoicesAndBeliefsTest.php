<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\BenchTest;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Findings\Belief;
use Skivo\Core\Findings\ByModel;
use Skivo\Core\Findings\Claims;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Findings\Difference;
use Skivo\Core\Findings\Effect;
use Skivo\Core\Findings\Question;
use Skivo\Core\Findings\Ruling;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Sample;

/** What may be set against distance, and what teachers say of it. */
final class ChoicesAndBeliefsTest extends TestCase
{
    public function testEveryFactorIsReadFromTheBuildSheet(): void
    {
        $entry = static fn(CarAttribute $choice, float $si): Entry => new Entry(Quantity::fromSi($si, $choice->dimension()), (string) $si);
        // Everything that may explain something, by what is true of it; where a number is looked at below, that one.
        $quantities = $counts = $kinds = [];
        foreach (CarAttribute::explaining() as $factor) {
            if ($factor->isKind()) {
                $kinds[$factor->value] = (string) ($factor->options()[0]->value ?? 'some');
            } elseif ($factor->isCount() || $factor->scale() === null) {
                $counts[$factor->value] = (int) ceil(max(1.0, $factor->range()[0]));
            } else {
                $quantities[$factor->value] = $entry($factor, array_sum($factor->facts()->usual ?? $factor->range()) / 2);
            }
        }
        $quantities[CarAttribute::NozzleBore->value] = $entry(CarAttribute::NozzleBore, 0.008);
        $quantities[CarAttribute::WiderBore->value] = $entry(CarAttribute::WiderBore, 0.0095);
        $quantities[CarAttribute::WidestBore->value] = $entry(CarAttribute::WidestBore, 0.0127);
        $quantities[CarAttribute::BalloonSize->value] = $entry(CarAttribute::BalloonSize, 0.628);
        $counts = [
            CarAttribute::NozzleOutlets->value => 3, CarAttribute::Balloons->value => 2, CarAttribute::NozzleAngle->value => 10,
        ] + $counts;
        $kinds = [CarAttribute::EnergySource->value => 'balloon', CarAttribute::Joint->value => 'tape'] + $kinds;
        $car = new Car($quantities, $counts, $kinds, SizeMeasure::Circumference);
        foreach (CarAttribute::explaining() as $factor) {
            $value = $car->explanation($factor);
            if (!$factor->belongsTo(EnergySource::Balloon)) {
                self::assertNull($value, $factor->value);
                continue;
            }
            self::assertNotNull($value, $factor->value);
            self::assertSame($factor->explainsAsNumber(), is_float($value), $factor->value);
            self::assertNull((new Car())->explanation($factor), 'of a car that has nothing on record');
        }
        self::assertEqualsWithDelta(0.628 / M_PI, $factor = $car->explanation(CarAttribute::BalloonSize), 1e-12, 'measured around');
        self::assertIsFloat($factor);
        self::assertEqualsWithDelta(3 * M_PI / 4 * 0.008 ** 2, $car->explanation(CarAttribute::OutletArea), 1e-15);
        self::assertSame(
            ['3', '2', 'tape', 10.0],
            [
                $car->explanation(CarAttribute::NozzleOutlets), $car->explanation(CarAttribute::Balloons),
                $car->explanation(CarAttribute::Joint), $car->explanation(CarAttribute::NozzleAngle),
            ],
        );
    }

    public function testSmallThingsAreComparedOnTheirOwnScale(): void
    {
        self::assertTrue(Difference::isSame(CarAttribute::EndPlay, 0.0010, 0.0013), 'nobody can tell a third of a millimetre');
        self::assertFalse(Difference::isSame(CarAttribute::EndPlay, 0.0010, 0.0020));
        self::assertTrue(Difference::isSame(CarAttribute::NozzleAngle, 0.0, 1.0));
        self::assertFalse(Difference::isSame(CarAttribute::NozzleAngle, 0.0, 10.0));
        self::assertFalse(Difference::isSame(CarAttribute::PumpStrokes, 10.0, 11.0), 'strokes are counted');
        self::assertTrue(Difference::isSame(CarAttribute::Chassis, 'Foam board ', 'foam board'));
        self::assertTrue(Difference::isSame(CarAttribute::Mass, null, null), 'on record for neither');
        self::assertFalse(Difference::isSame(CarAttribute::Mass, 0.05, null));
    }

    public function testCountedStrokesSpeakOfHowMuchAir(): void
    {
        $cars = [];
        foreach ([0, 1, 2, 3] as $pair) {
            foreach ([8 => 1.0, 14 => 1.5] as $strokes => $distance) {
                $mass = 0.06 + 0.0005 * $pair;
                $cars[] = new ComparedCar(
                    "{$pair}-{$strokes}",
                    "{$pair}-{$strokes}",
                    1,
                    new Car(
                        [
                            CarAttribute::Mass->value => new Entry(Quantity::fromSi($mass, Dimension::Mass), 'm'),
                            CarAttribute::NozzleBore->value => new Entry(Quantity::fromSi(0.006, Dimension::Length), 'b'),
                        ],
                        [CarAttribute::PumpStrokes->value => $strokes],
                        [CarAttribute::WheelKind->value => 'caps'],
                    ),
                    new Sample([$distance + $pair / 50, $distance + 0.02]),
                );
            }
        }
        $kept = new KeptInMemory();
        $model = new ByModel(ClassForecast::of([], Catalogue::standard(), null, null, null, $kept), $kept);
        $rulings = Ruling::all(
            $cars,
            $effects = Effect::all($cars),
            Claims::of($effects, new Question(CarAttribute::PumpStrokes), ['distance' => 1.25]),
            $model,
            null,
        );
        $air = array_values(array_filter($rulings, static fn(Ruling $ruling): bool => $ruling->belief === Belief::MoreAir))[0];
        self::assertTrue($air->isSupported);
        self::assertSame(CarAttribute::PumpStrokes, $air->effect?->factor);
        self::assertTrue($air->varies);
    }

    public function testEveryBeliefHasTwoSidesAndAnswersToItsFactor(): void
    {
        $codes = [];
        foreach (Belief::cases() as $belief) {
            self::assertContains($belief->factor(), $belief->factors());
            self::assertContains($belief->direction(), [-1, 0, 1]);
            foreach ($belief->outcomes() as $outcome) {
                $codes[] = $belief->code($outcome);
            }
        }
        self::assertSame($codes, array_unique($codes));
        self::assertContains('wider_nozzle_farther', $codes);
        self::assertContains('lighter_car_faster', $codes);
        self::assertContains('wide_track_straighter', $codes);
        self::assertContains('joint_matters', $codes);
    }

    public function testTheFirstPushOfADesignIsThatOfItsRun(): void
    {
        foreach (
            [
                [], ['outlets' => 3.0], ['balloons' => 2.0], ['wider' => 0.0095, 'widest' => 0.0127], ['angle' => 20.0],
                ['pressure' => 1.7],
            ] as $values
        ) {
            $design = Settings::of($values)->design();
            self::assertEqualsWithDelta(Simulator::run($design)->initialThrustN, $design->firstThrustN(), 1e-9);
        }
        self::assertSame(
            0.0,
            Settings::of(['balloon_size' => 0.08, 'balloon_relaxed' => 0.08])->design()->firstThrustN(),
            'an empty balloon pushes nothing',
        );
        $thrust = static fn(float $pressure): float => Settings::of(['balloon_pressure' => $pressure])->design()->firstThrustN();
        self::assertGreaterThan($thrust(1.0), $thrust(1.2));
        self::assertTrue(
            Simulator::run(Settings::of(['balloon_pressure' => 0.2])->design(1.0, 0.1))->distanceM >= 0.0,
            'whatever factors meet',
        );
    }

    /** @return iterable<string, array{BenchTest}> */
    public static function benchTests(): iterable
    {
        foreach (BenchTest::cases() as $test) {
            yield $test->value => [$test];
        }
    }

    #[DataProvider('benchTests')]
    public function testEveryReadingHasARangeAndAnErrorThatFitsIt(BenchTest $test): void
    {
        self::assertNotSame([], $test->fields());
        foreach ($test->fields() as $field) {
            self::assertLessThan($field->greatest, $field->least);
            self::assertGreaterThan(0.0, $field->halfWidth);
            self::assertLessThan($field->greatest, $field->halfWidth);
            self::assertEqualsWithDelta($field->halfWidth / sqrt(3.0), $field->uncertainty(), 1e-12);
            self::assertContains($field->dimension(), Dimension::cases());
        }
    }
}
