<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\Plausibility;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Measurement\Expected;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Session\FloorOrder;
use Skivo\Core\Session\Runner;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Turn;

final class RunDayTest extends TestCase
{
    use TestTrait;

    public function testTheFirstGroupsStandAtTheLanes(): void
    {
        $order = new FloorOrder(new RunOrder(4, 3, 2), $this->runners([0, 0, 0, 0]));

        self::assertSame([[1, 0], [2, 1]], $this->lanes($order));
        self::assertSame([2, 3], array_map(static fn(Turn $turn): int => $turn->group, $order->next));
        self::assertSame(0, $order->proposed()?->group);
    }

    public function testWhoStandsAtALaneStaysThereWhileTheOtherRuns(): void
    {
        $order = new FloorOrder(new RunOrder(4, 3, 2), $this->runners([1, 0, 0, 0]), 0);

        self::assertSame([[1, 2], [2, 1]], $this->lanes($order), 'the next group comes to lane 1');
    }

    public function testAGroupThatRepairsKeepsItsPlace(): void
    {
        $plan = new RunOrder(3, 2, 1);
        $runners = [new Runner(1), new Runner(0, isRepairing: true), new Runner(0)];
        $order = new FloorOrder($plan, $runners, 0);
        self::assertSame([[1, 2]], $this->lanes($order));
        self::assertSame([1], $order->repairing);

        $mended = new FloorOrder($plan, [new Runner(1), new Runner(0), new Runner(1)], 2);
        self::assertSame([[1, 1]], $this->lanes($mended), 'its turn comes at once');
    }

    public function testASkippedGroupGoesBehindTheOthersOfItsRound(): void
    {
        $plan = new RunOrder(3, 2, 1);
        $order = new FloorOrder(
            $plan,
            [new Runner(0, skippedTry: 1, skippedAt: 9), new Runner(0, skippedTry: 1, skippedAt: 5), new Runner(0)],
        );

        self::assertSame([2, 1, 0], array_slice(array_map(static fn(Turn $turn): int => $turn->group, $order->coming), 0, 3));
        self::assertSame(
            0,
            (new FloorOrder($plan, [new Runner(1, skippedTry: 1), new Runner(1), new Runner(1)]))->proposed()?->group,
            'in the next round it has its own place again',
        );
    }

    public function testALatecomerCatchesUpButNeverTwiceInARow(): void
    {
        $plan = new RunOrder(3, 3, 1);
        self::assertSame(2, (new FloorOrder($plan, $this->runners([2, 2, 0]), 1))->proposed()?->group);
        self::assertSame(0, (new FloorOrder($plan, $this->runners([2, 2, 1]), 2))->proposed()?->group);
        self::assertSame(2, (new FloorOrder($plan, $this->runners([3, 3, 1]), 2))->proposed()?->group, 'unless nobody else is left');
    }

    public function testTheLaneThatWaitedLongestIsProposed(): void
    {
        $plan = new RunOrder(4, 2, 2);
        // Lane 2 ran on, then lane 1: lane 2 waits longest, whatever the plan had.
        self::assertSame(2, (new FloorOrder($plan, $this->runners([1, 1, 0, 0]), 0, [2 => 1, 1 => 2]))->proposed()?->lane);
        self::assertSame(1, (new FloorOrder($plan, $this->runners([1, 1, 0, 0]), 0, [1 => 1, 2 => 2]))->proposed()?->lane);
        self::assertSame(
            1,
            (new FloorOrder($plan, $this->runners([0, 1, 0, 0]), 1, [2 => 1]))->proposed()?->lane,
            'a lane that was never run on',
        );
        self::assertSame(1, (new FloorOrder($plan, $this->runners([0, 0, 0, 0])))->proposed()?->lane);
    }

    public function testWhoWithdrewIsOutAndTheDayEnds(): void
    {
        $order = new FloorOrder(new RunOrder(2, 1, 2), [new Runner(1), new Runner(0, isWithdrawn: true)]);

        self::assertTrue($order->isOver());
        self::assertSame([null, null], array_values($order->atLane));
        self::assertNull($order->proposed());
    }

    public function testADayInWhichAnythingHappensEndsWithEveryTryMadeOnce(): void
    {
        $this->limitTo(60)->forAll(
            Generators::choose(1, 12),
            Generators::choose(1, 4),
            Generators::choose(1, 4),
            Generators::choose(1, 100_000),
        )
            ->disableShrinking()->then(static function (int $groups, int $tries, int $lanes, int $seed): void {
                mt_srand($seed);
                $plan = new RunOrder($groups, $tries, $lanes);
                $made = array_fill(0, $groups, 0);
                $repairs = array_fill(0, $groups, 0);
                $skips = array_fill(0, $groups, null);
                $last = null;
                for ($step = 0; $step < 2000; $step++) {
                    $runners = array_map(
                        static fn(int $n, int $repair, ?int $skip): Runner => new Runner($n, $repair > 0, false, $skip, 1),
                        $made,
                        $repairs,
                        $skips,
                    );
                    $order = new FloorOrder($plan, $runners, $last);
                    if ($order->isOver()) {
                        break;
                    }
                    $standing = array_filter($order->atLane);
                    $in = array_map(static fn(Turn $turn): int => $turn->group, [...array_values($standing), ...$order->next]);
                    self::assertSame($in, array_values(array_unique($in)), 'a group stands in one place');
                    foreach ($standing as $lane => $turn) {
                        self::assertSame([$lane, $made[$turn->group] + 1, 0], [$turn->lane, $turn->try, $repairs[$turn->group]]);
                    }
                    self::assertSame(
                        array_sum($repairs) === 0
                            || count($order->repairing) < count(array_filter($made, static fn(int $n): bool => $n < $tries)),
                        $standing !== [] || $order->next !== [] || $order->repairing === [],
                    );
                    $repairs = array_map(static fn(int $n): int => max(0, $n - 1), $repairs);
                    if ($standing === []) {
                        continue;
                    }
                    $turn = $standing[array_rand($standing)];
                    $chance = mt_rand(1, 10);
                    if ($chance === 1) {
                        $repairs[$turn->group] = 3;
                    } elseif ($chance === 2) {
                        $skips[$turn->group] = $turn->try;
                    } else {
                        $made[$turn->group]++;
                        $last = $turn->group;
                    }
                }
                self::assertSame(array_fill(0, $groups, $tries), $made);
            });
    }

    public function testALostTryIsNotMadeAgain(): void
    {
        $runs = [new Run('a', 1, 3.0), new Run('b', 2, null, void: VoidReason::Burst), new Run('c', 3, 4.0), new Run('d', 4, 5.0)];
        $lost = new Tries($runs, 3, false);
        $retried = new Tries($runs, 3);

        self::assertSame(
            [2, 1, 3, true, 5],
            [count($lost->counted), count($lost->extra), $lost->made(), $lost->areComplete(), $lost->next()],
        );
        self::assertSame([3, 0, 3, 2], [count($retried->counted), count($retried->extra), $retried->made(), $retried->next()]);
        self::assertSame(
            0,
            count((new Tries(
                [new Run('a', 1, null, void: VoidReason::Burst), new Run('b', 2, null, void: VoidReason::Burst)],
                1,
                false,
            ))->counted),
        );
    }

    /** @return iterable<string, array{RunRecord, list<string>}> in a class that runs about 3 m on a lane of 6, timed over 1 */
    public static function odd(): iterable
    {
        $m = static fn(string $typed) => (new QuantityReader())->read($typed, Unit::Centimetre);
        $s = static fn(string $typed) => (new QuantityReader())->read($typed, Unit::Second);
        yield 'as usual' => [new RunRecord($m('318'), $s('1.1'), limp: $m('150'), totalTime: $s('4'), drift: $m('20')), []];
        yield 'into the run-out' => [new RunRecord($m('7 m')), []];
        yield 'beyond the lane' => [new RunRecord($m('318 m')), ['distance']];
        yield 'metres typed as centimetres' => [new RunRecord($m('3.18')), ['distance']];
        yield 'an absurd speed' => [new RunRecord($m('318'), $s('0.1')), ['time']];
        yield 'a watch not stopped' => [new RunRecord($m('318'), $s('90')), ['time']];
        yield 'stopped before the line' => [new RunRecord($m('80'), $s('1.4')), ['time']];
        yield 'limp beyond the stop' => [new RunRecord($m('318'), limp: $m('381')), ['limp']];
        yield 'times swapped' => [new RunRecord($m('318'), $s('4'), totalTime: $s('1.1')), ['total_time']];
        yield 'a whole run in no time' => [new RunRecord($m('318'), totalTime: $s('0.2')), ['total_time']];
        yield 'farther aside than along' => [new RunRecord($m('150'), drift: $m('190')), ['drift']];
    }

    /** @param list<string> $fields */
    #[DataProvider('odd')]
    public function testOddReadingsAreQuestioned(RunRecord $run, array $fields): void
    {
        self::assertSame(
            $fields,
            array_keys((new Plausibility(6.0, 1.0, new Expected(3.0, 0.5, 0.04)))->questions($run, Unit::Centimetre)),
        );
    }

    public function testWhatTheClassIsUsedToIsUnknownAtFirst(): void
    {
        $run = new RunRecord((new QuantityReader())->read('3.18', Unit::Centimetre));

        self::assertSame([], (new Plausibility(6.0, null, null))->questions($run));
        $question = (new Plausibility(6.0, null, new Expected(3.0, 0.5, 0.04)))->questions($run, Unit::Centimetre)['distance'];
        self::assertSame(
            ['quantity.slip.less_unit', 3.18, Unit::Metre],
            [$question->code, $question->values['meant'], $question->values['unit']],
        );
    }

    public function testRecordsOfOneRunAgreeInAllThatWasMeasured(): void
    {
        $size = static fn(string $typed): Inflation => new Inflation(
            InflationKind::Diameter,
            (new QuantityReader())->read($typed, Unit::Centimetre),
        );

        self::assertTrue(
            (new RunRecord(inflation: $size('20')))->agreesWith(new RunRecord(inflation: $size('200 mm'), lane: 2, note: 'x')),
        );
        self::assertFalse((new RunRecord(inflation: $size('20')))->agreesWith(new RunRecord(inflation: $size('21'))));
        self::assertFalse((new RunRecord(inflation: new Inflation(InflationKind::Full)))->agreesWith(new RunRecord()));
        self::assertFalse(
            (
                new RunRecord(inflation: new Inflation(InflationKind::Strokes, null, 12))
            )->agreesWith(new RunRecord(inflation: new Inflation(InflationKind::Strokes, null, 13))),
        );
    }

    /**
     * @param list<int> $made
     *
     * @return list<Runner>
     */
    private function runners(array $made): array
    {
        return array_map(static fn(int $tries): Runner => new Runner($tries), $made);
    }

    /** @return list<array{int, int|null}> lane and group */
    private function lanes(FloorOrder $order): array
    {
        return array_map(static fn(int $lane, ?Turn $turn): array => [$lane, $turn?->group], array_keys($order->atLane), $order->atLane);
    }
}
