<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Challenge;
use App\Models\User;
use Skivo\Core\People\DeviceRole;
use Tests\Scenario;
use Tests\TestCase;

/** Tests through the real interface: Chromium on the served application, on the same database. */
abstract class BrowserTestCase extends TestCase
{
    private static ?Browser $shared = null;

    /** One educator a test class, who signs in once: signing in is throttled. */
    private static ?User $sharedEducator = null;

    private static bool $isSignedIn = false;

    protected Browser $browser;

    protected User $educator;

    /** @var list<Browser> of other people, closed after the test */
    protected array $others = [];

    public static function tearDownAfterClass(): void
    {
        self::$shared?->quit();
        self::$shared = self::$sharedEducator = null;
        self::$isSignedIn = false;
        parent::tearDownAfterClass();
    }

    protected function setUp(): void
    {
        parent::setUp();
        self::$shared ??= Browser::start((string) getenv('DRIVER'), (string) getenv('SITE'));
        $this->browser = self::$shared;
        $this->browser->size(1280, 800);
        self::$sharedEducator ??= Scenario::educator();
        $this->educator = self::$sharedEducator;
    }

    protected function tearDown(): void
    {
        foreach ($this->others as $other) {
            $other->quit();
        }
        $this->others = [];
        self::assertSame([], $this->browser->consoleErrors());
        parent::tearDown();
    }

    protected function signIn(): Browser
    {
        if (!self::$isSignedIn) {
            $this->signOut()->signIn($this->educator->email, Scenario::PASSWORD);
            self::$isSignedIn = true;
        }

        return $this->browser;
    }

    protected function signOut(): Browser
    {
        $this->browser->visit('/sign-in');
        $this->browser->driver->manage()->deleteAllCookies();
        self::$isSignedIn = false;

        return $this->browser;
    }

    /**
     * Somebody else's browser.
     *
     * @param list<string> $more of Chromium's own options
     */
    protected function another(array $more = []): Browser
    {
        return $this->others[] = Browser::start((string) getenv('DRIVER'), (string) getenv('SITE'), $more);
    }

    /** A helper's phone that has joined. */
    protected function helper(Challenge $challenge): Browser
    {
        $challenge->joinCodes()->create(
            ['role' => DeviceRole::Log, 'code' => $code = strtoupper(bin2hex(random_bytes(3))), 'expires_at' => now()->addHour()],
        );

        return $this->another()->visit('/join')->fill('code', $code)->press('Join');
    }

    /** @param array<string, mixed> $differently */
    protected function class(array $differently = [], string $sheet = Scenario::SHEET): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator, $differently), $sheet);
    }
}
