<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Catalogue;
use Skivo\Core\Car\Choice;
use Skivo\Core\Car\Part;
use Skivo\Core\Car\PartKind;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\OutOfRange;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;
use Skivo\Core\Simulation\Prediction;
use Skivo\Core\Simulation\Regime;
use Skivo\Core\Simulation\Setting;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Simulation\Sweep;

final class CarModelTest extends TestCase
{
    public function testARecordedCarBecomesModelInputAndSaysWhereEachValueIsFrom(): void
    {
        $length = static fn(string $value, Unit $unit): Entry => new Entry(Quantity::of($value, $unit), "{$value} {$unit->value}");
        $model = CarModel::of(new Car(
            [
                Choice::NozzleBore->value => $length('7', Unit::Millimetre),
                Choice::BalloonNominal->value => $length('9', Unit::Inch),
                Choice::BalloonSize->value => $length('60', Unit::Centimetre),
                Choice::Mass->value => $length('58', Unit::Gram),
            ],
            [Choice::NozzleOutlets->value => 2],
            [Choice::NozzleKind->value => 'wide straw', Choice::WheelKind->value => 'Caps', Choice::WheelMount->value => WheelMount::Spinning->value, Choice::Chassis->value => 'driftwood'],
            SizeMeasure::Circumference,
        ), Catalogue::standard(), 'short carpet');
        $settings = $model->settings;

        self::assertSame(0.007, $settings->get(Setting::Bore));
        self::assertSame(Origin::Measured, $model->origins['bore']);
        self::assertSame([0.15, Origin::Catalogue], [$settings->get(Setting::TubeLength), $model->origins['tube']], 'of a wide straw');
        self::assertEqualsWithDelta(0.6 / M_PI, $settings->get(Setting::BalloonSize), 1e-12);
        self::assertSame([0.05, Origin::Catalogue], [$settings->get(Setting::RelaxedDiameter), $model->origins['relaxed']], 'of a 9 in balloon');
        self::assertSame([0.03, Origin::Catalogue], [$settings->get(Setting::WheelDiameter), $model->origins['wheel']], 'of caps');
        self::assertSame([1.0, Origin::Measured], [$settings->get(Setting::SpinningWheels), $model->origins['spin']]);
        self::assertSame([0.04, Origin::Catalogue], [$settings->get(Setting::SurfaceLoss), $model->origins['surface']]);
        self::assertSame(Origin::Assumed, $model->origins['width'], 'nobody lists driftwood');
        self::assertSame(count(Setting::cases()), $model->count(Origin::Measured) + $model->count(Origin::Catalogue) + $model->count(Origin::Assumed));
    }

    public function testPumpStrokesStandInForASizeThatWasNotTaken(): void
    {
        $few = CarModel::of(new Car([], [Choice::PumpStrokes->value => 6]), Catalogue::standard());
        $many = CarModel::of(new Car([], [Choice::PumpStrokes->value => 20]), Catalogue::standard());

        self::assertSame(Origin::Assumed, $few->origins['size']);
        self::assertGreaterThan($few->settings->get(Setting::BalloonSize), $many->settings->get(Setting::BalloonSize));
    }

    public function testSteppedTubesAreKnownByName(): void
    {
        $model = CarModel::of(new Car([], [], [Choice::NozzleKind->value => 'Stepped tubes']), Catalogue::standard());

        self::assertSame([0.0127, 0.0095, 0.00635], array_map(static fn($tube): float => $tube->boreM, $model->settings->design()->nozzle->segments));
    }

    public function testACarOfWhichNothingIsKnownStillRuns(): void
    {
        self::assertTrue(Prediction::of(CarModel::of(new Car(), Catalogue::standard())->settings)->run->moves);
    }

    public function testAnOwnPartTakesThePlaceOfTheListedOne(): void
    {
        $own = new Part(PartKind::Wheel, 'Bottle caps', ['diameter_m' => 0.028, 'mass_kg' => 0.002, 'inertia_factor' => 0.7, 'rolling_loss' => 0.02], 'your own');
        $catalogue = Catalogue::standard()->with([$own]);

        self::assertSame(0.028, $catalogue->named(PartKind::Wheel, 'bottle caps')?->value('diameter_m'));
        self::assertCount(count(Catalogue::standard()->parts), $catalogue->parts);
        self::assertNull($catalogue->named(PartKind::Wheel, 'square ones'));
    }

    public function testEveryListedPartHasAllItsValuesWithinTheirRangesAndAnOrigin(): void
    {
        foreach (Catalogue::standard()->parts as $part) {
            self::assertNotSame('', $part->origin);
            foreach ($part->kind->fields() as $key => [, , $least, $greatest]) {
                self::assertGreaterThanOrEqual($least, $part->value($key), "{$part->name} {$key}");
                self::assertLessThanOrEqual($greatest, $part->value($key), "{$part->name} {$key}");
            }
        }
    }

    public function testSettingsOutsideTheirRangeAreNamed(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Nozzle bore must be from 0.001 to 0.1');

        Settings::of(['bore' => 1.0]);
    }

    public function testABalloonIsNotFilledBeyondItsRubber(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('Balloon, filled to');

        Settings::of(['relaxed' => 0.03, 'size' => 0.3]);
    }

    public function testFrictionFollowsThePartsUntilItIsMeasured(): void
    {
        $settings = Settings::of([]);

        self::assertLessThan($settings->rollingCoefficient(), $settings->with(Setting::WheelDiameter, 0.06)->rollingCoefficient());
        self::assertSame(0.11, $settings->with(Setting::MeasuredFriction, 0.11)->rollingCoefficient());
        self::assertGreaterThan($settings->rollingCoefficient(), $settings->with(Setting::SpinningWheels, 1.0)->rollingCoefficient(), 'the axles rest on the bearings too');
    }

    public function testTheBandHoldsThePredictionAndNarrowsWithAMeasuredFriction(): void
    {
        $estimated = Prediction::of(Settings::of([]));
        $measured = Prediction::of(Settings::of(['f' => $estimated->settings->rollingCoefficient()]));

        self::assertTrue($estimated->band->contains($estimated->run->distanceM));
        self::assertLessThan($estimated->band->high - $estimated->band->low, $measured->band->high - $measured->band->low);
    }

    public function testWhatTakesThePushDecidesTheRegime(): void
    {
        self::assertSame(Regime::Rolling, Prediction::of(Settings::of(['f' => 0.1]))->regime());
        self::assertSame(Regime::Air, Prediction::of(Settings::of(['f' => 0.003, 'mass' => 0.02, 'size' => 0.3]))->regime());
        self::assertSame(Regime::DoesNotStart, Prediction::of(Settings::of(['f' => 0.4, 'mass' => 0.3]))->regime());
    }

    public function testASweepFindsWhatRunsFarthest(): void
    {
        $curve = Sweep::along(Settings::of(['f' => 0.01]), Setting::Mass);
        $best = array_reduce($curve, static fn(?array $best, array $point): array => $best === null || $point[1] > $best[1] ? $point : $best);

        self::assertCount(40, $curve);
        self::assertGreaterThan($curve[0][0], $best[0], 'not the lightest');
        self::assertLessThan(0.1, $best[0]);
        self::assertEqualsWithDelta(Simulator::run(Settings::of(['f' => 0.01, 'mass' => $curve[7][0]])->design())->distanceM, $curve[7][1], 1e-3 * $curve[7][1]);
    }

    public function testASweepReachesBothEndsOfItsRange(): void
    {
        foreach (Setting::sweepable() as $setting) {
            [$x, , $distances] = Sweep::across(Settings::of([]), $setting, Setting::Mass);
            self::assertSame(array_slice($setting->range(), 0, 2), [$x[0], $x[count($x) - 1]]);
            if ($setting !== Setting::BalloonSize) {
                self::assertNotContains(-1.0, $distances, $setting->label());
            }
        }
    }

    public function testDesignsThatCannotBeAreLeftOutOfASweep(): void
    {
        self::assertLessThan(40, count(Sweep::along(Settings::of(['relaxed' => 0.04, 'size' => 0.2]), Setting::BalloonSize)));
        [, , $distances] = Sweep::across(Settings::of(['relaxed' => 0.04, 'size' => 0.2]), Setting::BalloonSize, Setting::Mass);
        self::assertContains(-1.0, $distances);
    }

    public function testSensitivitiesAreSlopesOfLogarithms(): void
    {
        $settings = Settings::of(['f' => 0.06]);
        $found = Sweep::sensitivities($settings, [Setting::Mass, Setting::Angle]);
        $distance = static fn(float $mass): float => Simulator::run($settings->with(Setting::Mass, $mass)->design(), 1e-8)->distanceM;

        self::assertEqualsWithDelta(log($distance(0.0606) / $distance(0.0594)) / log(1.01 / 0.99), $found['mass'], 0.01);
        self::assertNull($found['angle'], 'a percent of no angle is nothing');
    }
}
