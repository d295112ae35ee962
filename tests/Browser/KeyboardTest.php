<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Logging without touching the mouse. */
final class KeyboardTest extends BrowserTestCase
{
    public function testARunIsANumberAndEnter(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        self::assertSame('distance', $browser->focused());

        $browser->keys('140', WebDriverKeys::ENTER)->waitFor('Logged: Keel, try 3, 140 cm.', '.flash');

        self::assertSame('distance', $browser->focused(), 'ready for the next run');
        $browser->waitFor('try 2 of 3', '[data-next-try]');
        self::assertCount(1, $browser->settle()->all('.lane circle.lane-interval'), 'the newest run is ringed');
    }

    public function testAnotherGroupAVoidTryAndANote(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");

        $browser->back();
        self::assertSame('group', $browser->focused());
        $browser->keys('Bow')->settle();
        self::assertStringContainsString('try 4 of 3', $browser->text('[data-next-try]'));
        $browser->keys(WebDriverKeys::ESCAPE, 'm', 'v', 'wh', WebDriverKeys::TAB, 'left front', WebDriverKeys::ENTER);

        $browser->waitFor('Logged: Bowline, try 4, void: wheel off.', '.flash');
        self::assertSame('left front', $challenge->runs()->where('void_reason', 'wheel off')->sole()->note);
    }

    public function testAMistakeIsSaidInPlaceAndWhatWasTypedStays(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->keys('3 kg', WebDriverKeys::ENTER)->waitFor('“kg” is not a unit of length here', '.entry [role=alert]');
        self::assertCount(1, $browser->consoleErrors(), 'the browser notes that it was refused');

        self::assertSame('distance', $browser->focused());
        self::assertSame('3 kg', $browser->find('[name=distance]')->getAttribute('value'));
    }

    public function testUndoAndPuttingBackByKeys(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->keys('140', WebDriverKeys::ENTER)->waitFor('Logged: Keel', '.flash')->waitFor('Undo the last: Keel, try 3')->keys(WebDriverKeys::ESCAPE);
        $browser->follow(fn() => $browser->keys('u'));
        self::assertStringContainsString('Taken back: Keel, try 3, 140 cm.', $browser->text('.flash'));
        self::assertSame(0, $challenge->runs()->where('distance_m', 1.4)->count());

        // What was undone last is undone by the same key.
        $browser->keys(WebDriverKeys::ESCAPE);
        $browser->follow(fn() => $browser->keys('u'));
        self::assertStringContainsString('Back on record', $browser->text('.flash'));
        self::assertSame(1, $challenge->runs()->where('distance_m', 1.4)->count());
    }

    public function testTheKeysAreListed(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        $browser->keys(WebDriverKeys::ESCAPE)->keys('?');
        self::assertStringContainsString('undo what was last done at this device', $browser->text('dialog[open]'));
        $browser->keys(WebDriverKeys::ESCAPE);
        self::assertCount(0, $browser->all('dialog[open]'));
        $browser->keys('g');
        self::assertSame('group', $browser->focused());
    }

    public function testACorrectionByKeys(): void
    {
        $challenge = $this->class();
        $run = $challenge->runs()->where('distance_m', 4.2)->sole();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/runs?edit={$run->id}");
        self::assertSame('group', $browser->focused());
        $browser->keys(WebDriverKeys::TAB)->keys(WebDriverKeys::CONTROL . 'a' . WebDriverKeys::NULL)->keys('402')->enter();

        self::assertStringContainsString('distance 420 cm → 402 cm', $browser->text('.figures-table'));
    }
}
