<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Car\Part\PartTrait;
use Skivo\Core\Forecast\DistanceTable;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\Workmanship;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Physics\WheelMount;
use Skivo\Core\Simulation\BeyondModelException;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;
use Skivo\Core\Simulation\Regime;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Simulation\Sweep;

final class CarModelTest extends TestCase
{
    public function testARecordedCarBecomesModelInputAndSaysWhereEachValueIsFrom(): void
    {
        $length = static fn(string $value, Unit $unit): Entry => new Entry(Quantity::of($value, $unit), "{$value} {$unit->value}");
        $model = CarModel::of(
            new Car(
                [
                    CarAttribute::NozzleBore->value => $length('7', Unit::Millimetre),
                    CarAttribute::BalloonNominal->value => $length('9', Unit::Inch),
                    CarAttribute::BalloonSize->value => $length('60', Unit::Centimetre),
                    CarAttribute::Mass->value => $length('58', Unit::Gram),
                ],
                [CarAttribute::NozzleOutlets->value => 2],
                [
                    CarAttribute::NozzleKind->value => 'wide straw', CarAttribute::WheelKind->value => 'Caps',
                    CarAttribute::WheelMount->value => WheelMount::Spinning->value, CarAttribute::Chassis->value => 'driftwood',
                ],
                SizeMeasure::Circumference,
            ),
            Catalogue::standard(),
            'short carpet',
        );
        $settings = $model->settings;

        self::assertSame(0.007, $settings->get(CarAttribute::NozzleBore));
        self::assertSame(Origin::Measured, $model->origins['nozzle_bore']);
        self::assertSame(
            [0.15, Origin::Catalogue],
            [$settings->get(CarAttribute::NozzleLength), $model->origins['nozzle_length']],
            'of a wide straw',
        );
        self::assertEqualsWithDelta(0.6 / M_PI, $settings->get(CarAttribute::BalloonSize), 1e-12);
        self::assertSame(
            [0.05, Origin::Catalogue],
            [$settings->get(CarAttribute::BalloonRelaxed), $model->origins['balloon_relaxed']],
            'of a 9 in balloon',
        );
        self::assertSame(
            [0.03, Origin::Catalogue],
            [$settings->get(CarAttribute::WheelDiameter), $model->origins['wheel_diameter']],
            'of caps',
        );
        self::assertSame([1.0, Origin::Measured], [$settings->get(CarAttribute::WheelMount), $model->origins['wheel_mount']]);
        self::assertSame([0.04, Origin::Catalogue], [$settings->get(CarAttribute::SurfaceLoss), $model->origins['surface_loss']]);
        self::assertSame(Origin::Assumed, $model->origins['chassis_width'], 'nobody lists driftwood');
        self::assertSame(
            count(array_filter(CarAttribute::ofModel(), static fn(CarAttribute $each): bool => $each->belongsTo(EnergySource::Balloon))),
            $model->count(Origin::Measured) + $model->count(Origin::Catalogue) + $model->count(Origin::Assumed),
        );
    }

    public function testARecordedValueIsInTheSettingsAsItStandsOrNothingIsComputed(): void
    {
        $computed = $refused = 0;
        foreach (CarAttribute::recorded() as $attribute) {
            $ruler = $attribute->facts()->ruler;
            if ($ruler === null || !$attribute->isQuantity() || !$attribute->belongsTo(EnergySource::Balloon)) {
                continue;
            }
            [$least, $greatest] = $attribute->range();
            // From the least that a build sheet takes to the greatest, evenly in the logarithm.
            foreach (range(0, 24) as $step) {
                $value = $least <= 0.0 ? $greatest * $step / 24 : $least * ($greatest / $least) ** ($step / 24);
                $car = new Car([$attribute->value => new Entry($attribute->quantity($value), (string) $value)]);
                try {
                    $model = CarModel::of($car, Catalogue::standard());
                } catch (BeyondModelException $found) {
                    self::assertSame($value, $found->beyond[$attribute->value]->value, $attribute->value);
                    self::assertTrue(
                        $value < $found->beyond[$attribute->value]->least || $value > $found->beyond[$attribute->value]->greatest,
                        "{$attribute->value} {$value}",
                    );
                    $refused++;

                    continue;
                }
                self::assertSame($value, $model->settings->get($attribute), $attribute->value);
                $computed++;
            }
        }
        self::assertGreaterThan(100, $computed);
        self::assertGreaterThan(10, $refused);
    }

    public function testWhatLiesBeyondIsSaidWithTheRangeThatStopsIt(): void
    {
        // A bore of 0.6 mm, which the model does not have; a balloon 56 cm wide, more than its rubber bears, whatever balloons are made.
        foreach (['nozzle_bore' => [0.0006, 0.001], 'balloon_size' => [0.56, null]] as $key => [$value, $least]) {
            $attribute = CarAttribute::from($key);
            try {
                CarModel::of(
                    new Car([$key => new Entry($attribute->quantity($value), (string) $value)], balloonMeasuredAs: SizeMeasure::Diameter),
                    Catalogue::standard(),
                );
                self::fail('It was computed.');
            } catch (BeyondModelException $found) {
                self::assertSame([$key], array_keys($found->beyond));
                $least === null
                    ? self::assertLessThan($value, $found->beyond[$key]->greatest)
                    : self::assertSame($least, $found->beyond[$key]->least);
            }
        }
        // So many strokes of a usual pump would burst it: the pump is another, and how full it is nobody knows.
        $strokes = CarModel::of(
            new Car([], [CarAttribute::PumpStrokes->value => 300, CarAttribute::NozzleOutlets->value => 1]),
            Catalogue::standard(),
        );
        self::assertContains(CarAttribute::BalloonSize, $strokes->missing);
        // A leak that empties it at once, by the check.
        $leaks = CarModel::of(new Car(), Catalogue::standard());
        self::assertGreaterThan(0.0, $leaks->leaking(0.002)->settings->get(CarAttribute::Leak));
    }

    public function testPumpStrokesStandInForASizeThatWasNotTaken(): void
    {
        $few = CarModel::of(new Car([], [CarAttribute::PumpStrokes->value => 6]), Catalogue::standard());
        $many = CarModel::of(new Car([], [CarAttribute::PumpStrokes->value => 20]), Catalogue::standard());

        self::assertSame(Origin::Assumed, $few->origins['balloon_size']);
        self::assertGreaterThan($few->settings->get(CarAttribute::BalloonSize), $many->settings->get(CarAttribute::BalloonSize));
    }

    public function testSteppedTubesAreKnownByName(): void
    {
        $model = CarModel::of(new Car([], [], [CarAttribute::NozzleKind->value => 'Stepped tubes']), Catalogue::standard());

        self::assertSame(
            [0.012, 0.009, 0.006],
            array_map(static fn($tube): float => $tube->boreM, $model->settings->design()->nozzle->segments),
        );
    }

    public function testACarOfWhichNothingIsKnownStillRuns(): void
    {
        self::assertTrue(Simulator::run(CarModel::of(new Car(), Catalogue::standard())->settings->design())->moves);
    }

    public function testAnOwnPartTakesThePlaceOfTheListedOne(): void
    {
        $own = new Part(
            PartKind::Wheel,
            'Bottle caps',
            ['wheel_diameter' => 0.028, 'wheel_mass' => 0.002, 'wheel_inertia' => 0.7, 'wheel_loss' => 0.02],
            'your own',
        );
        $catalogue = Catalogue::standard()->with([$own]);

        self::assertSame(0.028, $catalogue->named(PartKind::Wheel, 'bottle caps')?->value(CarAttribute::WheelDiameter));
        self::assertCount(count(Catalogue::standard()->parts), $catalogue->parts);
        self::assertNull($catalogue->named(PartKind::Wheel, 'square ones'));
    }

    public function testEveryListedPartHasAllItsValuesWithinTheirRangesAndAnOrigin(): void
    {
        foreach (Catalogue::standard()->parts as $part) {
            self::assertNotSame('', $part->origin);
            foreach (CarAttribute::ofPart($part->kind) as $attribute) {
                $value = $part->find($attribute);
                self::assertTrue(
                    $value !== null
                        || in_array(
                            $attribute,
                            [...CarAttribute::bores(), CarAttribute::WheelBore, CarAttribute::NozzleOutside, CarAttribute::WiderOutside],
                            true,
                        ),
                    "{$part->name} {$attribute->value}",
                );
                self::assertNull($value === null ? null : $attribute->complaint($value), "{$part->name} {$attribute->value}");
            }
            self::assertSame(
                [],
                array_udiff(
                    $part->traits,
                    PartTrait::of($part->kind),
                    static fn(PartTrait $a, PartTrait $b): int => $a->value <=> $b->value,
                ),
            );
        }
    }

    public function testSettingsOutsideTheirRangeAreNamed(): void
    {
        $this->expectException(OutOfRangeException::class);
        $this->expectExceptionMessage('nozzle_bore must be from 0.001 to 0.1');

        Settings::of(['nozzle_bore' => 1.0]);
    }

    public function testABalloonIsNotFilledBeyondItsRubber(): void
    {
        $this->expectException(OutOfRangeException::class);
        $this->expectExceptionMessage('balloon_size');

        Settings::of(['balloon_relaxed' => 0.03, 'balloon_size' => 0.3]);
    }

    public function testFrictionFollowsThePartsUntilItIsMeasured(): void
    {
        $settings = Settings::of([]);

        self::assertLessThan($settings->rollingCoefficient(), $settings->with(CarAttribute::WheelDiameter, 0.06)->rollingCoefficient());
        self::assertSame(0.11, $settings->with(CarAttribute::RollingCoefficient, 0.11)->rollingCoefficient());
        self::assertGreaterThan(
            $settings->rollingCoefficient(),
            $settings->with(CarAttribute::WheelMount, 1.0)->rollingCoefficient(),
            'the axles rest on the bearings too',
        );
        // What hands add stays when the parts change, and says nothing beside a measured friction.
        $built = $settings->with(CarAttribute::Workmanship, 0.04);
        self::assertEqualsWithDelta(0.04, $built->rollingCoefficient() - $settings->rollingCoefficient(), 1e-12);
        self::assertEqualsWithDelta(
            0.04,
            $built->with(CarAttribute::WheelDiameter, 0.06)
                ->rollingCoefficient() - $settings
                ->with(CarAttribute::WheelDiameter, 0.06)
                ->rollingCoefficient(),
            1e-12,
        );
        self::assertSame(0.11, $built->with(CarAttribute::RollingCoefficient, 0.11)->rollingCoefficient());
    }

    /** Where turning begins the forecast is the state's own; a friction that is given leaves only the pressure open. */
    public function testAPredictionBeginsWithWhatIsKnownOfTheHands(): void
    {
        $state = (new Workmanship([]))->usual(0.08);
        $bare = Settings::of(['nozzle_bore' => 0.008]);
        $begun = Prediction::begin($bare, $state);
        self::assertEqualsWithDelta(0.03, $begun->get(CarAttribute::Workmanship), 0.004, 'the middle of what hands add, before any data');
        self::assertEqualsWithDelta(0.8, $begun->get(CarAttribute::BalloonPressure), 0.03);
        $prediction = Prediction::of($begun, $state);
        self::assertEquals($state->forecast(DistanceTable::of($bare, new KeptInMemory())), $prediction->forecast);
        self::assertTrue($prediction->forecast->band95->contains($prediction->run->distanceM));
        $given = Prediction::of($begun->with(CarAttribute::RollingCoefficient, $begun->rollingCoefficient()), $state);
        self::assertLessThan(
            $prediction->forecast->band95->high - $prediction->forecast->band95->low,
            $given->forecast->band95->high - $given->forecast->band95->low,
        );
        // Better hands, and a better balloon, carry it farther.
        self::assertGreaterThan(
            $prediction->forecast->medianM,
            Prediction::of($begun->with(CarAttribute::Workmanship, 0.01), $state)->forecast->medianM,
        );
        self::assertGreaterThan(
            $prediction->forecast->medianM,
            Prediction::of($begun->with(CarAttribute::BalloonPressure, 1.1), $state)->forecast->medianM,
        );
    }

    public function testWhatTakesThePushDecidesTheRegime(): void
    {
        $state = (new Workmanship([]))->usual(0.08);
        $regime = static fn(array $values): Regime => Prediction::of(Settings::of($values), $state, false)->regime();
        self::assertSame(Regime::Rolling, $regime(['rolling_coefficient' => 0.1]));
        self::assertSame(Regime::Air, $regime(['rolling_coefficient' => 0.003, 'mass' => 0.02, 'balloon_size' => 0.3]));
        self::assertSame(Regime::DoesNotStart, $regime(['rolling_coefficient' => 0.4, 'mass' => 0.3]));
    }

    public function testASweepFindsWhatRunsFarthest(): void
    {
        $curve = Sweep::along(Settings::of(['rolling_coefficient' => 0.01]), CarAttribute::Mass);
        $best = array_reduce(
            $curve,
            static fn(?array $best, array $point): array => $best === null || $point[1] > $best[1] ? $point : $best,
        );

        self::assertCount(40, $curve);
        self::assertGreaterThan($curve[0][0], $best[0], 'not the lightest');
        self::assertLessThan(0.1, $best[0]);
        self::assertEqualsWithDelta(
            Simulator::run(Settings::of(['rolling_coefficient' => 0.01, 'mass' => $curve[7][0]])->design())->distanceM,
            $curve[7][1],
            1e-3 * $curve[7][1],
        );
    }

    public function testASweepReachesBothEndsOfItsRange(): void
    {
        foreach (CarAttribute::swept() as $setting) {
            [$x, , $distances] = Sweep::across(Settings::of([]), $setting, CarAttribute::Mass);
            self::assertSame([$setting->ruler()->least, $setting->ruler()->greatest], [$x[0], $x[count($x) - 1]]);
            if ($setting !== CarAttribute::BalloonSize) {
                self::assertNotContains(-1.0, $distances, $setting->value);
            }
        }
    }

    public function testDesignsThatCannotBeAreLeftOutOfASweep(): void
    {
        self::assertLessThan(
            40,
            count(Sweep::along(Settings::of(['balloon_relaxed' => 0.04, 'balloon_size' => 0.2]), CarAttribute::BalloonSize)),
        );
        [, , $distances] = Sweep::across(
            Settings::of(['balloon_relaxed' => 0.04, 'balloon_size' => 0.2]),
            CarAttribute::BalloonSize,
            CarAttribute::Mass,
        );
        self::assertContains(-1.0, $distances);
    }

    public function testSensitivitiesAreSlopesOfLogarithms(): void
    {
        $settings = Settings::of(['rolling_coefficient' => 0.06]);
        $found = Sweep::sensitivities($settings, [CarAttribute::Mass, CarAttribute::NozzleAngle]);
        $distance = static fn(float $mass): float => Simulator::run($settings->with(CarAttribute::Mass, $mass)->design(), 1e-8)->distanceM;

        self::assertEqualsWithDelta(log($distance(0.0606) / $distance(0.0594)) / log(1.01 / 0.99), $found['mass'], 0.01);
        self::assertNull($found['nozzle_angle'], 'a percent of no angle is nothing');
    }
}
