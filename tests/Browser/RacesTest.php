<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Race;
use App\Record\RaceReading;
use Skivo\Core\People\DeviceRole;
use Skivo\Core\Race\Heat;
use Skivo\Core\Race\RaceState;
use Tests\Scenario;

/** Races as they are held: an educator, a helper and the board, each at a browser of their own. */
final class RacesTest extends BrowserTestCase
{
    public function testAKnockoutOfNineWithARepairAndAnUndo(): void
    {
        $challenge = $this->nine();
        [, $boardToken] = AdmitDevices::join($challenge, DeviceRole::Board, 'board');
        $educator = $this->signIn()
            ->visit("/challenges/{$challenge->id}/races")
            ->pick('order', 'standings')
            ->fill('length', '3 m')
            ->press('Set the race');
        $race = $challenge->races()->sole();
        self::assertSame("/challenges/{$challenge->id}/races/{$race->id}", $educator->path());
        // Nine cars: one heat in the first round, seven go straight on; and whoever has nobody to meet is named.
        self::assertStringContainsString('0 of 8 heats done.', $educator->text('[data-piece=told]'));
        self::assertStringContainsString('Straight to round 2', $educator->text('[data-piece=heats]'));
        $helper = $this->helper($challenge)->visit($educator->path());
        $board = $this->another()->size(1280, 720)->visit("/board/{$boardToken}");
        self::assertStringContainsString('Cleat', $board->text('.board-heats'));

        // The educator taps the first heat; helper and board follow.
        $this->taps($educator, $race, 'b');
        $helper->waitFor('1 of 8 heats done.', '[data-piece=told]');
        $board->waitFor('1 of 8 heats done.', '.board-foot');

        // A car is given time to repair: its heat waits, another comes on; then it is ready.
        $second = $this->first($race);
        $name = (new RaceReading($race))->name($second->a);
        $this->press($helper, "[data-piece=foot] button[value='repair:{$second->a}']");
        $educator->waitFor("when {$name} is repaired", '[data-piece=heats]');
        self::assertNotSame($second->key, $this->first($race)->key);
        $board->waitFor("when {$name} is repaired");
        $this->press($educator, "button[value='ready:{$second->a}']");
        $helper->waitFor("{$name} is ready", '[data-piece=history]');

        // Two heats later the very first result turns out to be wrong: what followed from it is undone with it, and no more.
        $this->taps($helper, $race, 'a');
        $this->taps($educator, $race, 'a');
        $first = $race->events()->firstOrFail();
        $this->press($educator, "[data-piece=history] button[value='undone:{$first->event_id}']");
        $helper->waitFor('Undone: Heat 1', '[data-piece=history]');
        self::assertTrue($this->state($race)->heats[(string) $first->heat]->isOpen());
        $board->waitFor('Heat 1', '.board-heats');
        $this->taps($helper, $race, 'a');

        // To the end.
        for ($left = 8; $left > 0 && !$this->state($race)->isOver(); $left--) {
            $this->taps($left % 2 === 0 ? $educator : $helper, $race, 'a');
        }
        $winner = (new RaceReading($race->refresh()->load('events')))->name($this->state($race)->winner);
        foreach ([[$educator, '[data-piece=foot]'], [$helper, '[data-piece=foot]'], [$board, '.board-won']] as [$browser, $where]) {
            $browser->waitFor($winner, $where);
            self::assertSame([], $browser->accessibilityProblems());
        }
        $educator->size(390, 844);
        self::assertSame([], $educator->accessibilityProblems());
        self::assertFalse(
            $educator->driver->executeScript('return document.documentElement.scrollWidth > innerWidth'),
            'no wider than a phone',
        );
        $educator->size(1280, 800)->press('End the race');
        $board->waitFor('Next up');
    }

    public function testATapWaitsForTheNetworkAndIsSentOnce(): void
    {
        $challenge = $this->nine();
        $race = Scenario::race($challenge);
        $helper = $this->helper($challenge)->visit("/challenges/{$challenge->id}/races/{$race->id}")->online(false);
        $heat = $this->first($race);
        $helper->find("button[value='won:{$heat->key}:{$heat->b}:{$heat->a}:0']")->click();
        $helper->waitFor('One thing waits for the network', '[data-outbox-says]');
        self::assertSame(0, $race->events()->count());
        $helper->online(true)->driver->executeScript('window.dispatchEvent(new Event("online"))');
        $helper->waitFor('1 of 8 heats done.', '[data-piece=told]');
        self::assertSame(1, $race->events()->count());

        // Times say another winner than the tap: told at once, and nothing is kept.
        $heat = $this->first($race);
        $helper->press('Times or distances')->fill("distance_{$heat->key}_{$heat->a}", 'far');
        $helper->find("button[value='won:{$heat->key}:{$heat->a}:{$heat->b}:0']")->click();
        $helper->waitFor('is not', '[data-refused]');
        self::assertSame(1, $race->events()->count());
        self::assertSame('far', $helper->find("[name='distance_{$heat->key}_{$heat->a}']")->getDomProperty('value'));
    }

    public function testThePlanSaysWhatItTakesAsItIsFilledIn(): void
    {
        $challenge = $this->nine();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/races");
        $browser->waitFor('36', '[data-answers-at]');
        // Eight cars meet 28 times.
        $browser->find('.race-cars input')->click();
        $browser->waitFor('28', '[data-answers-at]');
        $browser->fill('minutes', '5')->waitFor('too long for 5 min', '[data-answers-at]');
    }

    private function nine(): Challenge
    {
        return $this->class(
            sheet: "group\n" . implode(
                "\n",
                ['Bowline', 'Halyard', 'Keel', 'Reef', 'Thimble', 'Sheepshank', 'Splice', 'Fender', 'Cleat'],
            ) . "\n",
        );
    }

    /** Taps the first or the second car of the heat that is on as its winner, once the page shows that heat. */
    private function taps(Browser $browser, Race $race, string $side): void
    {
        $heat = $this->first($race);
        $seen = $heat->winsA + $heat->winsB + $heat->again;
        [$winner, $other] = $side === 'a' ? [$heat->a, $heat->b] : [$heat->b, $heat->a];
        $button = "button[value='won:{$heat->key}:{$winner}:{$other}:{$seen}']";
        $browser->wait(fn(): bool => $browser->all($button) !== []);
        $before = $race->events()->count();
        // What a hand does twice within half a second is one tap.
        $browser->wait(
            fn(): bool => $browser->driver->executeScript('document.querySelector(arguments[0])?.click(); return true', [$button]) === true
                && $race->events()->count() > $before,
        );
    }

    /** A button, wherever on the page it stands and however that moves while others tap. */
    private function press(Browser $browser, string $button): void
    {
        $browser->wait(
            fn(): bool => $browser->driver->executeScript(
                'const button = document.querySelector(arguments[0]); button?.click(); return button !== null',
                [$button],
            ) === true,
        );
    }

    private function first(Race $race): Heat
    {
        return $this->state($race)->now[0];
    }

    private function state(Race $race): RaceState
    {
        return $race->refresh()->load('events')->state();
    }
}
