<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Attribute\Joint;
use Skivo\Core\Car\Build\BuildHand;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Caution;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Build\WheelMaking;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\Booklet;

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

    /** What is warned of is what is done, to any car of the class. */
    public function testCautionsAreThoseOfWhatIsDone(): void
    {
        $steps = static function (Kit $kit, Making $making = new Making(power: new PowerMaking(0.12))): BuildSteps {
            $car = $kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009));

            return BuildSteps::of($kit, Layout::of($car, $kit->catalogue(), $kit), $making);
        };
        $plain = Caution::for([$steps(new Kit(wheels: 'bought wheels', bearing: 'plastic hub on steel'))], true);
        self::assertNotContains(Caution::Glue, $plain);
        self::assertNotContains(Caution::Latex, $plain);
        self::assertNotContains(Caution::Knives, $plain);
        self::assertContains(Caution::Choking, $plain);
        self::assertContains(Caution::Gas, $plain);
        // A band needs no air, and no warning of it.
        $band = Caution::for([$steps((new Kit())->drivenBy(EnergySource::ElasticBand))], false);
        self::assertContains(Caution::Bands, $band);
        self::assertSame([], array_intersect(
            array_column([Caution::Gas, Caution::Jet, Caution::Eyes, Caution::Mouths], 'value'),
            array_column($band, 'value'),
        ));
        // One car that was recorded is enough: foam that is cut with a knife, discs, hot glue, breath, a band.
        $all = Caution::for([
            $steps(new Kit('foam board', 'optical discs', joint: 'hot glue'), new Making(power: new PowerMaking(0.12, true))),
            $steps((new Kit())->drivenBy(EnergySource::ElasticBand)),
        ], false, collects: true);
        self::assertSame(Caution::cases(), $all);
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

        return BuildSteps::of($kit, $layout, new Making(
            new WheelMaking($cuts->endPlayM),
            new PowerMaking($nozzleM),
            bearings: $bearings,
            decoration: $decoration,
            colour: $colour,
        ));
    }

    /** @return list<BuildStep> */
    private static function order(BuildSteps $steps): array
    {
        return array_map(static fn(BuildTask $task): BuildStep => $task->step, $steps->tasks);
    }
}
