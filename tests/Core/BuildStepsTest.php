<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Build\BuildHand;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\BuildTool;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Car\Part\Part;
use Skivo\Core\Car\Part\PartTrait;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\Booklet;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Materials;

/** The order in which a car is built: made from its parts, and without traps. */
final class BuildStepsTest extends TestCase
{
    public function testTheUsualCar(): void
    {
        $steps = self::steps(new Kit(), 0.12);
        $order = self::order($steps);
        self::assertSame(BuildStep::PointsOff, $order[0]);
        self::assertSame([BuildStep::PowerOn, BuildStep::Clearance], array_slice($order, -2));
        self::assertCount(17, $order);
        $of = array_column(array_map(static fn(BuildTask $task): array => [$task->step->value, $task], $steps->tasks), 1, 0);
        self::assertEqualsWithDelta(0.081, $of['cut_bearings']->lengthsM['bearing'], 1e-9);
        self::assertSame(0.12, $of['cut_nozzle']->lengthsM['nozzle']);
        self::assertSame(
            [BuildHand::Adult, BuildHand::Adult, BuildHand::Child],
            [$of['points_off']->hand, $of['pierce_wheels']->hand, $of['bearings_on']->hand],
        );
        // 1 for the points, 4 to pierce, 2 each for chassis and axles, 1 each for the joint and the clearance.
        self::assertEqualsWithDelta(11.0, $steps->adultMinutes(), 1e-9);
    }

    /** By hand: bearings are glued at 11 min and set at 15; nobody stands idle meanwhile. */
    public function testThePowerUnitIsMadeWhileGlueSets(): void
    {
        $steps = self::steps(new Kit(joint: Joint::HotGlue->value), 0.12, bearings: Sets::HotGlue);
        $clock = $steps->clock();
        foreach ([BuildStep::BearingsSet, BuildStep::JointSets] as $wait) {
            [$from, $to] = $clock[$wait->value];
            self::assertSame(4.0, $to - $from);
            $task = array_values(array_filter($steps->tasks, static fn(BuildTask $task): bool => $task->step === $wait))[0];
            self::assertNotNull($steps->meanwhile($task), 'there is something to do');
        }
        $hands = array_sum(
            array_map(static fn(BuildTask $task): float => $task->step->waits() ? 0.0 : $task->step->minutes(), $steps->tasks),
        );
        self::assertEqualsWithDelta($hands, $clock['clearance'][1], 1e-9, 'and so waiting takes no time');
    }

    public function testPaintDriesBeforeTheBalloonGoesOnOrDecorationComesLast(): void
    {
        $first = self::steps(new Kit(), 0.12, Decoration::First);
        $clock = $first->clock();
        self::assertGreaterThanOrEqual($clock['paint_dries'][1], $clock['power_on'][0]);
        self::assertGreaterThanOrEqual($clock['decorate'][1], $clock['paint_dries'][0]);
        self::assertLessThan($clock['paint_dries'][1], $clock['airtight'][0], 'the power unit is made while it dries');
        $last = self::order(self::steps(new Kit(), 0.12, Decoration::Last, colour: Sets::Pens));
        self::assertSame(BuildStep::Decorate, $last[count($last) - 1]);
        self::assertNotContains(BuildStep::PaintDries, $last, 'pens are dry at once');
    }

    /** Whatever a car is made of: no step comes before one that it needs, and none of the usual traps is open. */
    public function testNoCarMadeAtRandomLeadsIntoATrap(): void
    {
        $random = new Randomizer(new Mt19937(7));
        $names = static fn(PartKind $kind): array => array_values(
            array_map(static fn(Part $part): string => $part->name, Catalogue::standard()->of($kind)),
        );
        $pick = static fn(array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $seen = [];
        for ($i = 0; $i < 400; $i++) {
            $kit = new Kit(
                $pick($names(PartKind::Chassis)),
                $pick($names(PartKind::Wheel)),
                $pick($names(PartKind::Bearing)),
                $pick($names(PartKind::Nozzle)),
                $pick($names(PartKind::Balloon)),
                $pick(Joint::cases())->value,
            );
            $source = $pick(EnergySource::cases());
            $cuts = new CutSizes(0.02 + 0.001 * $random->getInt(0, 120), 0.001 * $random->getInt(1, 15));
            $steps = self::steps(
                $kit,
                $pick([null, 0.1]),
                $pick(Decoration::cases()),
                $pick(Sets::ofBearings()),
                $pick(Sets::ofDecoration()),
                $cuts,
                $source,
            );
            $order = self::order($steps);
            $at = array_flip(array_map(static fn(BuildStep $step): string => $step->value, $order));
            self::assertCount(count($order), $at, 'each once');
            $clock = $steps->clock();
            foreach ($steps->tasks as $task) {
                foreach ($task->after as $needed) {
                    self::assertLessThan($at[$task->step->value], $at[$needed->value]);
                    self::assertLessThanOrEqual($clock[$task->step->value][0], $clock[$needed->value][1]);
                }
                $seen[$task->step->value] = true;
            }
            self::assertSame($kit->usesSkewers(), isset($at['points_off']));
            self::assertTrue(!isset($at['points_off']) || $at['points_off'] === 0, 'points come off before anything else');
            self::assertLessThan($at['second_wheels'], $at['axles_through'], 'an axle with two wheels goes through no bearing');
            self::assertLessThan($at['axles_through'], $at['bearings_on'] ?? $at['bearings_through'] ?? $at['build_frame']);
            self::assertSame($kit->has(PartKind::Wheel, PartTrait::PiercedByHand), isset($at['pierce_wheels']));
            self::assertSame($source->blows(), isset($at['power_on']));
            self::assertSame($source->winds(), isset($at['hook_chain']));
            self::assertLessThan(
                $at['power_on'] ?? $at['hook_chain'] ?? INF,
                max($at['roll'], $at['airtight'] ?? $at['knot_chain'] ?? 0),
                'a car rolls, and a joint or a chain holds, before they come together',
            );
            foreach ($steps->tasks as $task) {
                self::assertTrue($task->tool?->value !== 'glue_gun' || $task->hand === BuildHand::Adult, 'hot glue is an adult’s');
            }
        }
        self::assertCount(count(BuildStep::cases()), $seen, 'every step came up');
    }

    /** Folded and laid into each other, pages follow on pages. */
    public function testABookletFoldsIntoItsPages(): void
    {
        self::assertSame([[4, 1], [2, 3]], Booklet::sides(4));
        self::assertSame([[8, 1], [2, 7], [6, 3], [4, 5]], Booklet::sides(8));
        self::assertSame([[null, 1], [2, null], [6, 3], [4, 5]], Booklet::sides(6));
        foreach (range(1, 16) as $pages) {
            $sides = Booklet::sides($pages);
            $read = [];
            // Leaves from the outside in: the right of a front with its back's left, and on the way out the other halves.
            for ($sheet = 0; $sheet < count($sides) / 2; $sheet++) {
                array_push($read, $sides[2 * $sheet][1], $sides[2 * $sheet + 1][0]);
            }
            for ($sheet = intdiv(count($sides), 2) - 1; $sheet >= 0; $sheet--) {
                array_push($read, $sides[2 * $sheet + 1][1], $sides[2 * $sheet][0]);
            }
            self::assertSame(range(1, $pages), array_values(array_filter($read, static fn(?int $page): bool => $page !== null)));
        }
    }

    /** Whatever a step is done with, the list for the kit has. */
    public function testEveryToolOfAStepIsOnTheListOfMaterials(): void
    {
        $line = [
            'cutters' => 'cutters', 'scissors' => 'scissors', 'pin' => 'pins', 'tape' => 'tape', 'glue_gun' => 'glue-gun',
            'glue' => 'craft-glue',
            'pens' => 'ruler', 'paint' => 'paint', 'pump' => 'pump', 'breath' => 'balloons', 'saw' => 'saw',
        ];
        self::assertEqualsCanonicalizing(array_column(BuildTool::cases(), 'value'), array_keys($line));
        $class = new Headcount(9, 30, 0.2);
        $names = static fn(PartKind $kind): array => array_map(
            static fn(Part $part): string => $part->name,
            (new Kit())->catalogue()->of($kind),
        );
        $seen = [];
        foreach ($names(PartKind::Chassis) as $chassis) {
            foreach ($names(PartKind::Wheel) as $wheels) {
                foreach ($names(PartKind::Bearing) as $bearing) {
                    foreach (
                        [[Joint::ElasticBand, Sets::Tape, true], [Joint::HotGlue, Sets::CraftGlue, false]] as [$joint, $sets, $byMouth]
                    ) {
                        $kit = new Kit($chassis, $wheels, $bearing, joint: $joint->value);
                        $layout = Layout::of($kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009)), $kit->catalogue(), $kit);
                        $steps = BuildSteps::of($kit, $layout, 0.0015, 0.12, Decoration::Last, $sets, Sets::Paint, $byMouth);
                        $listed = array_map(
                            static fn(Material $line): string => $line->key,
                            Materials::of($kit, $class, null, byMouth: $byMouth, bearings: $sets, colour: Sets::Paint)->lines,
                        );
                        foreach ($steps->tasks as $task) {
                            if ($task->tool !== null) {
                                self::assertContains(
                                    $line[$task->tool->value],
                                    $listed,
                                    "{$task->step->value} of {$chassis}, {$wheels}, {$bearing}",
                                );
                                $seen[$task->tool->value] = true;
                            }
                        }
                    }
                }
            }
        }
        self::assertArrayHasKey('saw', $seen);
        self::assertArrayHasKey('breath', $seen);
    }

    private static function steps(
        Kit $kit,
        ?float $nozzleM,
        Decoration $decoration = Decoration::None,
        Sets $bearings = Sets::Tape,
        Sets $colour = Sets::Paint,
        CutSizes $cuts = new CutSizes(0.075, 0.009),
        EnergySource $source = EnergySource::Balloon,
    ): BuildSteps {
        $car = $kit->car(UnitSystem::Metric, $cuts)->with(CarAttribute::EnergySource, $source->value);
        $layout = Layout::of($car, $kit->catalogue(), $kit);

        return BuildSteps::of($kit, $layout, $cuts->endPlayM, $nozzleM, $decoration, $bearings, $colour);
    }

    /** @return list<BuildStep> */
    private static function order(BuildSteps $steps): array
    {
        return array_map(static fn(BuildTask $task): BuildStep => $task->step, $steps->tasks);
    }
}
