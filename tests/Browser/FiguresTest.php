<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Tests\Scenario;

/** What is drawn, measured in the page. */
final class FiguresTest extends BrowserTestCase
{
    public function testEveryRunLiesOnTheFloorToScale(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->settle();

        self::assertCount(11, $browser->all('.lane use'), 'every run that is not void, older versions included');
        self::assertCount(1, $browser->all('.lane .lane-void'));
        // Bowline's tries, in order, against where the tape puts their centimetres.
        [$places, $scale] = $browser->driver->executeScript(<<<'JS'
            const row = [...document.querySelectorAll('.floor tbody tr')].find((each) => each.textContent.includes('Bowline'));
            const lane = row.querySelector('svg.mark ~ *, .lane').closest('tr').querySelector('.lane').getBoundingClientRect();
            const metres = [...document.querySelectorAll('.tape .tape-major')].map((line) => line.getBoundingClientRect().left);
            const marks = [...row.querySelectorAll('.lane use')].map((mark) => { const box = mark.getBoundingClientRect(); return box.left + box.width / 2; });
            return [marks, metres];
            JS);
        $perMetre = $scale[2] - $scale[1];
        foreach ([3.29, 3.41, 3.52] as $index => $metres) {
            self::assertEqualsWithDelta($scale[0] + $metres * $perMetre, $places[$index], 3.0);
        }
    }

    public function testHoveringARunNamesIt(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}")->settle();
        (new WebDriverActions($browser->driver))->moveToElement($browser->find('.lane use'))->perform();

        self::assertStringContainsString('try 1: 411', $browser->text('.tip'));
    }

    public function testPointsAreNamedUnderThePointerAndTheFocus(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore")->settle();
        (new WebDriverActions($browser->driver))->moveToElement($browser->find('g.point .halo'))->perform();
        self::assertStringContainsString('Bowline: 8 mm, 341 cm', $browser->text('.tip'));

        $browser->driver->executeScript(
            '[...document.querySelectorAll("main a")].filter((link) => link.compareDocumentPosition(document.querySelector(".figure")) === 4).at(-1).focus()',
        );
        $browser->keys(WebDriverKeys::TAB, WebDriverKeys::TAB);
        self::assertStringContainsString('Halyard: 9 mm, 423 cm', str_replace("\u{00A0}", ' ', $browser->focused()));
        self::assertStringContainsString('Halyard', $browser->text('.tip'));
        $browser->press('The numbers behind the figure');
        self::assertStringContainsString(
            'Reef · version 2',
            (string) preg_replace('/\s+/', ' ', $browser->text('.figure ~ details table')),
        );
    }

    /** @return iterable<string, array{string, UnitSystem, int}> */
    public static function tapes(): iterable
    {
        foreach ([1280, 820, 390] as $width) {
            foreach (['1 m', '6 m', '30 m'] as $lane) {
                foreach (UnitSystem::cases() as $units) {
                    yield "{$lane}, {$units->value}, {$width} wide" => [$lane, $units, $width];
                }
            }
        }
    }

    #[DataProvider('tapes')]
    public function testLabelsOfTheTapeNeverCollide(string $lane, UnitSystem $units, int $width): void
    {
        $length = (new QuantityReader())->read($lane, Unit::Metre);
        $challenge = $this->class(
            ['lane_length' => $length, 'units' => $units],
            'group,try,distance (m)' . "\nA,1," . $length->quantity->si() * 0.9 . "\nB,1,0.4\n",
        );
        $browser = $this->signIn()->size($width, 800)->visit("/challenges/{$challenge->id}")->settle();
        $boxes = $browser->driver->executeScript(
            'return [...document.querySelectorAll(".tape text")].map((each) => { const box = each.getBoundingClientRect(); return [box.left, box.right, each.textContent]; }).sort((a, b) => a[0] - b[0])',
        );

        self::assertGreaterThan(2, count($boxes));
        foreach ($boxes as $index => [$left, , $text]) {
            if ($index > 0) {
                self::assertGreaterThan($boxes[$index - 1][1], $left, "{$boxes[$index - 1][2]} and {$text} on {$lane}");
            }
        }
    }

    public function testFortyGroupsAndLongNamesStillFit(): void
    {
        $sheet = Scenario::sheet(38, 3)
            . str_repeat('Very', 50)
            . ",straw,6,1,60,caps,32,card,1,3000,\n\u{5E7}\u{5D1}\u{5D5}\u{5E6}\u{5D4},,,,,,,,1,2500,\n";
        $challenge = $this->class(['lane_length' => (new QuantityReader())->read('30 m', Unit::Metre)], $sheet);
        $this->signIn();
        foreach ([1280, 820, 390] as $width) {
            $browser = $this->browser->size($width, 800)->visit("/challenges/{$challenge->id}")->settle();
            self::assertSame(
                $width,
                $browser->driver->executeScript('return document.documentElement.scrollWidth'),
                "sideways scrolling at {$width}",
            );
            self::assertCount(40, $browser->all('.lane svg'));
        }
    }
}
