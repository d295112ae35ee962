<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Device;
use App\Models\Group;
use Facebook\WebDriver\WebDriverBy;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\People\DeviceRole;
use Tests\Scenario;

/** A class that runs first and records its cars later, in each of the four ways: no try is lost, and a change asks. */
final class RecordedLateTest extends BrowserTestCase
{
    public function testAllCarsAtOnceAfterTheLane(): void
    {
        [$challenge, $reef] = $this->atTheLane();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/cars");
        $mass = "mass_{$reef->id}";
        $browser->fill($mass, '84')->press('Record the cars');
        self::assertSame([1, 2, 0.084], $this->stands($reef));
        $browser->fill($mass, '92')->press('Record the cars');
        self::assertStringContainsString('Say below whether the cars were changed', $browser->text('main'));
        self::assertSame([1, 2, 0.084], $this->stands($reef));
        self::assertSame('92', $browser->find("[name={$mass}]")->getDomProperty('value'), 'nothing typed is lost');
        $browser->pick('save_as', 'correction')->press('Record the cars');
        self::assertSame([1, 2, 0.092], $this->stands($reef));
        $browser->visit("/challenges/{$challenge->id}");
        self::assertStringContainsString('Run 4/6', str_replace("\n", ' ', $browser->text('.stages')));
    }

    public function testOneCarAfterTheLaneAndItsPicksOverAReload(): void
    {
        [$challenge, $reef] = $this->atTheLane();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$reef->id}/car")->press('Mass')->fill('mass', '84');
        // Away and back before it is saved: what was typed and picked is there again.
        $browser->driver->executeScript('document.querySelector("[data-fill=wheel_kind]").click()');
        $picked = $browser->find('[name=wheel_kind]')->getDomProperty('value');
        $browser->visit("/challenges/{$challenge->id}")->visit("/challenges/{$challenge->id}/groups/{$reef->id}/car");
        $browser->wait(fn(): bool => $browser->find('[name=mass]')->getDomProperty('value') === '84');
        self::assertSame($picked, $browser->find('[name=wheel_kind]')->getDomProperty('value'));
        self::assertSame('true', $browser->find("[data-fill=wheel_kind][data-value=\"{$picked}\"]")->getAttribute('aria-pressed'));
        $browser->press('Record this car');
        self::assertSame([1, 2, 0.084], $this->stands($reef));
        // Recorded, it is what is on record that stands there.
        $browser->visit("/challenges/{$challenge->id}/groups/{$reef->id}/car")->press('Mass')->fill('mass', '92')->press('Record this car');
        self::assertStringContainsString('This car has already run.', $browser->text('main'));
        $browser->pick('save_as', 'version')->press('Record this car');
        self::assertSame([2, 0, 0.092], $this->stands($reef));
    }

    public function testARunTableAfterTheLane(): void
    {
        [$challenge, $reef] = $this->atTheLane();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/sheet");
        $browser->driver->executeScript('document.querySelector("[name=text]").value = "group,mass (g)\nReef,84\nKeel,61"');
        $browser->press('Look at it first')->press('Store all of it');
        self::assertSame([1, 2, 0.084], $this->stands($reef));
    }

    public function testAGroupsOwnTabletAfterTheLane(): void
    {
        [$challenge, $reef] = $this->atTheLane();
        [, $token] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $reef);
        $tablet = $this->another()->size(820, 1180)->visit('/join');
        $value = app('encrypter')->encrypt(
            \Illuminate\Cookie\CookieValuePrefix::create(Device::COOKIE, app('encrypter')->getKey()) . $token,
            false,
        );
        $tablet->driver->manage()->addCookie(
            ['name' => Device::COOKIE, 'value' => rawurlencode($value), 'path' => '/', 'expiry' => time() + 86400],
        );
        $tablet->visit("/challenges/{$challenge->id}/groups/{$reef->id}/car")->press('Mass')->fill('mass', '84');
        $tablet->driver->navigate()->refresh();
        $tablet->wait(fn(): bool => $tablet->find('[name=mass]')->getDomProperty('value') === '84');
        $tablet->press('Record this car');
        self::assertSame([1, 2, 0.084], $this->stands($reef));
        self::assertSame([], $tablet->driver->findElements(WebDriverBy::cssSelector('[data-refused]')));
    }

    /** @return array{Challenge, Group} four of six runs are in, and nothing of any car is recorded */
    private function atTheLane(): array
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), "group\nReef\nKeel\n");
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}");
        foreach (['231', '225', '238', '240'] as $distance) {
            $browser->fill('distance', $distance)->logRun();
        }

        return [$challenge, $challenge->groups()->where('name', 'Reef')->sole()];
    }

    /** @return array{int, int, float|null} its newest version, how often that ran, and its mass */
    private function stands(Group $group): array
    {
        $car = $group->newestCar();

        return [$car->version ?? 0, $car?->runs()->count() ?? 0, $car?->choices->number(CarAttribute::Mass)];
    }
}
