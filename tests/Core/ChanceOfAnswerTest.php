<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Findings\ChanceOfAnswer;
use Skivo\Core\Findings\PlannedClass;

/** Whether a plan comes to its answer. */
final class ChanceOfAnswerTest extends TestCase
{
    private const CLASSES = 60;

    public function testALargerDifferenceAndMoreGroupsAreSeenMoreOften(): void
    {
        $right = static fn(float $effect, PlannedClass $plan): float => ChanceOfAnswer::of($effect, $plan, self::CLASSES)->chanceOfRight();
        self::assertGreaterThan($right(0.1, new PlannedClass(8, 3)), $right(0.5, new PlannedClass(8, 3)));
        self::assertGreaterThan($right(0.3, new PlannedClass(5, 3)), $right(0.3, new PlannedClass(14, 3)));
        // Whichever way it goes.
        self::assertEqualsWithDelta($right(0.5, new PlannedClass(8, 3)), $right(-0.5, new PlannedClass(8, 3)), 0.15);
    }

    public function testChangingOneThingTellsMostAndIsSaidSo(): void
    {
        $halves = new PlannedClass(8, 3);
        self::assertSame(['another_try', 'change_one_thing'], array_keys($halves->alternatives()));
        $chance = ChanceOfAnswer::of(0.3, $halves, self::CLASSES);
        $changed = ChanceOfAnswer::of(0.3, $halves->alternatives()['change_one_thing'], self::CLASSES);
        self::assertTrue($chance->isBeatenBy($changed));
        self::assertFalse($changed->isBeatenBy($chance));
        self::assertFalse($chance->isBeatenBy($chance), 'the same draws');
        self::assertSame(['another_try'], array_keys((new PlannedClass(8, 3, 3))->alternatives()));
        self::assertSame([], (new PlannedClass(8, PlannedClass::MOST_TRIES, 1))->alternatives());
    }

    public function testHalfOfTheGroupsBeginWithEach(): void
    {
        $plan = new PlannedClass(4, 3, 2);
        self::assertSame([3, 2], $plan->versions(0));
        self::assertSame(
            [false, true, true, false],
            [$plan->hasOther(0, 0), $plan->hasOther(0, 1), $plan->hasOther(1, 0), $plan->hasOther(1, 1)],
        );
    }

    public function testWhereItDoesNothingFewAreToldThatItDoes(): void
    {
        $chance = ChanceOfAnswer::of(0.0, new PlannedClass(8, 3, 3), 2 * self::CLASSES);
        self::assertLessThan(0.05 + 2 * sqrt(0.05 * 0.95 / (2 * self::CLASSES)), $chance->chanceOfWrong());
        self::assertGreaterThan(0.5, $chance->chanceOfRight(), 'that it hardly matters is an answer');
    }
}
