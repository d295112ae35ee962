<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Group;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\TestWith;

/** A car is recorded by its drawing: a part is tapped, and what it may be stands beside it. */
final class CarByPicturesTest extends BrowserTestCase
{
    public function testByKeyboardAlone(): void
    {
        $keel = $this->sheetOf();
        $browser = $this->browser;
        self::assertTrue($browser->find('#chassis')->isDisplayed(), 'it begins with the chassis');
        self::assertFalse($browser->find('#wheels')->isDisplayed());

        $this->tabTo('svg a[data-part=wheels]');
        $browser->keys(WebDriverKeys::ENTER);
        self::assertTrue($browser->find('#wheels')->isDisplayed());
        self::assertFalse($browser->find('#chassis')->isDisplayed());
        self::assertSame('wheels', $browser->driver->executeScript('return document.activeElement.id'));

        $this->tabTo('[data-fill=wheel_kind][data-value="jar lids"]');
        $browser->keys(WebDriverKeys::SPACE);
        $this->tabTo('[name=wheel_diameter]');
        self::assertSame(
            '60 mm',
            $browser->find('[name=wheel_diameter]')->getAttribute('placeholder'),
            'what the part measures stands pale',
        );
        self::assertSame('', $browser->find('[name=wheel_diameter]')->getDomProperty('value'), 'and nothing was measured');
        $browser->wait(fn(): bool => $browser->all('svg .is-kit .wheel') !== []);
        $browser->keys('6.1 cm');
        $browser->wait(fn(): bool => $browser->all('svg .is-measured .wheel') !== []);
        $this->tabTo('[name=wheel_hold]');
        $browser->keys(WebDriverKeys::ARROW_RIGHT);
        $this->tap('[name=wheel_diameter]');
        $browser->keys(WebDriverKeys::ENTER)->waitFor('is recorded', '.flash');

        $choices = $keel->refresh()->newestCar()?->choices;
        self::assertSame(
            ['wheel_kind' => 'jar lids', 'wheel_hold' => 'tight hole'],
            array_intersect_key($choices->kinds ?? [], ['wheel_kind' => 1, 'wheel_hold' => 1]),
        );
        self::assertSame(['wheel_diameter'], array_keys($choices->quantities ?? []), 'what was only looked at is not known');
        self::assertSame([], $choices->counts ?? null);
    }

    #[TestWith([820, 1180])]
    #[TestWith([390, 844])]
    public function testByTouch(int $width, int $height): void
    {
        $keel = $this->sheetOf($width, $height);
        $browser = $this->browser;
        $this->tap('svg a[data-part=power] .skin');
        self::assertTrue($browser->find('#power')->isDisplayed());
        $this->tap('[data-fill=balloon_nominal][data-value="23 cm"]');
        $slider = $browser->find('[data-ruler]:has([name=balloon_size]) .rule');
        self::assertStringContainsString('is-unset', (string) $slider->getAttribute('class'));
        $browser->driver->executeScript(
            'arguments[0].value = 19; arguments[0].dispatchEvent(new Event("input", { bubbles: true }))',
            [$slider],
        );
        self::assertSame('19 cm', $browser->find('[name=balloon_size]')->getDomProperty('value'));
        self::assertStringNotContainsString('is-unset', (string) $slider->getAttribute('class'));
        $browser->wait(fn(): bool => $browser->all('svg .is-measured .skin') !== []);
        // The drawing stays in view while the part is edited.
        $browser->driver->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$browser->find('[name=neck_depth]')]);
        self::assertTrue(
            $browser->driver->executeScript(
                'const box = document.querySelector(".car-views").getBoundingClientRect(); return box.top >= -1 && box.bottom > 60',
            ),
        );

        $this->tap('svg a[data-part=chassis] .card');
        $this->tap('label:has([name=chassis_form][value=bottle])');
        // A bottle has a neck: more corners than a board.
        $browser->wait(
            fn(): bool => $browser->driver->executeScript(
                'return document.querySelector("svg .card").getAttribute("d").split("L").length',
            ) > 8,
        );
        self::assertFalse($browser->find('.outline-editor')->isDisplayed());
        $this->tap('label:has([name=chassis_form][value=outline])');
        self::assertTrue($browser->find('.outline-editor')->isDisplayed());
        $browser->driver->executeScript(
            'arguments[0].value = 20; arguments[0].dispatchEvent(new Event("input", { bubbles: true }))',
            [$browser->all('[data-outline]')[4]],
        );
        $browser->press('Record this car')->waitFor('is recorded', '.flash');

        $choices = $keel->refresh()->newestCar()?->choices;
        self::assertSame('outline', $choices?->kind(\Skivo\Core\Car\Attribute\CarAttribute::ChassisForm));
        self::assertSame('100 100 100 80 20', $choices->kind(\Skivo\Core\Car\Attribute\CarAttribute::ChassisOutline));
        self::assertSame('19 cm', $choices->quantities['balloon_size']->text);
    }

    public function testAnAttachmentShowsItsPriceAndAFaultedPartComesFirst(): void
    {
        $this->sheetOf();
        $browser = $this->browser->press('Everything');
        $browser->fill('nozzle_bore', '6')->fill('balloon_size', '20')->fill('wheel_kind', 'bottle caps')->fill('mass', '60');
        $browser->wait(fn(): bool => str_contains($browser->text('[data-drawing]'), '+10'));
        self::assertMatchesRegularExpression('/\+10\sg: about \d+\scm (less|farther), by the forecast/u', $browser->text('[data-price]'));
        $browser->press('Mass');
        $this->tap('#mass summary');
        $browser->fill('extras_mass', '15');
        $browser->wait(fn(): bool => str_contains($browser->text('[data-drawing]'), '+15'));
        $browser->fill('mass', 'heavy')->press('Record this car');
        self::assertTrue($browser->find('#mass')->isDisplayed(), 'the part with the problem stands open');
        self::assertSame('heavy', $browser->find('[name=mass]')->getDomProperty('value'));
        self::assertStringContainsString('has-problem', (string) $browser->find('.steps [data-part=mass]')->getAttribute('class'));
        self::assertSame([], $browser->accessibilityProblems());
    }

    private function sheetOf(int $width = 1280, int $height = 900): Group
    {
        $challenge = $this->class(sheet: "group\nKeel\nReef\n");
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $this->signIn()->size($width, $height)->visit("/challenges/{$challenge->id}/groups/{$keel->id}/car");

        return $keel;
    }

    private function tap(string $css): void
    {
        $element = $this->browser->find($css);
        $this->browser->driver->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$element]);
        $element->click();
    }

    private function tabTo(string $css): void
    {
        for ($i = 0; $i < 120; $i++) {
            if ($this->browser->driver->executeScript('return document.activeElement.matches(arguments[0])', [$css]) === true) {
                return;
            }
            $this->browser->keys(WebDriverKeys::TAB);
        }
        self::fail("No key leads to {$css}.");
    }
}
