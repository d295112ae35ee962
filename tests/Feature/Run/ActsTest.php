<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Access\Actor;
use App\Actions\AdmitDevices;
use App\Actions\ChangeRun;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Run;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Skivo\Core\Challenge\RunRecord;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;

/** What is done at the lane, by several people: corrected, undone, typed twice, in other units. */
final class ActsTest extends FeatureTestCase
{
    /** What is implausible and like another's besides is asked about once, with both reasons, and is then logged. */
    public function testOneQuestionNamesAllThatIsToBeAsked(): void
    {
        $challenge = $this->class();
        [$helper] = AdmitDevices::join($challenge, DeviceRole::Log, 'Lane 2');
        $this->log($challenge, 'Keel', ['distance' => '14', 'confirmed' => 'distance'])->assertSessionHasNoErrors();
        $this->atDevice($helper);
        $sent = ['id' => (string) Str::uuid7(), 'group' => $this->named($challenge, 'Keel')->id, 'distance' => '14'];
        $asked = $this->postJson("/challenges/{$challenge->id}/runs", $sent)->assertStatus(409)->json('questions');
        self::assertSame(['distance', 'same_run'], array_keys($asked));
        $this->postJson("/challenges/{$challenge->id}/runs", ['confirmed' => 'distance,same_run'] + $sent)->assertCreated();
        // On a page without scripts as well: what was answered stays answered.
        $sent['id'] = (string) Str::uuid7();
        $page = (string) $this->followingRedirects()
            ->post("/challenges/{$challenge->id}/runs", ['confirmed' => 'practice'] + $sent)
            ->getContent();
        self::assertMatchesRegularExpression('/name="confirmed" value="practice,distance/', $page);
    }

    public function testUndoAfterTheGroupWasRemovedSaysSo(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Keel', ['distance' => '141'])->assertSessionHasNoErrors();
        $keel = $this->named($challenge, 'Keel');
        $run = $challenge->runs()->where('distance_m', 1.41)->sole();
        $keel->delete();
        $this->post("/challenges/{$challenge->id}/undo")
            ->assertRedirect()
            ->assertSessionHas('status', 'Keel has been removed. Restore the group first; then this can be undone.');
        self::assertFalse($run->refresh()->trashed());
        $keel->restore();
        $this->post("/challenges/{$challenge->id}/undo")->assertRedirect();
        self::assertTrue($run->refresh()->trashed());
        // The same of a group that was sent to the table.
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/order", ['is_repairing' => '1']);
        $keel->delete();
        $this->post("/challenges/{$challenge->id}/undo")->assertRedirect()->assertSessionHas('status');
    }

    public function testACorrectionChangesOnlyWhatItsFormShows(): void
    {
        $challenge = $this->class();
        $this->log(
            $challenge,
            'Keel',
            [
                'distance' => '150', 'time' => '1.5', 'total_time' => '4', 'limp' => '60', 'drift' => '12', 'drift_side' => 'right',
                'load' => '20', 'lane' => '2', 'inflation_kind' => 'strokes', 'inflation_strokes' => '9', 'note' => 'first',
            ],
        );
        $run = $challenge->runs()->where('note', 'first')->sole();
        $before = $run->onRecord();
        $this->as($challenge, DeviceRole::Group, 'Keel');

        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            ['distance' => '151', 'time' => '1.5', 'note' => 'first', 'void' => ''],
        )->assertSessionHasNoErrors();
        self::assertSame(['distance_m' => 1.51, 'distance_entered' => '151 cm'], array_diff_assoc($run->refresh()->onRecord(), $before));

        // Emptied on purpose, it is gone; a run that counts keeps a distance.
        $this->put("/challenges/{$challenge->id}/runs/{$run->id}", ['time' => ''])->assertSessionHasNoErrors();
        self::assertNull($run->refresh()->time);
        $this->put("/challenges/{$challenge->id}/runs/{$run->id}", ['distance' => '', 'void' => ''])->assertSessionHasErrors('distance');
        self::assertSame('151 cm', $run->refresh()->distance?->text);
    }

    public function testAGroupAndAHelperComeBackToAPageTheyMayOpenWithTheirWords(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->where('distance_m', 1.18)->sole();
        $path = "/challenges/{$challenge->id}/runs/{$run->id}";
        $this->put($path, ['distance' => '119']);
        foreach (
            [
                [DeviceRole::Group, "/challenges/{$challenge->id}/groups/{$run->car->group_id}/own"],
                [DeviceRole::Log, "/challenges/{$challenge->id}/runs?edit={$run->id}&page=1"],
            ] as [$role, $page]
        ) {
            $this->as($challenge, $role, $role === DeviceRole::Group ? 'Keel' : null);
            $this->put($path, ['distance' => '117', 'note' => 'we saw it', 'edition' => 1])
                ->assertSessionHas('conflict')
                ->assertRedirect("{$page}#run-{$run->id}");
            $this->get($page)
                ->assertOk()
                ->assertSee("{$this->educator->name}</bdi> changed this run in the meantime", false)
                ->assertSee('distance 119 cm')
                ->assertSee('value="117"', false)
                ->assertSee('value="we saw it"', false);
            $this->put($path, ['distance' => 'far', 'note' => 'we saw it', 'of_run' => $run->id])->assertSessionHasErrors('distance');
        }
        self::assertSame('119 cm', $run->refresh()->distance?->text);
    }

    public function testWhatWasTypedUnderOneUnitStaysInItWhenTheClassIsSwitched(): void
    {
        $challenge = $this->class();
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        $keel = $challenge->groups()->where('name', 'Keel')->sole();

        $this->log($challenge, 'Keel', ['distance' => '150', 'load' => '30', 'typed_in' => 'metric'])->assertSessionHasNoErrors();
        $run = $challenge->runs()->where('distance_entered', '150 cm')->sole();
        self::assertSame(['150 cm', '30 g'], [$run->distance?->text, $run->load?->text]);
        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            ['distance' => '140', 'typed_in' => 'metric'],
        )->assertSessionHasNoErrors();
        self::assertSame('140 cm', $run->refresh()->distance?->text);
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/prediction",
            ['predicted' => '160', 'typed_in' => 'metric'],
        )->assertSessionHasNoErrors();
        self::assertSame('160 cm', $keel->newestCar()?->predictions()->sole()->distance->text);
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/car",
            ['nozzle_bore' => '6', 'save_as' => 'correction', 'typed_in' => 'metric'],
        )->assertSessionHasNoErrors();
        self::assertSame('6 mm', $keel->newestCar()?->choices->quantities['nozzle_bore']->text);
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/check",
            ['end_play_first' => '2', 'typed_in' => 'metric'],
        )->assertSessionHasNoErrors();
        self::assertSame('2 mm', $keel->newestCar()?->checkReadings()->sole()->toCore()->first?->text);
        foreach (
            [
                "/challenges/{$challenge->id}", "/challenges/{$challenge->id}/groups/{$keel->id}/car",
                "/challenges/{$challenge->id}/groups/{$keel->id}/check", "/challenges/{$challenge->id}/groups/{$keel->id}/bench",
                "/challenges/{$challenge->id}/sheet", "/challenges/{$challenge->id}/plan/cuts", "/challenges/{$challenge->id}/bench",
                "/challenges/{$challenge->id}/check/tolerances", "/challenges/{$challenge->id}/findings/awards",
            ] as $page
        ) {
            $this->get($page)->assertOk()->assertSee('name="typed_in" value="imperial"', false);
        }
    }

    public function testUndoTakesBackWhatItsButtonNamesAndNothingElse(): void
    {
        $challenge = $this->class();
        $path = "/challenges/{$challenge->id}";
        $this->log($challenge, 'Keel', ['distance' => '140']);
        $keel = $challenge->acts()->get()->last();
        $this->log($challenge, 'Reef', ['distance' => '250']);
        self::assertStringContainsString('Undo the last: Reef, try 2', (string) $this->get($path)->getContent());

        // The button of a page that was drawn before somebody else logged.
        $this->post("{$path}/undo", ['act' => $keel?->id])->assertSessionHas('status', "Removed: Keel, try 3, 140\u{00A0}cm.");
        self::assertSame(1, $challenge->runs()->where('distance_m', 2.5)->count());
        // Changed since, by somebody: told, and left alone.
        $this->post("{$path}/undo", ['act' => $keel?->id])->assertSessionHas(
            'status',
            "Keel, try 3 was changed since, by {$this->educator->name}. Nothing was undone: look at it first.",
        );
        $this->post("{$path}/undo", ['act' => 999_999_999])->assertSessionHas('status', 'There is nothing to undo.');

        // By order and not by clocks: the lane's clock was set back an hour.
        $this->travel(-1)->hours();
        $this->log($challenge, 'Bowline', ['distance' => '333']);
        $this->post("{$path}/undo")->assertSessionHas('status', "Removed: Bowline, try 4, 333\u{00A0}cm.");

        // A skip is an act, too; logging a run ends it, and undoing that brings it back.
        $halyard = $challenge->groups()->where('name', 'Reef')->sole();
        $this->put("{$path}/order", ['do' => "skip:{$halyard->id}"]);
        self::assertSame(3, $halyard->refresh()->skipped_try);
        self::assertStringContainsString('Undo: Reef was skipped', (string) $this->get($path)->getContent());
        $this->log($challenge, 'Reef', ['distance' => '251']);
        self::assertNull($halyard->refresh()->skipped_try);
        $this->post("{$path}/undo")->assertSessionHas('status', "Removed: Reef, try 3, 251\u{00A0}cm.");
        self::assertSame(3, $halyard->refresh()->skipped_try);
    }

    public function testTheKeyUndoesWhatWasDoneLastAtThisDevice(): void
    {
        $challenge = $this->class();
        $path = "/challenges/{$challenge->id}";
        $this->as($challenge, DeviceRole::Log);
        $this->log($challenge, 'Keel', ['distance' => '140']);
        $this->asEducator();
        $reef = $challenge->groups()->where('name', 'Reef')->sole();
        $this->log($challenge, 'Reef', ['distance' => '250']);
        $this->put("{$path}/order", ['do' => "withdraw:{$reef->id}"]);

        $this->post("{$path}/undo")->assertSessionHas('status', 'Reef stands where it stood before.');
        self::assertFalse($reef->refresh()->is_withdrawn);
        $this->as($challenge, DeviceRole::Log, on: $challenge->devices()->sole());
        $this->post("{$path}/undo")->assertSessionHas('status', "Removed: Keel, try 3, 140\u{00A0}cm.");
    }

    /** A German sheet's 3,5 was read; taking a correction of it back reads nothing again. */
    public function testWhatWasReadWithADecimalCommaComesBackExactly(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->with('car.group')->where('distance_m', 1.18)->sole();
        $entry = (new QuantityReader(DecimalMark::Comma))->read('1,185 m', Unit::Centimetre);
        $change = app(ChangeRun::class);
        $change->edit(
            $run,
            Actor::at($this->educator),
            $run->car->group->setRelation('challenge', $challenge),
            static fn(): RunRecord => new RunRecord($entry, note: 'a, b → c'),
        );
        $before = $run->refresh()->onRecord();
        $this->put("/challenges/{$challenge->id}/runs/{$run->id}", ['distance' => '119', 'note' => ''])->assertSessionHasNoErrors();

        $this->post(
            "/challenges/{$challenge->id}/undo",
            ['act' => $run->changes()->get()->last()?->id],
        )->assertSessionHas('status', "As it was before: Keel, try 1, 119\u{00A0}cm.");
        self::assertSame($before, $run->refresh()->onRecord());
        self::assertSame('1,185 m', $run->distance?->text);
    }

    public function testTwoAdultsWhoTypeOneRunAreAsked(): void
    {
        $challenge = $this->class();
        $helper = $this->as($challenge, DeviceRole::Log);
        $this->log($challenge, 'Keel', ['distance' => '140'])->assertSessionHasNoErrors();
        $this->asEducator();
        $id = (string) Str::uuid7();
        $send = fn(array $typed) => $this->postJson(
            "/challenges/{$challenge->id}/runs",
            $typed + ['id' => (string) Str::uuid7(), 'group' => $challenge->groups()->where('name', 'Keel')->value('id')],
        );

        $send(['id' => $id, 'distance' => '142'])->assertStatus(409)->assertJsonPath(
            'questions.same_run',
            "{$helper->name} logged 140\u{00A0}cm for this car a moment ago. Is this the same run?",
        );
        self::assertSame(1, $challenge->runs()->where('distance_m', '>', 1.35)->where('distance_m', '<', 1.45)->count());
        $send(['distance' => '190'])->assertCreated();
        $send(['id' => $id, 'distance' => '142', 'confirmed' => 'same_run'])->assertCreated();
        // The same device twice in a row is two runs; so is one of a minute ago.
        $send(['distance' => '190'])->assertCreated();
        $this->travel(61)->seconds();
        $this->as($challenge, DeviceRole::Log);
        $send(['distance' => '190'])->assertCreated();
        $this->asEducator();
        $this->get("/challenges/{$challenge->id}/runs")
            ->assertSee("by <bdi>{$helper->name}</bdi>", false)
            ->assertSee("by <bdi>{$this->educator->name}</bdi>", false);
    }

    public function testTwoWhoFillInOneBuildSheetOrCardNoticeEachOther(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $path = "/challenges/{$challenge->id}/groups/{$keel->id}";
        $this->get("{$path}/car")->assertSee('name="edition" value="1.1"', false);
        $this->put(
            "{$path}/car",
            ['nozzle_bore' => '6', 'mass' => '90', 'save_as' => 'correction', 'edition' => '1.1'],
        )->assertSessionMissing('conflict');

        $this->put("{$path}/car", ['nozzle_bore' => '7', 'mass' => '88', 'save_as' => 'correction', 'edition' => '1.1'])
            ->assertRedirect("{$path}/car")
            ->assertSessionHas('conflict');
        self::assertSame(0.006, $keel->newestCar()?->choices->number(\Skivo\Core\Car\Attribute\CarAttribute::NozzleBore));
        $this->get("{$path}/car")
            ->assertSee('changed this car’s record in the meantime')
            ->assertSee('value="7"', false)
            ->assertSee('value="88"', false)
            ->assertSee('name="edition" value="1.2"', false);
        $this->put(
            "{$path}/car",
            ['nozzle_bore' => '7', 'mass' => '88', 'save_as' => 'correction', 'edition' => '1.2'],
        )->assertSessionMissing('conflict');
        self::assertSame(0.007, $keel->newestCar()?->choices->number(\Skivo\Core\Car\Attribute\CarAttribute::NozzleBore));

        $this->get("{$path}/check")->assertSee('name="edition" value="1.1"', false);
        $this->put("{$path}/check", ['spin_first' => '4', 'edition' => '1.1'])->assertSessionMissing('conflict');
        $this->put("{$path}/check", ['spin_first' => '', 'wobble_first' => '1', 'edition' => '1.1'])->assertSessionHas('conflict');
        self::assertSame(
            ['4 s'],
            $keel->newestCar()?->checkReadings()->get()->map(static fn($reading): ?string => $reading->toCore()->first?->text)->all(),
        );
        $this->get("{$path}/check")->assertSee('Somebody else saved this card')->assertSee('name="wobble_first"', false);
    }

    public function testAGroupThatWasRemovedMeanwhileIsSaidInWords(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $code = $challenge->joinCodes()->create(
            ['role' => DeviceRole::Group, 'group_id' => $keel->id, 'code' => 'ABCDEFG', 'expires_at' => now()->addHour()],
        );
        $known = $challenge->runs()->where('distance_m', 1.18)->sole();
        $keel->delete();

        $this->postJson("/challenges/{$challenge->id}/runs", ['id' => (string) Str::uuid7(), 'group' => $keel->id, 'distance' => '140'])
            ->assertUnprocessable()->assertJsonPath(
                'errors.group.0',
                'This group is not in the challenge any more. Restore it under Build, or choose another one.',
            );
        $this->postJson(
            "/challenges/{$challenge->id}/runs",
            ['id' => $known->id, 'group' => $challenge->groups()->value('id'), 'distance' => '140'],
        )
            ->assertStatus(409)
            ->assertJsonPath('known', true);
        Auth::forgetGuards();
        $this->post('/join', ['code' => $code->code])->assertSessionHasErrors('code');
        self::assertSame(0, Device::query()->where('challenge_id', $challenge->id)->count());
    }

    private function as(Challenge $challenge, DeviceRole $role, ?string $group = null, ?Device $on = null): Device
    {
        $device = $on
            ?? AdmitDevices::join(
                $challenge,
                $role,
                'Helper 1',
                $group === null ? null : $challenge->groups()->where('name', $group)->sole(),
            )[0];
        Auth::forgetGuards();
        Auth::shouldUse('device');
        $this->actingAs($device, 'device');

        return $device;
    }
}
