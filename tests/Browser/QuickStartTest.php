<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Challenge;
use App\Models\User;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Scenario;

/** From the first sign-in to the first run in a few inputs, and all cars in one table by keys and by pasting. */
final class QuickStartTest extends BrowserTestCase
{
    private int $inputs = 0;

    public function testTheFirstRunIsLoggedAfterEightInputs(): void
    {
        $educator = $this->newEducator();
        $this->toTheFirstClass($educator, null);
        $this->does(fn() => $this->browser->press('Run'));
        $this->does(fn() => $this->browser->fill('distance', '212'));
        $this->does(fn() => $this->browser->logRun());
        self::assertSame(1, $this->challengeOf($educator)->runs()->count());
        self::assertLessThanOrEqual(3 + 8, $this->inputs, 'three of them to sign in');
        // From there to everything on paper, and from the last run to the answer by the one next thing.
        $before = $this->inputs;
        $this->does(fn() => $this->browser->press('Plan'));
        $this->does(fn() => $this->browser->press('Print for the day'));
        $print = $this->browser->find('[data-print]');
        self::assertMatchesRegularExpression('/Print about \d+ sides/', $print->getText());
        self::assertLessThanOrEqual(4 - 1, $this->inputs - $before, 'the button itself is one more');
    }

    public function testNineCarsWithAMassEachTakeThirtyInputs(): void
    {
        $educator = $this->newEducator();
        $this->toTheFirstClass($educator, '9');
        $this->does(fn() => $this->browser->press('All cars at once'));
        $groups = $this->challengeOf($educator)->groups()->get();
        foreach ($groups as $index => $group) {
            $this->does(fn() => $this->browser->fill("mass_{$group->id}", (string) (58 + $index)));
        }
        $this->does(fn() => $this->browser->press('Record the cars'));
        $this->browser->waitFor('9 cars are recorded.', '.flash');
        $this->does(fn() => $this->browser->press('Run'));
        $this->does(fn() => $this->browser->fill('distance', '212'));
        $this->does(fn() => $this->browser->logRun());
        self::assertSame(
            9,
            $groups->filter(
                static fn($group): bool => $group->newestCar()?->choices->number(\Skivo\Core\Car\Attribute\CarAttribute::Mass) !== null,
            )->count(),
        );
        self::assertLessThanOrEqual(30, $this->inputs);
    }

    public function testTheTableGoesByKeysTakesASpreadsheetAndUndoesIt(): void
    {
        $challenge = $this->class(sheet: "group\nKeel\nReef\nCleat\n");
        [$keel, $reef, $cleat] = $challenge->groups()->get()->all();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/cars");
        $browser->find("[name=nozzle_bore_{$keel->id}]")->click();
        $browser->keys(
            '6',
            WebDriverKeys::ENTER,
            '7',
            WebDriverKeys::ARROW_DOWN,
            '8',
            WebDriverKeys::ARROW_RIGHT,
            '58',
            WebDriverKeys::ARROW_UP,
            '61',
        );
        $typed = fn(): array => array_map(fn(string $name): string => (string) $browser->find("[name={$name}]")->getDomProperty('value'), [
            "nozzle_bore_{$keel->id}", "nozzle_bore_{$reef->id}", "nozzle_bore_{$cleat->id}", "mass_{$reef->id}", "mass_{$cleat->id}",
        ]);
        self::assertSame(['6', '7', '8', '61', '58'], $typed());

        // A table from a spreadsheet, from the second row on; what does not fit is left out.
        $browser->driver->executeScript(
            'const data = new DataTransfer(); data.setData("text/plain", arguments[1]);'
            . 'document.querySelector(arguments[0]).dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }))',
            [
                "[name=nozzle_bore_{$reef->id}]", "6.5 mm\t70\n1/4 in\t71\n9\t99\n",
            ],
        );
        self::assertSame(['6', '6.5 mm', '1/4 in', '70', '71'], $typed());
        $browser->press('Undo');
        self::assertSame(['6', '7', '8', '61', '58'], $typed());
        self::assertFalse($browser->find('[data-grid-undo]')->isDisplayed());
        $browser->press('Fill empty cells from the kit');
        $wheels = $browser->find("[name=wheel_kind_{$keel->id}]");
        self::assertSame('bottle caps', $wheels->getDomProperty('value'));
        self::assertSame($wheels->getDomProperty('placeholder'), $wheels->getDomProperty('value'));

        // The row is drawn as it is typed.
        $drawn = "tr:has([name=mass_{$keel->id}]) .balloon";
        self::assertSame([], $browser->all($drawn));
        $browser->fill("balloon_size_{$keel->id}", '21');
        $browser->wait(fn(): bool => $browser->all($drawn) !== []);
        // A problem stands in its cell, and nothing is saved.
        $browser->fill("mass_{$reef->id}", 'heavy')->press('Record the cars');
        self::assertStringContainsString('heavy', (string) $browser->find("[name=mass_{$reef->id}]")->getDomProperty('value'));
        self::assertStringContainsString('is not a mass', $browser->text("#e-mass_{$reef->id}"));
        self::assertSame([], $browser->accessibilityProblems());
        $browser->fill("mass_{$reef->id}", '61')->press('Record the cars');
        $browser->waitFor('3 cars are recorded.', '.flash');
        self::assertSame([], $browser->consoleErrors());
    }

    public function testFromTheLastRunToTheAnswerIsOneInput(): void
    {
        $challenge = $this->class(['tries' => 1], "group,nozzle bore,try,distance\nKeel,6,1,300\nReef,8,,\n");
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->settle();
        $browser->fill('distance', '340')->logRun();
        $browser->waitFor('All 2 tries are in: see the answer.', '.class-next');
        $browser->find('.class-next a')->click();
        $browser->wait(static fn(): bool => str_ends_with($browser->path(), '/findings'));
        $browser->waitFor('The class asked');
    }

    private function newEducator(): User
    {
        return Scenario::educator('Quick ' . bin2hex(random_bytes(4)));
    }

    /** Signs in for the first time and sets a class. */
    private function toTheFirstClass(User $educator, ?string $groups): void
    {
        // Off the page first: an answer on its way to it would bring its cookie back.
        $this->browser->driver->get('about:blank');
        $this->browser->chromium('Network.clearBrowserCookies');
        $browser = $this->browser->visit('/sign-in');
        $this->does(fn() => $browser->fill('email', $educator->email));
        $this->does(fn() => $browser->fill('password', Scenario::PASSWORD));
        $this->does(fn() => $browser->press('Sign in'));
        $this->does(fn() => $browser->press('Set a challenge'));
        if ($groups !== null) {
            $this->does(fn() => $browser->fill('groups', $groups));
        }
        $this->does(fn() => $browser->fill('lane_length', '6'));
        $this->does(fn() => $browser->pick('safety', '1'));
        $this->does(fn() => $browser->press('Set the challenge'));
    }

    private function does(callable $input): void
    {
        $input();
        $this->inputs++;
    }

    private function challengeOf(User $educator): Challenge
    {
        return $educator->challenges()->sole();
    }
}
