<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class AccountTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Auth::forgetGuards();
        $this->app['auth']->guard('web')->forgetUser();
    }

    public function testGuestsAreSentToSignIn(): void
    {
        foreach (['/challenges', '/challenges/1', '/account'] as $path) {
            // Where they wanted to go travels along.
            $this->get($path)->assertRedirect('/sign-in?next=' . urlencode($path));
        }
    }

    public function testAnAccountIsCreatedAndSignedIn(): void
    {
        $this->post('/register', [
            'name' => 'New educator', 'email' => 'New@Skivo.Example', 'password' => Scenario::PASSWORD,
            'password_confirmation' => Scenario::PASSWORD,
        ])->assertRedirect('/challenges');

        $this->assertAuthenticated();
        self::assertSame('New educator', User::query()->where('email', 'new@skivo.example')->value('name'));
    }

    public function testRegistrationSaysWhatIsWrongAndKeepsWhatWasTyped(): void
    {
        $this->from('/register')->post(
            '/register',
            ['name' => 'A', 'email' => $this->educator->email, 'password' => 'short', 'password_confirmation' => 'other'],
        )
            ->assertRedirect('/register')
            ->assertSessionHasErrors([
                'email' => 'There is an account with this email address already. Sign in instead.',
                'password' => 'Choose a password of at least 10 characters.',
            ]);
        $this->get('/register')->assertSee($this->educator->email)->assertDontSee('short');
    }

    public function testSigningInAndOut(): void
    {
        $this->post(
            '/sign-in',
            ['email' => strtoupper($this->educator->email), 'password' => Scenario::PASSWORD],
        )->assertRedirect('/challenges');
        $this->assertAuthenticatedAs($this->educator);

        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->assertGuest();
    }

    public function testGuessingIsThrottled(): void
    {
        foreach (range(1, 5) as $ignored) {
            $this->post('/sign-in', ['email' => $this->educator->email, 'password' => 'wrong'])
                ->assertSessionHasErrors(['email' => 'No account has this email address and password. Check both.']);
        }
        $this->post('/sign-in', ['email' => $this->educator->email, 'password' => Scenario::PASSWORD])->assertSessionHasErrors('email');

        $this->assertGuest();
        self::assertStringContainsString('Too many attempts', (string) session('errors')?->first('email'));
    }

    public function testAllAttemptsFromOnePlaceAreThrottledToo(): void
    {
        foreach (range(1, 20) as $index) {
            $this->post('/sign-in', ['email' => "guess{$index}@skivo.example", 'password' => 'wrong'])->assertRedirect();
        }
        $this->post('/sign-in', ['email' => 'guess21@skivo.example', 'password' => 'wrong'])
            ->assertStatus(429)
            ->assertSee('Too many attempts');
    }

    public function testThePasswordIsChangedOnlyByWhoKnowsIt(): void
    {
        $this->actingAs($this->educator);
        $new = ['password' => 'another long one', 'password_confirmation' => 'another long one'];

        $this->put('/account/password', ['current_password' => 'wrong'] + $new)->assertSessionHasErrors(
            ['current_password' => 'This is not your current password.'],
        );
        self::assertTrue(Hash::check(Scenario::PASSWORD, (string) $this->educator->refresh()->password));

        $this->put('/account/password', ['current_password' => Scenario::PASSWORD] + $new)->assertSessionHasNoErrors();
        self::assertTrue(Hash::check('another long one', (string) $this->educator->refresh()->password));
    }

    public function testTheDemoEducatorIsStoredOnceAndOnlyWhereAskedFor(): void
    {
        self::assertFalse(User::query()->where('email', 'demo@skivo.example')->exists());

        putenv('DEMO_PASSWORD=' . Scenario::PASSWORD);
        self::assertSame(0, Artisan::call('skivo:demo'));
        self::assertSame(0, Artisan::call('skivo:demo'));

        $demo = User::query()->where('email', 'demo@skivo.example')->sole();
        $challenge = $demo->challenges()->where('name', 'Cross the Slipway')->sole();
        self::assertSame(['Balloon or Band', 'Cross the Slipway'], $demo->challenges()->orderBy('name')->pluck('name')->all());
        self::assertSame(8, $challenge->groups()->count());
        self::assertSame(32, $challenge->runs()->count());
        self::assertSame(4, $challenge->runs()->whereNotNull('void_reason')->count());
    }
}
