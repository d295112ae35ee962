<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\BalloonRest;
use Skivo\Core\Car\Attribute\BandAnchor;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\FilledWhen;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Attribute\Reinforcement;
use Skivo\Core\Car\Attribute\WheelHold;
use Skivo\Core\Car\Attribute\WoundBy;
use Skivo\Core\Car\Build\BandMaking;
use Skivo\Core\Car\Build\BuildHand;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\BuildTool;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\MountOrder;
use Skivo\Core\Car\Build\Points;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Build\Supply;
use Skivo\Core\Car\Build\WheelMaking;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\PartTrait;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Physics\WheelMount;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;
use Tests\SampledCar;

/** How cars are really built: ten ways written down by hand, and some thousands drawn at random. */
final class WaysToBuildTest extends TestCase
{
    private const CARS = 3000;

    /**
     * Each step of each way, as somebody would tell it who has built that car: none may be missing, and none be too many.
     *
     * @return iterable<string, array{Kit, Making, array<string, float|string>, list<string>}>
     */
    public static function ways(): iterable
    {
        $skewers = 'bamboo skewer in a plastic straw';
        yield 'a card board on caps, all of it taped' => [new Kit(), new Making(power: new PowerMaking(0.12)), [], [
            'points_off', 'cut_chassis', 'mark_axles', 'cut_bearings', 'cut_axles', 'pierce_wheels', 'bearings_on tape', 'first_wheels',
            'axles_through', 'second_wheels', 'roll', 'cut_nozzle', 'stretch_balloon', 'join_balloon', 'airtight', 'power_on', 'clearance',
        ]];
        yield 'optical discs with middle pieces of card, on foam board' => [
            new Kit('foam board', 'optical discs', $skewers, joint: 'tape'),
            new Making(new WheelMaking(hold: WheelHold::Glue), new PowerMaking(0.12), bearings: Sets::HotGlue),
            [],
            [
                'points_off', 'cut_chassis knife', 'mark_axles', 'cut_bearings', 'cut_axles', 'middle_pieces', 'middles_set',
                'pierce_wheels middle', 'bearings_on hot', 'bearings_set', 'first_wheels', 'axles_through', 'second_wheels',
                'hold_wheels glue', 'wheels_set', 'roll', 'cut_nozzle', 'stretch_balloon', 'join_balloon tape', 'airtight', 'power_on',
                'clearance',
            ],
        ];
        yield 'wheels that spin on axles which are taped down' => [
            new Kit(bearing: $skewers),
            new Making(new WheelMaking(mount: WheelMount::Spinning), new PowerMaking(0.12)),
            [],
            [
                'points_off', 'cut_chassis', 'mark_axles', 'cut_axles', 'pierce_wheels', 'cut_hubs', 'hubs_in', 'axles_on tape',
                'wheels_on', 'hold_wheels spin', 'roll', 'cut_nozzle',
                'stretch_balloon', 'join_balloon', 'airtight', 'power_on', 'clearance',
            ],
        ];
        yield 'a bottle with straws through it' => [
            new Kit('plastic bottle'),
            new Making(power: new PowerMaking(0.12), points: Points::OneAsAwl),
            [],
            [
                'points_off but_one', 'label_off', 'open_body', 'mark_axles', 'pierce_chassis', 'cut_bearings', 'cut_axles',
                'pierce_wheels', 'last_point_off', 'bearings_through', 'first_wheels', 'axles_through',
                'second_wheels', 'roll', 'cut_nozzle',
                'stretch_balloon', 'join_balloon', 'airtight', 'power_on through', 'clearance',
            ],
        ];
        yield 'a bottle with straws stuck to its outside, the tube first' => [
            new Kit('plastic bottle'),
            new Making(
                power: new PowerMaking(0.12, order: MountOrder::TubeFirst),
                bearings: Sets::DoubleSidedTape,
                isStuckOutside: true,
            ),
            [],
            [
                'points_off', 'label_off', 'open_body', 'mark_axles', 'cut_bearings', 'cut_axles', 'pierce_wheels',
                'bearings_on outside_double', 'first_wheels', 'axles_through', 'second_wheels', 'roll', 'cut_nozzle', 'stretch_balloon',
                'tube_on through', 'join_balloon', 'airtight', 'clearance',
            ],
        ];
    }

    /** @return iterable<string, array{Kit, Making, array<string, float|string>, list<string>}> */
    public static function furtherWays(): iterable
    {
        yield 'wheels without a hole, glued to the ends' => [
            new Kit(),
            new Making(new WheelMaking(hold: WheelHold::GluedEnd), new PowerMaking(0.12), bearings: Sets::CraftGlue),
            [],
            [
                'points_off', 'cut_chassis', 'mark_axles', 'cut_bearings', 'cut_axles', 'bearings_on glue', 'bearings_set',
                'first_wheels glued', 'first_wheels_set', 'axles_through', 'second_wheels glued', 'wheels_set', 'roll', 'cut_nozzle',
                'stretch_balloon', 'join_balloon', 'airtight', 'power_on', 'clearance',
            ],
        ];
        yield 'a bundle of straws, on a plate that is stiffened, with rings on the axles' => [
            new Kit('folded paper plate', nozzle: 'bundle of straws'),
            new Making(
                new WheelMaking(hold: WheelHold::Stops),
                new PowerMaking(0.12, isLipCut: true),
                reinforcement: Reinforcement::Glue,
            ),
            [],
            [
                'points_off', 'fold_chassis', 'reinforce glue', 'body_dries', 'mark_axles', 'cut_bearings', 'cut_axles', 'pierce_wheels',
                'bearings_on tape', 'first_wheels', 'axles_through', 'second_wheels', 'hold_wheels stops', 'roll', 'cut_nozzle bundle',
                'bundle', 'cut_lip', 'stretch_balloon', 'join_balloon', 'airtight', 'power_on', 'clearance',
            ],
        ];
        yield 'a brick frame that holds the balloon’s neck' => [
            new Kit('brick kit', 'bought wheels', 'brick-kit axle in its beam', 'balloon neck'),
            new Making(),
            [],
            ['build_frame', 'first_wheels', 'axles_through', 'second_wheels', 'roll', 'stretch_balloon', 'power_on in_brick', 'clearance'],
        ];
        yield 'sawn wood with tubes in tubes, a post, and a balloon that is filled first' => [
            new Kit('wooden block', 'bought wheels', 'steel rod in a plastic straw', 'stepped tubes'),
            new Making(power: new PowerMaking(byMouth: true, rest: BalloonRest::Post, filled: FilledWhen::BeforeItGoesOn)),
            [],
            [
                'cut_chassis saw', 'mark_axles', 'cut_bearings', 'cut_axles', 'bearings_on tape', 'first_wheels', 'axles_through',
                'second_wheels', 'roll', 'post', 'nest_tubes', 'stretch_balloon', 'join_balloon', 'airtight', 'power_on filled',
                'clearance filled',
            ],
        ];
        yield 'a wound band on a stick, its end in a slot' => [
            (new Kit('craft stick', bearing: 'coffee stirrer in a plastic straw'))->drivenBy(EnergySource::ElasticBand),
            new Making(band: new BandMaking(BandAnchor::Slot, wound: WoundBy::RollingBack)),
            [CarAttribute::ChassisLength->value => 0.10],
            [
                'snap_stick', 'mark_axles', 'cut_bearings', 'cut_axles', 'pierce_wheels', 'bearings_on tape', 'first_wheels',
                'axles_through', 'second_wheels', 'roll', 'rubber_on_rims', 'cut_slot', 'knot_chain', 'hook_chain', 'wind_once rolling',
            ],
        ];
    }

    /**
     * @param array<string, float|string> $own of the car
     * @param list<string> $expected each step with the way in which it is done, in the order of BuildStep
     */
    #[DataProvider('ways')]
    #[DataProvider('furtherWays')]
    public function testEachWayHasItsSteps(Kit $kit, Making $making, array $own, array $expected): void
    {
        $car = $kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009));
        foreach ($own as $attribute => $value) {
            $car = $car->with(CarAttribute::from($attribute), $value);
        }
        $steps = BuildSteps::of($kit, Layout::of($car, $kit->catalogue(), $kit), $making);
        $said = array_map(static fn(BuildTask $task): string => rtrim("{$task->step->value} {$task->how}"), $steps->tasks);
        $at = array_flip(array_column(BuildStep::cases(), 'value'));
        usort($said, static fn(string $a, string $b): int => $at[explode(' ', $a)[0]] <=> $at[explode(' ', $b)[0]]);
        self::assertSame($expected, $said);
        self::assertNoTrap($steps, $kit, $making);
    }

    /** Whatever parts, mounts, holds, forms and drives come together: no trap, nothing missing on the list, no hazard unsaid. */
    public function testNoCarMadeAtRandomLeadsIntoATrap(): void
    {
        $class = new Headcount(9, 30, 0.2);
        $seen = $tools = $supplies = $cautions = [];
        foreach (SampledCar::many(self::CARS, 7) as $sampled) {
            $steps = $sampled->steps();
            self::assertNoTrap($steps, $sampled->kit, $sampled->making);
            $listed = array_map(
                static fn(Material $line): string => $line->key,
                Materials::of($sampled->kit, $steps, $class, null, byMouth: $sampled->making->power->byMouth)->lines,
            );
            $warned = Caution::for([$steps], false);
            foreach ($steps->tasks as $task) {
                $seen[$task->step->value] = true;
                $tools[$task->tool->value ?? ''] = true;
                foreach ($task->supplies() as $supply) {
                    self::assertContains($supply->value, $listed, "{$task->step->value} takes it");
                    $supplies[$supply->value] = true;
                }
                foreach (self::hazardsOf($task, $sampled->kit) as $caution) {
                    self::assertContains($caution, $task->cautions(), $task->step->value);
                    self::assertContains($caution, $warned);
                    $cautions[$caution->value] = true;
                }
            }
        }
        self::assertCount(count(BuildStep::cases()), $seen, 'every step came up');
        self::assertCount(count(BuildTool::cases()) + 1, $tools, 'and every tool');
        self::assertEqualsCanonicalizing(array_column(Supply::cases(), 'value'), array_keys($supplies));
        self::assertGreaterThan(8, count($cautions));
    }

    /** However a class spells a part, it is the same part: with its knife, its pin and its hole. */
    public function testAPartIsKnownHoweverItIsSpelt(): void
    {
        $catalogue = (new Kit())->catalogue();
        foreach (['foam board', 'Foamboard', 'foam bord', 'Foam-Boards'] as $name) {
            self::assertSame('foam board', $catalogue->likely(PartKind::Chassis, $name)?->name, $name);
        }
        foreach (['Bottlecaps', 'bottle cap', 'CAPS'] as $name) {
            self::assertSame('bottle caps', $catalogue->likely(PartKind::Wheel, $name)?->name, $name);
        }
        foreach (['wooden toy wheels', '', 'lego'] as $name) {
            self::assertNull($catalogue->likely(PartKind::Wheel, $name), $name);
        }
    }

    /** What is prepared is none of the children's, nor of the adults beside them, and what waits for it waits no more. */
    public function testWhatIsPreparedIsDoneBeforehand(): void
    {
        $prepared = [BuildStep::PointsOff, BuildStep::PierceWheels, BuildStep::CutAxles, BuildStep::MiddlePieces];
        foreach (SampledCar::many(200, 11) as $sampled) {
            $all = $sampled->steps();
            $left = $all->without($prepared);
            $done = $all->beforehand($prepared);
            self::assertCount(count($all->tasks), [...$left->tasks, ...$done]);
            self::assertEqualsWithDelta(
                $all->adultMinutes(),
                $left->adultMinutes() + array_sum(array_map(static fn(BuildTask $task): float => $task->adultMinutes(), $done)),
                1e-9,
            );
            self::assertNull($left->task(BuildStep::PierceWheels));
            self::assertNull($left->task(BuildStep::MiddlesSet), 'a wait goes with what it waits for');
            foreach ($left->tasks as $task) {
                self::assertSame([], array_filter($task->after, static fn(BuildStep $of): bool => in_array($of, $prepared, true)));
            }
        }
    }

    /** The ways in which a build goes wrong, each told by somebody to whom it happened. */
    private static function assertNoTrap(BuildSteps $steps, Kit $kit, Making $making): void
    {
        $at = [];
        foreach ($steps->tasks as $place => $task) {
            $at[$task->step->value] = $place;
        }
        self::assertCount(count($steps->tasks), $at, 'each once');
        $clock = $steps->clock();
        foreach ($steps->tasks as $task) {
            foreach ($task->after as $needed) {
                self::assertLessThan($at[$task->step->value], $at[$needed->value]);
                self::assertLessThanOrEqual($clock[$task->step->value][0] + 1e-9, $clock[$needed->value][1]);
            }
            self::assertTrue($task->hand !== BuildHand::Child || $task->tool?->isOfAnAdult() !== true, $task->step->value);
        }
        $before = static function (string $first, string $then, string $why) use ($at): void {
            self::assertTrue(!isset($at[$first], $at[$then]) || $at[$first] < $at[$then], "{$first}, then {$then}: {$why}");
        };
        self::assertSame($kit->usesSkewers(), isset($at['points_off']));
        self::assertTrue(!isset($at['points_off']) || $at['points_off'] === 0, 'points come off before anything else');
        foreach (['pierce_wheels', 'pierce_chassis', 'open_body'] as $pierced) {
            $before($pierced, 'last_point_off', 'an awl is wanted for the last hole');
        }
        $before('axles_through', 'second_wheels', 'an axle with two wheels goes through no bearing');
        $before('first_wheels', 'axles_through', 'a wheel is put on while its axle is in the hand');
        $before('first_wheels_set', 'axles_through', 'a wheel that is only stuck comes off');
        foreach (['bearings_on', 'bearings_through', 'bearings_set', 'axles_on', 'build_frame'] as $held) {
            $before($held, 'axles_through', 'nothing goes through what is not there');
            $before($held, 'wheels_on', 'a wheel goes on an axle that lies still');
        }
        foreach (['wheels_set', 'hold_wheels', 'second_wheels', 'wheels_on'] as $wheels) {
            $before($wheels, 'roll', 'what rolls has its wheels');
        }
        foreach (['power_on', 'tube_on', 'hook_chain'] as $drive) {
            $before('roll', $drive, 'a car rolls before anything drives it');
            // Over the finished car, paint dries last of all.
            if ($making->decoration === Decoration::First) {
                $before('paint_dries', $drive, 'a balloon sticks to wet paint');
            }
            $before('open_body', $drive, 'a hollow body is opened first');
            $before('top_plate', $drive, 'a plate carries what lies on it');
        }
        self::assertNoTrapInParts($before);
        self::assertFalse(isset($at['tube_on'], $at['power_on']), 'one or the other');
        self::assertFalse($making->power->byMouth && array_filter(
            $steps->tasks,
            static fn(BuildTask $task): bool => $task->tool === BuildTool::Pump,
        ) !== [], 'no pump where there is none');
        $wants = ($kit->has(PartKind::Wheel, PartTrait::PiercedByHand) || $kit->has(PartKind::Wheel, PartTrait::WideHole))
            && ($making->wheels->hold !== WheelHold::GluedEnd || $making->wheels->spins());
        self::assertSame($wants, isset($at['pierce_wheels']));
    }

    /** @param \Closure(string, string, string): void $before that the one comes before the other, and why */
    private static function assertNoTrapInParts(\Closure $before): void
    {
        $before('label_off', 'mark_axles', 'a mark on a label comes off with it');
        $before('body_dries', 'mark_axles', 'a wet body bends');
        $before('hubs_in', 'wheels_on', 'a wheel spins on its hub');
        foreach (['bundle', 'nest_tubes', 'cut_nozzle', 'cut_lip', 'stretch_balloon'] as $made) {
            $before($made, 'join_balloon', 'a tube is made before it is joined');
        }
        $before('join_balloon', 'airtight', 'a joint is tried');
        $before('joint_sets', 'airtight', 'wet glue leaks');
        $before('airtight', 'power_on', 'a leak is found before the tube is stuck down');
        $before('tube_on', 'join_balloon', 'tube first');
    }

    /**
     * By hand, apart from what the steps say of themselves.
     *
     * @return list<Caution>
     */
    private static function hazardsOf(BuildTask $task, Kit $kit): array
    {
        $isBlown = in_array($task->step, [BuildStep::StretchBalloon, BuildStep::Airtight], true);

        return [
            ...($task->tool === BuildTool::GlueGun ? [Caution::Glue] : []),
            ...(in_array($task->tool, [BuildTool::Knife, BuildTool::Saw], true) ? [Caution::Knives] : []),
            ...($task->tool === BuildTool::Scissors ? [Caution::Cutting] : []),
            ...($task->tool === BuildTool::Pin || $task->step === BuildStep::PointsOff ? [Caution::Points] : []),
            ...($isBlown ? [Caution::Choking, Caution::Latex, Caution::Eyes, Caution::Jet] : []),
            ...($task->tool === BuildTool::Breath ? [Caution::Mouths] : []),
            ...($task->step === BuildStep::WindOnce ? [Caution::Bands] : []),
            ...($task->step === BuildStep::PierceWheels && $kit->has(PartKind::Wheel, PartTrait::Shatters) ? [Caution::Discs] : []),
        ];
    }
}
