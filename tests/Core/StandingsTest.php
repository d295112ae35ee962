<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Award;
use Skivo\Core\Challenge\Entrant;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Challenge\Standing;
use Skivo\Core\Challenge\Standings;
use Skivo\Core\Challenge\Tries;
use Skivo\Core\Statistics\Verdict;

final class StandingsTest extends TestCase
{
    public function testTheRuleDecidesWhoLeads(): void
    {
        $steady = $this->entrant('steady', [4.0, 4.1, 4.2]);
        $wild = $this->entrant('wild', [5.0, 3.0, 3.1]);

        self::assertSame('steady', Standings::of([$wild, $steady], new Award(Goal::Farthest), Scoring::Mean)->leader()?->entrant->id);
        self::assertSame('wild', Standings::of([$wild, $steady], new Award(Goal::Farthest), Scoring::Best)->leader()?->entrant->id);
        self::assertSame('steady', Standings::of([$wild, $steady], new Award(Goal::Farthest), Scoring::Median)->leader()?->entrant->id);
    }

    public function testTiesShareARankAndTheNextIsLeftOut(): void
    {
        $standings = Standings::of(
            [
                $this->entrant('a', [2.0]), $this->entrant('b', [3.0]), $this->entrant('c', [2.0]), $this->entrant('d', [1.0]),
            ],
            new Award(Goal::Farthest),
            Scoring::Mean,
        );

        self::assertSame(
            [['b', 1, false], ['a', 2, true], ['c', 2, true], ['d', 4, false]],
            array_map(static fn(Standing $place): array => [$place->entrant->id, $place->rank, $place->tied], $standings->places),
        );
    }

    public function testAMeanThatDiffersInTheSixteenthDigitIsATie(): void
    {
        $standings = Standings::of(
            [$this->entrant('a', [0.1, 0.2]), $this->entrant('b', [0.15, 0.15])],
            new Award(Goal::Farthest),
            Scoring::Mean,
        );

        self::assertSame([1, 1], array_map(static fn(Standing $place): ?int => $place->rank, $standings->places));
    }

    public function testFastestRanksByTimeAndLeavesOutWhoHasNone(): void
    {
        $standings = Standings::of(
            [
                new Entrant('none', new Tries([new Run('x', 1, 9.0)], 3)),
                $this->entrant('slow', [4.0], [3.0]),
                $this->entrant('quick', [2.0], [1.0]),
            ],
            new Award(Goal::Fastest),
            Scoring::Best,
        );

        self::assertSame(
            ['quick', 'slow', 'none'],
            array_map(static fn(Standing $place): string => $place->entrant->id, $standings->places),
        );
        self::assertNull($standings->places[2]->rank);
    }

    public function testSaysWhomTheTriesCannotTellFromTheLeader(): void
    {
        $standings = Standings::of(
            [
                $this->entrant('leader', [5.0, 4.6, 4.8]),
                $this->entrant('close', [4.9, 4.4, 4.7]),
                $this->entrant('far', [2.0, 2.1, 2.2]),
                $this->entrant('once', [1.0]),
            ],
            new Award(Goal::Farthest),
            Scoring::Mean,
        );

        self::assertSame(['close'], array_map(static fn(Standing $place): string => $place->entrant->id, $standings->tooCloseToLeader()));
        self::assertSame(
            [Verdict::ClearlyApart, Verdict::ClearlyApart],
            [$standings->places[2]->againstLeader, $standings->places[3]->againstLeader],
        );
        self::assertNull($standings->places[0]->againstLeader);
    }

    public function testNobodyLeadsBeforeTheFirstRun(): void
    {
        self::assertNull(Standings::of([$this->entrant('a', [])], new Award(Goal::Farthest), Scoring::Mean)->leader());
        self::assertNull(Standings::of([], new Award(Goal::Farthest), Scoring::Mean)->leader());
    }

    public function testEachGroupOfAFullClassHasAMarkOfItsOwn(): void
    {
        $marks = Mark::all();

        self::assertCount(40, array_unique($marks));
        self::assertSame($marks[0], Mark::firstFree([]));
        self::assertSame($marks[2], Mark::firstFree([$marks[0], $marks[1]]));
        self::assertNull(Mark::firstFree($marks));
        self::assertSame('open sail', Mark::inWords('sail-open'));
        self::assertFalse(Mark::isMark('sail-green'));
    }

    /**
     * @param list<float> $distances
     * @param list<float> $times
     */
    private function entrant(string $id, array $distances, array $times = []): Entrant
    {
        $runs = [];
        foreach ($distances as $index => $distance) {
            $runs[] = new Run("{$id}{$index}", $index + 1, $distance, $times[$index] ?? null);
        }

        return new Entrant($id, new Tries($runs, 3));
    }
}
