<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Design;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Whether the class will get an answer stands on its plan, for the plan as it is. */
final class PlannedAnswerTest extends FeatureTestCase
{
    public function testThePlanSaysWhetherItWillComeToAnAnswer(): void
    {
        $challenge = Scenario::challenge($this->educator, ['design' => Design::HalfAndHalf]);
        $plan = "/challenges/{$challenge->id}/plan";
        // Worked out once, by a part of the page or by the link; after that it stands there.
        $this->get($plan)
            ->assertSee('Will this class get an answer?')
            ->assertSee('data-later', false)
            ->assertDontSee('Of 100 such classes');
        $said = (string) $this->get("{$plan}/chance?part=1")->assertOk()->getContent();
        self::assertSame(
            1,
            preg_match('/about (\d+) are told what is true, (\d+) are told wrongly, and (\d+) can’t tell yet/u', $said, $found),
        );
        self::assertEqualsWithDelta(100, $found[1] + $found[2] + $found[3], 1);
        self::assertStringContainsString('8 groups and 3 tries each', $said);
        self::assertStringContainsString('half of the groups build with', $said);
        $this->get($plan)->assertSee('Of 100 such classes')->assertDontSee('data-later', false);
        $this->get("{$plan}/chance")->assertRedirect($plan);
        // Another plan is another answer.
        $challenge->update(['design' => Design::ChangeOneThing]);
        $this->get($plan)->assertDontSee('Of 100 such classes');
        $this->get("{$plan}/chance?part=1")->assertSee('then each changes to the other and makes 3 more');
    }

    public function testAFreeDesignAndWhatTheModelCannotComputeHaveNoChance(): void
    {
        foreach (
            [
                ['asks' => null],
                ['asks' => CarAttribute::Joint, 'asks_from' => 'tape', 'asks_to' => 'rubber band', 'asks_outcome' => 'straightness'],
            ] as $asks
        ) {
            $challenge = Scenario::challenge($this->educator, $asks);
            $this->get("/challenges/{$challenge->id}/plan")->assertOk()->assertDontSee('Will this class get an answer?');
            self::assertSame('', trim((string) $this->get("/challenges/{$challenge->id}/plan/chance?part=1")->assertOk()->getContent()));
        }
    }
}
