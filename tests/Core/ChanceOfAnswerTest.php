<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Findings\ChanceOfAnswer;
use Skivo\Core\Findings\PlannedClass;

/** Whether a plan comes to its answer. */
final class ChanceOfAnswerTest extends TestCase
{
    private const CLASSES = 60;

    public function testALargerDifferenceAndMoreGroupsAreSeenMoreOften(): void
    {
        $right = static fn(float $effect, PlannedClass $plan): float => ChanceOfAnswer::of($effect, $plan, self::CLASSES)->chanceOfRight();
        self::assertGreaterThan($right(0.1, self::halves(8)), $right(0.5, self::halves(8)));
        self::assertGreaterThan($right(0.3, self::halves(5)), $right(0.3, self::halves(14)));
        // Whichever way it goes.
        self::assertEqualsWithDelta($right(0.5, self::halves(8)), $right(-0.5, self::halves(8)), 0.15);
    }

    public function testChangingOneThingTellsMostAndIsSaidSo(): void
    {
        $halves = self::halves(8);
        self::assertSame(['another_try', 'change_one_thing'], array_keys($halves->alternatives()));
        $chance = ChanceOfAnswer::of(0.3, $halves, self::CLASSES);
        $changed = ChanceOfAnswer::of(0.3, $halves->alternatives()['change_one_thing'], self::CLASSES);
        self::assertTrue($chance->isBeatenBy($changed));
        self::assertFalse($changed->isBeatenBy($chance));
        self::assertFalse($chance->isBeatenBy($chance), 'the same draws');
        self::assertSame(['another_try'], array_keys((new PlannedClass(Design::ChangeOneThing, 8, 3, 3))->alternatives()));
        self::assertSame([], (new PlannedClass(Design::ChangeOneThing, 8, PlannedClass::MOST_TRIES, 1))->alternatives());
    }

    public function testFreeDesignsTellLeastAndCoinsHelpWhereTheMassGoesAlong(): void
    {
        $free = new PlannedClass(Design::Free, 8, 3);
        self::assertArrayHasKey('half_and_half', $free->alternatives());
        self::assertTrue(
            ChanceOfAnswer::of(0.5, $free, self::CLASSES)->isBeatenBy(ChanceOfAnswer::of(0.5, self::halves(8), self::CLASSES)),
        );
        $heavier = new PlannedClass(Design::HalfAndHalf, 8, 3, goesAlong: -0.4);
        $chance = ChanceOfAnswer::of(0.5, $heavier, self::CLASSES);
        $even = ChanceOfAnswer::of(0.5, $heavier->alternatives()['even_mass'], self::CLASSES);
        self::assertTrue($chance->isBeatenBy($even));
        self::assertLessThan(0.1, $chance->chanceOfWrong());
    }

    public function testSlicesMakeTheWhole(): void
    {
        $plan = self::halves(8);
        $slices = ChanceOfAnswer::of(0.4, $plan, 20)->and(ChanceOfAnswer::of(0.4, $plan, 20, 20));
        self::assertEquals(ChanceOfAnswer::of(0.4, $plan, 40), $slices);
    }

    public function testEachVersionHasItsTries(): void
    {
        self::assertSame([3, 2], (new PlannedClass(Design::ChangeOneThing, 4, 3, 2))->versions());
        self::assertSame([3], self::halves(4)->versions());
    }

    private static function halves(int $groups): PlannedClass
    {
        return new PlannedClass(Design::HalfAndHalf, $groups, 3);
    }

    public function testWhereItDoesNothingFewAreToldThatItDoes(): void
    {
        $chance = ChanceOfAnswer::of(0.0, new PlannedClass(Design::ChangeOneThing, 8, 3, 3), 2 * self::CLASSES);
        self::assertLessThan(0.05 + 2 * sqrt(0.05 * 0.95 / (2 * self::CLASSES)), $chance->chanceOfWrong());
        self::assertGreaterThan(0.5, $chance->chanceOfRight(), 'that it hardly matters is an answer');
    }
}
