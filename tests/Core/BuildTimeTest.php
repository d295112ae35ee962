<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\Decoration;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Build\Sets;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\BuildTime;
use Skivo\Core\Session\Collecting;
use Skivo\Core\Session\Headcount;
use Skivo\Core\Session\Material;
use Skivo\Core\Session\Per;
use Skivo\Core\Session\Phase;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Slot;
use Skivo\Core\Session\Timetable;

/** How long a class builds, over several sessions, and how its collections go: worked by hand. */
final class BuildTimeTest extends TestCase
{
    /** By hand: an adult takes 11 min of each car; eight cars are 88 min for one, 44 for two, 33 for three; hands need 35. */
    public function testTheQueueAtTheAdults(): void
    {
        $steps = $this->steps();
        $hands = array_sum(array_map(static fn(BuildTask $task): float => $task->minutes, $steps->tasks));
        foreach ([1 => 88.0, 2 => 44.0, 3 => 33.0, 8 => 11.0] as $adults => $queue) {
            $time = new BuildTime($steps, 8, $adults);
            self::assertSame(
                [$hands, 11.0, $queue, max($hands, $queue), $queue > $hands],
                [$time->handsMin, $time->adultMinEach, $time->queueMin, $time->buildMin(), $time->isHeldUpByAdults()],
            );
            self::assertSame(3, $time->adultsEnough());
            self::assertSame(0.0, $time->idleMin, 'nothing sets and nothing dries');
        }
        self::assertSame(1, (new BuildTime($steps, 1, 1))->adultsEnough());
        $this->expectException(\InvalidArgumentException::class);
        new BuildTime($steps, 8, 0);
    }

    public function testWhatAGroupDoesWithoutAnAdult(): void
    {
        $alone = array_map(static fn(BuildTask $task): BuildStep => $task->step, (new BuildTime($this->steps(), 8, 1))->withoutAdult());
        // The board is cut beside an adult, so nothing on it; but the power unit, and the straws.
        self::assertEqualsCanonicalizing(
            [BuildStep::CutBearings, BuildStep::CutNozzle, BuildStep::StretchBalloon, BuildStep::JoinBalloon],
            $alone,
        );
    }

    /** By hand: paint dries 30 min from when the car is decorated; what hands still do meanwhile is not idle. */
    public function testPaintThatNothingFillsIsIdle(): void
    {
        $steps = $this->steps(Decoration::First, Sets::Paint);
        $time = new BuildTime($steps, 8, 8);
        $clock = $steps->clock();
        self::assertGreaterThan(0.0, $time->idleMin);
        self::assertEqualsWithDelta($clock['clearance'][1], $time->handsMin + $time->idleMin, 1e-9);
        self::assertEqualsWithDelta($clock['paint_dries'][1], $clock['power_on'][0], 1e-9, 'the balloon waits for the paint');
    }

    /** By hand: 10 brief and 35 build in 40: 30 of them, 5 in the next; glue sets till then; checks and runs by whole heats. */
    public function testAPlanGoesOnInTheNextSession(): void
    {
        $timetable = new Timetable(
            ['brief' => 10.0, 'build' => 35.0, 'set' => 20.0, 'check' => 5.0, 'tidy' => 5.0],
            new RunOrder(4, 3, 1),
            null,
            3.0,
            40.0,
            [31.0, 60.0],
        );
        self::assertSame([
            ['brief', 0.0, 10.0, 0], ['build', 10.0, 40.0, 0], ['build', 0.0, 5.0, 1], ['set', 5.0, 25.0, 1], ['check', 25.0, 30.0, 1],
            ['runs', 0.0, 36.0, 2], ['tidy', 36.0, 41.0, 2],
        ], array_map(
            static fn(Slot $slot): array => [$slot->phase->value, $slot->fromMin, $slot->toMin, $slot->session],
            $timetable->slots,
        ));
        self::assertSame([20.0, 131.0, true], [$timetable->idleMin, $timetable->sessionMin, $timetable->fits()]);
        self::assertSame([40.0 + 31.0 + 41.0, 19.0], [$timetable->lengthMin, $timetable->spareMin()]);
        self::assertSame([[Phase::Build], [], []], [$timetable->carriedOver(0), $timetable->carriedOver(1), $timetable->carriedOver(2)]);
        // Sixty minutes from the first run, five of them to tidy.
        self::assertSame([55.0, 30.0, 0.0], [$timetable->leftMin(0.0), $timetable->leftMin(25.0), $timetable->leftMin(70.0)]);
    }

    public function testWhatDriesOverNightIsDry(): void
    {
        $timetable = new Timetable(['build' => 30.0, 'set' => 30.0, 'check' => 10.0], null, null, 2.0, 45.0, [45.0]);
        self::assertSame(
            [['build', 0], ['set', 0], ['check', 1]],
            array_map(static fn(Slot $slot): array => [$slot->phase->value, $slot->session], $timetable->slots),
        );
        self::assertSame([0.0, [Phase::Set]], [$timetable->idleMin, $timetable->carriedOver(0)]);
        // With a few minutes left of the session it is waited for.
        $timetable = new Timetable(['build' => 30.0, 'set' => 10.0, 'check' => 5.0], null, null, 2.0, 45.0, [45.0]);
        self::assertSame([10.0, 0], [$timetable->idleMin, $timetable->slots[2]->session]);
    }

    public function testRunsAreBrokenOffBetweenHeatsOnly(): void
    {
        $timetable = new Timetable(['brief' => 10.0], new RunOrder(5, 2, 1), null, 4.0, 33.0, [60.0]);
        self::assertSame(
            [[10.0, 30.0], [0.0, 20.0]],
            array_map(static fn(Slot $slot): array => [$slot->fromMin, $slot->toMin], array_slice($timetable->slots, 1)),
        );
        self::assertFalse((new Timetable(['brief' => 10.0], new RunOrder(9, 9, 1), null, 4.0, 33.0, [60.0]))->fits());
    }

    /** By hand: 5 on day 100, 17 on day 104 are 3 a day; 22 more take 8 days. */
    public function testACollectionIsCompleteOnADay(): void
    {
        $collecting = new Collecting([[100, 5], [104, 17]], 39);
        self::assertSame(
            [17, 22, 3.0, 112, false],
            [$collecting->have, $collecting->missing(), $collecting->perDay(), $collecting->completeOn(), $collecting->isComplete()],
        );
        foreach (
            [
                [[]], [[[100, 5]]], [[[100, 5], [104, 5]]], [[[100, 9], [104, 5]]], [[[100, 5], [104, 39]]], [[[100, 0], [1000, 1]]],
            ] as [$counts]
        ) {
            self::assertNull((new Collecting($counts, 39))->completeOn());
        }
    }

    public function testWholePacksAreOrdered(): void
    {
        $class = new Headcount(8, 24, 0.2);
        $caps = new Material('wheels', 4.0, Per::Group, isSpared: true, price: 0.1, pack: 25);
        self::assertSame([39, [2, 11]], [$caps->total($class), $caps->packs($class)]);
        self::assertEqualsWithDelta(5.0, $caps->cost($class), 1e-9, 'packs are paid whole');
        self::assertNull((new Material('wheels', 4.0, Per::Group))->packs($class));
    }

    private function steps(Decoration $decoration = Decoration::None, Sets $colour = Sets::Pens): BuildSteps
    {
        $kit = new Kit();

        return BuildSteps::of(
            $kit,
            Layout::of($kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009)), $kit->catalogue(), $kit),
            new Making(power: new PowerMaking(0.12), decoration: $decoration, colour: $colour),
        );
    }
}
