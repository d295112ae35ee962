<?php

declare(strict_types=1);

namespace Tests\Feature\Sharing;

use App\Models\Challenge;
use App\Models\School;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\People\MemberRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Several educators on a challenge, and schools. */
final class SharingTest extends FeatureTestCase
{
    public function testALinkLetsAColleagueInUntilItIsRevoked(): void
    {
        $challenge = $this->class();
        $link = $this->invite($challenge, 'co-teacher');
        $co = Scenario::educator('Colleague');
        $this->as($co)->get("/challenges/{$challenge->id}")->assertNotFound();
        $this->get($link)->assertOk()->assertSee($challenge->name);
        $this->post($link)->assertRedirect("/challenges/{$challenge->id}");
        $this->get("/challenges/{$challenge->id}")->assertOk();
        self::assertSame(MemberRole::CoTeacher, $challenge->fresh()?->roleOf($co));
        $this->get('/challenges')->assertOk()->assertSee($challenge->name)->assertSee("of {$this->educator->name}");
        // What a co-teacher does stands with their name.
        $this->log($challenge, 'Bowline', ['distance' => '312'])->assertSessionHasNoErrors();
        self::assertSame('Colleague', $challenge->acts()->get()->last()?->by());

        $invitation = $challenge->invitations()->sole();
        $this->as($this->educator)->delete("/challenges/{$challenge->id}/sharing/links/{$invitation->id}")->assertSessionHasNoErrors();
        $other = Scenario::educator('Too late');
        $this->as($other)->get($link)->assertOk()->assertSee('This link opens nothing');
        $this->post($link)->assertRedirect($link);
        $this->get("/challenges/{$challenge->id}")->assertNotFound();
        // Taken out again, with what they did left as it is.
        $this->as($this->educator)->delete("/challenges/{$challenge->id}/sharing/members/{$co->id}")->assertSessionHasNoErrors();
        $this->as($co)->get("/challenges/{$challenge->id}")->assertNotFound();
        self::assertSame('Colleague', $challenge->acts()->get()->last()?->by());
    }

    public function testWhoIsTakenOutDoesNotComeBackByTheSameLink(): void
    {
        $challenge = $this->class();
        [$asCo, $toLookOn] = [$this->invite($challenge, 'co-teacher'), $this->invite($challenge, 'observer')];
        [$co, $observer] = [Scenario::educator('Co'), Scenario::educator('Observer')];
        $this->as($observer)->post($toLookOn);
        $this->as($this->educator)->delete("/challenges/{$challenge->id}/sharing/members/{$observer->id}")->assertSessionHasNoErrors();
        $this->as($observer)->post($toLookOn);
        self::assertNull($challenge->fresh()?->roleOf($observer));
        // Who leaves by themselves shuts nobody out; and the links that were never theirs hold for whom they were made.
        $toLookOnAgain = $this->invite($challenge, 'observer');
        $this->as($observer)->post($toLookOnAgain);
        $this->delete("/challenges/{$challenge->id}/sharing/me")->assertRedirect('/challenges');
        self::assertSame(1, $challenge->invitations()->whereNull('revoked_at')->where('role', MemberRole::Observer)->count());
        $this->as($co)->post($asCo)->assertRedirect("/challenges/{$challenge->id}");
        $this->as($this->educator)->delete("/challenges/{$challenge->id}/sharing/members/{$co->id}")->assertSessionHasNoErrors();
        $this->as($co)->post($asCo);
        $this->post($toLookOn);
        self::assertNull($challenge->fresh()?->roleOf($co));
    }

    public function testALinkTakesNoRightAwayAndAnObserverMayRise(): void
    {
        $challenge = $this->class();
        $observer = $this->invite($challenge, 'observer');
        $co = $this->invite($challenge, 'co-teacher');
        $colleague = Scenario::educator('Colleague');
        $this->as($colleague)->post($observer);
        $this->get("/challenges/{$challenge->id}")->assertOk()->assertSee('You look on in this challenge');
        $this->log($challenge, 'Bowline', ['distance' => '312'])->assertForbidden();
        $this->post($co);
        self::assertSame(MemberRole::CoTeacher, $challenge->fresh()?->roleOf($colleague));
        $this->post($observer);
        self::assertSame(MemberRole::CoTeacher, $challenge->fresh()?->roleOf($colleague));
        $this->delete("/challenges/{$challenge->id}/sharing/me")->assertRedirect('/challenges');
        self::assertNull($challenge->fresh()?->roleOf($colleague));
        $this->as($this->educator)->delete("/challenges/{$challenge->id}/sharing/me")->assertForbidden();
        $this->travel(15)->days();
        $this->as(Scenario::educator('Late'))->get($co)->assertSee('This link opens nothing');
    }

    public function testASchoolSharesPlansAndNotWhatClassesRecorded(): void
    {
        $challenge = $this->class();
        $this->post('/schools', ['name' => ''])->assertSessionHasErrors('name');
        $this->post('/schools', ['name' => 'Harbour School'])->assertSessionHasNoErrors();
        $school = School::query()->where('name', 'Harbour School')->sole();
        $this->put("/challenges/{$challenge->id}/sharing/schools/{$school->id}", ['share' => 1])->assertSessionHasNoErrors();
        $link = $this->post("/schools/{$school->id}/links")->getSession()->get('link');
        $colleague = Scenario::educator('Colleague');
        $this->as($colleague)->get("/schools/{$school->id}")->assertNotFound();
        $this->post("/schools/{$school->id}/plans/{$challenge->id}")->assertNotFound();
        $this->post($link)->assertRedirect("/schools/{$school->id}");
        $this->get("/schools/{$school->id}")->assertOk()->assertSee($challenge->name);
        $part = $challenge->ownParts()->create(
            [
                'kind' => PartKind::Nozzle, 'name' => 'bubble tea straw', 'values' => ['nozzle_bore' => 0.011], 'traits' => [],
                'origin' => 'own',
            ],
        );
        $other = Scenario::challenge($colleague);
        $this->get("/challenges/{$other->id}/parts")->assertOk()->assertSee('bubble tea straw');
        $this->post("/challenges/{$other->id}/parts/shared/{$part->id}")->assertSessionHasNoErrors();
        $this->post("/challenges/{$other->id}/parts/shared/{$part->id}")->assertSessionHasNoErrors();
        self::assertSame(0.011, $other->ownParts()->sole()->values['nozzle_bore']);
        $this->as(Scenario::educator('Elsewhere'));
        $this->post(
            '/challenges/' . Scenario::challenge(User::query()->where('name', 'Elsewhere')->sole())->id . "/parts/shared/{$part->id}",
        )->assertNotFound();
        $this->as($colleague);
        $other->delete();
        $this->post("/schools/{$school->id}/plans/{$challenge->id}")->assertRedirect();
        $mine = $colleague->challenges()->sole();
        self::assertSame($challenge->name, $mine->name);
        self::assertSame(0, $mine->groups()->count());
        $this->get("/challenges/{$challenge->id}")->assertNotFound();
        $this->post("/schools/{$school->id}/links")->assertNotFound();
        // A colleague's own challenge may be shared with the school by them alone, and no other school's.
        $elsewhere = School::query()->create(['name' => 'Elsewhere']);
        $this->put("/challenges/{$mine->id}/sharing/schools/{$elsewhere->id}", ['share' => 1])->assertNotFound();
        // The head leaves: who came next heads it, and the plan goes along.
        $this->as($this->educator)->delete("/schools/{$school->id}/me")->assertRedirect('/schools');
        self::assertTrue($school->fresh()?->memberFor($colleague)?->is_head);
        self::assertSame(0, $school->plans()->count());
        $this->as($colleague)->delete("/schools/{$school->id}/me");
        self::assertNull(School::query()->find($school->id));
    }

    public function testSignInsAreListedAndEnded(): void
    {
        $password = 'a long enough password';
        $user = User::query()->create(['name' => 'Two browsers', 'email' => 'two@skivo.example', 'password' => $password]);
        // What a page asks beside the person's doings notes nothing, and is nothing to be signed in by.
        $challenge = Scenario::challenge($user);
        $this->as($user)->getJson("/challenges/{$challenge->id}/floor", ['X-Beside' => '1'])->assertUnauthorized();
        self::assertSame(0, $user->signIns()->count());
        $this->flushHeaders()
            ->withHeader('User-Agent', 'Mozilla/5.0 (iPad; CPU OS 17_0) Safari/605')
            ->as($user)
            ->get('/account')
            ->assertOk()
            ->assertSee('Safari, iPad')
            ->assertSee('this browser');
        $first = $user->signIns()->sole();
        $this->as($user)
            ->withSession(['sign_in' => $first->id])
            ->getJson("/challenges/{$challenge->id}/floor", ['X-Beside' => '1'])
            ->assertOk();
        self::assertSame(1, $user->signIns()->count());
        $this->as($user)->withSession(['sign_in' => $first->id]);
        $elsewhere = $user->signIns()->create(['browser' => 'Firefox, Windows', 'seen_at' => now()]);
        $this->get('/account')->assertSee('Firefox, Windows');
        $this->delete("/account/sign-ins/{$elsewhere->id}")->assertSessionHas('status', 'Signed out in one other browser.');
        self::assertNotNull($elsewhere->fresh()?->ended_at);
        // Another account's is not there.
        $others = Scenario::educator('Another')->signIns()->create(['browser' => '?', 'seen_at' => now()]);
        $this->delete("/account/sign-ins/{$others->id}")->assertNotFound();
        // Ended from elsewhere, this browser is signed in no longer.
        $first->forceFill(['ended_at' => now()])->save();
        $this->get('/account')->assertRedirect('/sign-in');
    }

    public function testWhoLooksAfterTheMachineGivesANewPassword(): void
    {
        $user = User::query()->create(['name' => 'Forgot', 'email' => 'forgot@skivo.example', 'password' => 'the old password']);
        $user->signIns()->create(['browser' => '?', 'seen_at' => now()]);
        self::assertSame(1, Artisan::call('skivo:password', ['email' => 'nobody@skivo.example']));
        self::assertStringContainsString('There is no account', Artisan::output());
        self::assertSame(0, Artisan::call('skivo:password', ['email' => 'Forgot@skivo.example']));
        self::assertSame(1, preg_match('/The new password of forgot@skivo.example: (\S+)/', Artisan::output(), $found));
        self::assertTrue(Auth::validate(['email' => $user->email, 'password' => $found[1]]));
        self::assertFalse(Auth::validate(['email' => $user->email, 'password' => 'the old password']));
        self::assertSame(0, $user->signIns()->count());
    }

    /**
     * A password that somebody else knows opened more than pages: tokens end with it, if so wished, and always with a new one from the
     * machine.
     */
    public function testTokensEndWithThePassword(): void
    {
        $user = User::query()->create(['name' => 'Tokens', 'email' => 'tokens@skivo.example', 'password' => 'a long enough password']);
        $this->as($user);
        $token = fn(): string => (string) $this->post('/account/tokens', ['token_name' => 'Sheet', 'scope_records' => 1])
            ->assertSessionHasNoErrors()
            ->getSession()
            ->get('token');
        $open = fn(string $token): bool => $this->getJson(
            '/api/v1/challenges',
            ['Authorization' => "Bearer {$token}"],
        )->getStatusCode() === 200;
        $change = fn(string $from, string $to, array $also) => $this->as($user->refresh())
            ->put('/account/password', ['current_password' => $from, 'password' => $to, 'password_confirmation' => $to] + $also)
            ->assertSessionHasNoErrors();
        $held = $token();
        self::assertTrue($open($held));
        $this->as($user)->get('/account')->assertSee('Also end the tokens');
        $change('a long enough password', 'another long password', ['end_tokens' => 0]);
        self::assertTrue($open($held), 'kept where so wished');
        $change('another long password', 'a third long password', ['end_tokens' => 1]);
        self::assertFalse($open($held));
        $this->as($user);
        $again = $token();
        Artisan::call('skivo:password', ['email' => $user->email]);
        self::assertFalse($open($again));
    }

    /** Who signs in by a password is listed, whatever they ask next, and how. */
    public function testASignInIsListedWhateverIsAskedByIt(): void
    {
        $user = User::query()->create(['name' => 'Listed', 'email' => 'listed@skivo.example', 'password' => 'a long enough password']);
        $this->flushSession();
        Auth::forgetGuards();
        $this->post(
            '/sign-in',
            ['email' => $user->email, 'password' => 'a long enough password'],
            ['X-Beside' => '1'],
        )->assertRedirect('/challenges');
        self::assertSame(1, $user->signIns()->count());
        $this->get('/challenges', ['X-Beside' => '1'])->assertOk();
        $user->signIns()->update(['ended_at' => now()]);
        $this->get('/challenges', ['X-Beside' => '1'])->assertRedirect('/sign-in');
    }

    /** What somebody made up leaves nothing behind: no session, and no limit of its own. */
    public function testMadeUpCookiesAndBearersLeaveNothing(): void
    {
        Auth::forgetGuards();
        $this->flushSession();
        $folder = storage_path('framework/test-sessions-' . bin2hex(random_bytes(4)));
        File::makeDirectory($folder);
        config(['session.driver' => 'file', 'session.files' => $folder]);
        try {
            $this->withUnencryptedCookie((string) config('session.cookie'), Str::random(40))->get('/sign-in')->assertOk();
            self::assertSame([], File::allFiles($folder));
        } finally {
            File::deleteDirectory($folder);
        }
        for ($made = 0; $made < 240; $made++) {
            $this->getJson('/api/v1/challenges', ['Authorization' => 'Bearer ' . Str::random(40)])->assertUnauthorized();
        }
        $this->getJson('/api/v1/challenges', ['Authorization' => 'Bearer ' . Str::random(40)])->assertTooManyRequests();
    }

    /** At another browser, with a session of its own. */
    private function as(User $user): static
    {
        $this->flushSession();
        Auth::forgetGuards();
        Auth::shouldUse('web');

        return $this->actingAs($user, 'web');
    }

    private function invite(Challenge $challenge, string $role): string
    {
        return (string) $this->as($this->educator)
            ->post("/challenges/{$challenge->id}/sharing/links", ['role' => $role])
            ->assertSessionHasNoErrors()
            ->getSession()
            ->get('link');
    }
}
