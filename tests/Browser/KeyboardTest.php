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
        self::assertStringContainsString('try 4', $browser->text('[data-next-try]'));
        $browser->keys(WebDriverKeys::ESCAPE, 'm', 'v', 'wh', WebDriverKeys::TAB, 'left front', WebDriverKeys::ENTER);

        $browser->waitFor('Logged: Bowline, try 4, void: wheel off.', '.flash');
        self::assertSame('left front', $challenge->runs()->where('void_reason', 'wheel off')->sole()->note);
    }

    /** An empty field for a number is no hindrance: a letter there is a key, and a field that is folded away opens. */
    public function testKeysActFromTheEmptyFieldOfTheDistance(): void
    {
        $challenge = $this->class(['tries' => 5]);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        self::assertSame('distance', $browser->focused());
        $browser->keys('f');
        self::assertTrue($browser->find('[name=hit_wall]')->isSelected());
        self::assertTrue($browser->find('[name=past_end]')->isSelected());
        $browser->keys('p');
        self::assertFalse($browser->find('[name=past_end]')->isSelected());
        $browser->keys('f');
        self::assertFalse($browser->find('[name=hit_wall]')->isSelected());
        $browser->driver->executeScript('document.querySelector("[name=past_end]").checked = false');
        $browser->keys('v');
        self::assertSame('void', $browser->focused(), 'it opened to be reached');
        $browser->keys(WebDriverKeys::ESCAPE, 'd', '140', WebDriverKeys::ENTER)
            ->waitFor('Logged: Keel', '.flash')
            ->waitFor('Undo the last: Keel, try 3');
        self::assertSame('distance', $browser->focused());
        $browser->follow(fn() => $browser->keys('u'));
        self::assertStringContainsString('Removed: Keel, try 3, 140 cm.', $browser->text('.flash'));
        // Whoever goes by Tab meets both as well, each by its words.
        $ends = array_map(static fn($label): string => trim($label->getText()), $browser->all('label.entry-past'));
        self::assertSame(['Past the end', 'Hit the far wall'], array_slice($ends, 0, 2));
        self::assertSame(
            [0, 0],
            $browser->driver->executeScript(
                'return ["past_end", "hit_wall"].map((name) => document.querySelector(`[name=${name}]`).tabIndex)',
            ),
        );
    }

    /** A problem at the head of a form names its field, so that nine like lines are nine. */
    public function testAListOfProblemsNamesTheFields(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/plan/timetable");
        $fields = $browser->driver->executeScript(
            'return [...document.querySelectorAll("form input:not([type=hidden])[name^=phase_]")].slice(0, 2).map((field) => { field.value = "many"; return field.labels[0].textContent.trim(); })',
        );
        self::assertCount(2, $fields);
        $browser->driver->executeScript('document.querySelector("form input:not([type=hidden])[name^=phase_]").form.requestSubmit()');
        $browser->waitFor('things to look at', '[data-problems]');
        foreach ($fields as $label) {
            self::assertStringContainsString($label, $browser->text('[data-problems]'));
        }
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
        $browser->keys('140', WebDriverKeys::ENTER)
            ->waitFor('Logged: Keel', '.flash')
            ->waitFor('Undo the last: Keel, try 3')
            ->keys(WebDriverKeys::ESCAPE);
        $browser->follow(fn() => $browser->keys('u'));
        self::assertStringContainsString('Removed: Keel, try 3, 140 cm.', $browser->text('.flash'));
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
        // Every key that acts on this page is in the list.
        [$acting, $listed] = $browser->driver->executeScript(
            'return ["[data-key]", "dialog[open] kbd"].map((found) => [...new Set([...document.querySelectorAll(found)].map((each) => each.dataset.key ?? each.textContent.trim().toLowerCase()))])',
        );
        self::assertContains('f', $acting);
        self::assertSame([], array_values(array_diff($acting, $listed)));
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
