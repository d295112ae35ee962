<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Models\Challenge;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class RunDayTest extends FeatureTestCase
{
    public function testEverythingAboutARunIsKeptAsTyped(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Keel', [
            'distance' => '140', 'time' => '1.2', 'total_time' => '4.05', 'limp' => '60 cm', 'drift' => '4 in', 'drift_side' => 'left',
            'load' => '20', 'lane' => '1',
            'inflation_kind' => 'circumference', 'inflation_size' => '62', 'note' => 'n',
        ])->assertSessionHasNoErrors();
        $run = $challenge->runs()->where('note', 'n')->sole();

        self::assertSame(['4.05 s', '60 cm', '62 cm', 'circumference', 1, '4 in'], [
            $run->total_time?->text, $run->limp?->text, $run->inflation_size?->text, $run->inflation_kind?->value, $run->lane,
            $run->drift?->text,
        ]);
        self::assertSame([0.6, 4.05], [$run->toCore()->limpM, $run->toCore()->totalTimeS]);
        $this->log($challenge, 'Keel', ['distance' => '140', 'inflation_kind' => 'strokes'])->assertSessionHasErrors('inflation_strokes');
        $this->log($challenge, 'Keel', ['distance' => '140', 'inflation_kind' => 'diameter'])->assertSessionHasErrors('inflation_size');
        $this->log(
            $challenge,
            'Keel',
            ['distance' => '140', 'inflation_kind' => 'strokes', 'inflation_strokes' => '12', 'lane' => '99'],
        )->assertSessionHasErrors('lane');
    }

    public function testAnOddRunIsQuestionedAndLoggedWhenConfirmed(): void
    {
        $challenge = $this->class();
        $id = (string) Str::uuid7();
        $this->log($challenge, 'Keel', ['id' => $id, 'distance' => '318 m'])->assertSessionHasErrors('distance');
        $this->log($challenge, 'Keel', ['id' => $id, 'distance' => '31.8 m'])->assertSessionHasNoErrors()->assertSessionHas('questions');
        self::assertNull($challenge->runs()->find($id), 'nothing is logged before the answer');
        $this->get("/challenges/{$challenge->id}")
            ->assertSee('31.8 m')
            ->assertSee('lies beyond the lane')
            ->assertSee('value="distance"', false);
        $this->log(
            $challenge,
            'Keel',
            ['id' => $id, 'distance' => '31.8 m', 'limp' => '50 m', 'confirmed' => 'distance'],
        )->assertSessionHas('questions');
        $this->log($challenge, 'Keel', ['id' => $id, 'distance' => '31.8 m', 'confirmed' => 'distance'])->assertSessionMissing('questions');
        self::assertNotNull($challenge->runs()->find($id));
    }

    public function testALaneIsToldExactlyWhatBecameOfARun(): void
    {
        $challenge = $this->class();
        $id = (string) Str::uuid();
        $keel = $this->named($challenge, 'Keel')->id;
        $post = fn(array $run): TestResponse => $this->postJson(
            "/challenges/{$challenge->id}/runs",
            $run + ['id' => $id, 'group' => $keel],
        );

        $post(['distance' => '1.3'])->assertStatus(409)->assertJsonPath(
            'questions.distance',
            "1.3\u{00A0}cm is far less than expected here (about 130\u{00A0}cm). Did you mean 1.3 m?",
        );
        $post(['distance' => 'far'])->assertStatus(422)->assertJsonPath(
            'errors.distance.0',
            fn(string $said): bool => str_contains($said, '“far” is not a length'),
        );
        $post(['distance' => '140'])->assertCreated()->assertJsonPath('said', "Keel, try 3, 140\u{00A0}cm");
        $post(['distance' => '140'])->assertOk()->assertJsonPath('id', $id);
        $post(['distance' => '999'])->assertStatus(409)->assertJsonPath('known', true);
        self::assertSame(1, $challenge->runs()->whereKey($id)->count());
    }

    public function testAMeanWithRunsPastTheEndIsALowerBoundThatOnlyItsOwnRunsMove(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,try,distance (cm)\nKeel,1,300\nKeel,2,320\nReef,1,541\nBowline,1,200\nBowline,2,330\n",
        );
        $this->log($challenge, 'Reef', ['past_end' => '1']);
        $this->log($challenge, 'Reef', ['past_end' => '1']);
        $pages = ['', '/findings/awards', '/report', '/report/certificates'];
        $figures = fn(): array => array_map(function (string $page) use ($challenge): array {
            $html = html_entity_decode(strip_tags((string) $this->get("/challenges/{$challenge->id}{$page}")->assertOk()->getContent()));
            preg_match_all('/(≥ |at least )(\\d+)/u', $html, $found);

            return array_unique($found[2]);
        }, $pages);
        $before = $figures();
        foreach ($before as $page => $said) {
            self::assertContains('580', $said, "the mean of 541, 600 and 600 on {$pages[$page]}");
        }
        $this->get("/challenges/{$challenge->id}")->assertSee('at least 580')->assertSee('past the end')->assertSee('probably about');
        $this->put(
            '/challenges/' . $challenge->id . '/runs/' . $challenge->runs()->where('distance_m', 3.3)->sole()->id,
            ['distance' => '210'],
        )->assertSessionHasNoErrors();
        self::assertSame($before, $figures());
        // By the best of three, it is past the end, and no figure of a run that nobody saw.
        $challenge->update(['scoring' => \Skivo\Core\Challenge\Scoring::Best]);
        $this->get("/challenges/{$challenge->id}")->assertSee('with past the end');
    }

    public function testRepairingSkippingAndWithdrawingOnTheFloor(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['lanes' => 2]), "group\nBowline\nCleat\nFender\nHalyard\n");
        $do = fn(string $act, string $group): TestResponse => $this->put(
            "/challenges/{$challenge->id}/order",
            ['do' => "{$act}:{$this->named($challenge, $group)->id}"],
        );
        $this->get("/challenges/{$challenge->id}")->assertSeeInOrder(
            ['Lane 1', 'Bowline', 'Lane 2', 'Cleat', 'Next', 'Fender and Halyard'],
        );

        $do('repair', 'Bowline')->assertSessionHas('status', 'Bowline is repairing, and keeps its place.');
        $this->get("/challenges/{$challenge->id}")->assertSeeInOrder(['Lane 1', 'Fender', 'Lane 2', 'Cleat', 'Bowline', 'repairs']);
        $do('ready', 'Bowline');
        $do('skip', 'Cleat');
        $this->get("/challenges/{$challenge->id}")->assertSeeInOrder(['Lane 1', 'Bowline', 'Next', 'Cleat']);
        $do('withdraw', 'Halyard');
        $this->get("/challenges/{$challenge->id}")->assertSee('has withdrawn')->assertSee('0/9');
        $do('return', 'Halyard');
        $this->log($challenge, 'Cleat', ['distance' => '200']);
        self::assertNull($this->named($challenge, 'Cleat')->skipped_try, 'who runs has had its turn');
        $do('explode', 'Cleat')->assertSessionHasErrors('do');
        $this->put("/challenges/{$challenge->id}/order", ['do' => 'skip:999999'])->assertNotFound();
    }

    public function testAVoidTryIsLostWhereTheRuleSaysSo(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 2, 'void_is_retried' => false]), "group\nKeel\n");
        $this->log($challenge, 'Keel', ['void' => 'burst']);
        $this->log($challenge, 'Keel', ['distance' => '200']);

        self::assertSame([1, 2], $challenge->runs()->orderBy('logged_at')->pluck('try')->all());
        $this->get("/challenges/{$challenge->id}")->assertSee('all tries are in');
    }

    public function testACarThatDoesNotStartCountsAsTheRuleSays(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 2]), "group\nKeel\n");
        $this->log($challenge, 'Keel', ['distance' => '200']);
        $this->log($challenge, 'Keel', ['void' => 'no start']);
        $this->get("/challenges/{$challenge->id}")
            ->assertSee('Keel leads')
            ->assertSee("with 200\u{00A0}cm.")
            ->assertSee('1 of 2 tries are in; 1 was void.');
        $this->get("/challenges/{$challenge->id}/plan/brief/helpers")->assertSee('A try is void if the car did not start, hit something');

        $challenge->update(['no_start_is_zero' => true]);
        $this->get("/challenges/{$challenge->id}")
            ->assertSee('Keel leads')
            ->assertSee("with 100\u{00A0}cm.")
            ->assertSee('2 of 2 tries are in');
        $this->get("/challenges/{$challenge->id}/plan/brief/helpers")
            ->assertSee('A car that does not start counts as 0')
            ->assertSee('A try is void if the car hit something');
        self::assertNull($challenge->runs()->where('void_reason', 'no start')->sole()->distance, 'what was logged is not changed');
    }

    public function testARunPastTheEndIsKeptAsABound(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 2]), "group\nKeel\nReef\n");
        $this->log($challenge, 'Keel', ['past_end' => '1'])->assertSessionHasNoErrors();
        $run = $challenge->runs()->sole();
        self::assertTrue($run->past_end);
        self::assertSame('6 m', $run->distance?->text, 'at least as far as the lane is long');
        $this->get("/challenges/{$challenge->id}")->assertSee('≥ 600')->assertSee("past the end at 600\u{00A0}cm");
        $this->get("/challenges/{$challenge->id}/runs")->assertSee('≥ 600');
        $csv = (string) $this->get("/challenges/{$challenge->id}/sheet/csv")->getContent();
        self::assertStringContainsString('past the end', $csv);
        $copy = Scenario::withClass(Scenario::challenge($this->educator), $csv);
        self::assertTrue($copy->runs()->sole()->past_end);

        // A tablet's own form does not show it, and leaves it; the list of runs takes it back, and that can be undone.
        $path = "/challenges/{$challenge->id}/runs/{$run->id}";
        $this->put($path, ['distance' => '610', 'edition' => $run->edition])->assertSessionHasNoErrors();
        self::assertTrue($run->refresh()->past_end);
        $this->put($path, ['distance' => '580', 'past_end' => '0', 'edition' => $run->edition])->assertSessionHasNoErrors();
        self::assertFalse($run->refresh()->past_end);
        $this->get("/challenges/{$challenge->id}/runs")->assertSee('past the end yes → none');
        $this->put(
            $path,
            ['void' => 'burst', 'distance' => '580', 'past_end' => '1', 'edition' => $run->edition],
        )->assertSessionHasNoErrors();
        self::assertFalse($run->refresh()->past_end, 'a void try is none that counts');
        $this->post(
            "/challenges/{$challenge->id}/runs",
            ['id' => (string) Str::uuid(), 'group' => $challenge->groups()->value('id')],
        )->assertSessionHasErrors('distance');
    }

    public function testTwoWhoCorrectTheSameRunChooseKnowingly(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->where('distance_m', 4.2)->sole();
        $halyard = $this->named($challenge, 'Halyard')->id;
        $path = "/challenges/{$challenge->id}/runs/{$run->id}";
        $this->put($path, ['group' => $halyard, 'distance' => '402', 'edition' => 1])->assertSessionMissing('conflict');
        $this->put($path, ['group' => $halyard, 'distance' => '240', 'note' => 'mine', 'edition' => 1])
            ->assertSessionHas('conflict')
            ->assertRedirect();

        self::assertSame('402 cm', $run->refresh()->distance?->text, 'nothing is lost silently');
        $this->get("/challenges/{$challenge->id}/runs?edit={$run->id}")
            ->assertSee("{$this->educator->name}</bdi> changed this run in the meantime.", false)->assertSee('distance 402 cm')
                ->assertSee('value="240"', false)
                ->assertSee('name="edition" value="2"', false);
        $this->put($path, ['group' => $halyard, 'distance' => '240', 'note' => 'mine', 'edition' => 2])->assertSessionMissing('conflict');
        self::assertSame('240 cm', $run->refresh()->distance?->text);
    }

    public function testTheLastActionIsUndoneWhateverItWas(): void
    {
        $challenge = $this->class();
        $undo = function () use ($challenge): string {
            $this->post("/challenges/{$challenge->id}/undo")->assertRedirect("/challenges/{$challenge->id}")->assertSessionHas('status');

            return (string) session('status');
        };
        $this->travel(1)->seconds();
        $this->log(
            $challenge,
            'Keel',
            [
                'distance' => '140', 'drift' => '4 in', 'drift_side' => 'right', 'inflation_kind' => 'diameter', 'inflation_size' => '20',
                'note' => 'first',
            ],
        );
        $run = $challenge->runs()->where('note', 'first')->sole();
        $this->travel(1)->seconds();
        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            [
                'group' => $this->named($challenge, 'Keel')->id, 'distance' => '150', 'note' => 'second', 'drift' => '',
                'inflation_kind' => '',
            ],
        );
        self::assertNull($run->refresh()->drift);
        $this->travel(1)->seconds();

        self::assertStringContainsString('As it was before: Keel, try 3', $undo());
        $run->refresh();
        self::assertSame(
            ['140 cm', 'first', '4 in', 'right', '20 cm', 'diameter'],
            [
                $run->distance?->text, $run->note, $run->drift?->text, $run->drift_side?->value, $run->inflation_size?->text,
                $run->inflation_kind?->value,
            ],
        );
        $this->travel(1)->seconds();
        self::assertStringContainsString('As it was before', $undo(), 'and the undoing too');
        $this->delete("/challenges/{$challenge->id}/runs/{$run->id}");
        $this->travel(1)->seconds();
        self::assertStringContainsString('Back on record', $undo());
        $empty = Scenario::challenge($this->educator);
        $this->post("/challenges/{$empty->id}/undo")->assertSessionHas('status', 'There is nothing to undo.');
    }

    public function testAPollCostsNothingUntilSomethingChanges(): void
    {
        $challenge = $this->class();
        $this->settle();
        preg_match('~data-live="([^"]+)"~', (string) $this->get("/challenges/{$challenge->id}")->getContent(), $found);
        $address = html_entity_decode($found[1]);
        $tag = (string) $this->get($address)->assertOk()->headers->get('ETag');

        $this->get($address, ['If-None-Match' => $tag])->assertStatus(304);
        $this->log($challenge, 'Keel', ['distance' => '140']);
        $this->settle();
        self::assertNotSame($tag, $this->get($address, ['If-None-Match' => $tag])->assertOk()->headers->get('ETag'));
        $this->get(str_replace("live/{$challenge->id}", 'live/1', $address))->assertForbidden();

        $state = $this->getJson("/challenges/{$challenge->id}/floor")->assertOk();
        self::assertStringContainsString('Keel', $state->json('html.floor'));
        self::assertSame($challenge->revision(), $state->json('revision'));
        self::assertSame(['try 4', null], [$state->json('groups.2.try'), $state->json('groups.2.lane')]);
    }

    public function testTheStateIsDrawnOnceForAll(): void
    {
        $challenge = $this->class();
        $this->settle();
        config(['cache.default' => 'array']);
        $this->getJson("/challenges/{$challenge->id}/floor")->assertOk();
        $queries = 0;
        Challenge::getConnectionResolver()->connection()->listen(static function () use (&$queries): void {
            $queries++;
        });
        $this->getJson("/challenges/{$challenge->id}/floor")->assertOk();

        self::assertLessThanOrEqual(4, $queries);
    }
}
