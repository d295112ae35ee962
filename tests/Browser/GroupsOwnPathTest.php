<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Entry;
use App\Models\Group;
use Skivo\Core\Notebook\EntryKind;
use Skivo\Core\People\DeviceRole;
use Tests\Scenario;

/** Children on a tablet, from the code to their second car; a phone that loses its network and its battery; and what the educator sees. */
final class GroupsOwnPathTest extends BrowserTestCase
{
    private const WIDTHS = [390, 820, 1280];

    public function testFromTheCodeToTheSecondCarAndItsWhy(): void
    {
        [$challenge, $keel] = $this->classOfTwo();
        $desk = $this->signIn()->visit("/challenges/{$challenge->id}/devices/cards");
        $code = $challenge->joinCodes()->sole()->code;
        $desk->visit("/challenges/{$challenge->id}/room");
        $tablet = $this->another();
        $at = fn(string $station): string => "/challenges/{$challenge->id}/groups/{$keel->id}/at/{$station}";

        // In by the class's code: tap your mark.
        $tablet->size(820, 1180)->visit('/join')->fill('code', $code)->press('Join')->press('Keel');
        self::assertSame($at('idea'), $tablet->path());
        $desk->wait(fn(): bool => str_contains($desk->text('.room-table'), 'Idea'));

        // A guess about the kit, then the simulated run.
        $tablet->follow(fn() => $tablet->press('Less far'));
        self::assertStringContainsString('In a simulated run', $tablet->text('.warm-ups'));
        $this->axe($tablet);
        $tablet->press('Pick our parts')
            ->press('Nozzle')
            ->fill('nozzle_bore', '6')
            ->press('Balloon')
            ->fill('balloon_size', '20')
            ->press('Wheels')
            ->fill('wheel_kind', 'bottle caps')
            ->press('Mass')
            ->fill('mass', '58');
        $tablet->wait(fn(): bool => $tablet->all('.tape-band') !== []);
        $this->axe($tablet);
        $tablet->press('Record this car');

        // Step by step, each ticked; the next one is marked.
        self::assertSame($at('build'), $tablet->path());
        $this->axe($tablet);
        foreach ($tablet->all('.tick-button') as $index => $button) {
            $tablet->driver->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$button]);
            $button->click();
            $tablet->wait(
                fn(): bool => Entry::query()->where('group_id', $keel->id)->where('kind', EntryKind::Tick)->count() === $index + 1,
            );
        }
        $tablet->waitFor('Check your car before it runs', '.next-thing');

        // One test a screen; what is bad is said with its cure, on the spot.
        $tablet->press('Check')->fill('first', '0.5')->follow(fn() => $tablet->press('That is what we read'));
        self::assertStringContainsString('This needs fixing', $tablet->text('.test-verdict'));
        $desk->wait(fn(): bool => $desk->all('.room-table td.num') !== [] && str_contains($desk->text('.room-table tr:has(td)'), '1'));
        $this->axe($tablet);
        $tablet->fill('first', '3')->follow(fn() => $tablet->press('That is what we read'));
        self::assertStringContainsString('Good', $tablet->text('.test-verdict'));

        // A guess on the tape, with its reason.
        $tablet->waitFor('Guess how far it will go', '.next-thing')->visit($at('guess'));
        $tablet->driver->executeScript(
            'const slider = document.querySelector("[data-guess-slider]"); slider.value = 250; slider.dispatchEvent(new Event("input", { bubbles: true }))',
        );
        self::assertSame('250', $tablet->find('[name=predicted]')->getDomProperty('value'));
        $this->axe($tablet);
        $tablet->fill('reason', 'It is light')->follow(fn() => $tablet->press('That is our guess'));
        self::assertStringEndsWith('/own', $tablet->path());
        $this->axe($tablet);
        $desk->wait(fn(): bool => str_contains($desk->text('.room-table'), 'yes'));

        // They call an adult; the educator sees it and comes.
        $tablet->follow(fn() => $tablet->press('Call an adult'));
        $desk->wait(fn(): bool => str_contains($desk->text('.room-table'), 'waits for an adult'));
        $desk->press('Done');
        self::assertStringNotContainsString('waits for an adult', $desk->text('.room-table'));

        // The run, and why.
        $tablet->fill('distance', '240')->logRun();
        $tablet->waitFor('Find out why it stopped', '.next-thing')->press('Why');
        self::assertStringContainsString('You said 250', str_replace("\u{00A0}", ' ', $tablet->text('main')));
        self::assertCount(2, $tablet->all('.push-arrow'));
        $tablet->wait(
            fn(): bool => abs(
                (float) $tablet->driver->executeScript(
                    'return getComputedStyle(document.querySelector(".why-bar .in-warmth")).flexGrow',
                ) - 1.0,
            ) < 1e-6,
        );
        $this->axe($tablet);
        $tablet->follow(fn() => $tablet->press('OK, we know why'));

        // One thing is changed; only its steps are built again; and the second car has its guess, run and why.
        self::assertSame($at('change'), $tablet->path());
        $this->axe($tablet);
        $tablet->press('Nozzle')->fill('nozzle_bore', '8')->fill('reason', 'More push')->press('Record this car');
        self::assertSame($at('build'), $tablet->path());
        self::assertStringContainsString('Only the steps of what you changed', $tablet->text('main'));
        self::assertLessThan(8, count($tablet->all('.tick-button')));
        $tablet->visit($at('guess'))
            ->pick('direction', 'farther')
            ->fill('predicted', '300')
            ->follow(fn() => $tablet->press('That is our guess'));
        $tablet->fill('distance', '280')->logRun();
        $tablet->visit($at('why'));
        self::assertStringContainsString('You said 300', str_replace("\u{00A0}", ' ', $tablet->text('main')));

        // The notebook filled itself; a drawing and a note are added, and the educator looks at them.
        $tablet->visit("/challenges/{$challenge->id}/groups/{$keel->id}/notebook");
        foreach (['We guessed 250', 'It is light', '240', 'More push', '280'] as $words) {
            self::assertStringContainsString($words, str_replace("\u{00A0}", ' ', $tablet->text('.notebook-lines')));
        }
        $this->axe($tablet);
        $tablet->press('Draw');
        $this->draw($tablet);
        $tablet->follow(fn() => $tablet->find('form[data-sketch] .button:not(.plain)')->click());
        self::assertNotSame([], $tablet->all('.notebook-lines .sketch polyline'));
        $desk->wait(fn(): bool => $desk->all('.room-pictures .sketch') !== []);
        $desk->press('May be shown');
        self::assertStringContainsString('looked at', $desk->text('.room-pictures'));

        // A word to all stands on the tablet, whose writing is left alone.
        $tablet->fill('text', 'half a sen');
        $desk->fill('word', 'Five minutes left')->press('Say it');
        $tablet->waitFor('Five minutes left', '.path-told');
        self::assertSame('half a sen', $tablet->find('[name=text]')->getDomProperty('value'));
        self::assertSame([], $tablet->consoleErrors());
        self::assertSame(2, $keel->refresh()->newestCar()?->version);
    }

    public function testAPhoneThatLosesItsNetworkTwiceAndItsBatteryOnceLosesNothing(): void
    {
        [$challenge, $keel] = $this->classOfTwo();
        [, $token] = AdmitDevices::join($challenge, DeviceRole::Group, 'phone', $keel);
        $folder = sys_get_temp_dir() . '/skivo-phone-' . bin2hex(random_bytes(4));
        $notebook = "/challenges/{$challenge->id}/groups/{$keel->id}/notebook";
        $phone = $this->another(["--user-data-dir={$folder}"]);
        $phone->size(390, 844)->visit('/join');
        $this->remember($phone, $token);
        $phone->visit($notebook)->wait(
            fn(): bool => $phone->driver->executeScript('return document.documentElement.dataset.keeps !== undefined') === true,
        );

        // Away once: a note and a drawing wait, and are sent once when the network is back.
        $phone->online(false)->fill('text', 'The axle is too long.');
        $phone->find('form:has([value=note]) button')->click();
        $phone->waitFor('One thing waits for the network', '[data-outbox-says]');
        $this->draw($phone);
        $phone->driver->executeScript('arguments[0].click()', [$phone->find('form[data-sketch] .button:not(.plain)')]);
        $phone->waitFor('2 things wait for the network', '[data-outbox-says]');
        self::assertSame(0, $keel->entries()->count());
        $phone->online(true)->driver->executeScript('window.dispatchEvent(new Event("online"))');
        $phone->wait(fn(): bool => $keel->entries()->count() === 2);
        $phone->wait(fn(): bool => $phone->text('[data-outbox-says]') === '');

        // Away twice: a wish waits, half a note is typed, and the battery is empty.
        $phone->online(false)->driver->executeScript(
            'document.querySelector("form:has([value=wish]) textarea").value = "Straighter wheels"',
        );
        $phone->press('A wish for the next version')->find('form:has([value=wish]) button')->click();
        $phone->press('Write a note')->waitFor('One thing waits for the network', '[data-outbox-says]');
        $phone->fill('text', 'half a note');
        // Chromium writes what a page keeps a few seconds later, and a minute where it wrote often before; then the battery dies, and
        // nobody says goodbye.
        $phone->wait(static fn(): bool => self::keeps($folder, 'half a note'), 120);
        exec('pkill -9 -f -- ' . escapeshellarg("user-data-dir={$folder}"));
        // The next one gets the profile when the last of its processes is gone.
        $deadline = hrtime(true) + 30_000_000_000;
        while (exec('pgrep -f -- ' . escapeshellarg("user-data-dir={$folder}")) !== '' && hrtime(true) < $deadline) {
            usleep(50_000);
        }
        $phone->quit();
        array_pop($this->others);

        // Started again without any network at all: every connection fails.
        $dead = $this->another(["--user-data-dir={$folder}", '--proxy-server=127.0.0.1:9', '--proxy-bypass-list=<-loopback>']);
        $dead->size(390, 844)->visit($notebook)->waitFor('One thing waits for the network', '[data-outbox-says]');
        self::assertSame('half a note', $dead->find('[name=text]')->getDomProperty('value'));
        $dead->visit("/challenges/{$challenge->id}/groups/{$keel->id}/at/build");
        self::assertStringContainsString('Build', $dead->text('main'));
        $dead->quit();
        array_pop($this->others);
        self::assertSame(2, $keel->entries()->count());

        // And with it: sent, once.
        $again = $this->another(["--user-data-dir={$folder}"]);
        $this->remember($again->size(390, 844)->visit('/join'), $token);
        $again->visit($notebook)->wait(fn(): bool => $keel->entries()->count() === 3);
        self::assertSame(
            ['The axle is too long.', 'Straighter wheels'],
            $keel->entries()
                ->whereIn('kind', [EntryKind::Note, EntryKind::Wish])
                ->get()
                ->map(static fn(Entry $entry): string => $entry->text())
                ->all(),
        );
        $again->wait(fn(): bool => $again->text('[data-outbox-says]') === '');
        self::assertSame('half a note', $again->find('[name=text]')->getDomProperty('value'));
    }

    public function testAPhotoIsMadeSmallerOnTheTabletAndShown(): void
    {
        [$challenge, $keel] = $this->classOfTwo();
        $file = sys_get_temp_dir() . '/skivo-photo-' . bin2hex(random_bytes(4)) . '.png';
        $image = imagecreatetruecolor(2400, 1800);
        imagefilledrectangle($image, 0, 0, 1200, 1800, (int) imagecolorallocate($image, 184, 48, 15));
        imagepng($image, $file);
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$keel->id}/notebook");
        $browser->press('Add a photo')->find('[name=photo]')->sendKeys($file);
        $browser->follow(fn() => $browser->find('form[data-photo] button')->click());
        $browser->wait(
            fn(): bool => $browser->driver->executeScript('return document.querySelector(".notebook-photo img")?.naturalWidth') === 1600,
        );
        unlink($file);
    }

    /** @return array{Challenge, Group} */
    private function classOfTwo(): array
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['question' => 'Does a wider nozzle go farther?']),
            "group\nKeel\nReef\n",
        );

        return [$challenge, $challenge->groups()->where('name', 'Keel')->sole()];
    }

    /** Whether a browser's profile has on its disk what a page keeps. */
    private static function keeps(string $folder, string $text): bool
    {
        $files = glob("{$folder}/Default/Local Storage/leveldb/*.log");

        return array_filter(
            $files === false ? [] : $files,
            static fn(string $file): bool => str_contains((string) file_get_contents($file), $text),
        ) !== [];
    }

    private function remember(Browser $phone, string $token): void
    {
        // The cookie as the server would set it: encrypted with its own key.
        $value = app('encrypter')->encrypt(
            \Illuminate\Cookie\CookieValuePrefix::create(Device::COOKIE, app('encrypter')->getKey()) . $token,
            false,
        );
        $phone->driver->manage()->addCookie(
            ['name' => Device::COOKIE, 'value' => rawurlencode($value), 'path' => '/', 'expiry' => time() + 86400],
        );
    }

    private function draw(Browser $tablet): void
    {
        $tablet->driver->executeScript(<<<'JS'
            const pad = document.querySelector('canvas');
            pad.scrollIntoView({ block: 'center' });
            const box = pad.getBoundingClientRect();
            const send = (type, x, y) => pad.dispatchEvent(new PointerEvent(type, { pointerId: 1, clientX: box.left + box.width * x, clientY: box.top + box.height * y, bubbles: true, cancelable: true }));
            pad.setPointerCapture = () => {};
            send('pointerdown', 0.2, 0.2);
            send('pointermove', 0.5, 0.6);
            send('pointermove', 0.8, 0.3);
            send('pointerup', 0.8, 0.3);
            JS);
        self::assertStringContainsString('"points"', (string) $tablet->find('[name=strokes]')->getDomProperty('value'));
    }

    private function axe(Browser $tablet): void
    {
        foreach (self::WIDTHS as $width) {
            self::assertSame([], $tablet->size($width, 1100)->accessibilityProblems(), "{$tablet->path()} at {$width}");
            $wide = $tablet->driver->executeScript(
                'return document.documentElement.scrollWidth <= innerWidth ? [] : [...document.querySelectorAll("main *")].filter((part) => part.getBoundingClientRect().right > innerWidth).map((part) => part.outerHTML.slice(0, 80))',
            );
            self::assertSame([], $wide, "{$tablet->path()} at {$width}");
        }
        $tablet->size(820, 1180);
    }
}
