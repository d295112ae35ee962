<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Tests\Scenario;

/** Screens of every size hold what they show, sheets of paper too; and a refused form says of each field what is wrong. */
final class ScreensTest extends BrowserTestCase
{
    /** A finger needs as much (WCAG 2.2, success criterion 2.5.8), in px. */
    private const FINGER_PX = 24;

    /** @return iterable<string, array{int}> */
    public static function widths(): iterable
    {
        foreach ([1280, 820, 390] as $width) {
            yield "{$width} wide" => [$width];
        }
    }

    #[DataProvider('widths')]
    public function testARunDaysScreensFitAndItsControlsAreAsLargeAsAFinger(int $width): void
    {
        $challenge = $this->class([], Scenario::sheet(16, 1));
        $group = $challenge->groups()->firstOrFail();
        $knockout = Scenario::race($challenge);
        $this->signIn();
        foreach (
            [
                '', '/races', "/races/{$knockout->id}", '/plan/safety', '/findings', '/check', '/room', "/groups/{$group->id}/own",
                "/groups/{$group->id}/at/check",
            ] as $page
        ) {
            $browser = $this->browser->size($width, 900)->visit("/challenges/{$challenge->id}{$page}")->settle();
            self::assertLessThanOrEqual(
                $width,
                $browser->driver->executeScript('return document.documentElement.scrollWidth'),
                "{$page} is wider than {$width}",
            );
            self::assertSame([], $browser->driver->executeScript(<<<'JS'
                const seen = (box) => box.width > 0 && box.height > 0;
                return [...document.querySelectorAll('main input[type=checkbox], main input[type=radio], main button, main .button')].map((control) => {
                    const boxes = [control, ...(control.labels ?? [])].map((each) => each.getBoundingClientRect()).filter(seen);
                    const least = Math.max(0, ...boxes.map((box) => Math.min(box.width, box.height)));
                    return boxes.length > 0 && control.checkVisibility() && least < arguments[0] ? `${control.outerHTML.slice(0, 120)}: ${least}` : null;
                }).filter((each) => each !== null);
                JS, [self::FINGER_PX]), "{$page} at {$width}");
        }
    }

    /** @return iterable<string, array{int, array<string, mixed>}> a width in px and what the class asks of each run */
    public static function strips(): iterable
    {
        $timed = (new QuantityReader())->read('1 m', Unit::Metre);
        foreach ([1280, 820] as $width) {
            yield "a distance, {$width} wide" => [$width, []];
            yield "a distance, a time and what it veered, {$width} wide" => [
                $width,
                ['awards' => ['fastest', 'straightest'], 'timed_length' => $timed],
            ];
            yield "all that can be asked, {$width} wide" => [
                $width,
                ['awards' => ['fastest', 'straightest', 'load'], 'timed_length' => $timed],
            ];
        }
    }

    /** @param array<string, mixed> $asked */
    #[DataProvider('strips')]
    public function testWhatIsTypedAndTheButtonThatLogsItStandInOneRow(int $width, array $asked): void
    {
        $challenge = $this->class($asked);
        if (in_array('load', $asked['awards'] ?? [], true)) {
            $challenge->runs()->update(['inflation_kind' => 'strokes', 'inflation_strokes' => 5]);
        }
        $browser = $this->signIn()->size($width, 900)->visit("/challenges/{$challenge->id}")->settle();
        $boxes = $browser->driver->executeScript(<<<'JS'
            return [...document.querySelectorAll('#entry-form > .field, #entry-form > .log')].filter((each) => each.checkVisibility()).map((each) => {
                const parts = [...each.querySelectorAll('input, select')].map((part) => part.getBoundingClientRect());
                const box = parts[0] ?? each.getBoundingClientRect();
                return {
                    name: each.matches('.log') ? 'log' : each.querySelector('input, select').name,
                    top: box.top, bottom: box.bottom, left: box.left,
                    right: Math.max(each.getBoundingClientRect().right, ...parts.map((part) => part.right)),
                };
            });
            JS);
        $boxes = array_column($boxes, null, 'name');
        $beside = count($boxes) <= 5 ? array_keys($boxes) : ['group', 'distance', 'log'];
        foreach ($beside as $name) {
            self::assertLessThan($boxes[$name]['bottom'], $boxes['log']['top'], "{$name} beside Log run");
            self::assertLessThan($boxes['log']['bottom'], $boxes[$name]['top'], "{$name} beside Log run");
            self::assertTrue($name === 'log' || $boxes[$name]['right'] < $boxes['log']['left'], "{$name} ends before Log run begins");
        }
        self::assertLessThanOrEqual($width, max(array_column($boxes, 'right')), 'nothing reaches out of the screen');
    }

    public function testAListOfProblemsSaysOfEachFieldWhatIsWrong(): void
    {
        $challenge = $this->class();
        $this->signIn();
        foreach (['/plan/timetable', '/plan/cuts', '/plan/materials'] as $page) {
            $browser = $this->browser->visit("/challenges/{$challenge->id}{$page}");
            $browser->driver->executeScript(<<<'JS'
                for (const field of document.querySelectorAll('main form [name^=phase_], main form [name$=_width], main form [name$=_length], main form [name=kerf], main form [name^=amount_], main form [name^=pack_]')) {
                    field.type = 'text';
                    field.value = 'many';
                }
                JS);
            $browser->follow(
                static fn() => $browser->driver->executeScript(
                    'const form = document.querySelector("main form [value=many], main form [name^=phase_], main form [name=kerf], main form [name^=amount_]").form; form.noValidate = true; HTMLFormElement.prototype.submit.call(form)',
                ),
            );
            $said = $browser->driver->executeScript(
                'return [...document.querySelectorAll("[data-problem]")].map((each) => each.textContent.trim())',
            );
            self::assertGreaterThan(2, count($said), $page);
            self::assertSame(array_values(array_unique($said)), $said, $page);
        }
    }

    /** @return iterable<string, array{string, int}> the page, and how many sheets it is at most */
    public static function papers(): iterable
    {
        yield 'the class brief' => ['/plan/brief/class', 1];
        yield 'the helpers’ brief' => ['/plan/brief/helpers', 2];
        yield 'the note home' => ['/plan/materials/note', 1];
        yield 'the table cards' => ['/devices/cards', 3];
    }

    public function testThePackForTheDayHasAboutAsManySidesAsItSays(): void
    {
        $challenge = $this->class();
        foreach (['a4', 'letter'] as $size) {
            $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
            $browser = $this->signIn()->visit("/challenges/{$challenge->id}/plan/print")->visit(
                "/challenges/{$challenge->id}/plan/print?brief=1&safety=1&booklet=2&templates=1&labels=1&order=1&tape=1&size={$size}",
            );
            preg_match('/about (\d+) sides/', $browser->text('.lead-in'), $said);
            $browser->print($file);
            $sides = (int) preg_replace('/\D/', '', (string) shell_exec('pdfinfo ' . escapeshellarg($file) . ' | grep ^Pages'));
            $words = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -');
            unlink($file);
            self::assertEqualsWithDelta((int) ($said[1] ?? 0), $sides, 2, $words);
            self::assertStringNotContainsString('Menu', $words);
        }
    }

    #[DataProvider('papers')]
    public function testASheetOfPaperHoldsWhatBelongsOnIt(string $page, int $most): void
    {
        $challenge = $this->class();
        $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
        $this->signIn()->visit("/challenges/{$challenge->id}{$page}")->print($file);
        $sheets = (int) preg_replace('/\D/', '', (string) shell_exec('pdfinfo ' . escapeshellarg($file) . ' | grep ^Pages'));
        $words = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -');
        unlink($file);
        self::assertGreaterThan(0, $sheets);
        self::assertLessThanOrEqual($most, $sheets, $words);
        foreach (explode("\f", rtrim($words, "\f\n")) as $number => $sheet) {
            // A line that was left over is no sheet.
            self::assertGreaterThan(6, preg_match_all('/\S.*$/m', $sheet), 'sheet ' . ($number + 1) . ": {$sheet}");
        }
        if ($page === '/plan/brief/class') {
            self::assertStringNotContainsString('CFR', $words);
            self::assertStringNotContainsString('latex', mb_strtolower($words), 'what adults are asked is on theirs');
        }
    }
}
