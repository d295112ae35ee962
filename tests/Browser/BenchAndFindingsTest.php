<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\AdmitDevices;
use App\Models\BenchReading;
use App\Models\Challenge;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Str;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\People\DeviceRole;
use Tests\GeneratedClass;
use Tests\Scenario;

/** Measuring forces, and what the class makes of them, in the real browser. */
final class BenchAndFindingsTest extends BrowserTestCase
{
    public function testARampAndThreeRollOutsAreTypedWithoutTheMouse(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$keel->id}/bench");
        // The height once, and the distance of each: four readings, Tab between them, Enter at the end.
        $this->browser->find('#ramp-0-0')->click();
        $this->browser->keys(
            '12',
            WebDriverKeys::TAB,
            '2.4 m',
            WebDriverKeys::TAB,
            WebDriverKeys::TAB,
            '250',
            WebDriverKeys::TAB,
            WebDriverKeys::TAB,
            '260',
            WebDriverKeys::ENTER,
        );
        $this->browser->waitFor('Ramp and roll-out of Keel is saved.');
        self::assertSame(
            [[0.12, 2.4], [0.12, 2.5], [0.12, 2.6]],
            BenchReading::query()->where('car_id', $keel->newestCar()?->id)
                ->orderBy('id')
                ->get()
                ->map(static fn(BenchReading $reading): array => $reading->values())
                ->all(),
        );
        self::assertStringContainsString('measured: ramp and roll-out', $this->browser->text('[data-part=forces]'));
        self::assertStringContainsString('f = 0.048 ±', $this->browser->text('#ramp summary'));
        // A slip is named at its field, and what was typed stays.
        $this->browser->find('#ramp-3-1')->sendKeys('far' . WebDriverKeys::ENTER);
        $this->browser->waitFor('is not a length', '#ramp');
        self::assertSame('far', $this->browser->find('#ramp-3-1')->getAttribute('value'));
        $this->browser->visit("/challenges/{$challenge->id}/bench");
        self::assertStringContainsString('One car’s friction is measured', $this->browser->text());
        self::assertCount(1, $this->browser->all('.own-dot'));
    }

    public function testWhatAScaleJustReadGoesIntoTheFirstEmptyField(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        foreach (['0.0061', '0.0064'] as $index => $kg) {
            $challenge->readings()->create(
                [
                    'id' => (string) Str::uuid7(), 'kind' => 'thrust', 'data' => ['value_kg' => (float) $kg],
                    'measured_at' => now()->subSeconds(20 - $index),
                ],
            );
        }
        $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$keel->id}/bench");
        $this->browser->find('#static-thrust summary')->click();
        foreach ($this->browser->all('#static-thrust [data-take]') as $button) {
            $button->click();
        }
        self::assertSame(
            ['6.4 g', '6.1 g', ''],
            array_map(fn(int $row): string => (string) $this->browser->find("#static-thrust-{$row}-0")->getAttribute('value'), [0, 1, 2]),
        );
        $this->browser->press('Save push on a scale');
        $this->browser->waitFor('Push on a scale of Keel is saved.');
        self::assertSame(
            [[0.0064], [0.0061]],
            BenchReading::query()->where('car_id', $keel->newestCar()?->id)
                ->orderBy('id')
                ->get()
                ->map(static fn(BenchReading $reading): array => $reading->values())
                ->all(),
        );
    }

    public function testFindingsFollowTheClassAndStillSaveTheirFigure(): void
    {
        $challenge = $this->class(
            [],
            "group,nozzle bore (mm),mass (g),wheels,balloon diameter (cm),try,distance (cm)\nA,6,40,caps,20,1,200\nA,6,40,caps,20,2,204\nB,8,40,caps,20,1,300\nB,8,40,caps,20,2,304\n",
        );
        $this->signIn()->visit("/challenges/{$challenge->id}/findings");
        self::assertStringContainsString('Two cars make no finding.', $this->browser->text('.answer-layout'));
        Scenario::withClass(
            $challenge,
            "group,nozzle bore (mm),mass (g),wheels,balloon diameter (cm),try,distance (cm)\nC,9,40,caps,20,1,350\nC,9,40,caps,20,2,353\n",
        );
        // Within two seconds, what was not there before, too.
        $this->browser->waitFor('Cars of 3 groups differ in it so far', '.answer-layout');
        self::assertGreaterThan(0, count($this->browser->all('.figure svg')));
    }

    public function testTheReportOfFortyGroupsStaysWithinItsPages(): void
    {
        $challenge = $this->class([], Scenario::sheet(40, 3));
        $this->signIn();
        [$text, $pages] = $this->printed("/challenges/{$challenge->id}/report");
        self::assertLessThanOrEqual(4, $pages);
        foreach (['Group 1', 'Group 40', 'Next questions', 'qualified staff come first'] as $words) {
            self::assertStringContainsString($words, $text);
        }
    }

    public function testTheAnswersGraphIsSavedAsAFileThatStandsByItself(): void
    {
        $challenge = $this->found();
        $this->signIn()->visit("/challenges/{$challenge->id}/findings")->settle();
        self::assertStringContainsString('Yes.', $this->browser->text('.answer-said'));
        self::assertGreaterThan(5, count($this->browser->all('.figure .point')));
        self::assertCount(1, $this->browser->all('.figure path.fit'));
        self::assertCount(1, $this->browser->all('.figure path.band'));
        self::assertGreaterThan(3, count($this->browser->all('.figure .name')), 'names stand beside the marks');

        $saved = $this->saved('answer');
        foreach (['Nozzle bore, mm', '<symbol', 'fill="rgb('] as $part) {
            self::assertStringContainsString($part, $saved);
        }
        // The runs behind the answer.
        $this->browser->find('.answer-said .behind')->click();
        $this->browser->waitFor('The runs behind a finding');
    }

    /** One row a car, and the two blocks of each of the same area. */
    public function testWhyEachCarStoppedIsDrawnAsTwoBlocksOfEqualArea(): void
    {
        $challenge = $this->found();
        foreach ([1280, 390] as $width) {
            $this->signIn()->size($width, 844)->visit("/challenges/{$challenge->id}/findings/work")->settle();
            $areas = $this->browser->driver->executeScript(<<<'JS'
                return [...document.querySelectorAll('.work-blocks')].map((svg) => ['push', 'hold'].map((name) => {
                    const box = svg.querySelector(`.${name}`).getBoundingClientRect();
                    return box.width * box.height;
                }));
                JS);
            self::assertCount(8, $areas);
            foreach ($areas as [$push, $hold]) {
                // Strokes are as wide on small blocks as on large ones.
                self::assertEqualsWithDelta(1.0, $push / $hold, 0.12);
            }
        }
        $this->browser->size(1280, 800)->press('By push')->settle();
        self::assertStringContainsString('by=push', $this->browser->driver->getCurrentURL());
    }

    public function testTheClassIsToldOnTheBoardAndOnTheTablets(): void
    {
        $challenge = $this->found();
        [$board, $token] = AdmitDevices::join($challenge, DeviceRole::Board, 'Board');
        $group = $challenge->groups()->firstOrFail();
        $this->signIn()->visit("/challenges/{$challenge->id}/findings")->press('Tell the class');
        $this->browser->waitFor('The class is told: the board shows the answer.');
        $this->browser->visit("/board/{$token}")->settle();
        $this->browser->waitFor('Yes.', '.board-answer');
        self::assertGreaterThan(5, count($this->browser->all('.figure .point')));
        $this->browser->visit("/challenges/{$challenge->id}/groups/{$group->id}/own")->press('See it');
        $this->browser->waitFor('Yes.', '.answer-said');
        $this->browser->visit("/challenges/{$challenge->id}/findings")->press('Back to the floor');
        $this->browser->waitFor('The board shows the floor again.');
        $this->browser->visit("/board/{$token}")->settle();
        self::assertCount(1, $this->browser->all('[data-floor]'));
        self::assertSame([], $this->browser->all('.board-answer'));
        $this->browser->visit("/challenges/{$challenge->id}/groups/{$group->id}/answer");
        $this->browser->waitFor('The answer is not told yet.');
        self::assertSame(DeviceRole::Board, $board->role);
    }

    public function testWhoWaitsLongForAPageIsToldThatItIsWorkedOut(): void
    {
        $challenge = $this->found();
        $this->signIn()->visit("/challenges/{$challenge->id}/findings")->settle();
        $this->browser->driver->executeScript('const note = document.querySelector("[data-working]"); sessionStorage.clear();'
            . 'new MutationObserver(() => sessionStorage.setItem(location.pathname, `${note.textContent} ${note.hidden}`)).observe(note, { attributes: true })');
        $slow = fn(int $ms) => $this->browser->chromium(
            'Network.emulateNetworkConditions',
            ['offline' => false, 'latency' => $ms, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
        $slow(2500);
        $this->browser->press('For the curious');
        $slow(0);
        $this->browser->waitFor('A lesson needs none of these pages');
        self::assertSame(
            'Working it out … false',
            $this->browser->driver->executeScript('return sessionStorage.getItem(arguments[0])', ["/challenges/{$challenge->id}/findings"]),
        );
        self::assertTrue($this->browser->driver->executeScript('return document.querySelector("[data-working]").hidden'));
    }

    public function testTheReportIsTwoOrThreePagesInEitherSystemAndNotebooksOneEach(): void
    {
        $challenge = $this->found();
        $this->signIn();
        foreach (['metric' => 'Mean (cm)', 'imperial' => 'Mean (in)'] as $units => $head) {
            Challenge::query()->whereKey($challenge->id)->update(['units' => $units]);
            [$text, $pages] = $this->printed("/challenges/{$challenge->id}/report");
            foreach (
                [
                    'Does a wider nozzle carry the car farther?', 'Yes.', $head, 'Next questions',
                    'qualified staff come first',
                ] as $words
            ) {
                self::assertStringContainsString($words, $text, $units);
            }
            self::assertGreaterThanOrEqual(2, $pages);
            self::assertLessThanOrEqual(3, $pages);
            foreach (['Menu', 'Print, or save', 'Notebook sheets'] as $control) {
                self::assertStringNotContainsString($control, $text);
            }
        }
        [$text, $pages] = $this->printed("/challenges/{$challenge->id}/report/notebooks");
        self::assertSame($challenge->groups()->count(), $pages);
        foreach (['Our car', 'Our runs', 'What surprised us?'] as $words) {
            self::assertStringContainsString($words, $text);
        }
        [$text, $pages] = $this->printed("/challenges/{$challenge->id}/report/certificates");
        self::assertSame(count($this->browser->all('.certificate')), $pages, 'one a page');
        self::assertStringContainsString('First: farthest', $text);
    }

    public function testAGroupsPredictionMeetsItsRun(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $this->signIn()->visit("/challenges/{$challenge->id}/findings/awards");
        $this->browser->find("#p-{$keel->id}")->sendKeys('1.4 m' . WebDriverKeys::ENTER);
        $this->browser->waitFor('Keel expects 1.4 m of try 3.');
        $this->browser->visit("/challenges/{$challenge->id}");
        $this->browser->find("select[name=group] option[value='{$keel->id}']")->click();
        $this->browser->fill('distance', '152');
        $this->browser->logRun();
        $this->browser->visit("/challenges/{$challenge->id}/findings/awards");
        self::assertStringContainsString(
            'Keel predicted best, 12 cm off',
            str_replace("\u{00A0}", ' ', $this->browser->text('[aria-labelledby=predictions]')),
        );
    }

    public function testEveryFigureIsTheOneThatItsButtonSaves(): void
    {
        $challenge = $this->found();
        $this->signIn()->visit("/challenges/{$challenge->id}/findings/sure")->settle();
        self::assertStringContainsString('stored in rubber and air', $this->saved('energy'));
        $residuals = $this->saved('model-and-reality');
        self::assertStringContainsString('as measured', $residuals);
        self::assertStringNotContainsString('stored in rubber', $residuals);
        $this->browser->visit("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore")->settle();
        self::assertStringContainsString('Nozzle bore, mm', $this->saved('nozzle_bore'));
        // Another car's energy, by the list above it.
        $car = $challenge->groups()->where('name', 'G9-0')->firstOrFail()->newestCar();
        $this->browser->visit("/challenges/{$challenge->id}/findings/sure?car={$car?->id}");
        self::assertStringContainsString('G9-0 moved on', $this->browser->text('[aria-labelledby=energy]'));
    }

    /** What a button saves: a file that is SVG by itself and needs nothing of the page. */
    private function saved(string $name): string
    {
        $folder = sys_get_temp_dir() . '/skivo-saved-' . bin2hex(random_bytes(4));
        mkdir($folder);
        $this->browser->chromium('Browser.setDownloadBehavior', ['behavior' => 'allow', 'downloadPath' => $folder]);
        $this->browser->find("[data-save-svg={$name}]")->click();
        // A file may be there before all of it is.
        $this->browser->wait(
            static fn(): bool => is_file("{$folder}/{$name}.svg")
                && str_ends_with((string) file_get_contents("{$folder}/{$name}.svg"), '</svg>'),
        );
        $saved = (string) file_get_contents("{$folder}/{$name}.svg");
        exec('rm -rf ' . escapeshellarg($folder));
        $svg = simplexml_load_string($saved);
        self::assertNotFalse($svg);
        self::assertSame('svg', $svg->getName());
        self::assertStringNotContainsString('var(--', $saved, 'no style of the page is needed');

        return $saved;
    }

    /** Wider bores go a metre farther, whatever the mass; cars that start by the model, too. */
    private function found(): Challenge
    {
        $class = new GeneratedClass(11, fromTryToTry: 0.04);
        $sheet = "group,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),balloon diameter (cm),try,distance (cm),time (s)\n";
        foreach ([44, 44, 45, 45] as $index => $mass) {
            foreach ([7 => 2.0, 9 => 3.0] as $bore => $truth) {
                foreach ($class->tries($truth + 0.06 * $class->normal())->values as $try => $distance) {
                    $sheet .= "G{$bore}-{$index},{$bore},{$mass},bottle caps,32,20," . ($try + 1) . ',' . number_format(
                        100 * $distance,
                        0,
                        '.',
                        '',
                    ) . ',' . number_format(9 / $bore, 2) . "\n";
                }
            }
        }

        return Scenario::withClass(
            Scenario::challenge($this->educator, ['timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)]),
            $sheet,
        );
    }

    /** @return array{string, int} what is on the paper, and how many pages it takes */
    private function printed(string $page): array
    {
        $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
        $this->browser->visit($page)->print($file);
        $text = (string) preg_replace('/[\s\x{00A0}]+/u', ' ', (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -'));
        preg_match('/^Pages:\s+(\d+)/m', (string) shell_exec('pdfinfo ' . escapeshellarg($file)), $found);
        unlink($file);

        return [$text, (int) ($found[1] ?? 0)];
    }
}
