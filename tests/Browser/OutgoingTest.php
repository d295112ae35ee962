<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\AdmitDevices;
use App\Actions\RecordEntry;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use App\Models\Run;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Str;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\People\DeviceRole;
use Tests\Scenario;

/** Whatever the server, a gateway or the device itself refuses: it is kept, shown with all that was typed, and sent again. */
final class OutgoingTest extends BrowserTestCase
{
    private const SAYS = '[data-outbox-says]';

    public function testWhatIsRefusedStaysOnTheTabletUntilItIsStored(): void
    {
        [$challenge, $keel] = $this->classOfTwo();
        $tablet = $this->tablet($challenge, $keel);
        $tablet->visit("/challenges/{$challenge->id}/groups/{$keel->id}/notebook");

        // Locked while the page stands open: said as what it is, and sent by itself afterwards.
        $challenge->update(['groups_are_locked' => true]);
        $this->note($tablet, 'The axle is too long.')->waitFor('until your teacher unlocks the groups', self::SAYS);
        self::assertStringNotContainsString('network', $tablet->text(self::SAYS));
        $tablet->waitFor('Your teacher has locked the groups', '.path-told');
        $challenge->update(['groups_are_locked' => false]);
        $this->again($tablet)->wait(fn(): bool => $this->notes($keel) === ['The axle is too long.']);
        $this->atRest($tablet);

        // Its group is taken out of the class, and put back.
        $keel->delete();
        $this->note($tablet, 'A wheel wobbles.')->waitFor('does not have this group just now', self::SAYS);
        $tablet->driver->navigate()->refresh();
        $keel->restore();
        $tablet->visit("/challenges/{$challenge->id}/groups/{$keel->id}/notebook")->wait(fn(): bool => count($this->notes($keel)) === 2);
        $this->atRest($tablet);

        // A full notebook refuses a note, which comes back into its form to be changed, and stays over a reload.
        $most = (new \ReflectionClassConstant(RecordEntry::class, 'MOST_ENTRIES'))->getValue();
        $held = $keel->entries()->count();
        Entry::query()->insert(array_map(static fn(int $n): array => [
            'id' => (string) Str::uuid(), 'group_id' => $keel->id, 'kind' => 'why', 'payload' => '{}', 'made_at' => now(),
            'created_at' => now(),
        ], range($held + 1, (int) $most)));
        $this->note($tablet, 'One note too many.')->waitFor('One note too many.', '[data-refused]')->waitFor('full', '[data-refused]');
        $tablet->driver->navigate()->refresh();
        $tablet->waitFor('One note too many.', '[data-refused]');
        self::assertCount(2, $this->notes($keel));
        Entry::query()->where('group_id', $keel->id)->where('kind', 'why')->delete();
        $tablet->press('Send it again')->wait(fn(): bool => count($this->notes($keel)) === 3);
        $this->atRest($tablet);

        // What lies between: a gateway with JSON of its own has said nothing; what is too large holds up nothing behind it.
        $this->answers($tablet, 400, '{"message":"bad gateway policy"}');
        $this->note($tablet, 'Through the gateway.')->waitFor('does not lead to Skivo', self::SAYS);
        $this->answers($tablet, 413, '<html>too large</html>');
        $this->again($tablet)->waitFor('too large to send', '[data-refused]');
        self::assertStringContainsString('Through the gateway.', $tablet->text('[data-refused]'));
        $this->answers($tablet, null, '');
        $this->note($tablet, 'Behind it.')->wait(fn(): bool => in_array('Behind it.', $this->notes($keel), true));
        $tablet->waitFor('Through the gateway.', '[data-refused]')->press('Send it again');
        $tablet->wait(fn(): bool => in_array('Through the gateway.', $this->notes($keel), true));
        $this->atRest($tablet);

        // A device without room for it: held by the page, which does not let itself be closed unasked.
        $tablet->driver->executeScript('IDBObjectStore.prototype.put = () => { throw new DOMException("full", "QuotaExceededError"); }');
        $challenge->update(['groups_are_locked' => true]);
        $this->note($tablet, 'No room.')->waitFor('until your teacher unlocks', self::SAYS);
        self::assertFalse(
            $tablet->driver->executeScript(
                'const leave = new Event("beforeunload", { cancelable: true }); window.dispatchEvent(leave); return !leave.defaultPrevented',
            ),
        );
        $challenge->update(['groups_are_locked' => false]);
        $this->again($tablet)->wait(fn(): bool => in_array('No room.', $this->notes($keel), true));
        self::assertSame($this->notes($keel), array_values(array_unique($this->notes($keel))));
    }

    public function testATabletThatIsHandedOnSendsWhatWaitsAsTheGroupsThatMadeIt(): void
    {
        [$challenge, $keel] = $this->classOfTwo();
        $tablet = $this->tablet($challenge, $keel)->visit("/challenges/{$challenge->id}/groups/{$keel->id}/notebook");
        $challenge->update(['groups_are_locked' => true]);
        $this->note($tablet, 'Ours, from before.')->waitFor('unlocks the groups', self::SAYS);
        $reef = $challenge->groups()->where('name', 'Reef')->sole();
        [, $token] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $reef);
        $this->remember($tablet, $token);
        $challenge->update(['groups_are_locked' => false]);
        $tablet->visit("/challenges/{$challenge->id}/groups/{$reef->id}/notebook")->wait(
            fn(): bool => $this->notes($keel) === ['Ours, from before.'],
        );
        self::assertSame([], $this->notes($reef));
    }

    public function testALanesPageThatIsOpenedAgainAwayFromTheNetworkLosesNoRun(): void
    {
        [$challenge] = $this->classOfTwo();
        $lane = "/challenges/{$challenge->id}";
        $browser = $this->another()->visit('/sign-in')->signIn($this->educator->email, Scenario::PASSWORD)->visit($lane);
        $browser->wait(
            fn(): bool => $browser->driver->executeScript('return document.documentElement.dataset.keeps !== undefined') === true,
        );
        $logged = fn(): array => Run::query()->whereHas('car.group', fn($groups) => $groups->where('challenge_id', $challenge->id))
            ->where('distance_m', '>=', 5.0)->reorder('logged_at')->pluck('distance_entered')->all();

        // The page is kept with whatever id it brought; each opening away from the network shows that very page.
        $browser->keys('501', WebDriverKeys::ENTER)->wait(fn(): bool => $logged() === ['501 cm']);
        $browser->online(false);
        foreach (['502', '503'] as $distance) {
            $this->ready($browser->visit($lane))->keys($distance, WebDriverKeys::ENTER)->waitFor($distance, '.waiting');
        }
        // The network is back in between, and gone again; the page is loaded anew each time.
        $browser->online(true)->driver->executeScript('window.dispatchEvent(new Event("online"))');
        $browser->wait(fn(): bool => $logged() === ['501 cm', '502 cm', '503 cm']);
        $this->ready($browser->online(false)->visit($lane))->keys('504', WebDriverKeys::ENTER)->waitFor('504', '.waiting');

        // A second tab of the same kept page.
        $browser->driver->newWindow('tab');
        $browser->driver->switchTo()->window($browser->driver->getWindowHandles()[1]);
        $this->ready($browser->online(false)->visit($lane))->keys('505', WebDriverKeys::ENTER)->waitFor('505', '.waiting');
        $browser->online(true)->driver->executeScript('window.dispatchEvent(new Event("online"))');
        $browser->wait(fn(): bool => $logged() === ['501 cm', '502 cm', '503 cm', '504 cm', '505 cm']);
        $browser->driver->close();
        $browser->driver->switchTo()->window($browser->driver->getWindowHandles()[0]);
        $browser->online(true);

        // Without room the page is the one that was just loaded, not an older one, and its runs are stored.
        $browser->chromium('Storage.overrideQuotaForOrigin', ['origin' => (string) getenv('SITE'), 'quotaSize' => 1]);
        $challenge->update(['question' => 'Is this the newest page?']);
        $this->ready($browser->visit($lane)->waitFor('Is this the newest page?'))
            ->keys('506', WebDriverKeys::ENTER)
            ->wait(fn(): bool => in_array('506 cm', $logged(), true));
    }

    private function note(Browser $tablet, string $text): Browser
    {
        $this->ready($tablet)->driver->executeScript(
            'arguments[0].value = arguments[1]; arguments[0].form.requestSubmit()',
            [$tablet->find('form:has([value=note]) [name=text]'), $text],
        );

        return $tablet;
    }

    private function ready(Browser $browser): Browser
    {
        return $browser->wait(
            fn(): bool => $browser->driver->executeScript('return document.documentElement.dataset.ready !== undefined') === true,
        );
    }

    private function again(Browser $tablet): Browser
    {
        $tablet->driver->executeScript('window.dispatchEvent(new Event("online"))');

        return $tablet;
    }

    /** The page that was loaded again after everything was stored. */
    private function atRest(Browser $tablet): void
    {
        $tablet->wait(
            fn(): bool => $tablet->driver->executeScript('return document.documentElement.dataset.ready !== undefined') === true
                && $tablet->text(self::SAYS) === '',
        );
    }

    /** What answers every post from now on, in place of the server; null lets the server answer again. */
    private function answers(Browser $tablet, ?int $status, string $body): void
    {
        $tablet->driver->executeScript(<<<'JS'
            window.skivoFetch ??= window.fetch;
            const [status, body] = arguments;
            window.fetch = (address, options) => status !== null && options?.method === 'POST'
                ? Promise.resolve(new Response(body, { status })) : window.skivoFetch(address, options);
            JS, [$status, $body]);
    }

    /** @return list<string> */
    private function notes(Group $group): array
    {
        return $group->entries()->where('kind', EntryKind::Note)->get()->map(static fn(Entry $entry): string => $entry->text())->all();
    }

    private function tablet(Challenge $challenge, Group $group): Browser
    {
        [, $token] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $group);
        $tablet = $this->another()->size(820, 1180)->visit('/join');
        $this->remember($tablet, $token);

        return $tablet;
    }

    private function remember(Browser $tablet, string $token): void
    {
        // The cookie as the server would set it: encrypted with its own key.
        $value = app('encrypter')->encrypt(
            \Illuminate\Cookie\CookieValuePrefix::create(Device::COOKIE, app('encrypter')->getKey()) . $token,
            false,
        );
        $tablet->driver->manage()->addCookie(
            ['name' => Device::COOKIE, 'value' => rawurlencode($value), 'path' => '/', 'expiry' => time() + 86400],
        );
    }

    /** @return array{Challenge, Group} */
    private function classOfTwo(): array
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), "group\nKeel\nReef\n");

        return [$challenge, $challenge->groups()->where('name', 'Keel')->sole()];
    }
}
