<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Models\Run;
use Illuminate\Support\Str;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class RunTest extends FeatureTestCase
{
    public function testARunIsLoggedUnderTheNextTryAndTheNextGroupIsProposed(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Keel', ['distance' => '4 ft 6 in', 'time' => '1:02.5', 'note' => 'straight'])
            ->assertRedirect("/challenges/{$challenge->id}")
            ->assertSessionHas('status', "Logged: Keel, try 3, 137\u{00A0}cm, 62.50\u{00A0}s.");

        $run = $challenge->runs()->where('note', 'straight')->sole();
        self::assertSame(
            [3, '4 ft 6 in', 1.3716, 62.5],
            [$run->try, $run->distance?->text, $run->distance?->quantity->si(), $run->time?->quantity->si()],
        );
        $reef = $challenge->groups()->where('name', 'Reef')->value('id');
        $this->get("/challenges/{$challenge->id}")->assertSeeInOrder(
            ["value=\"{$reef}\"", 'data-try="try 2 of 3"', 'data-lane="1"', 'selected'],
            false,
        );
    }

    public function testARunNeedsADistanceOrAReason(): void
    {
        $challenge = $this->class();
        $this->from("/challenges/{$challenge->id}")->log($challenge, 'Keel', ['distance' => '', 'note' => 'kept'])
            ->assertSessionHasErrors(['distance' => 'Type where the car stopped, or choose why the try is void.']);
        $this->get("/challenges/{$challenge->id}")->assertSee('kept');
        $this->log($challenge, 'Keel', ['void' => 'wheel off'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Keel', ['void' => 'bored'])->assertSessionHasErrors('void');
        $this->log($challenge, 'Keel', ['distance' => '200 m'])->assertSessionHasErrors(
            ['distance' => "A distance can be at most 100\u{00A0}m. Check the unit."],
        );
        $this->log($challenge, 'Keel', ['distance' => '200', 'time' => '0'])->assertSessionHasErrors('time');
    }

    public function testAVoidTryIsMadeAgainUnderItsNumber(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Keel', ['void' => 'burst']);
        $this->log($challenge, 'Keel', ['distance' => '140']);

        self::assertSame(
            [3, 3],
            $challenge->runs()
                ->whereHas('car.group', static fn($groups) => $groups->where('name', 'Keel'))
                ->where('try', 3)
                ->pluck('try')
                ->all(),
        );
        $this->get("/challenges/{$challenge->id}")->assertSee('3 of 3, 2 void');
    }

    public function testTheSameRunSentTwiceIsLoggedOnce(): void
    {
        $challenge = $this->class();
        $before = $challenge->runs()->count();
        $id = (string) Str::uuid7();
        $this->log($challenge, 'Keel', ['id' => $id, 'distance' => '140'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Keel', ['id' => $id, 'distance' => '140'])->assertSessionHasNoErrors();

        self::assertSame($before + 1, $challenge->runs()->count());
    }

    public function testAnIdThatNamesARunElsewhereLogsAndTellsNothing(): void
    {
        $challenge = $this->class();
        $foreign = Scenario::withClass(Scenario::challenge(Scenario::educator('Another')))->runs()->firstOrFail();

        $this->log($challenge, 'Keel', ['id' => $foreign->id, 'distance' => '140'])
            ->assertSessionHasErrors('id')
            ->assertSessionMissing('status');
    }

    public function testTriesBeyondTheRuleAreExtra(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Halyard', ['distance' => '700']);

        $this->get("/challenges/{$challenge->id}")->assertSee('3 of 3, 1 extra')->assertSee('423');
    }

    public function testUndoAndPuttingBack(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Keel', ['distance' => '140']);
        $run = $challenge->runs()->where('distance_m', 1.4)->sole();

        $this->delete("/challenges/{$challenge->id}/runs/{$run->id}")->assertSessionHas('putBack');
        $this->get("/challenges/{$challenge->id}")->assertSee('Restore')->assertSee('2 of 3, 1 void');
        $this->log($challenge, 'Keel', ['distance' => '150']);
        $this->post("/challenges/{$challenge->id}/runs/{$run->id}/restore")->assertSessionHasNoErrors();

        self::assertSame(4, $run->refresh()->try, 'its number was taken meanwhile');
        $this->get("/challenges/{$challenge->id}/runs")->assertSee('Removed')->assertSee('Restore');
        self::assertSame(['undone', 'restored'], $run->changes()->pluck('kind')->all());
    }

    public function testACorrectionKeepsTheOldValueOnRecord(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->where('distance_m', 4.2)->sole();
        $halyard = $run->car->group_id;
        $path = "/challenges/{$challenge->id}/runs";

        $this->get("{$path}?edit={$run->id}")->assertSee('Save the correction')->assertSee('420 cm');
        $this->put(
            "{$path}/{$run->id}",
            ['group' => $halyard, 'distance' => '402 cm', 'time' => '', 'void' => '', 'note' => 'misread'],
        )->assertSessionHasNoErrors();

        $change = $run->changes()->sole();
        self::assertSame(['420 cm', '402 cm'], [$change->before['distance_entered'], $change->after['distance_entered']]);
        self::assertSame($this->educator->id, $change->user_id);
        $this->get($path)->assertSee('distance 420 cm → 402 cm; note none → misread')->assertSee($this->educator->name);

        $this->put("{$path}/{$run->id}", ['group' => $halyard, 'distance' => '402 cm', 'note' => 'misread']);
        self::assertSame(1, $run->changes()->count(), 'saving the same again is no change');
    }

    public function testAFaultyCorrectionChangesNothing(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->where('distance_m', 4.2)->sole();
        $path = "/challenges/{$challenge->id}/runs";
        $this->from("{$path}?edit={$run->id}")
            ->put("{$path}/{$run->id}", ['group' => $run->car->group_id, 'distance' => 'four'])
            ->assertSessionHasErrors('distance');

        $this->get("{$path}?edit={$run->id}")->assertSee('value="four"', false);
        self::assertSame(4.2, $run->refresh()->distance?->quantity->si());
    }

    public function testARunLoggedForTheWrongGroupMovesToTheRightOne(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->where('distance_m', 4.2)->sole();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            ['group' => $keel->id, 'distance' => '420 cm'],
        )->assertSessionHasNoErrors();

        $run->refresh()->load('car');
        self::assertSame([$keel->id, 3], [$run->car->group_id, $run->try]);
    }

    public function testAVoidTryThatCountsAfterAllGetsAFreeNumber(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->whereNotNull('void_reason')->sole();
        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            ['group' => $run->car->group_id, 'distance' => '125', 'void' => ''],
        )->assertSessionHasNoErrors();

        self::assertSame(3, $run->refresh()->try);
    }

    public function testTheClassInWords(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}")
            ->assertSee('Halyard leads')->assertSee("with 423\u{00A0}cm, 82\u{00A0}cm ahead of Bowline.")
            ->assertSee('One try only: Reef, judged by the spread of the class’s other tries.')
            ->assertSee('one try; by the spread of the class’s others')->assertSee('clearly shorter')
            ->assertSee('9 of 12 tries are in; 1 was void. Still to run: Keel and Reef.');
    }

    public function testTooCloseToCallAndTies(): void
    {
        $close = Scenario::withClass(Scenario::challenge($this->educator), "group,try,distance\nB,1,300\nB,2,330\nA,1,310\nA,2,315\n");
        $this->get("/challenges/{$close->id}")->assertSee('Too close to call:')->assertSee('A could be as good as B');

        $tied = Scenario::withClass(Scenario::challenge($this->educator), "group,try,distance\nA,1,300\nB,1,300\nC,1,200\n");
        $this->get("/challenges/{$tied->id}")->assertSee('A and B tie')->assertSee('1=');
    }

    public function testFastestStandsByTimes(): void
    {
        $challenge = $this->class();
        $challenge->update(['goal' => 'fastest', 'timed_length' => Scenario::entry('1 m')]);
        // Confirmed, but of a car that stopped before the end of what is timed: it did not arrive.
        $this->log($challenge, 'Reef', ['distance' => '90', 'time' => '0.4', 'confirmed' => 'time']);

        $this->get("/challenges/{$challenge->id}")->assertSee('Halyard leads')->assertSee("0.95\u{00A0}s")->assertSee('no time');
        self::assertSame(1, $challenge->runs()->where('time_s', 0.4)->count());
    }

    public function testRunsOfAGroupWithoutARecordedCarAreTaken(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel']);
        $this->get("/challenges/{$challenge->id}")->assertSee('Nothing has run yet.');
        $this->log($challenge, 'Keel', ['distance' => '140'])->assertSessionHasNoErrors();

        self::assertSame(
            1,
            Run::query()->whereHas('car.group', static fn($groups) => $groups->where('challenge_id', $challenge->id))->count(),
        );
        $this->get("/challenges/{$challenge->id}")->assertSee('not recorded')->assertSee('one try: no spread yet');
    }

    public function testPagesOfAFullClassTakeAFixedNumberOfQueries(): void
    {
        $counts = [];
        foreach ([3, 30] as $groups) {
            $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 12]), Scenario::sheet($groups, 12));
            foreach (['', '/findings', '/runs', '/groups', '/sheet/csv'] as $page) {
                $queries = 0;
                \DB::listen(static function () use (&$queries): void {
                    $queries++;
                });
                $this->get("/challenges/{$challenge->id}{$page}")->assertOk();
                $counts[$page][$groups] = $queries;
                \DB::getEventDispatcher()->forget(\Illuminate\Database\Events\QueryExecuted::class);
            }
        }
        foreach ($counts as $page => [3 => $few, 30 => $many]) {
            self::assertSame($few, $many, "queries of {$page}");
            self::assertLessThanOrEqual(16, $many, "queries of {$page}");
        }
    }
}
