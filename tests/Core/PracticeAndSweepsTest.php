<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\FillSweep;
use Skivo\Core\Challenge\Inflation;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\RecordedCar;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Challenge\TimedLength;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Findings\Dose;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Session\FloorOrder;
use Skivo\Core\Session\Runner;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Turn;
use Skivo\Core\Statistics\Interval;
use Skivo\Core\Statistics\Normal;

/** Runs that stand beside the tries: practice, heats, other conditions, and sweeps over the fill. */
final class PracticeAndSweepsTest extends TestCase
{
    public function testTheLongestLengthThatEveryCarReachesIsTimed(): void
    {
        $of = static fn(float ...$distances): Tries => new Tries(
            array_map(
                static fn(float $distance, int $try): Run => new Run("r{$try}", $try + 1, $distance),
                $distances,
                array_keys($distances),
            ),
            3,
        );
        $found = TimedLength::of(['far' => $of(3.2, 4.1), 'short' => $of(2.0, 1.74)], 0.5, 6.0);
        self::assertSame([1.5, 1.74, 'short'], [$found?->lengthM, $found?->reachedM, $found?->shortest]);
        // Just on a step counts; no longer than the lane; in feet likewise; too short is nothing.
        self::assertSame(2.0, TimedLength::of([$of(2.0)], 0.5, 6.0)?->lengthM);
        self::assertSame(2.0, TimedLength::of([$of(9.0)], 0.5, 2.3)?->lengthM);
        self::assertEqualsWithDelta(5 * 0.3048, TimedLength::of([$of(1.6)], 0.3048, 6.0)?->lengthM, 1e-12);
        self::assertNull(TimedLength::of([$of(0.9)], 0.5, 6.0));
        self::assertNull(TimedLength::of([new Tries([], 3)], 0.5, 6.0));
    }

    public function testTheTimedRoundComesAfterTheTriesAndOnlyItsTimesCount(): void
    {
        $timed = static fn(string $id, ?float $time, ?VoidReason $void = null): Run => new Run(
            $id,
            1,
            $void === null ? 1.0 : null,
            $time,
            $void,
            pastEnd: $void === null,
            kind: RunKind::Timed,
        );
        $tries = new Tries([new Run('a', 1, 3.0), $timed('t', 1.2)], 2);
        self::assertSame(0, $tries->timedLeft(2), 'the tries come first');
        $tries = new Tries([new Run('a', 1, 3.0), new Run('b', 2, 4.0), $timed('t', 1.2), $timed('v', null, VoidReason::WheelOff)], 2);
        self::assertSame(1, $tries->timedLeft(2));
        self::assertSame([[3.0, 4.0], [1.2]], [$tries->distances()?->values, $tries->times(1.0)?->values]);
        self::assertSame([[3.0, 4.0], [1.2]], [$tries->withHeats()->distances()?->values, $tries->withHeats()->times(1.0)?->values]);
        $withHeat = new Tries([new Run('a', 1, 3.0), $timed('t', 1.2), new Run('h', 1, 5.0, 0.9, kind: RunKind::Heat)], 1);
        self::assertEqualsCanonicalizing([0.9, 1.2], $withHeat->withHeats()->times(1.0)?->values);
    }

    public function testWhatStandsBesideTheTriesIsNeverPlaced(): void
    {
        $tries = new Tries([
            new Run('p', 1, 9.0, kind: RunKind::Practice), new Run('a', 1, 3.0), new Run('h', 1, 5.0, kind: RunKind::Heat),
            new Run('c', 1, 1.0, isApart: true),
            new Run('b', 2, 4.0), new Run('q', 2, null, void: VoidReason::NoStart, kind: RunKind::Practice),
        ], 3);
        self::assertSame([3.0, 4.0], $tries->distances()?->values);
        self::assertSame([3, []], [$tries->next(), $tries->void]);
        self::assertSame(['p', 'q', 'h', 'c'], array_map(static fn(Run $run): string => $run->id, $tries->asides()));
        // Findings ask how cars run: heats are runs like any other to them, practice and other floors are not.
        self::assertEqualsCanonicalizing([3.0, 4.0, 5.0], $tries->withHeats()->distances()?->values);
        self::assertSame([3.0, 4.0], $tries->distances()->values, 'nothing moved');
        self::assertEqualsCanonicalizing(
            [3.0, 4.0, 5.0],
            (new RecordedCar('1', 'g', 1, new \Skivo\Core\Car\Car(), $tries))->sample()?->values,
        );
    }

    public function testNumbersAreOfTheirOwnKind(): void
    {
        $read = static fn(string $typed) => (new QuantityReader())->read($typed, Unit::Metre);
        $tries = new Tries(
            [new Run('a', 1, 3.0), new Run('p', 1, 9.0, kind: RunKind::Practice), new Run('q', 2, 9.0, kind: RunKind::Practice)],
            3,
        );
        self::assertSame([2, 3, 1, 1], [
            $tries->nextOf(new RunRecord($read('3'))), $tries->nextOf(new RunRecord($read('3'), kind: RunKind::Practice)),
            $tries->nextOf(new RunRecord($read('3'), kind: RunKind::Heat)), $tries->nextOf(new RunRecord($read('3'), ramp: $read('0.1'))),
        ]);
    }

    public function testTheFirstRunsOfACarAreItsPractice(): void
    {
        $practice = static fn(int $n): Run => new Run("p{$n}", $n, 1.0, kind: RunKind::Practice);
        self::assertSame(2, (new Tries([], 3))->practiceLeft(2));
        self::assertSame(1, (new Tries([$practice(1)], 3))->practiceLeft(2));
        self::assertSame(
            2,
            (new Tries([new Run('p', 1, null, void: VoidReason::NoStart, kind: RunKind::Practice)], 3))->practiceLeft(2),
            'one that did not start is none',
        );
        self::assertSame(0, (new Tries([$practice(1), $practice(2), $practice(3)], 3))->practiceLeft(2));
        self::assertSame(0, (new Tries([new Run('a', 1, 2.0)], 3))->practiceLeft(2), 'who has begun to count is done with it');
    }

    public function testASweepGoesThereAndBackAndIsKeptAsWords(): void
    {
        $of = static fn(string $typed): Inflation => new Inflation(
            InflationKind::Diameter,
            (new QuantityReader())->read($typed, Unit::Centimetre),
        );
        $sweep = FillSweep::read(FillSweep::of($of('14 cm'), $of('17 cm'), $of('20 cm'), practiced: 2)->json(), UnitSystem::Metric);
        self::assertNotNull($sweep);
        $ran = [];
        for ($practiced = 2; $sweep->next($practiced) !== null; $practiced++) {
            $ran[] = $sweep->next($practiced)->size?->quantity->si();
        }
        self::assertSame([0.14, 0.17, 0.2, 0.2, 0.17, 0.14], $ran);
        self::assertSame([0, 1, 6, 6], array_map($sweep->done(...), [0, 3, 8, 30]));
        // A trend through the six takes nothing from any of the three: each fill lies as early as late.
        foreach ([0.14, 0.17, 0.2] as $fill) {
            self::assertSame(2.5, array_sum(array_keys($ran, $fill, true)) / 2);
        }
        foreach ([null, '', '[]', '{"fills":[]}', '{"fills":["full of beans"]}', '{"fills":[3]}'] as $json) {
            self::assertNull(FillSweep::read($json, UnitSystem::Metric));
        }
        $strokes = FillSweep::of(
            ...array_map(static fn(int $n): Inflation => new Inflation(InflationKind::Strokes, null, $n), [4, 8, 12]),
            practiced: 0,
        );
        self::assertSame(12, FillSweep::read($strokes->json(), UnitSystem::Imperial)?->next(2)?->strokes);
    }

    /** Whoever sweeps has turns after everybody's tries, and nobody else has. */
    public function testTurnsOfASweepComeAfterTheTries(): void
    {
        $order = new FloorOrder(new RunOrder(3, 9, 2), [new Runner(3, turns: 3), new Runner(2, turns: 3), new Runner(3, turns: 9)]);
        self::assertSame(
            [[1, 3], [2, 4], [2, 5], [2, 6], [2, 7], [2, 8], [2, 9]],
            array_map(static fn(Turn $turn): array => [$turn->group, $turn->try], $order->coming),
        );
    }

    /** Practice with its fill noted speaks of the fill: six runs, three sizes. */
    public function testASweepAnswersWhetherMediumIsBest(): void
    {
        $runs = [];
        foreach ([[0.14, 2.0], [0.17, 3.6], [0.20, 2.5], [0.20, 2.6], [0.17, 3.5], [0.14, 2.1]] as $index => [$fill, $distance]) {
            $runs[] = new Run("s{$index}", $index + 1, $distance, fillDiameterM: $fill, kind: RunKind::Practice);
        }
        $dose = Dose::all(['car' => new Tries($runs, 3)])[0];
        self::assertEqualsWithDelta(0.172, $dose->best, 0.01);
        self::assertNotNull($dose->interval);
        self::assertTrue($dose->interval->low > 0.15 && $dose->interval->high < 0.19);
    }

    /** Against the normal distribution itself where the forecast is log-normal, and in order everywhere. */
    public function testTheChanceToPassTheEnd(): void
    {
        $quantile = static fn(float $p): float => exp(1.0 + 0.4 * Normal::quantile($p));
        $forecast = new Forecast(
            0.0,
            $quantile(0.5),
            new Interval($quantile(0.25), $quantile(0.75), 0.5),
            new Interval($quantile(0.025), $quantile(0.975)),
            0.1,
            1.0,
        );
        foreach ([0.01, 0.1, 0.3, 0.5, 0.8, 0.95, 0.995] as $p) {
            self::assertEqualsWithDelta(1.0 - $p, $forecast->beyond($quantile($p)), 1e-9);
        }
        self::assertSame(1.0, $forecast->beyond(0.0));
        $hardly = new Forecast(0.6, 0.0, new Interval(0.0, 0.5, 0.5), new Interval(0.0, 2.0), 0.1, 1.0);
        self::assertEqualsWithDelta(0.25, $hardly->beyond(0.5), 1e-9);
        self::assertLessThanOrEqual(0.4, $hardly->beyond(0.01));
        // From 100 to 475 cm is where it stops; from nothing to 2 m is not.
        self::assertTrue($forecast->saysWhere());
        self::assertFalse($hardly->saysWhere());
    }
}
