<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Long;
use Tests\Scenario;

/** Every page, at the desk and on a phone, by axe-core; and on paper. */
final class AccessibilityTest extends BrowserTestCase
{
    public function testAxeFindsNothingBeforeSigningIn(): void
    {
        foreach (['/sign-in', '/register', '/join', '/join/ABCDEF2'] as $path) {
            self::assertSame([], $this->signOut()->visit($path)->accessibilityProblems(), $path);
        }
    }

    public function testAxeFindsNothingOnAnyPage(): void
    {
        $challenge = $this->class();
        $empty = Scenario::challenge($this->educator, ['name' => 'Empty']);
        $group = $challenge->groups()->firstOrFail();
        $run = $challenge->runs()->firstOrFail();
        $race = Scenario::race($challenge);
        $this->signIn();
        $pages = [
            '/challenges', '/challenges/new', '/account', '/nothing-here',
            ...array_map(static fn(string $page): string => "/challenges/{$challenge->id}{$page}", [
                '', '/plan', '/groups', '/cars', "/groups/{$group->id}", "/groups/{$group->id}/car", '/runs', "/runs?edit={$run->id}",
                '/findings', '/findings/work', '/findings/sources', '/plan/larger', '/findings/beliefs',
                '/findings/choices?against=nozzle_bore', '/findings/choices?against=wheel_kind', '/findings/sure', '/findings/awards',
                '/sheet',
                '/bench', "/groups/{$group->id}/bench", '/report', '/report/notebooks', '/report/certificates',
                '/plan/materials', '/plan/materials/labels', '/plan/cuts', '/plan/steps', '/plan/steps/booklet', '/plan/steps/templates',
                '/plan/materials/note', '/parts?kind=chassis', "/groups/{$group->id}/steps", '/plan/timetable', '/plan/safety',
                '/plan/brief/class', '/plan/brief/helpers',
                '/devices', "/runs/{$run->id}/trace", "/groups/{$group->id}/own", '/check', '/check/tolerances',
                "/groups/{$group->id}/check", "/groups/{$group->id}/car?kit=1", "/groups/{$group->id}/car/versions",
                "/groups/{$group->id}/diagnosis", "/groups/{$group->id}/diagnosis?seen=veers&drift=30&over=200",
                ...array_map(
                    static fn(string $station): string => "/groups/{$group->id}/at/{$station}",
                    ['idea', 'build', 'check', 'guess', 'why', 'change'],
                ), "/groups/{$group->id}/notebook", '/room', '/devices/cards', '/races', "/races/{$race->id}",
            ]),
            ...array_map(
                static fn(string $page): string => "/challenges/{$empty->id}{$page}",
                ['', '/groups', '/runs', '/findings', '/bench', '/report', '/check', '/plan/timetable'],
            ),
        ];
        $problems = [];
        foreach ($pages as $page) {
            $this->browser->visit($page);
            foreach ([[1280, 800], [820, 1180], [390, 844]] as [$width, $height]) {
                $this->browser->size($width, $height);
                // The same rules again on a narrower screen: nearly all are about what a page says, not how wide it is.
                foreach ($width === 1280 || Long::is() ? $this->browser->accessibilityProblems() : [] as $problem) {
                    $problems[] = "{$page} at {$width}: {$problem}";
                }
                if ($this->browser->driver->executeScript('return document.documentElement.scrollWidth') > $width) {
                    $problems[] = "{$page} is wider than {$width}";
                }
            }
        }
        // That one page is missing is what was asked for.
        self::assertCount(1, $this->browser->consoleErrors());
        self::assertSame([], $problems);
    }

    public function testAxeFindsNothingInFaultsPreviewsAndDialogs(): void
    {
        $challenge = $this->class();
        $this->signIn()->visit("/challenges/{$challenge->id}")->fill('distance', 'far')->find('.entry .log')->click();
        $this->browser->waitFor('is not a length', '.entry [role=alert]');
        self::assertCount(1, $this->browser->consoleErrors(), 'the browser notes that it was refused');
        self::assertSame([], $this->browser->accessibilityProblems());
        $this->browser->visit("/challenges/{$challenge->id}/sheet")->fill('text', "group,distance\nNew,300\n")->press('Look at it first');
        self::assertSame([], $this->browser->accessibilityProblems());
        $this->browser->visit("/challenges/{$challenge->id}/sheet")->fill('text', "group,distance\nNew,far\n")->press('Look at it first');
        self::assertSame([], $this->browser->accessibilityProblems());
        $this->browser->press('Menu')->press('Keys');
        self::assertSame([], $this->browser->accessibilityProblems());
        $this->browser->visit('/challenges/new')->press('Set the challenge');
        self::assertSame([], $this->browser->accessibilityProblems());
    }

    public function testThePrintedClassHoldsTheFiguresAndNotTheControls(): void
    {
        $challenge = $this->class();
        $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
        $this->signIn()->visit("/challenges/{$challenge->id}")->print($file);
        $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -');
        unlink($file);

        foreach (['Across the hall', 'Halyard', '423', 'Halyard leads', 'Every car in figures', '1 m'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        self::assertStringNotContainsString('Log run', $text);
        self::assertStringNotContainsString('Menu', $text);
    }
}
