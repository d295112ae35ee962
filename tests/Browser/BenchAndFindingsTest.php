<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\BenchReading;
use App\Models\Challenge;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Str;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
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
        $this->browser->keys('12', WebDriverKeys::TAB, '2.4 m', WebDriverKeys::TAB, WebDriverKeys::TAB, '250', WebDriverKeys::TAB, WebDriverKeys::TAB, '260', WebDriverKeys::ENTER);
        $this->browser->waitFor('Ramp and roll-out of Keel is saved.');
        self::assertSame([[0.12, 2.4], [0.12, 2.5], [0.12, 2.6]], BenchReading::query()->where('car_id', $keel->newestCar()?->id)->orderBy('id')->get()->map(static fn(BenchReading $reading): array => $reading->values())->all());
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
            $challenge->readings()->create(['id' => (string) Str::uuid7(), 'kind' => 'thrust', 'data' => ['value_kg' => (float) $kg], 'measured_at' => now()->subSeconds(20 - $index)]);
        }
        $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$keel->id}/bench");
        $this->browser->find('#static-thrust summary')->click();
        foreach ($this->browser->all('#static-thrust [data-take]') as $button) {
            $button->click();
        }
        self::assertSame(['6.4 g', '6.1 g', ''], array_map(fn(int $row): string => (string) $this->browser->find("#static-thrust-{$row}-0")->getAttribute('value'), [0, 1, 2]));
        $this->browser->press('Save push on a scale');
        $this->browser->waitFor('Push on a scale of Keel is saved.');
        self::assertSame([[0.0064], [0.0061]], BenchReading::query()->where('car_id', $keel->newestCar()?->id)->orderBy('id')->get()->map(static fn(BenchReading $reading): array => $reading->values())->all());
    }

    public function testFindingsFollowTheClassAndStillSaveTheirFigure(): void
    {
        $challenge = $this->class([], "group,nozzle bore (mm),mass (g),try,distance (cm)\nA,6,40,1,200\nA,6,40,2,204\nB,8,40,1,300\nB,8,40,2,304\n");
        $this->signIn()->visit("/challenges/{$challenge->id}/findings");
        self::assertStringContainsString('Two cars make no finding.', $this->browser->text('.findings-layout'));
        self::assertSame([], $this->browser->all('#mattered'));
        Scenario::withClass($challenge, "group,nozzle bore (mm),mass (g),try,distance (cm)\nC,9,60,1,250\nC,9,60,2,260\n");
        // Within two seconds, the sections that were not there before, too.
        $this->browser->waitFor('Can’t tell yet.', '.findings-layout');
        $this->browser->waitFor('What mattered');
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

    public function testTheClassFigureDrawsIntervalsBothWaysAndIsSavedAsAFileThatStandsByItself(): void
    {
        $challenge = $this->found();
        $this->signIn()->visit("/challenges/{$challenge->id}/findings")->settle();
        self::assertStringContainsString('A wider bore went farther', $this->browser->text('.findings-layout .said'));
        $points = count($this->browser->all('.figure .point'));
        self::assertGreaterThan(5, $points);
        self::assertCount($points, $this->browser->all('.figure .cross'));
        self::assertCount(1, $this->browser->all('.figure path.model'));
        self::assertCount(1, $this->browser->all('.figure path.fit'));

        $saved = $this->saved('class-figure');
        foreach (['Thrust ÷ resistance', '<symbol', 'fill="rgb('] as $part) {
            self::assertStringContainsString($part, $saved);
        }
        // The runs behind the first claim.
        $this->browser->find('.claims .behind')->click();
        $this->browser->waitFor('The runs behind a finding');
    }

    public function testTheReportIsTwoToFourPagesInEitherSystemAndNotebooksOneEach(): void
    {
        $challenge = $this->found();
        $this->signIn();
        foreach (['metric' => 'Mean (cm)', 'imperial' => 'Mean (in)'] as $units => $head) {
            Challenge::query()->whereKey($challenge->id)->update(['units' => $units]);
            [$text, $pages] = $this->printed("/challenges/{$challenge->id}/report");
            foreach (['Does a wider nozzle carry the car farther?', 'A wider bore went farther', $head, 'Next questions', 'qualified staff come first'] as $words) {
                self::assertStringContainsString($words, $text, $units);
            }
            self::assertGreaterThanOrEqual(2, $pages);
            self::assertLessThanOrEqual(4, $pages);
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
        self::assertStringContainsString('Farthest', $text);
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
        self::assertStringContainsString('Keel predicted best, 12 cm off', str_replace("\u{00A0}", ' ', $this->browser->text('[aria-labelledby=predictions]')));
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
        $this->browser->wait(static fn(): bool => is_file("{$folder}/{$name}.svg") && str_ends_with((string) file_get_contents("{$folder}/{$name}.svg"), '</svg>'));
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
        $sheet = "group,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),try,distance (cm),time (s)\n";
        foreach ([36, 44, 53, 64] as $index => $mass) {
            foreach ([7 => 2.0, 9 => 3.0] as $bore => $truth) {
                foreach ($class->tries($truth + 0.06 * $class->normal())->values as $try => $distance) {
                    $sheet .= "G{$bore}-{$index},{$bore},{$mass},bottle caps,32," . ($try + 1) . ',' . number_format(100 * $distance, 0, '.', '') . ',' . number_format(9 / $bore, 2) . "\n";
                }
            }
        }

        return Scenario::withClass(Scenario::challenge($this->educator, ['timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)]), $sheet);
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
