<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Challenge;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Findings\Question;
use Tests\Feature\FeatureTestCase;

final class ChallengeTest extends FeatureTestCase
{
    private const PLAN = [
        'name' => 'Down the corridor', 'question' => '', 'goal' => 'farthest', 'scoring' => 'best', 'tries' => '3',
        'units' => 'imperial', 'lane_length' => '20', 'timed_length' => '', 'surface' => 'vinyl',
    ];

    public function testTheEmptyStateSaysWhatToDo(): void
    {
        $this->get('/challenges')->assertOk()->assertSee('No challenge yet')->assertSee('Set a challenge');
    }

    public function testSettingAChallenge(): void
    {
        $this->post('/challenges', self::PLAN)->assertSessionHasNoErrors();
        $challenge = $this->educator->challenges()->sole();

        self::assertSame(6.096, $challenge->lane_length->quantity->si());
        self::assertSame('20 ft', $challenge->lane_length->text, 'a bare number is in feet here');
        $this->get("/challenges/{$challenge->id}")->assertOk()->assertSee('Add the groups');
        $this->get('/challenges')->assertSee('Down the corridor')->assertSee('best of 3 tries');
    }

    public function testWhatIsWrongIsSaidByField(): void
    {
        $this->from('/challenges/new')->post(
            '/challenges',
            ['name' => '', 'tries' => '0', 'lane_length' => '6 kg', 'goal' => 'fastest', 'timed_length' => ''] + self::PLAN,
        )
            ->assertSessionHasErrors([
                'tries' => 'Tries per group must be a whole number from 1 to 20.',
                'lane_length' => '“kg” is not a unit of length here. Use mm, cm, m, in or ft.',
                'timed_length' => 'Times need the length over which they are taken, such as 3 m.',
            ]);
        $this->get('/challenges/new')->assertSee('6 kg')->assertSee('vinyl');
        self::assertSame(0, Challenge::query()->where('user_id', $this->educator->id)->count());
        $this->put(
            "/challenges/{$this->class()->id}/plan",
            ['name' => ''] + self::PLAN,
        )->assertSessionHasErrors(['name' => 'Give the challenge a name.']);
    }

    public function testThePlanIsChanged(): void
    {
        $challenge = $this->class();
        $this->put(
            "/challenges/{$challenge->id}/plan",
            ['goal' => 'fastest', 'timed_length' => '3 1/2 ft'] + self::PLAN,
        )->assertSessionHasNoErrors();

        self::assertSame(Goal::Fastest, $challenge->refresh()->goal);
        self::assertSame(1.0668, $challenge->timed_length?->quantity->si());
        $this->get("/challenges/{$challenge->id}/plan")->assertSee('3 1/2 ft');
    }

    public function testWhatTheClassAsksIsChosenAndMadeIntoWords(): void
    {
        $this->get('/challenges/new')->assertSee('Free design, no single question')->assertSee('a lighter car')->assertSee('going farther');
        $this->post('/challenges', ['asks' => 'nozzle_bore'] + self::PLAN)->assertSessionHasNoErrors();
        $challenge = $this->educator->challenges()->sole();
        self::assertSame(CarAttribute::NozzleBore, $challenge->asks);
        self::assertSame('Does a wider bore carry the car farther?', $challenge->question);
        $this->put(
            "/challenges/{$challenge->id}/plan",
            ['asks' => 'mass', 'question' => 'Is a lighter car better?'] + self::PLAN,
        )->assertSessionHasNoErrors();
        self::assertSame('Is a lighter car better?', $challenge->refresh()->question, 'the educator’s own words stay');
        self::assertNull($challenge->asks_changed_at, 'nothing had run');
        foreach ([['time', 'Is a lighter car faster?'], ['straightness', 'Does a lighter car run straighter?']] as [$outcome, $question]) {
            $this->put(
                "/challenges/{$challenge->id}/plan",
                ['asks' => 'mass', 'asks_outcome' => $outcome, 'timed_length' => '1 m'] + self::PLAN,
            )->assertSessionHasNoErrors();
            self::assertSame([$outcome, $question], [$challenge->refresh()->asks_outcome?->value, $challenge->question]);
        }
        // Of kinds two are compared, and both must be named.
        $wheels = ['asks' => 'wheel_kind', 'asks_to' => 'jar lids'] + self::PLAN;
        $this->put("/challenges/{$challenge->id}/plan", $wheels)->assertSessionHasErrors(
            ['asks_from' => 'Name the two kinds that are compared, as they stand on the build sheets; they must differ.'],
        );
        $this->put("/challenges/{$challenge->id}/plan", ['asks_from' => 'jar lids'] + $wheels)->assertSessionHasErrors('asks_to');
        $this->put("/challenges/{$challenge->id}/plan", ['asks_from' => 'bottle caps'] + $wheels)->assertSessionHasNoErrors();
        self::assertSame('Which carries the car farther: jar lids, or bottle caps?', $challenge->refresh()->question);
        self::assertEquals(new Question(CarAttribute::WheelKind, Outcome::Distance, 'bottle caps', 'jar lids'), $challenge->asked());
        $this->put("/challenges/{$challenge->id}/plan", ['asks' => 'colour'] + self::PLAN)->assertSessionHasErrors(
            ['asks' => 'Choose what the class asks from the list, or free design.'],
        );

        $ran = $this->class();
        $this->put("/challenges/{$ran->id}/plan", ['asks' => 'mass'] + self::PLAN)->assertSessionHasNoErrors();
        self::assertNotNull($ran->refresh()->asks_changed_at);
        $this->get("/challenges/{$ran->id}/findings")->assertSee('The question was changed on')->assertSee('after runs had counted');
        $this->put("/challenges/{$ran->id}/plan", self::PLAN)->assertSessionHasNoErrors();
        // A revision is raised as a transaction ends, which none does here.
        Cache::flush();
        $this->get("/challenges/{$ran->id}/findings")->assertDontSee('The question was changed on');
    }

    public function testTheSwitchTurnsUnitsAndLeavesWhatWasTyped(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}")->assertSee('423')->assertSee("8\u{00A0}mm");

        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial'])->assertRedirect();

        $this->get("/challenges/{$challenge->id}")->assertSee('166.5')->assertSee("0.315\u{00A0}in");
        self::assertSame('411 cm', $challenge->runs()->where('distance_m', 4.11)->sole()->distance?->text);
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'cubits'])->assertSessionHasErrors('units');
    }

    public function testARemovedChallengeIsPutBackWithEverythingInIt(): void
    {
        $challenge = $this->class();
        $this->delete("/challenges/{$challenge->id}")->assertRedirect('/challenges');
        $this->get("/challenges/{$challenge->id}")->assertNotFound();
        $this->get('/challenges')->assertSee('Removed challenges');

        $this->post("/challenges/{$challenge->id}/restore")->assertRedirect("/challenges/{$challenge->id}");
        $this->get("/challenges/{$challenge->id}")->assertSee('Halyard')->assertSee('423');
    }
}
