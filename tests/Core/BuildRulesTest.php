<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Change;
use Skivo\Core\Car\Geometry\Fault;
use Skivo\Core\Car\Geometry\Faults;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\MassSum;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Breach;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Rules;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Temperature;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\CutPlan;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;
use Skivo\Core\Session\Per;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\Origin;
use Skivo\Core\Simulation\Settings;
use Tests\BuildsCars;
use Tests\Spoken;

final class BuildRulesTest extends TestCase
{
    use BuildsCars;

    /** A car on which nothing is wrong, in mm and g. */
    private const SOUND = [
        'chassis_length' => 150, 'chassis_width' => 75, 'wheelbase' => 90, 'track' => 97, 'axle_diameter' => 3, 'axle_length' => 117,
        'bearing_bore' => 5, 'bearing_length' => 81, 'end_play' => 1.5, 'wheel_diameter' => 32, 'wheel_thickness' => 14,
        'balloon_size' => 180, 'nozzle_bore' => 6, 'nozzle_length' => 100, 'nozzle_overhang' => 30, 'joint_width' => 8, 'neck_width' => 15,
        'mass' => 60,
    ];

    /** @return iterable<string, array{array<string, float|int|string|null>, list<string>, list<string>}> what differs, the faults, words of the first */
    public static function faulty(): iterable
    {
        yield 'nothing' => [[], [], []];
        // A flush bearing is a note at most, and none where the track is known to keep the wheels off.
        yield 'bearing as wide as the chassis' => [
            ['bearing_length' => 75, 'track' => null], ['front-bearing-flush', 'rear-bearing-flush'], ['7.5', 'turn freely'],
        ];
        yield 'bearing as wide as the chassis, wheels clear' => [['bearing_length' => 75], [], []];
        yield 'hollow towards the car' => [
            ['wheel_hub' => 2, 'wheel_hollow' => 'inwards'], ['front-rims-rub', 'rear-rims-rub'], ["12\u{00A0}mm", 'outwards'],
        ];
        yield 'hollow away from the car' => [['wheel_hub' => 2, 'wheel_hollow' => 'outwards'], [], []];
        yield 'hollow towards the car, a bearing that stands out far enough' => [
            ['wheel_hub' => 2, 'wheel_hollow' => 'inwards', 'bearing_length' => 101, 'axle_length' => 110, 'track' => null], [], [],
        ];
        // A block 3 in wide, straws 3 in, axles 4 in, milk-jug caps with their hollow outwards (common practice, no source): it works.
        yield 'block, straws, axles and caps' => [
            [
                'chassis_width' => 76.2, 'bearing_length' => 76.2, 'axle_length' => 101.6, 'track' => null, 'end_play' => null,
                'wheel_kind' => 'milk-jug caps', 'wheel_hollow' => 'outwards',
            ],
            ['front-bearing-flush', 'rear-bearing-flush'], [],
        ];
        // So does an axle one inch longer than its straw.
        yield 'an inch longer than its straw' => [['axle_length' => 81 + 25.4, 'track' => null, 'wheel_kind' => 'bottle caps'], [], []];
        yield 'hub unknown' => [['axle_length' => 100], [], []];
        yield 'wheels rub' => [['track' => 88], ['front-wheels-rub', 'rear-wheels-rub'], ['7.4', '7.5']];
        yield 'wheels rub when the axle slides' => [
            ['track' => 90, 'end_play' => 4], ['front-wheels-rub', 'rear-wheels-rub'], ['slides', "0.5\u{00A0}mm"],
        ];
        yield 'only the rear ones' => [['rear_track' => 88], ['rear-wheels-rub'], ['rear wheels']];
        yield 'chassis wider than the track' => [
            ['chassis_width' => 100, 'bearing_length' => 106, 'wheel_hub' => 14],
            ['front-axle-too-short', 'rear-axle-too-short', 'front-track', 'rear-track'], [],
        ];
        yield 'axle too short' => [['axle_length' => 100, 'wheel_hub' => 14], ['front-axle-too-short', 'rear-axle-too-short'], ['10.9']];
        yield 'axle thicker than the bore' => [['axle_diameter' => 6], ['axle-too-thick'], ["6\u{00A0}mm", "5\u{00A0}mm"]];
        yield 'wheels meet' => [['wheelbase' => 30], ['wheels-meet'], ['Front and rear']];
        yield 'axles off the chassis' => [['wheelbase' => 160], ['off-the-chassis'], ["16\u{00A0}cm"]];
        yield 'balloon drags' => [
            ['balloon_size' => 260, 'nozzle_overhang' => 0, 'nozzle_length' => 180, 'nozzle_height' => 45], ['balloon-drags'], ['below'],
        ];
        yield 'joint wider than the neck' => [['joint_width' => 18], ['joint-too-wide'], ["18\u{00A0}mm", "15\u{00A0}mm"]];
        yield 'nozzle points forward' => [['nozzle_angle' => 180], ['points-forward'], ['forward']];
        yield 'nozzle points down' => [['nozzle_angle' => 90], ['points-forward'], ['straight up or down']];
        yield 'tubes in the wrong order' => [['wider_bore' => 5, 'nozzle_overhang' => 100], ['tubes-out-of-order'], ['wider']];
    }

    /**
     * @param array<string, float|int|string|null> $differently
     * @param list<string> $expected
     * @param list<string> $words
     */
    #[DataProvider('faulty')]
    public function testWhatCannotWorkIsFoundAndSaidWithItsFigures(array $differently, array $expected, array $words): void
    {
        $faults = (new Faults($this->car($differently + self::SOUND), Catalogue::standard()))->all();

        self::assertSame($expected, array_map(static fn(Fault $fault): string => $fault->key, $faults));
        foreach ($words as $word) {
            self::assertStringContainsString($word, Spoken::say($faults[0]->remark));
        }
    }

    public function testNothingIsHeldAgainstWhatIsNotRecorded(): void
    {
        self::assertSame([], (new Faults(new Car(), Catalogue::standard()))->all());
        // What a natural class types of its cars, whatever the kit's geometry would make of it: balloons far larger than wheels are high.
        foreach ([[160, 20], [200, 30], [260, 30], [280, 40]] as [$balloon, $wheel]) {
            foreach ([[], ['nozzle_angle' => 20], ['chassis_width' => 75], ['hook_offset' => 20]] as $more) {
                self::assertSame(
                    [],
                    (
                        new Faults(
                            $this->car($more + ['balloon_size' => $balloon, 'wheel_diameter' => $wheel, 'mass' => 80]),
                            Catalogue::standard(),
                        )
                    )->all(),
                );
            }
        }
        self::assertSame([], (new Faults($this->car(['axle_diameter' => 9]), Catalogue::standard()))->all());
    }

    /** By hand: wheels of 32 mm on a 5 mm bore, a 4 mm chassis: bearings 13.5 mm up, chassis from 18.5 to 22.5. */
    public function testTheLayoutStandsOnTheFloor(): void
    {
        $layout = Layout::of($this->car(['chassis_height' => 4] + self::SOUND), Catalogue::standard());

        self::assertEqualsWithDelta(0.0135, $layout->groundClearance(), 1e-12);
        self::assertEqualsWithDelta(0.0225, $layout->chassisTop(), 1e-12);
        self::assertEqualsWithDelta(0.030, $layout->axles->rear, 1e-12, 'the axles stand in the middle of the chassis');
        self::assertEqualsWithDelta(0.120, $layout->frontAxle(), 1e-12);
        self::assertEqualsWithDelta((0.097 - 0.014 - 0.075) / 2, $layout->frontGap(), 1e-12);
        // The tube is 10 cm, 3 of them behind: the neck is at 7 cm, the middle of the balloon 8.1 further, 0.1 beyond the end.
        [$x, $y] = $layout->balloonCentre();
        self::assertEqualsWithDelta(0.151, $x, 1e-12);
        self::assertEqualsWithDelta(0.0225 + sqrt(0.09 ** 2 - 0.001 ** 2), $y, 1e-12);
        self::assertEqualsWithDelta($y - 0.09, $layout->balloonClearance(), 1e-12);
    }

    public function testABalloonBeyondTheChassisHangsInLineWithItsTube(): void
    {
        $layout = Layout::of(
            $this->car(['nozzle_overhang' => 0, 'nozzle_length' => 200, 'nozzle_height' => 150] + self::SOUND),
            Catalogue::standard(),
        );

        self::assertEqualsWithDelta(0.15, $layout->balloonCentre()[1], 1e-12);
        $tilted = Layout::of(
            $this->car(['nozzle_overhang' => 0, 'nozzle_length' => 200, 'nozzle_height' => 150, 'nozzle_angle' => 30] + self::SOUND),
            Catalogue::standard(),
        );
        self::assertEqualsWithDelta(
            0.15 + 0.9 * 0.09 * 0.5,
            $tilted->balloonCentre()[1],
            1e-12,
            'a jet that points down lifts the balloon',
        );
    }

    public function testTheUsualDesignClearsFloorAndWheels(): void
    {
        $layout = Settings::of([])->layout();

        self::assertEqualsWithDelta($layout->balloonCentre()[1] - $layout->balloonDiameter / 2, $layout->balloonClearance(), 1e-12);
        self::assertGreaterThan(0.0, $layout->balloonClearance(), 'the usual design does not drag');
        self::assertGreaterThan(0.0, $layout->wheelClearance());
        self::assertLessThan(
            0.0,
            Settings::of(['wheel_diameter' => 0.15, 'balloon_size' => 0.3, 'nozzle_length' => 0.05])->layout()->wheelClearance(),
        );
    }

    public function testMassIsTheScalesOrTheSumOfItsParts(): void
    {
        $parts = ['chassis_mass' => 20, 'axle_mass' => 0.8, 'wheel_mass' => 2.5, 'balloon_mass' => 3, 'nozzle_mass' => 1];
        $sum = MassSum::of($this->car($parts));

        self::assertEqualsWithDelta(0.020 + 0.0016 + 0.010 + 0.003 + 0.001, (float) $sum->sumKg(), 1e-12);
        self::assertTrue($sum->isComplete());
        self::assertNull($sum->differenceKg());
        self::assertEqualsWithDelta(0.0356, (float) $sum->massKg(), 1e-12);
        self::assertEqualsWithDelta(0.0044, (float) MassSum::of($this->car(['mass' => 40] + $parts))->differenceKg(), 1e-12);
        $some = MassSum::of($this->car(['chassis_mass' => 20]));
        self::assertFalse($some->isComplete());
        self::assertNull($some->massKg());
        self::assertNull(MassSum::of(new Car())->sumKg());
    }

    public function testTheRunModelTakesWhatTheSheetHas(): void
    {
        $model = CarModel::of(
            $this->car(
                [
                    'chassis_mass' => 20, 'axle_mass' => 0.8, 'wheel_mass' => 2.5, 'balloon_mass' => 3, 'nozzle_mass' => 1,
                    'axle_diameter' => 2, 'balloons' => 2, 'nozzle_angle' => 10,
                ],
            ),
            Catalogue::standard(),
            null,
            30.0,
        );

        self::assertEqualsWithDelta(0.0386, $model->settings->get(CarAttribute::Mass), 1e-12, 'two balloons weigh twice');
        self::assertSame(
            [0.002, 2.0, 10.0, 30.0, 0.0025],
            array_map(
                $model->settings->get(...),
                [
                    CarAttribute::AxleDiameter, CarAttribute::Balloons, CarAttribute::NozzleAngle, CarAttribute::AirTemperature,
                    CarAttribute::WheelMass,
                ],
            ),
        );
        self::assertSame(Origin::Measured, $model->origins[CarAttribute::AxleDiameter->value]);
    }

    public function testRulesFindWhatBreaksThem(): void
    {
        $rules = new Rules([Step::Nozzle, Step::Mass], 1, 3, 0.080, 0.2, ['wheel' => ['bottle caps']]);
        $kit = (new Kit())->car(UnitSystem::Metric, new CutSizes(0.075, 0.014));
        $keys = fn(Car $car): array => array_map(static fn(Breach $breach): string => $breach->rule, $rules->breaches($car, $kit));

        self::assertSame([], $keys(new Car()));
        self::assertSame([], $keys($kit));
        self::assertSame([], $keys($this->car(['nozzle_bore' => 12, 'mass' => 70])), 'what is free may differ');
        self::assertSame([
            'balloons', 'straws', 'heaviest', 'longest', 'allowed-wheel', 'held-chassis_length', 'held-wheel_kind', 'held-wheel_diameter',
            'held-balloons',
        ], $keys(new Car(
            $this->car(['mass' => 90, 'chassis_length' => 250, 'wheel_diameter' => 60])->quantities,
            ['balloons' => 2, 'nozzle_outlets' => 4],
            ['nozzle_kind' => 'bundle of straws', 'bearing' => 'bamboo skewer in a plastic straw', 'wheel_kind' => 'Jar lids'],
        )));
        self::assertStringContainsString(
            '90 g',
            str_replace("\u{00A0}", ' ', Spoken::say($rules->breaches($this->car(['mass' => 90]), $kit)[0]->remark)),
        );
        self::assertTrue((new Rules())->isFreeDesign());
        self::assertNotContains(VoidReason::Pushed, (new Rules(pushIsFoul: false))->voidReasons());
        self::assertCount(8, (new Rules())->voidReasons());
        self::assertCount(count(VoidReason::cases()), (new Rules())->voidReasons([EnergySource::Balloon, EnergySource::ElasticBand]));
        self::assertNotContains(VoidReason::Burst, (new Rules())->voidReasons([EnergySource::ElasticBand]));
    }

    public function testTwoChangesAtOnceCannotBeToldApart(): void
    {
        $before = $this->car(['nozzle_bore' => 6, 'mass' => 62]);
        $made = static fn(Car $after): array => array_map(
            static fn(CarAttribute $choice): string => $choice->value,
            Change::made($before, $after),
        );

        self::assertSame(['nozzle_bore'], $made($this->car(['nozzle_bore' => 8, 'mass' => 62])));
        self::assertSame(['nozzle_bore'], $made($this->car(['nozzle_bore' => 8, 'mass' => 63])), 'a wider straw weighs a little more');
        self::assertSame(['nozzle_bore', 'mass'], $made($this->car(['nozzle_bore' => 8, 'mass' => 58])));
        self::assertFalse(Change::isOneThing($before, $this->car(['nozzle_bore' => 8, 'mass' => 58])));
        self::assertTrue(Change::isOneThing($before, $this->car(['nozzle_bore' => 6, 'mass' => 40])));
        self::assertTrue(Change::isOneThing($before, $before));
        // The name of a straw beside its bore is one change, and so are the masses of parts beside it.
        $named = new Car(
            $this->car(['nozzle_bore' => 8, 'mass' => 62, 'nozzle_mass' => 2])->quantities,
            [],
            ['nozzle_kind' => 'wide straw'],
        );
        self::assertSame(['nozzle_bore'], $made($named));
    }

    public function testAListFollowsTheKitAndTheNumbers(): void
    {
        $class = new Headcount(9, 30, 0.2, 2);
        $cuts = CutPlan::of(new Kit(), new CutSizes(0.075, 0.014), 0.2, 0.3, 0.001, 0.15, 1, $class->cars());
        $total = static function (Materials $materials, string $key): ?int {
            foreach ($materials->lines as $line) {
                if ($line->key === $key) {
                    return $line->total($materials->class);
                }
            }

            return null;
        };
        $materials = Materials::of(new Kit(), self::stepsOf(new Kit()), $class, $cuts);

        // By hand: 9 × 1.2 = 10.8, so 11 cars: 44 wheels would be 43.2; 22 bearings in 11 straws and 11 for nozzles.
        self::assertSame(11, $class->cars());
        self::assertSame(
            [11, 44, 22, 22, 11, 30, 2, 5],
            array_map(
                static fn(string $key): ?int => $total($materials, $key),
                ['chassis', 'wheels', 'balloons', 'straws', 'skewers', 'eyes', 'stopwatch', 'tape'],
            ),
        );
        self::assertSame(['wheels'], array_map(static fn(Material $line): string => $line->key, $materials->early()));
        self::assertNull($materials->cost());

        $glued = new Kit(wheels: 'bought wheels', nozzle: 'baster tube', joint: 'hot glue');
        $other = Materials::of($glued, self::stepsOf($glued), $class, $cuts, ['wheels' => [6.0, 0.25]], [
            new Material('own-1', 2, Per::Group, price: 0.1, ownName: 'Googly eyes', ownUnit: 'eyes'),
        ]);
        self::assertSame([65, 5 - 2, 18], array_map(static fn(string $key): ?int => $total($other, $key), ['wheels', 'glue-gun', 'own-1']));
        self::assertEqualsWithDelta(65 * 0.25 + 18 * 0.1, (float) $other->cost(), 1e-9);
        self::assertSame([], $other->early());
    }

    public function testAKitsLabelListsWhatLiesInIt(): void
    {
        $class = new Headcount(9, 27, 0.2);
        $cuts = CutPlan::of(new Kit(), new CutSizes(0.075, 0.014), 0.2, 0.3, 0.001, 0.15, 1, $class->cars());
        $contents = Materials::of(new Kit(), self::stepsOf(new Kit()), $class, $cuts);
        $keys = array_map(static fn(Material $line): string => $line->key, $contents->inKit());

        self::assertContains('wheels', $keys);
        self::assertNotContains('straws', $keys, 'they are cut to their pieces');
        self::assertNotContains('tape', $keys, 'a roll between two groups lies in no kit');
        self::assertSame(['axle', 'bearing', 'nozzle'], array_keys($contents->piecesInKit()));
        self::assertEqualsWithDelta([0.081, 2], $contents->piecesInKit()['bearing'], 1e-9);
        self::assertSame([0.15, 1], $contents->piecesInKit()['nozzle']);
    }

    private static function stepsOf(Kit $kit, Making $making = new Making(power: new PowerMaking(0.12))): BuildSteps
    {
        $car = $kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009));

        return BuildSteps::of($kit, Layout::of($car, $kit->catalogue(), $kit), $making);
    }

    public function testEachGoalMeasuresItsOwn(): void
    {
        $tries = new Tries(
            [
                new Run('a', 1, 4.0, 2.0, null, 0.2, 0.1),
                new Run('b', 2, 2.0, null, null, -0.2, 0.3),
                new Run('c', 3, 5.0, 1.5, null, null, null),
            ],
            3,
        );

        self::assertSame([4.0, 2.0, 5.0], (new Award(Goal::Farthest))->measure($tries)?->values);
        self::assertSame([2.0, 1.5], (new Award(Goal::Fastest, 1.0))->measure($tries)?->values);
        self::assertSame([0.05, 0.1], (new Award(Goal::Straightest))->measure($tries)?->values);
        self::assertSame([0.5, 2.5, 0.5], (new Award(Goal::NearestMark, 4.5))->measure($tries)?->values);
        self::assertSame(
            [0.1],
            (new Award(Goal::HeaviestLoad, 3.0))->measure($tries)?->values,
            'the heavier one was not carried far enough',
        );
        self::assertNull((new Award(Goal::HeaviestLoad, 6.0))->measure($tries));
        self::assertSame("5\u{00A0}cm/m", UnitSystem::Metric->show(0.05, Scale::Slope));
        self::assertSame("0.6\u{00A0}in/ft", UnitSystem::Imperial->show(0.05, Scale::Slope));
    }

    public function testTemperaturesAreReadInEitherUnit(): void
    {
        self::assertSame(20.0, Temperature::read('20', UnitSystem::Metric)?->celsius);
        self::assertEqualsWithDelta(20.0, (float) Temperature::read('68', UnitSystem::Imperial)?->celsius, 1e-12);
        self::assertSame(
            ['-5 °C', -5.0],
            [Temperature::read('−5 °C', UnitSystem::Imperial)?->text, Temperature::read('-5C', UnitSystem::Imperial)?->celsius],
        );
        self::assertSame(21.5, Temperature::read('21,5', UnitSystem::Metric)?->celsius);
        self::assertNull(Temperature::read('300', UnitSystem::Metric));
        self::assertNull(Temperature::read('warm', UnitSystem::Metric));
        self::assertSame("68\u{00A0}°F", Temperature::show(20.0, UnitSystem::Imperial));
    }
}
