<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Reach;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Challenge\VoidReason;
use Skivo\Core\Statistics\Sample;

final class TrialsTest extends TestCase
{
    public function testOneTryHasNoSpread(): void
    {
        $one = new Sample([3.18]);

        self::assertSame(3.18, $one->mean());
        self::assertSame(3.18, $one->median());
        self::assertNull($one->standardDeviation());
        self::assertNull($one->meanInterval());
    }

    public function testTheMedianOfAnEvenNumberLiesBetweenTheMiddleTwo(): void
    {
        self::assertSame(2.5, (new Sample([4.0, 1.0, 2.0, 3.0]))->median());
    }

    public function testSpreadAndIntervalOfThreeTries(): void
    {
        $sample = new Sample([4.0, 5.0, 6.0]);
        $interval = $sample->meanInterval();

        self::assertSame(1.0, $sample->standardDeviation());
        self::assertSame(2.0, $sample->range());
        // t(0.975, 2) = 4.303, NIST/SEMATECH e-Handbook 1.3.6.7.2.
        self::assertEqualsWithDelta(5.0 - 4.303 / sqrt(3), $interval?->low, 1e-3);
        self::assertEqualsWithDelta(5.0 + 4.303 / sqrt(3), $interval?->high, 1e-3);
    }

    public function testNoSampleIsEmpty(): void
    {
        $this->expectException(\DomainException::class);

        new Sample([]);
    }

    public function testVoidTriesAreKeptAndMadeAgainUnderTheirNumber(): void
    {
        $tries = new Tries(
            [
                new Run('a', 1, 3.0),
                new Run('b', 2, null, null, VoidReason::WheelOff),
            ],
            3,
        );

        self::assertSame([3.0], $tries->distances()?->values);
        self::assertCount(1, $tries->void);
        self::assertSame(2, $tries->next());
        self::assertFalse($tries->areComplete());
    }

    public function testACarThatDidNotStartMakesAVoidTryOrNoDistanceByTheRule(): void
    {
        $runs = [new Run('a', 1, 2.0), new Run('b', 2, null, null, VoidReason::NoStart), new Run('c', 3, null, null, VoidReason::Burst)];
        $void = new Tries($runs, 3);
        self::assertSame([1, 2], [count($void->counted), count($void->void)]);
        self::assertSame(2, $void->next());

        $zero = new Tries($runs, 3, noStartIsZero: true);
        self::assertSame([2.0, 0.0], $zero->distances()?->values);
        self::assertSame(['c'], array_map(static fn(Run $run): string => $run->id, $zero->void), 'another reason is a reason still');
        self::assertSame(3, $zero->next());
        self::assertNull((new Award(Goal::Straightest))->measure($zero), 'which way it went nobody can say');
    }

    public function testARunPastTheEndWentAtLeastThatFar(): void
    {
        $past = static fn(string $id, int $try): Run => new Run($id, $try, 6.0, pastEnd: true);
        $some = new Tries([new Run('a', 1, 5.2), $past('b', 2), new Run('c', 3, 5.6)], 3);
        self::assertTrue($some->passedTheEnd());
        self::assertGreaterThan((5.2 + 6.0 + 5.6) / 3, $some->distances()?->mean(), 'farther than the bound, by how far the others went');
        self::assertSame([5.2, 5.6], [$some->distances()?->values[0], $some->distances()?->values[2]], 'what was seen is not changed');
        self::assertSame(6.0, $some->counted[1]->distanceM);

        $all = new Tries([$past('a', 1), $past('b', 2)], 3);
        self::assertSame([6.0, 6.0], $all->distances()?->values, 'a bound, and nothing more');
        // What is shown of it is what was logged: a bound where a longer lane would have made it another figure.
        $farthest = new Award(Goal::Farthest);
        $shown = static fn(Tries $tries, Scoring $scoring): array => [
            Reach::of($farthest, $tries, $scoring)?->value, Reach::of($farthest, $tries, $scoring)?->isBound,
        ];
        self::assertEqualsWithDelta((5.2 + 6.0 + 5.6) / 3, $shown($some, Scoring::Mean)[0], 1e-12);
        self::assertSame(
            [true, true, false],
            [$shown($some, Scoring::Mean)[1], $shown($some, Scoring::Best)[1], $shown($some, Scoring::Median)[1]],
        );
        self::assertSame([6.0, true], $shown($some, Scoring::Best), 'the lane’s end, and no figure beyond it');
        self::assertSame([6.0, true], $shown($all, Scoring::Median));
        self::assertNull(Reach::of($farthest, new Tries([], 3), Scoring::Mean));
        // Whatever another car's tries scatter like, none of that moves.
        self::assertSame(
            $shown($some, Scoring::Mean),
            $shown(new Tries([new Run('a', 1, 5.2), $past('b', 2), new Run('c', 3, 5.6)], 3, scatter: 0.3), Scoring::Mean),
        );
        // A mark on the lane: who passed the end is at least so far from it.
        $mark = new Award(Goal::NearestMark, 5.0);
        self::assertSame([1.0, true], [Reach::of($mark, $all, Scoring::Mean)?->value, Reach::of($mark, $all, Scoring::Mean)?->isBound]);
        self::assertFalse(Reach::of($mark, $some, Scoring::Best)?->isBound);
        // In places by distance it stands before one that stopped short of the end.
        $standings = Standings::of(
            [new Entrant('short', new Tries([new Run('s', 1, 5.9), new Run('t', 2, 5.8)], 3)), new Entrant('past', $all)],
            new Award(Goal::Farthest),
            Scoring::Mean,
        );
        self::assertSame('past', $standings->leader()?->entrant->id);
    }

    public function testTriesBeyondTheRuleAreExtra(): void
    {
        $tries = new Tries([new Run('c', 3, 9.0), new Run('a', 1, 3.0), new Run('b', 2, 4.0)], 2);

        self::assertSame([3.0, 4.0], $tries->distances()?->values);
        self::assertSame('c', $tries->extra[0]->id);
        self::assertTrue($tries->areComplete());
        self::assertSame(4, $tries->next());
    }

    public function testAGapInTheNumbersIsFilledFirst(): void
    {
        self::assertSame(1, (new Tries([new Run('b', 2, 4.0)], 3))->next());
    }

    public function testTimesComeFromTheTriesThatHaveOne(): void
    {
        $tries = new Tries([new Run('a', 1, 3.0, 1.5), new Run('b', 2, 4.0)], 3);

        self::assertSame([1.5], $tries->times()?->values);
        self::assertNull((new Tries([], 3))->times());
    }
}
