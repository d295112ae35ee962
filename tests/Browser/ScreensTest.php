<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;
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
        // The strip at the lane: what was typed and the button that logs it stand in one row.
        $browser = $this->browser->visit("/challenges/{$challenge->id}")->settle();
        [$field, $button] = $browser->driver->executeScript(
            'return [document.querySelector(".entry [name=distance]"), document.querySelector(".entry .log")].map((each) => { const box = each.getBoundingClientRect(); return [box.top, box.bottom]; })',
        );
        if ($width > 400) {
            self::assertTrue($button[0] < $field[1] && $field[0] < $button[1], "Log run beside its field at {$width}");
        }
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
