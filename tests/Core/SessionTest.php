<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Session\Phase;
use Skivo\Core\Session\Remedy;
use Skivo\Core\Session\RunOrder;
use Skivo\Core\Session\Slot;
use Skivo\Core\Session\Timetable;
use Skivo\Core\Session\Turn;

final class SessionTest extends TestCase
{
    use TestTrait;

    public function testThreeGroupsOnTwoLanesByHand(): void
    {
        $order = new RunOrder(3, 2, 2);

        // A1 B1 | C1 A2 | B2 C2, and A goes from lane 1 to lane 2.
        self::assertSame(
            [[0, 1, 1, 1], [1, 1, 1, 2], [2, 1, 2, 1], [0, 2, 2, 2], [1, 2, 3, 1], [2, 2, 3, 2]],
            array_map(static fn(Turn $turn): array => [$turn->group, $turn->try, $turn->heat, $turn->lane], $order->turns),
        );
        self::assertSame([3, 0, 6.0], [$order->heats(), $order->heatsBetweenTries(), $order->minutes(2.0)]);
    }

    public function testNoGroupRacesItself(): void
    {
        $order = new RunOrder(2, 3, 5);

        self::assertSame([2, 3], [$order->lanes, $order->heats()]);
        self::assertNull((new RunOrder(4, 1, 2))->heatsBetweenTries());
        self::assertSame(3, (new RunOrder(8, 3, 2))->heatsBetweenTries(), 'every fourth heat is a group’s own');
    }

    public function testEachGroupHasEachTryOnceAndEachLaneEquallyOften(): void
    {
        $this->limitTo(150)->forAll(Generators::choose(1, 40), Generators::choose(1, 12), Generators::choose(1, 12))
            ->disableShrinking()->then(static function (int $groups, int $tries, int $lanes): void {
                $order = new RunOrder($groups, $tries, $lanes);
                $seen = $byLane = [];
                foreach ($order->turns as $turn) {
                    $seen["{$turn->group}:{$turn->try}"] = ($seen["{$turn->group}:{$turn->try}"] ?? 0) + 1;
                    $byLane[$turn->group][$turn->lane] = ($byLane[$turn->group][$turn->lane] ?? 0) + 1;
                }
                self::assertCount($groups * $tries, $seen);
                self::assertSame([1], array_values(array_unique($seen)));
                foreach ($order->byHeat() as $heat => $turns) {
                    $in = array_map(static fn(Turn $turn): int => $turn->group, $turns);
                    self::assertSame(count($in), count(array_unique($in)), "heat {$heat} has a group twice");
                    self::assertLessThanOrEqual($order->lanes, max(array_keys($turns)));
                    if ($heat < $order->heats()) {
                        self::assertCount($order->lanes, $turns, "a lane stands idle in heat {$heat}");
                    }
                }
                foreach ($byLane as $times) {
                    $all = array_pad(array_values($times), $order->lanes, 0);
                    self::assertLessThanOrEqual(1, max($all) - min($all));
                }
                $between = $order->heatsBetweenTries();
                if ($between !== null) {
                    self::assertGreaterThanOrEqual(intdiv($groups, $order->lanes) - 1, $between);
                }
            });
    }

    public function testAnOrderOfNobodyIsRefused(): void
    {
        $this->expectException(\DomainException::class);
        new RunOrder(0, 3, 1);
    }

    public function testPhasesFollowEachOtherAndGlueSetsBesideThem(): void
    {
        $timetable = $this->timetable(
            ['brief' => 10, 'build' => 30, 'set' => 15, 'predict' => 10, 'check' => 5, 'tidy' => 5],
            new RunOrder(4, 3, 2),
            2.0,
            90.0,
        );

        // Set from 40 to 55, beside predict from 40 to 50; the check waits for it until 55; runs are 6 heats of 2 min.
        self::assertSame(
            [
                ['brief', 0.0, 10.0], ['build', 10.0, 40.0], ['set', 40.0, 55.0], ['predict', 40.0, 50.0], ['check', 55.0, 60.0],
                ['runs', 60.0, 72.0], ['tidy', 72.0, 77.0],
            ],
            array_map(static fn(Slot $slot): array => [$slot->phase->value, $slot->fromMin, $slot->toMin], $timetable->slots),
        );
        self::assertSame([77.0, 5.0, true, 13.0], [$timetable->lengthMin, $timetable->idleMin, $timetable->fits(), $timetable->spareMin()]);
        self::assertSame([], $timetable->remedies());
    }

    public function testASessionThatEndsWithDryingWaitsForIt(): void
    {
        $timetable = new Timetable(['build' => 20.0, 'set' => 30.0, 'discuss' => 10.0], null, null, 2.0, 45.0);

        self::assertSame([50.0, 20.0, false], [$timetable->lengthMin, $timetable->idleMin, $timetable->fits()]);
    }

    public function testWhatWouldMakeItFitIsComputed(): void
    {
        // 20 min build and 8 × 3 runs at 2 min: 68 min in 50. One more lane halves the runs; 1 try is 36.
        $remedies = $this->timetable(['build' => 20], new RunOrder(8, 3, 1), 2.0, 50.0)->remedies();

        self::assertEquals(
            [
                new Remedy(44.0, lanes: 2),
                new Remedy(36.0, tries: 1),
                new Remedy(44.0, minutesPerHeat: 1.0),
            ],
            $remedies,
        );
        foreach ($remedies as $remedy) {
            self::assertLessThanOrEqual(50.0, $remedy->lengthMin);
        }
    }

    public function testASecondRoundCanBeLeftOut(): void
    {
        $timetable = new Timetable(['build' => 20.0, 'redesign' => 10.0], new RunOrder(4, 1, 4), new RunOrder(4, 1, 4), 2.0, 25.0);

        self::assertSame(34.0, $timetable->lengthMin);
        self::assertContainsEquals(new Remedy(22.0, noSecondRound: true), $timetable->remedies());
    }

    public function testABuildIsShortenedByAThirdAtMost(): void
    {
        // One try of one group on one lane at 2 min: nothing else can be saved but the build.
        $runs = new RunOrder(1, 1, 1);
        self::assertContainsEquals(
            new Remedy(22.0, shorterBuildMin: 10.0),
            $this->timetable(['build' => 30], $runs, 2.0, 22.0)->remedies(),
        );
        foreach ($this->timetable(['build' => 29], $runs, 2.0, 21.0)->remedies() as $remedy) {
            self::assertNull($remedy->shorterBuildMin, '10 min are more than a third of 29');
        }
    }

    public function testLanesAndTriesTogetherWhereOneIsNotEnough(): void
    {
        // One try on one lane is 8 × 3 + 6 = 30 min, twelve on eight lanes 42: neither is within 29.
        self::assertEquals(
            [new Remedy(18.0, lanes: 2, tries: 1)],
            $this->timetable(['build' => 6], new RunOrder(8, 12, 1), 3.0, 29.0)->remedies(),
        );
        self::assertSame(
            [],
            $this->timetable(['build' => 100], new RunOrder(8, 3, 1), 2.0, 50.0)->remedies(),
            'nothing helps where the build alone is too long',
        );
    }

    public function testEveryRemedyMakesItFit(): void
    {
        $tried = 0;
        $this->limitTo(80)->forAll(
            Generators::choose(1, 30),
            Generators::choose(1, 6),
            Generators::choose(1, 4),
            Generators::choose(30, 120),
        )
            ->disableShrinking()->then(function (int $groups, int $tries, int $lanes, int $session) use (&$tried): void {
                $timetable = $this->timetable(['build' => 30, 'brief' => 5], new RunOrder($groups, $tries, $lanes), 3.0, (float) $session);
                self::assertFalse($timetable->fits() && $timetable->remedies() !== [], 'what fits needs no remedy');
                foreach ($timetable->remedies() as $remedy) {
                    $tried++;
                    $then = $this->timetable(
                        ['build' => 30 - ($remedy->shorterBuildMin ?? 0.0), 'brief' => 5],
                        new RunOrder($groups, $remedy->tries ?? $tries, $remedy->lanes ?? $lanes),
                        $remedy->minutesPerHeat ?? 3.0,
                        (float) $session,
                    );
                    self::assertTrue($then->fits());
                    self::assertSame($then->lengthMin, $remedy->lengthMin);
                }
            });
        self::assertGreaterThan(20, $tried);
    }

    public function testPhasesHaveUsualLengths(): void
    {
        self::assertGreaterThan(0, array_sum(array_map(static fn(Phase $phase): int => $phase->usualMinutes(), Phase::cases())));
        self::assertSame([Phase::Set], array_values(array_filter(Phase::cases(), static fn(Phase $phase): bool => $phase->waits())));
    }

    /** @param array<string, int|float> $minutes */
    private function timetable(array $minutes, RunOrder $runs, float $perHeat, float $session): Timetable
    {
        return new Timetable(array_map(floatval(...), $minutes), $runs, null, $perHeat, $session);
    }
}
