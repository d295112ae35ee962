<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The What-if bench under the hands of someone in a hurry. */
final class DryRunTest extends BrowserTestCase
{
    public function testTheFiguresFollowARulerAndTheAddressHoldsTheDesign(): void
    {
        $browser = $this->open();
        $before = $browser->text('[data-number]');
        $browser->driver->executeScript('document.querySelector("[data-setting=mass] [data-slider]").focus()');
        $browser->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT)->settle();

        $after = $browser->text('[data-number]');
        self::assertNotSame($before, $after);
        self::assertSame('63', $browser->find('[data-setting=mass] [data-field]')->getAttribute('value'));
        self::assertStringContainsString('mass%3A0.063', $browser->driver->getCurrentURL());
        $browser->driver->navigate()->refresh();
        $this->answered();
        self::assertSame($after, $browser->text('[data-number]'));
    }

    public function testTheNewestAnswerWinsHoweverFastTheRulerMoves(): void
    {
        $browser = $this->open();
        $browser->driver->executeScript(<<<'JS'
            const slider = document.querySelector('[data-setting=nozzle_bore] [data-slider]');
            for (let step = 0; step < 120; step += 1) {
                slider.value = 0.002 + 0.0001 * step;
                slider.dispatchEvent(new Event('input', { bubbles: true }));
            }
            slider.value = 0.008;
            slider.dispatchEvent(new Event('input', { bubbles: true }));
            JS);
        $browser->settle();
        $expected = $browser->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(JSON.parse(document.querySelector("[data-dry-run] script").textContent).sources[0].run + "&d=" + encodeURIComponent(new URL(location).searchParams.get("a"))).then((r) => r.json()).then((b) => done(b.shown.distance))',
        );
        self::assertStringContainsString('nozzle_bore:0.008', urldecode($browser->driver->getCurrentURL()));
        self::assertSame(str_replace("\u{00A0}", ' ', $expected), $browser->text('[data-number]'));
    }

    public function testPartsValuesComparisonAndWhatCannotBe(): void
    {
        $browser = $this->open();
        $browser->press('Parts and everything else');
        $browser->driver->executeScript(
            'const s = document.querySelector("[data-part=nozzle]"); s.value = "stepped tubes"; s.dispatchEvent(new Event("change"))',
        );
        $browser->settle();
        self::assertSame('12', $browser->find('[data-setting=widest_bore] [data-field]')->getAttribute('value'));

        $browser->driver->executeScript(
            '[...document.querySelectorAll("[data-tabs] button")].find((b) => b.textContent.startsWith("Compare")).click()',
        );
        $field = $browser->find('[data-setting=mass] [data-field]');
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('400' . WebDriverKeys::TAB);
        $browser->settle();
        self::assertStringContainsString('It does not start.', $browser->text('.said'));
        $field->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $field->sendKeys('2 oz' . WebDriverKeys::TAB);
        self::assertStringContainsString('type a number in g', $browser->text('[data-fault]'));
        self::assertSame('400', $field->getAttribute('value'));
        $table = $browser->driver->executeScript('return document.querySelector("[data-table]").textContent');
        self::assertStringContainsString('Design B', $table);

        $browser->driver->executeScript(
            'document.querySelector("[data-setting=balloon_relaxed] [data-slider]").value = 0.02; document.querySelector("[data-setting=balloon_relaxed] [data-slider]").dispatchEvent(new Event("input"))',
        );
        $browser->settle();
        self::assertStringContainsString('Filled balloon size must be', $browser->text('[data-fault]'));
        // That answer was a refusal, as asked for.
        self::assertNotSame([], $browser->consoleErrors());
    }

    public function testASweepAndAField(): void
    {
        $browser = $this->open();
        self::assertStringContainsString('Farthest at', $browser->settle()->text('[data-best]'));
        self::assertCount(1, $browser->all('[data-sweep] path.fit'));
        $browser->driver->executeScript(
            'const s = document.querySelector("[data-across]"); s.value = "mass"; s.dispatchEvent(new Event("change"))',
        );
        $browser->settle();
        self::assertGreaterThan(4, count($browser->all('[data-sweep] path.contour')));
        self::assertCount(1, $browser->all('[data-sweep] circle.here'));
        self::assertStringContainsString('y=mass', $browser->driver->getCurrentURL());
    }

    public function testAxeFindsNothingOnTheBenchNorInThePartsList(): void
    {
        $challenge = $this->class();
        $this->signIn();
        foreach ([[1280, 800], [820, 1100], [390, 844]] as [$width, $height]) {
            foreach (['dry-run', 'parts'] as $page) {
                $this->browser->size($width, $height)->visit("/challenges/{$challenge->id}/{$page}")->settle();
                self::assertSame([], $this->browser->accessibilityProblems(), "{$page} at {$width}");
                self::assertLessThanOrEqual(
                    $width,
                    $this->browser->driver->executeScript('return document.documentElement.scrollWidth'),
                    "{$page} at {$width}",
                );
            }
        }
    }

    private function open(): Browser
    {
        $challenge = $this->class();
        $this->signIn()->visit("/challenges/{$challenge->id}/dry-run?a=");
        $this->answered();

        return $this->browser;
    }

    private function answered(): void
    {
        $this->browser->wait(fn(): bool => $this->browser->text('[data-number]') !== '…')->settle();
    }
}
