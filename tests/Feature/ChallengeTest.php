<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use Skivo\Core\Challenge\Goal;

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
        $this->from('/challenges/new')->post('/challenges', ['name' => '', 'tries' => '0', 'lane_length' => '6 kg', 'goal' => 'fastest', 'timed_length' => ''] + self::PLAN)
            ->assertSessionHasErrors([
                'name' => 'Give the challenge a name.',
                'tries' => 'Tries per group must be a whole number from 1 to 20.',
                'lane_length' => '“kg” is not a unit of length here. Use mm, cm, m, in or ft.',
                'timed_length' => 'A challenge for the fastest needs the length that is timed, such as 3 m.',
            ]);
        $this->get('/challenges/new')->assertSee('6 kg')->assertSee('vinyl');
        self::assertSame(0, Challenge::query()->where('user_id', $this->educator->id)->count());
    }

    public function testThePlanIsChanged(): void
    {
        $challenge = $this->class();
        $this->put("/challenges/{$challenge->id}/plan", ['goal' => 'fastest', 'timed_length' => '3 1/2 ft'] + self::PLAN)->assertSessionHasNoErrors();

        self::assertSame(Goal::Fastest, $challenge->refresh()->goal);
        self::assertSame(1.0668, $challenge->timed_length?->quantity->si());
        $this->get("/challenges/{$challenge->id}/plan")->assertSee('3 1/2 ft');
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
