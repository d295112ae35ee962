<?php

declare(strict_types=1);

namespace Tests\Feature\Race;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Race;
use App\Models\RaceEvent;
use App\Models\Run;
use App\Pages\Race\RaceOffer;
use App\Record\ClassRecord;
use App\Record\RaceReading;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Skivo\Core\Challenge\RunKind;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\People\DeviceRole;
use Skivo\Core\Race\EventKind;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Races in the application: set, tapped, undone, told. */
final class RaceTest extends FeatureTestCase
{
    public function testWhatARaceTakesIsSaidBeforeItIsSet(): void
    {
        $challenge = $this->class();
        $page = $this->get("/challenges/{$challenge->id}/races")->assertOk();
        $page->assertSee('No race yet.')->assertSee('Knockout, best of three')->assertSee('loses a single heat');
        // Four cars all against all meet six times; of two of them there is one heat, by any way.
        $page->assertSeeInOrder(['Everyone against everyone', '6', 'Winner stays on']);
        $ticked = $challenge->groups()->limit(2)->pluck('id')->mapWithKeys(static fn(int $id): array => ["car_{$id}" => '1'])->all();
        $this->get(
            "/challenges/{$challenge->id}/races/fits?" . http_build_query(
                ['kind' => 'knockout', 'minutes' => '1', 'heat_min' => '2', ...$ticked],
            ),
        )
            ->assertOk()->assertSee('Side by side')->assertSee('too long for 1 min')->assertSee('doesn’t fit even two cars');
        $this->get("/challenges/{$challenge->id}/races/fits?kind=knockout")->assertSee('Choose at least two cars.');
    }

    /** A length that some cars' means don't reach makes a race of waiting. */
    public function testTheLengthThatIsProposedIsReachedByEveryCar(): void
    {
        $challenge = $this->class();
        $means = RaceOffer::means(ClassRecord::of($challenge));
        $least = min($means);
        $length = (float) RaceOffer::lengthM(ClassRecord::of($challenge));
        self::assertLessThanOrEqual($least, $length);
        self::assertGreaterThan($least - 0.1, $length);
        $this->get("/challenges/{$challenge->id}/races")
            ->assertSee('name="length"', false)
            ->assertSee('value="' . $challenge->units->show($length, Scale::Lane) . '"', false)
            ->assertDontSee('stop before');
        $shortest = $challenge->groups()->findOrFail(array_search($least, $means, true))->name;
        $this->get("/challenges/{$challenge->id}/races/fits?length=3&wins=across")->assertSee("{$shortest}")->assertSee('stop before');
        $this->get("/challenges/{$challenge->id}/races/fits?length=3&wins=farther")->assertDontSee('stop before');
        // Where somebody stands at the line, nobody races across one.
        $challenge->runs()
            ->where('car_id', $challenge->groups()->where('name', $shortest)->sole()->currentCar()?->id)
            ->where('distance_m', '>', 0)
            ->update(['distance_m' => 0.2, 'distance_entered' => '20 cm']);
        self::assertNull(RaceOffer::lengthM(ClassRecord::of($challenge->refresh())));
    }

    public function testABadPlanIsRefusedInWordsAndNothingIsLost(): void
    {
        $challenge = $this->class();
        $this->from("/challenges/{$challenge->id}/races");
        $this->set($challenge, ['kind' => 'side_by_side'])->assertSessionHasErrors(
            ['cars' => 'Side by side is for two cars. Choose two, or another kind of race.'],
        );
        $this->set($challenge, ['length' => ''])->assertSessionHasErrors(
            ['length' => 'Say the length that is first to be crossed, such as 3 m.'],
        );
        $this->set(
            $challenge,
            ['lot' => '0', 'repair_min' => '-1', 'lanes' => 'two'],
        )->assertSessionHasErrors(['lot', 'repair_min', 'lanes']);
        $this->post(
            "/challenges/{$challenge->id}/races",
            $this->rules() + ["car_{$challenge->groups()->value('id')}" => '1'],
        )->assertSessionHasErrors('cars');
        self::assertSame(0, $challenge->races()->count());
        $this->followingRedirects()->set($challenge, ['length' => 'far', 'repair_min' => '7'])->assertSee('value="7"', false);
    }

    public function testALotGivesTheSameDrawAndAnotherAfterDrawingAnew(): void
    {
        $challenge = $this->class();
        [$one, $other] = [$this->race($challenge, ['lot' => '41782']), $this->race($challenge, ['lot' => '41782'])];
        self::assertSame($one->entrants, $other->entrants);
        self::assertEqualsCanonicalizing($challenge->groups()->pluck('id')->all(), $one->entrants);
        $this->get("/challenges/{$challenge->id}/races/{$one->id}")->assertSee('Drawn by lot 41782.')->assertSee('Draw anew');
        $this->put("/challenges/{$challenge->id}/races/{$one->id}", ['do' => 'draw'])->assertRedirect();
        self::assertNotSame(41782, $one->refresh()->lot);
        // Begun, it stays as it is.
        $this->tap_($one, 'won');
        $lot = $one->refresh()->lot;
        foreach (['draw', 'remove'] as $do) {
            $this->put("/challenges/{$challenge->id}/races/{$one->id}", ['do' => $do])->assertSessionHasErrors('do');
        }
        self::assertSame($lot, $one->refresh()->lot);
        $this->put(
            "/challenges/{$challenge->id}/races/{$other->id}",
            ['do' => 'remove'],
        )->assertRedirect("/challenges/{$challenge->id}/races");
        self::assertModelMissing($other);
        $this->put("/challenges/{$challenge->id}/races/{$one->id}", ['do' => 'nonsense'])->assertNotFound();
    }

    public function testStandingsSeedARace(): void
    {
        $challenge = $this->class();
        $race = $this->race($challenge, ['order' => 'standings']);
        $names = array_map(fn(int $id): string => (string) Group::query()->whereKey($id)->value('name'), $race->entrants);
        self::assertSame(['Halyard', 'Bowline', 'Reef', 'Keel'], $names);
        self::assertNull($race->lot);
    }

    public function testATapSentTwiceOrByTwoAdultsIsOneResult(): void
    {
        $challenge = $this->class();
        $race = $this->race($challenge, ['best_of' => '3']);
        $heat = $race->state()->now[0];
        $tap = ['do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0", 'id' => (string) Str::uuid()];
        $this->tapJson($race, $tap)->assertCreated()->assertJson(['id' => $tap['id']]);
        $this->tapJson($race, $tap)->assertOk();
        // Somebody else saw the same: one win, not two.
        $this->tapJson($race, ['id' => (string) Str::uuid()] + $tap)->assertOk();
        self::assertSame(1, $race->events()->count());
        // And somebody who saw it otherwise is told.
        $this->tapJson($race, ['do' => "won:{$heat->key}:{$heat->b}:{$heat->a}:0", 'id' => (string) Str::uuid()])
            ->assertStatus(422)->assertJsonPath('errors.do.0', 'Heat 1 has moved on since you looked. Look again, then tap.');
        $this->tapJson($race, ['do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:1", 'id' => (string) Str::uuid()])->assertCreated();
        $name = Group::query()->whereKey((int) $heat->a)->value('name');
        $this->tapJson($race, ['do' => "together:{$heat->key}:{$heat->a}:{$heat->b}:2", 'id' => (string) Str::uuid()])
            ->assertStatus(422)->assertJsonPath('errors.do.0', "Heat 1 is over: {$name} won it. To change that, take it back first.");
        $this->tapJson($race, ['do' => 'won:9', 'id' => (string) Str::uuid()])->assertStatus(422);
        $this->tapJson($race, ['do' => 'won:7-7:1:2:0', 'id' => (string) Str::uuid()])->assertStatus(422);
    }

    public function testTimesAndDistancesOfHeatsCountInFindingsNotInThePlaces(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['timed_length' => Scenario::entry('1 m')]));
        $race = $this->race($challenge, ['length' => '1 m']);
        $heat = $race->state()->now[0];
        $before = ClassRecord::of($challenge)->standings()->leader()?->score;
        // What is typed decides with the tap, or is asked about.
        $typed = ["time_{$heat->key}_{$heat->a}" => '1.2', "time_{$heat->key}_{$heat->b}" => '0.9'];
        $this->tapJson($race, ['do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0"] + $typed)
            ->assertStatus(422)
            ->assertJsonValidationErrors('do');
        $this->tapJson(
            $race,
            ['do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0", "time_{$heat->key}_{$heat->a}" => 'soon'],
        )->assertStatus(422);
        self::assertSame(0, $race->events()->count());
        $id = (string) Str::uuid();
        $typed["time_{$heat->key}_{$heat->a}"] = '0.85';
        $this->tapJson($race, ['id' => $id, 'do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0"] + $typed)->assertCreated();
        $run = Run::query()->findOrFail(RaceEvent::runId($id, (int) $heat->a));
        self::assertSame(
            [RunKind::Heat, $race->id, 0.85, 1.0, true],
            [$run->kind, $run->race_id, $run->time?->quantity->si(), $run->distance?->quantity->si(), $run->past_end],
        );
        self::assertSame($before, ClassRecord::of($challenge)->standings()->leader()?->score);
        self::assertCount(1, ClassRecord::of($challenge)->tries($run->car)->heats);

        // Taken back with its tap, and put back with it.
        $undo = (string) Str::uuid();
        $this->tapJson($race, ['id' => $undo, 'do' => "undone:{$id}"])->assertCreated();
        self::assertTrue($run->refresh()->trashed());
        $this->tapJson($race, ['do' => "undone:{$undo}"])->assertCreated();
        self::assertFalse($run->refresh()->trashed());
        self::assertSame([$heat->a], [$race->refresh()->load('events')->state()->heats[$heat->key]->winner]);
    }

    public function testWhoGoesFartherIsMeasured(): void
    {
        $challenge = $this->class();
        $race = $this->race($challenge, ['wins' => 'farther', 'length' => '']);
        $heat = $race->state()->now[0];
        $typed = ["distance_{$heat->key}_{$heat->a}" => '3.1 m', "distance_{$heat->key}_{$heat->b}" => '290'];
        $this->tapJson($race, ['do' => "won:{$heat->key}:{$heat->b}:{$heat->a}:0"] + $typed)->assertStatus(422);
        $this->tapJson($race, ['do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0"] + $typed)->assertCreated();
        self::assertSame(
            [2.9, 3.1],
            Run::query()->where('race_id', $race->id)->orderBy('distance_m')->pluck('distance_m')->map(floatval(...))->all(),
        );
        self::assertSame('3.1 m', Run::query()->where('race_id', $race->id)->where('distance_m', '>', 3)->sole()->distance?->text);
    }

    public function testABrokenCarHasTimeOrLosesByTheRule(): void
    {
        $challenge = $this->class();
        $given = $this->race($challenge, ['broken' => 'time', 'lanes' => '2']);
        $heat = $given->state()->now[0];
        $this->tapJson($given, ['do' => "repair:{$heat->a}"])->assertCreated();
        $state = $given->refresh()->load('events')->state();
        self::assertNotSame($heat->key, $state->now[0]->key, 'the other heat goes first');
        $this->get("/challenges/{$challenge->id}/races/{$given->id}")->assertSee(
            'when ' . Group::query()->find((int) $heat->a)?->name . ' is repaired',
        );

        $loses = $this->race($challenge, ['broken' => 'loses']);
        $heat = $loses->state()->now[0];
        $this->get("/challenges/{$challenge->id}/races/{$loses->id}")->assertSee("broke:{$heat->key}:{$heat->a}:{$heat->b}:0");
        $this->tapJson($loses, ['do' => "broke:{$heat->key}:{$heat->a}:{$heat->b}:0"])->assertCreated();
        self::assertSame($heat->b, $loses->refresh()->load('events')->state()->heats[$heat->key]->winner);
    }

    public function testAHelperTapsAndAGroupReadsWhomItMeets(): void
    {
        $challenge = $this->class();
        $race = $this->race($challenge);
        $heat = $race->state()->now[0];
        $own = $challenge->groups()->findOrFail((int) $heat->a);
        $other = $challenge->groups()->findOrFail((int) $heat->b);
        [$group] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $own);
        [$helper] = AdmitDevices::join($challenge, DeviceRole::Log, 'phone');
        $this->atDevice($group)->get("/challenges/{$challenge->id}/groups/{$own->id}/own")->assertSee("Race: you meet {$other->name} now.");
        $this->atDevice($group)->get("/challenges/{$challenge->id}/races/{$race->id}")->assertNotFound();
        $this->atDevice($group)->tapJson($race, ['do' => "repair:{$heat->a}"])->assertNotFound();
        $this->atDevice($helper)->get("/challenges/{$challenge->id}/races")->assertOk()->assertDontSee('Set the race');
        $this->atDevice($helper)->get("/challenges/{$challenge->id}/races/{$race->id}")->assertOk()->assertDontSee('Draw anew');
        $this->atDevice($helper)->tapJson($race, ['do' => "won:{$heat->key}:{$heat->a}:{$heat->b}:0"])->assertCreated();
        $this->atDevice($helper)->put("/challenges/{$challenge->id}/races/{$race->id}", ['do' => 'end'])->assertNotFound();
        self::assertSame('phone', $race->events()->sole()->by());
    }

    public function testTheBoardFollowsARaceUntilItEnds(): void
    {
        $challenge = $this->class();
        [, $token] = AdmitDevices::join($challenge, DeviceRole::Board, 'board');
        $this->get("/board/{$token}")->assertSee('Next up');
        $race = $this->race($challenge, ['lanes' => '2']);
        $this->get("/board/{$token}")->assertSee('Knockout: first across')->assertSee('0 of 3 heats done.')->assertDontSee('Next up');
        while (!$race->refresh()->load('events')->state()->isOver()) {
            $this->tap_($race, 'won');
        }
        $winner = (new RaceReading($race))->name($race->state()->winner);
        $this->settle();
        $this->get("/board/{$token}/state")->assertSee($winner)->assertSee('First');
        $this->get("/challenges/{$challenge->id}/races")->assertSee("{$winner} won");
        $this->put("/challenges/{$challenge->id}/races/{$race->id}", ['do' => 'end'])->assertRedirect();
        $this->settle();
        $this->get("/board/{$token}/state")->assertSee('Next up');
        $this->put(
            "/challenges/{$challenge->id}/races/{$race->id}",
            ['do' => 'open'],
        )->assertSessionHas('status', 'The race is open again.');
        self::assertNull($race->refresh()->ended_at);
    }

    public function testEveryKindIsShownAndHasAnEnd(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $rows = array_map(static fn(int $i): string => "Group {$i}", range(1, 40));
        Scenario::withClass($challenge, "group\n" . implode("\n", $rows) . "\n");
        foreach (['knockout' => 39, 'round_robin' => 780, 'stays_on' => 39] as $kind => $heats) {
            $race = $this->race($challenge, ['kind' => $kind]);
            $this->get("/challenges/{$challenge->id}/races/{$race->id}")->assertOk()->assertSee("0 of {$heats} heats done.");
            $this->get("/challenges/{$challenge->id}/races/{$race->id}/state")->assertOk();
        }
        $two = $challenge->groups()->limit(2)->pluck('id')->mapWithKeys(static fn(int $id): array => ["car_{$id}" => '1'])->all();
        $this->post("/challenges/{$challenge->id}/races", ['kind' => 'side_by_side'] + $this->rules() + $two)->assertSessionHasNoErrors();
        $race = $challenge->races()->firstOrFail();
        $this->tap_($race, 'together');
        $this->get("/challenges/{$challenge->id}/races/{$race->id}")
            ->assertSee('Heat 1: who was first across?')
            ->assertSee('It is run again.')
            ->assertSee('together, run again');
        $this->tap_($race->refresh()->load('events'), 'won');
        self::assertTrue($race->refresh()->load('events')->state()->isOver());
    }

    public function testARemovedGroupKeepsItsNameInARace(): void
    {
        $challenge = $this->class();
        $race = $this->race($challenge);
        $challenge->groups()->findOrFail($race->entrants[0])->delete();
        $this->get("/challenges/{$challenge->id}/races/{$race->id}")
            ->assertOk()
            ->assertSee((new RaceReading($race))->name((string) $race->entrants[0]));
        $this->tapJson($race, ['do' => 'out:' . $race->entrants[0]])->assertCreated();
        self::assertSame(EventKind::Out, $race->events()->sole()->kind);
    }

    /** @param array<string, string> $differently */
    private function race(Challenge $challenge, array $differently = []): Race
    {
        $this->asEducator()->set($challenge, $differently)->assertSessionHasNoErrors();

        return $challenge->races()->with('events')->firstOrFail()->setRelation('challenge', $challenge);
    }

    /** @param array<string, string> $differently */
    private function set(Challenge $challenge, array $differently): TestResponse
    {
        return $this->post(
            "/challenges/{$challenge->id}/races",
            $differently + $this->rules() + $challenge
                ->groups()
                ->pluck('id')
                ->mapWithKeys(static fn(int $id): array => ["car_{$id}" => '1'])
                ->all(),
        );
    }

    /** @return array<string, string> */
    private function rules(): array
    {
        return [
            'kind' => 'knockout', 'best_of' => '1', 'wins' => 'across', 'length' => '3 m', 'order' => 'lot', 'lanes' => '4',
            'repair_min' => '3', 'broken' => 'time',
        ];
    }

    /** In the first heat that is on: the first of it wins, or what is said. */
    private function tap_(Race $race, string $what): void
    {
        $heat = $race->state()->now[0];
        $seen = $heat->winsA + $heat->winsB + $heat->again;
        $this->post(
            "/challenges/{$race->challenge_id}/races/{$race->id}/events",
            ['do' => "{$what}:{$heat->key}:{$heat->a}:{$heat->b}:{$seen}"],
        )->assertSessionHasNoErrors();
    }

    /** @param array<string, string> $typed */
    private function tapJson(Race $race, array $typed): TestResponse
    {
        return $this->postJson("/challenges/{$race->challenge_id}/races/{$race->id}/events", $typed);
    }
}
