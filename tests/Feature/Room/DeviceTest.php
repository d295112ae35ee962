<?php

declare(strict_types=1);

namespace Tests\Feature\Room;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use App\Models\JoinCode;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Skivo\Core\People\DeviceRole;
use Skivo\Core\People\MemberRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class DeviceTest extends FeatureTestCase
{
    public function testAHelperJoinsWithACodeAndLogs(): void
    {
        $challenge = $this->class();
        $this->post("/challenges/{$challenge->id}/devices/codes", ['for' => 'log'])->assertSessionHasNoErrors();
        $code = $challenge->joinCodes()->sole()->code;
        $this->get("/challenges/{$challenge->id}/devices")->assertSee(substr($code, 0, 3))->assertSee("/join/{$code}");

        Auth::forgetGuards();
        $this->get("/join/{$code}")->assertSee($code);
        $this->post('/join', ['code' => strtolower(substr($code, 0, 3) . ' ' . substr($code, 3)), 'name' => 'lane 2'])
            ->assertRedirect('/joined')
            ->assertCookie(Device::COOKIE);
        $device = $challenge->devices()->sole();
        self::assertSame([DeviceRole::Log, 'lane 2'], [$device->role, $device->name]);
    }

    public function testALogDeviceSeesTheFloorAndNothingElse(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $run = $challenge->runs()->firstOrFail();
        $this->as($challenge, DeviceRole::Log);

        $this->get("/challenges/{$challenge->id}")->assertOk()->assertSee('Log run')->assertDontSee('Sign out')->assertDontSee('Findings');
        $this->log($challenge, 'Keel', ['distance' => '140'])->assertSessionHasNoErrors();
        $this->put("/challenges/{$challenge->id}/order", ['do' => "repair:{$keel->id}"])->assertRedirect("/challenges/{$challenge->id}");
        $this->put(
            "/challenges/{$challenge->id}/runs/{$run->id}",
            ['group' => $run->car->group_id, 'distance' => '330'],
        )->assertSessionHasNoErrors();
        self::assertSame($challenge->devices()->sole()->id, $run->changes()->sole()->device_id);
        $this->get("/challenges/{$challenge->id}/runs")
            ->assertOk()
            ->assertSee('Correct')
            ->assertDontSee('>Remove</button>', false)
            ->assertDontSee('/trace')
            ->assertSee("by <bdi>{$challenge->devices()->sole()->name}</bdi>", false);
        foreach (
            [
                'plan', 'bench', 'bench/csv', "groups/{$keel->id}/bench", 'findings', 'findings/sure', 'findings/awards',
                'findings/csv/work', 'report', 'report/notebooks', 'devices', 'sheet/csv', "groups/{$keel->id}", "groups/{$keel->id}/own",
                "groups/{$keel->id}/car",
            ] as $page
        ) {
            $status = $this->get("/challenges/{$challenge->id}/{$page}")->getStatusCode();
            self::assertContains($status, [302, 404], $page);
        }
        self::assertContains($this->delete("/challenges/{$challenge->id}/runs/{$run->id}")->getStatusCode(), [302, 404]);
        self::assertFalse($run->refresh()->trashed());
        $other = $this->class();
        $this->get("/challenges/{$other->id}")->assertNotFound();
        $this->log($other, 'Keel', ['distance' => '1'])->assertNotFound();
    }

    public function testAGroupSeesAndEditsOnlyItsOwn(): void
    {
        $challenge = $this->class();
        [$keel, $reef] = [$challenge->groups()->where('name', 'Keel')->sole(), $challenge->groups()->where('name', 'Reef')->sole()];
        $theirs = $challenge->runs()->where('distance_m', 4.2)->sole();
        $ours = $challenge->runs()->where('distance_m', 1.18)->sole();
        $this->as($challenge, DeviceRole::Group, $keel);
        $path = "/challenges/{$challenge->id}";

        $this->get("{$path}/groups/{$keel->id}/own")->assertOk()->assertSee('Our runs')->assertSee('118')->assertDontSee('Halyard');
        $this->put(
            "{$path}/groups/{$keel->id}/car",
            ['nozzle_bore' => '6', 'save_as' => 'correction'],
        )->assertRedirect("{$path}/groups/{$keel->id}/at/build");
        $this->log($challenge, 'Keel', ['distance' => '150', 'back' => 'group'])->assertRedirect("{$path}/groups/{$keel->id}/own");
        $this->put("{$path}/runs/{$ours->id}", ['group' => $keel->id, 'distance' => '119', 'back' => 'group'])->assertSessionHasNoErrors();
        self::assertSame('119 cm', $ours->refresh()->distance?->text);

        $this->get($path)->assertNotFound();
        $this->get("{$path}/groups/{$reef->id}/own")->assertNotFound();
        $this->get("{$path}/groups/{$reef->id}/car")->assertNotFound();
        $this->put("{$path}/groups/{$reef->id}/car", ['nozzle_bore' => '20'])->assertNotFound();
        $this->log($challenge, 'Reef', ['distance' => '500'])->assertNotFound();
        $this->put("{$path}/runs/{$theirs->id}", ['group' => $keel->id, 'distance' => '1'])->assertNotFound();
        $this->put("{$path}/runs/{$ours->id}", ['group' => $reef->id, 'distance' => '1'])->assertNotFound();
        self::assertSame(4.2, $theirs->refresh()->distance?->quantity->si());

        $challenge->update(['groups_are_locked' => true]);
        $this->get("{$path}/groups/{$keel->id}/own")
            ->assertOk()
            ->assertSee('Just now nothing can be changed here')
            ->assertDontSee('Log run');
        $this->log($challenge, 'Keel', ['distance' => '150'])->assertForbidden();
        $this->put("{$path}/groups/{$keel->id}/car", ['nozzle_bore' => '6'])->assertForbidden();
    }

    public function testWhoIsCutOffIsOut(): void
    {
        $challenge = $this->class();
        $device = $this->as($challenge, DeviceRole::Log);
        $this->get("/challenges/{$challenge->id}")->assertOk();
        $this->asEducator();
        $this->delete("/challenges/{$challenge->id}/devices/{$device->id}")->assertSessionHasNoErrors();
        $other = $this->class();
        $this->delete("/challenges/{$other->id}/devices/{$device->id}")->assertNotFound();
        Auth::forgetGuards();

        // A tablet that was cut off is not asked for an account: it joins again.
        $this->get("/challenges/{$challenge->id}")->assertRedirect('/join');
        $this->postJson("/challenges/{$challenge->id}/runs", ['id' => (string) Str::uuid7(), 'distance' => '1'])->assertUnauthorized();
    }

    public function testCodesExpireAndAreNotGuessed(): void
    {
        $challenge = $this->class();
        $this->post(
            "/challenges/{$challenge->id}/devices/codes",
            ['for' => (string) $challenge->groups()->value('id')],
        )->assertSessionHasNoErrors();
        $code = $challenge->joinCodes()->sole();
        self::assertSame(1, preg_match('/^[' . JoinCode::LETTERS . ']{7}$/', $code->code));
        $this->travel(JoinCode::MINUTES + 1)->minutes();
        $this->post('/join', ['code' => $code->code])->assertSessionHasErrors('code');
        $this->travelBack();
        $this->delete("/challenges/{$challenge->id}/devices/codes/{$code->id}");
        for ($guess = 0; $guess < 59; $guess++) {
            $this->post('/join', ['code' => JoinCode::draw()])->assertSessionHasErrors('code');
        }
        $this->post('/join', ['code' => $code->code])->assertTooManyRequests();
        self::assertSame(0, $challenge->devices()->count());
    }

    /** Forty tablets behind one address are in within their minute, and a tablet that is in is not asked again. */
    public function testAClassJoinsWithinAMinuteAndATabletThatIsInStaysIn(): void
    {
        $challenge = $this->class();
        $this->post("/challenges/{$challenge->id}/devices/codes", ['for' => 'class'])->assertSessionHasNoErrors();
        $code = $challenge->joinCodes()->sole()->code;
        Auth::forgetGuards();
        $this->flushSession();
        $groups = $challenge->groups()->pluck('id')->all();
        for ($tablet = 0; $tablet < 40; $tablet++) {
            Auth::forgetGuards();
            $this->get("/join/{$code}")->assertOk()->assertSee('Keel');
            $this->post('/join/mark', ['code' => $code, 'group' => $groups[$tablet % count($groups)]])->assertRedirect('/joined');
        }
        // Looking whether a code is one is guessing, too.
        for ($guess = 0; $guess < 60; $guess++) {
            $this->get('/join/' . JoinCode::draw())->assertOk();
        }
        $this->get("/join/{$code}")->assertTooManyRequests();
        $this->post('/join', ['code' => $code])->assertTooManyRequests();
        $this->travel(2)->minutes();

        $tablet = $challenge->devices()->where('is_waiting', false)->firstOrFail();
        $this->atDevice($tablet);
        $this->get('/')->assertRedirect('/joined');
        $this->get('/join')->assertRedirect('/joined');
        $this->get('/join?again=1')->assertOk()->assertSee('Code');
        $this->asEducator()->get('/')->assertRedirect('/challenges');
        Auth::forgetGuards();
        $this->flushSession();
        $this->get('/sign-in')->assertSee('Join with a code');
    }

    /** A tablet whose group goes on with another says so; it does not just ask for a code. */
    public function testATabletThatAnotherReplacedSaysSo(): void
    {
        $challenge = $this->class();
        $keel = $this->named($challenge, 'Keel');
        [$first, $token] = AdmitDevices::join($challenge, DeviceRole::Group, 'Keel', $keel);
        $first->update(['revoked_at' => now()]);
        Auth::forgetGuards();
        $this->flushSession();
        $this->withCookie(Device::COOKIE, $token)
            ->get('/join')
            ->assertOk()
            ->assertSee('This tablet was cut off')
            ->assertDontSee('Another tablet goes on');
        AdmitDevices::join($challenge, DeviceRole::Group, 'Keel', $keel);
        $this->withCookie(Device::COOKIE, $token)
            ->get('/join')
            ->assertOk()
            ->assertSee('Another tablet goes on for')
            ->assertSee('Nothing that you recorded is lost');
        $this->withCookie(Device::COOKIE, 'made-up')->get('/join')->assertOk()->assertDontSee('cut off');
    }

    /** A code lets in whoever has it: who only looks on sees none, and makes none. */
    public function testAnObserverHasNoCode(): void
    {
        $challenge = $this->class();
        $this->post("/challenges/{$challenge->id}/devices/codes", ['for' => 'log'])->assertSessionHasNoErrors();
        $code = $challenge->joinCodes()->sole();
        $letters = substr($code->code, 0, 3) . ' ' . substr($code->code, 3);
        $this->get("/challenges/{$challenge->id}/devices")->assertSee($letters)->assertSee('Table cards');
        $observer = Scenario::educator('Observer');
        $challenge->members()->create(['user_id' => $observer->id, 'role' => MemberRole::Observer]);
        Auth::forgetGuards();
        $this->flushSession();
        $this->actingAs($observer, 'web');
        $this->get("/challenges/{$challenge->id}/devices")
            ->assertOk()
            ->assertDontSee($letters)
            ->assertDontSee($code->code)
            ->assertDontSee('Table cards')
            ->assertDontSee('Make a token');
        $this->get("/challenges/{$challenge->id}/devices/cards")->assertForbidden();
        $this->post("/challenges/{$challenge->id}/devices/codes", ['for' => 'class'])->assertForbidden();
        self::assertSame(1, $challenge->joinCodes()->count());
    }

    public function testTheBoardHasALinkOfItsOwnThatCanBeCutOff(): void
    {
        $challenge = $this->class();
        $this->post("/challenges/{$challenge->id}/devices", ['role' => 'board'])->assertSessionHasNoErrors();
        [$id, $token] = session('made');
        $this->get("/challenges/{$challenge->id}/devices")->assertSee("/board/{$token}");
        Auth::forgetGuards();

        $this->get("/board/{$token}")
            ->assertOk()
            ->assertSee('Across the hall')
            ->assertSee('Halyard')
            ->assertSee('Next up')
            ->assertDontSee('Log run');
        $this->getJson("/board/{$token}/state")
            ->assertOk()
            ->assertJsonMissingPath('token')
            ->assertJsonPath('html.board', fn(string $html): bool => str_contains($html, 'Halyard'));
        $this->get('/board/' . Str::random(40))->assertNotFound();
        Device::query()->findOrFail($id)->update(['revoked_at' => now()]);
        $this->get("/board/{$token}")->assertNotFound();
        $this->getJson("/board/{$token}/state")->assertNotFound();
    }

    public function testABoardsTokenLogsNothing(): void
    {
        $challenge = $this->class();
        $this->as($challenge, DeviceRole::Board);
        $this->log($challenge, 'Keel', ['distance' => '140'])->assertNotFound();
        $this->get("/challenges/{$challenge->id}")->assertNotFound();
    }

    private function as(Challenge $challenge, DeviceRole $role, ?Group $group = null): Device
    {
        Auth::forgetGuards();
        [$device, $token] = AdmitDevices::join($challenge, $role, 'Tablet', $group);
        $this->withCookie(Device::COOKIE, $token);

        return $device;
    }
}
