<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\ChassisForm;
use Skivo\Core\Car\Attribute\NoseShape;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Step;
use Skivo\Core\Car\Car;
use Skivo\Core\Car\Geometry\Fault;
use Skivo\Core\Car\Geometry\Faults;
use Skivo\Core\Car\Geometry\Fit;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Geometry\Outline;
use Skivo\Core\Car\KnownFrom;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\CarModel;
use Tests\BuildsCars;

/** Forms of chassis, what fits into what, and the sizes that teachers call working cars. */
final class CarFormsTest extends TestCase
{
    use BuildsCars;

    /** Where nothing but the form is known, axles sit where they find something to sit on, and the car stands on its wheels. */
    public function testEveryFormCarriesItsAxles(): void
    {
        $seen = [];
        foreach (Catalogue::standard()->of(PartKind::Chassis) as $part) {
            $seen[] = $part->form;
            $kit = new Kit(chassis: $part->name, wheels: 'jar lids');
            $layout = Layout::of($kit->car(UnitSystem::Metric), $kit->catalogue(), $kit);
            [$from, $to] = array_map(static fn(float $share): float => $share * $layout->body->length, $part->form->axlesBetween());
            self::assertGreaterThanOrEqual($from, $layout->axles->rear, $part->name);
            self::assertLessThanOrEqual($to, $layout->frontAxle(), $part->name);
            self::assertGreaterThan(0.0, $layout->axles->wheelbase);
            self::assertGreaterThan(0.0, $layout->groundClearance(), $part->name);
            foreach ([0.0, 0.33, 1.0] as $share) {
                self::assertLessThanOrEqual($layout->body->width + 1e-12, $layout->widthAt($share * $layout->body->length));
                self::assertGreaterThan(0.0, $layout->widthAt($share * $layout->body->length));
            }
        }
        self::assertSame(
            [ChassisForm::Outline],
            array_values(
                array_udiff(
                    ChassisForm::cases(),
                    $seen,
                    static fn(ChassisForm $one, ChassisForm $other): int => $one->value <=> $other->value,
                ),
            ),
        );
    }

    public function testTheStickHasItsAxlesAtItsThirds(): void
    {
        $kit = new Kit(chassis: 'craft stick');
        $layout = Layout::of($kit->car(UnitSystem::Metric), $kit->catalogue(), $kit);
        self::assertEqualsWithDelta(0.05, $layout->axles->rear, 1e-12);
        self::assertEqualsWithDelta(0.10, $layout->frontAxle(), 1e-12);
    }

    public function testAxlePlacesFollowFromTwoOfTheirThreeMeasures(): void
    {
        $layout = fn(array $mm): Layout => Layout::of(self::car(['chassis_length' => 150] + $mm), Catalogue::standard());
        foreach (
            [
                ['rear_axle_place' => 30, 'wheelbase' => 80], ['rear_axle_place' => 30, 'front_axle_place' => 40],
                ['wheelbase' => 80, 'front_axle_place' => 40],
            ] as $two
        ) {
            self::assertEqualsWithDelta(0.03, $layout($two)->axles->rear, 1e-12);
            self::assertEqualsWithDelta(0.11, $layout($two)->frontAxle(), 1e-12);
        }
    }

    public function testAnAxleWhereABottleNarrowsHasNothingToSitOn(): void
    {
        $bottle = ['chassis_length' => 200, 'chassis_form' => 'bottle', 'rear_axle_place' => 30];
        self::assertContains('axle-misses', self::keys($bottle + ['front_axle_place' => 50]));
        self::assertNotContains('axle-misses', self::keys($bottle + ['front_axle_place' => 60]));
        self::assertNotContains(
            'axle-misses',
            self::keys(['chassis_form' => 'board', 'front_axle_place' => 10] + $bottle),
            'a board carries it anywhere',
        );
        self::assertNotContains(
            'axle-misses',
            self::keys(['chassis_length' => 200, 'chassis_form' => 'bottle']),
            'nothing is held against what nobody measured',
        );
    }

    /** @return iterable<string, array{array<string, float|int|string|null>}> in mm and g; common practice, no source */
    public static function working(): iterable
    {
        $caps = ['wheel_kind' => 'milk-jug caps', 'wheel_hollow' => 'outwards'];
        yield 'block, straws and caps' => [
            $caps + ['chassis' => 'wooden block', 'chassis_width' => 76.2, 'bearing_length' => 76.2, 'axle_length' => 101.6],
        ];
        yield 'skewer an inch longer than its straw' => [$caps + ['chassis_width' => 75, 'bearing_length' => 81, 'axle_length' => 106.4]];
        yield 'foam board, rod an inch longer than it is wide' => [
            $caps + [
                'chassis' => 'foam board', 'chassis_length' => 127, 'chassis_width' => 101.6, 'bearing_length' => 98, 'axle_length' => 127,
            ],
        ];
        yield 'card' => [
            $caps + ['chassis' => 'card', 'chassis_length' => 150, 'chassis_width' => 75, 'nozzle_length' => 125, 'nozzle_bore' => 6],
        ];
        yield 'stick, axles at its thirds' => [
            $caps + [
                'chassis' => 'craft stick', 'chassis_length' => 150, 'chassis_width' => 20, 'rear_axle_place' => 50, 'wheelbase' => 50,
                'bearing_length' => 40, 'axle_length' => 70,
            ],
        ];
        yield 'three tubes in a row' => [
            ['nozzle_bore' => 6.35, 'nozzle_outside' => 9.525, 'wider_bore' => 9.5, 'wider_outside' => 12.7, 'widest_bore' => 12.7],
        ];
    }

    /** @param array<string, float|int|string|null> $measures */
    #[DataProvider('working')]
    public function testWhatTeachersBuildIsAWorkingCar(array $measures): void
    {
        $faults = (new Faults(self::car($measures), Catalogue::standard()))->all();
        self::assertSame(
            [],
            array_map(
                static fn(Fault $fault): string => $fault->key,
                array_filter($faults, static fn(Fault $fault): bool => $fault->stops),
            ),
        );
        self::assertGreaterThan(
            0.0,
            CarModel::of(self::car($measures), Catalogue::standard())->settings->get(CarAttribute::Mass),
            'the model computes with it',
        );
    }

    #[TestWith([9.5, 9.5, Fit::Snug])]
    #[TestWith([9.8, 9.5, Fit::Snug])]
    #[TestWith([9.81, 9.5, Fit::TooThick])]
    #[TestWith([9.2, 9.5, Fit::Snug])]
    #[TestWith([9.19, 9.5, Fit::Loose])]
    public function testATubeFitsTheNextBore(float $outside, float $bore, Fit $fit): void
    {
        self::assertSame($fit, Fit::ofTube($outside / 1000, $bore / 1000));
    }

    #[TestWith([3.0, 3.0, Fit::TooThick])]
    #[TestWith([3.0, 3.1, Fit::Snug])]
    #[TestWith([3.0, 3.2, Fit::Free])]
    #[TestWith([3.0, 6.0, Fit::Free])]
    #[TestWith([3.0, 6.01, Fit::Loose])]
    public function testAnAxleTurnsInItsBearing(float $axle, float $bore, Fit $fit): void
    {
        self::assertSame($fit, Fit::ofTurning($axle / 1000, $bore / 1000));
    }

    #[TestWith([3.0, 3.0, Fit::Snug])]
    #[TestWith([3.0, 3.01, Fit::Loose])]
    #[TestWith([3.3, 3.0, Fit::Snug])]
    #[TestWith([3.31, 3.0, Fit::TooThick])]
    public function testAWheelHoldsOnItsAxle(float $axle, float $hole, Fit $fit): void
    {
        self::assertSame($fit, Fit::ofFixed($axle / 1000, $hole / 1000));
    }

    #[TestWith([15.0, 15.0, Fit::Snug])]
    #[TestWith([15.01, 15.0, Fit::TooThick])]
    #[TestWith([7.5, 15.0, Fit::Snug])]
    #[TestWith([7.4, 15.0, Fit::Loose])]
    public function testANeckHoldsItsTube(float $tube, float $neck, Fit $fit): void
    {
        self::assertSame($fit, Fit::inNeck($tube / 1000, $neck / 1000));
    }

    public function testMisfitsAreNamedWithTheirCure(): void
    {
        self::assertContains('tube-in-tube', self::keys(['nozzle_outside' => 10, 'wider_bore' => 9.5]));
        self::assertContains('tube-in-the-neck', self::keys(['nozzle_outside' => 16, 'neck_width' => 15]));
        self::assertContains('axle-knocks-about', self::keys(['axle_diameter' => 2, 'bearing_bore' => 6]));
        $wheel = ['wheel_bore' => 3.1, 'axle_diameter' => 3];
        self::assertContains('wheel-on-axle', self::keys($wheel + ['wheel_mount' => 'fixed to the axle']), 'it slips');
        self::assertContains('wheel-on-axle', self::keys($wheel + ['wheel_mount' => 'spinning on the axle']), 'it binds');
        self::assertNotContains('wheel-on-axle', self::keys(['wheel_bore' => 3.5] + $wheel + ['wheel_mount' => 'spinning on the axle']));
        self::assertNotContains('wheel-on-axle', self::keys($wheel), 'nobody said which it is to do');
    }

    public function testAnOutlineIsFiveWidths(): void
    {
        self::assertSame([0.6, 1.0, 1.0, 0.8, 0.4], Outline::read('60 100 100 80 40')?->widths());
        self::assertSame([60, 100, 100, 80, 40], Outline::read(' 60%, 100%, 100%, 80%, 40% ')?->percent);
        self::assertSame(5, Outline::read('5 5 5 5 5')?->percent[0]);
        foreach ([null, '', '60 100 100 80', '60 100 100 80 40 20', '4 100 100 80 40', '60 101 100 80 40', 'wide'] as $no) {
            self::assertNull(Outline::read($no));
        }
        $layout = Layout::of(
            self::car(
                ['chassis_length' => 100, 'chassis_width' => 80, 'chassis_form' => 'outline', 'chassis_outline' => '50 100 100 100 50'],
            ),
            Catalogue::standard(),
        );
        self::assertEqualsWithDelta(0.06, $layout->widthAt(0.0125), 1e-12, 'half way from 4 to 8 cm');
        self::assertEqualsWithDelta(0.04, $layout->widthAt(0.1), 1e-12);
    }

    /** A rounded nose meets less air, and so the car goes farther; by how much is left to the model. */
    public function testTheNoseEntersTheModel(): void
    {
        $drag = static fn(?string $nose): float => CarModel::of(
            self::car(['nose' => $nose]),
            Catalogue::standard(),
        )->settings->design()->vehicle->bodyDragAreaM2;
        self::assertSame($drag('flat'), $drag(null), 'as long as nobody says so it is flat');
        self::assertEqualsWithDelta(
            NoseShape::Round->dragCoefficient() / NoseShape::Flat->dragCoefficient(),
            $drag('round') / $drag('flat'),
            1e-9,
        );
    }

    public function testLengthsMayBeTypedInStuds(): void
    {
        self::assertEqualsWithDelta(
            0.128,
            (new QuantityReader(DecimalMark::Either))->read('16 studs', Unit::Centimetre)->quantity->si(),
            1e-12,
        );
        self::assertSame(ChassisForm::STUD_M, Unit::Stud->inSiRoughly());
    }

    public function testWhatIsKnownOfAPart(): void
    {
        $kit = (new Kit())->car(UnitSystem::Metric, new CutSizes(0.075, 0.014));
        self::assertSame(KnownFrom::Kit, KnownFrom::of(new Car(), $kit, Step::Wheels));
        self::assertSame(KnownFrom::Nothing, KnownFrom::of(new Car(), $kit, Step::Power), 'a kit has no filled balloon');
        self::assertSame(KnownFrom::Nothing, KnownFrom::of(new Car(), new Car(), Step::Wheels));
        self::assertSame(
            KnownFrom::Kit,
            KnownFrom::of(self::car(['wheel_kind' => 'jar lids']), new Car(), Step::Wheels),
            'the parts list knows its size',
        );
        self::assertSame(KnownFrom::Measured, KnownFrom::of(self::car(['wheel_diameter' => 32]), $kit, Step::Wheels));
        self::assertSame(
            KnownFrom::Kit,
            KnownFrom::of(self::car(['chassis_length' => 150]), $kit, Step::Chassis),
            'its width is the kit’s',
        );
        self::assertSame(KnownFrom::Measured, KnownFrom::of(self::car(['pump_strokes' => 12]), $kit, Step::Power));
        self::assertSame(
            KnownFrom::Measured,
            KnownFrom::of(self::car(['rear_axle_place' => 30, 'front_axle_place' => 30]), $kit, Step::Axles),
        );
    }

    /**
     * @param array<string, float|int|string|null> $measures
     *
     * @return list<string>
     */
    private static function keys(array $measures): array
    {
        return array_map(static fn(Fault $fault): string => $fault->key, (new Faults(self::car($measures), Catalogue::standard()))->all());
    }
}
