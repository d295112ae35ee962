<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverElement;
use PHPUnit\Framework\Attributes\TestWith;

/** A real film of a simulated run, from the file chooser to the findings. */
final class FilmTest extends BrowserTestCase
{
    private const SEED = 9;

    /** @var array<string, mixed> where things are in the film, and what is true of the run */
    private static array $truth = [];

    private static string $film = '';

    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::$film = sys_get_temp_dir() . '/skivo-' . bin2hex(random_bytes(4)) . '.mp4';
        self::$truth = FilmPage::truth(FilmPage::film(self::$film, [960, 540], '--seed ' . self::SEED))[0][0];
    }

    public static function tearDownAfterClass(): void
    {
        @unlink(self::$film);
        parent::tearDownAfterClass();
    }

    #[TestWith([1280, 800])]
    #[TestWith([390, 844])]
    public function testAFilmIsMarkedReadMendedAndKept(int $width, int $height): void
    {
        $challenge = $this->class(
            ['tries' => 2],
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),try,distance (cm)\nKeel,8,20,60,1,345\n",
        );
        $run = $challenge->runs()->sole();
        $browser = $this->signIn()->size($width, $height)->visit("/challenges/{$challenge->id}/runs/{$run->id}/film");
        $page = (new FilmPage($browser))->choose(self::$film);
        [$u0, $v0, $u1, $v1] = self::$truth['line'];
        $this->drag($browser, $browser->find('.film-handle.is-start'), $u0, $v0);
        $this->drag($browser, $browser->find('.film-handle.is-end'), $u1, $v1);
        $browser->press('Read the film')->wait(static fn(): bool => $browser->text('[data-film-fault]') !== '');
        self::assertStringContainsString(
            'Mark three places of the lane first.',
            $browser->text('[data-film-fault]'),
            'what was not marked is asked for',
        );
        foreach (self::$truth['taps'] as $index => [$u, $v, $metres]) {
            $browser->press('Mark on the line');
            $this->drag($browser, $browser->all('.film-handle.is-mark')[$index], $u, $v);
            $browser->all('[data-film-list] input')[$index]->sendKeys("{$metres} m");
        }
        $field = $browser->find('[name=camera]');
        $field->clear();
        $field->sendKeys(round(self::$truth['camera_m'], 2) . ' m');
        self::assertSame('', $page->read());
        // How exact a film is, is held elsewhere; here fingers are as coarse as a phone's screen.
        $true = self::$truth['truth'];
        self::assertEqualsWithDelta(100 * $true['distance_m'], $page->figure('Stopped at'), 5.0 * $true['distance_m']);
        self::assertEqualsWithDelta($true['lasts_s'], $page->figure('Release to stop'), 0.3);
        self::assertEqualsWithDelta($true['friction'], $page->figure('Friction f'), 0.25 * $true['friction']);

        // A ring far off is said to be so, and taken away by its key; the table has the same rings.
        $before = count($browser->all('.film-handle.is-found'));
        self::assertGreaterThanOrEqual(6, $before);
        $browser->driver->executeScript('document.querySelector(".film-both details").open = true');
        self::assertCount($before, $browser->all('[data-film-table] tr'));
        $browser->driver->executeScript('document.querySelectorAll("[data-film-table] button")[3].click()');
        $browser->wait(
            static fn(): bool => count($browser->all('[data-film-table] tr')) === $before - 1
                && $browser->driver->executeScript('return !document.querySelector("[data-film]").hasAttribute("data-busy")'),
        );
        self::assertEqualsWithDelta(100 * $true['distance_m'], $page->figure('Stopped at'), 5.0 * $true['distance_m']);

        $browser->press('Keep with the run')->waitFor('What the film says is with the run.', '.flash');
        self::assertStringContainsString('Stopped at', $browser->text('.film-said'));
        $run->refresh();
        self::assertEqualsWithDelta(3.45, $run->distance?->quantity->si(), 1e-9, 'what was recorded stays');
        self::assertEqualsWithDelta(
            $true['lasts_s'],
            $run->total_time?->quantity->si(),
            0.3,
            json_encode([$run->readings()->first()?->data['film']['seen']['points'], $browser->text('.film-said'), $run->toArray()]),
        );
        self::assertNotNull($run->limp);
        self::assertSame(1, $run->readings()->count());
        // The push's end is one edge of the blocks in the findings now.
        $browser->visit("/challenges/{$challenge->id}/findings/work");
        self::assertStringContainsString('Keel', $browser->text('main'));
        self::assertSame(
            [],
            array_values(array_filter($browser->consoleErrors(), static fn(string $line): bool => !str_contains($line, '422'))),
        );
    }

    /** Pulls a handle to a place of the picture. */
    private function drag(Browser $browser, WebDriverElement $handle, float $u, float $v): void
    {
        $browser->driver->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$handle]);
        [$byX, $byY] = $browser->driver->executeScript(
            'const [handle, u, v] = arguments; const box = handle.getBoundingClientRect();
            const to = new DOMPoint(u, v).matrixTransform(handle.ownerSVGElement.getScreenCTM());
            return [to.x - box.x - box.width / 2, to.y - box.y - box.height / 2];',
            [$handle, $u, $v],
        );
        $browser->driver->action()
            ->moveToElement($handle)
            ->clickAndHold()
            ->moveByOffset((int) round($byX), (int) round($byY))
            ->release()
            ->perform();
    }
}
