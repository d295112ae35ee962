<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Challenge;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Design;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Everything for the day on paper, as one document, in the number that the class needs. */
final class PackTest extends FeatureTestCase
{
    public function testItHasWhatThisClassNeedsInItsNumber(): void
    {
        $challenge = $this->challenge();
        $page = (string) $this->get("/challenges/{$challenge->id}/plan/print")->assertOk()
            ->assertSeeInOrder(['Safety sheet', 'For helpers', 'Run order'])->getContent();
        self::assertSame(3, substr_count($page, '<div class="booklet"'), 'one for each group');
        self::assertSame(3, substr_count($page, 'class="sheet notebook"'));
        self::assertStringNotContainsString('table-card', $page, 'nobody opened joining');
        self::assertSame(1, preg_match('/Print about (\d+) sides/', $page, $all));
        preg_match_all('/(\d+) sides?<\/span>/', $page, $each);
        self::assertGreaterThan(array_sum(array_map(intval(...), $each[1])) - 3, (int) $all[1], 'three booklets count thrice');
        self::assertStringNotContainsString('class="pack on-letter"', $page);
    }

    public function testNumbersTicksAndThePaperAreThoseThatWereChosen(): void
    {
        $challenge = $this->challenge();
        $page = (string) $this->get("/challenges/{$challenge->id}/plan/print?booklet=1&templates=2&size=letter&brief=x")
            ->assertOk()->assertDontSee('What wins')->getContent();
        self::assertSame([1, 2, 0], [
            substr_count($page, '<div class="booklet"'), substr_count($page, 'class="templates on-letter"'),
            substr_count($page, 'class="sheet notebook"'),
        ]);
        self::assertStringContainsString('class="pack on-letter"', $page);
        self::assertStringContainsString('name="booklet"', $page);
        // Cards open joining, for whoever may change the class.
        self::assertSame(0, $challenge->joinCodes()->count());
        $this->get("/challenges/{$challenge->id}/plan/print?cards=1")->assertOk()->assertSee('table-card', false);
        self::assertSame(1, $challenge->joinCodes()->count());
    }

    public function testWhoOnlyLooksOnPrintsNoCards(): void
    {
        $challenge = $this->challenge();
        $observer = Scenario::educator('Observer');
        $challenge->members()->create(['user_id' => $observer->id, 'role' => 'observer']);
        $this->actingAs($observer)->get("/challenges/{$challenge->id}/plan/print?cards=1")->assertOk()
            ->assertDontSee('table-card', false);
    }

    public function testAClassThatComparesTwoGetsTheBookletOfEach(): void
    {
        $challenge = $this->challenge(['asks' => CarAttribute::WheelDiameter, 'design' => Design::HalfAndHalf]);
        // By lot all may have got the other.
        $challenge->groups()->update(['builds_other' => false]);
        $challenge->groups()->orderBy('id')->limit(1)->update(['builds_other' => true]);
        $page = (string) $this->get("/challenges/{$challenge->id}/plan/print?booklet=4")->assertOk()->getContent();
        self::assertSame(4, substr_count($page, '<div class="booklet"'));
        self::assertStringContainsString('jar lids', $page);
        self::assertStringContainsString('bottle caps', $page);
    }

    public function testAnEmptyClassPrintsItsPlan(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->get("/challenges/{$challenge->id}/plan/print")->assertOk()->assertSee('Kit 1')->assertDontSee('sheet notebook', false);
    }

    /** @param array<string, mixed> $rules */
    private function challenge(array $rules = []): Challenge
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, $rules), "group,nozzle bore\nKeel,6\nReef,7\nCleat,8\n");
        $challenge->sessionPlan()->fill(['groups' => 3])->save();

        return $challenge;
    }
}
