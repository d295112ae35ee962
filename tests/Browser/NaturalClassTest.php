<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Challenge;
use Tests\Scenario;

/** A class that sets out to ask about wheels, plans for it, builds whatever it finds, runs, and gets its answer. */
final class NaturalClassTest extends BrowserTestCase
{
    /** Spelt in three ways, with wheels that differ in size, mass and name at once, and a mass that nobody wrote down. */
    private const BUILT = [
        ['bottle caps', 30, '58', 251], ['Bottle cap', 30, '72', 280], ['bottle caps', 30, '66', 295], ['jar lids', 70, '81', 360],
        ['jar lid', 70, '', 395], ['Jar lids', 70, '88', 410], ['CD', 120, '124', 550], ['CDs', 120, '110', 600], ['cds', 120, '118', 636],
    ];

    public function testFromSettingItToItsAnswer(): void
    {
        $browser = $this->signIn()->visit('/challenges/new')->pick('asks', 'wheel_diameter')->fill('groups', '9');
        // Each way to find out says how many classes of nine would be told the truth, surer and surer; half and half is chosen already.
        foreach (['half_and_half', 'change_one_thing', 'free'] as $design) {
            $browser->waitFor('of 100 classes', "[data-chance={$design}]");
        }
        $browser->wait(static fn(): bool => !str_contains($browser->text('.way'), 'so far'), 120);
        self::assertStringContainsString('bottle caps and jar lids', $browser->text('[data-compared]'));
        $browser->fill('lane_length', '8 m')->pick('safety', '1')->press('Set the challenge');
        $challenge = Challenge::query()->where('user_id', $this->educator->id)->latest('id')->firstOrFail();
        // The plan says whether it will come to an answer, once that is worked out.
        $browser->visit("/challenges/{$challenge->id}/plan")->waitFor('Of 100 such classes', '.planned-answer');
        // The brief for the class is a sheet of paper with its question.
        $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
        $browser->visit("/challenges/{$challenge->id}/plan/brief/class")->print($file);
        $printed = (string) shell_exec('pdftotext ' . escapeshellarg($file) . ' -');
        foreach (['wheel', 'Who builds what', 'With jar lids', 'Every balloon is filled to 20 cm', 'about 6 coins'] as $said) {
            self::assertStringContainsStringIgnoringCase($said, str_replace(["\u{A0}", "\n"], ' ', $printed));
        }
        unlink($file);

        // A run is logged at the lane, and the cars are recorded with the others' runs from a sheet.
        $first = $challenge->groups()->firstOrFail();
        $browser->visit("/challenges/{$challenge->id}");
        $browser->find("select[name=group] option[value='{$first->id}']")->click();
        $browser->fill('distance', '251')->logRun();
        $sheet = "group,nozzle bore (mm),balloon diameter (cm),mass (g),wheels,wheel diameter (mm),try,distance (cm)\n";
        foreach ($challenge->groups()->orderBy('position')->get() as $index => $group) {
            [$wheels, $size, $mass, $mean] = self::BUILT[$index];
            foreach ([0.96, 1.0, 1.04] as $try => $times) {
                if ($group->id !== $first->id || $try > 0) {
                    $sheet .= "{$group->name},7,20,{$mass},{$wheels},{$size}," . ($try + 1) . ',' . round($times * $mean) . "\n";
                }
            }
        }
        Scenario::withClass($challenge, $sheet);

        foreach ([1280, 390] as $width) {
            $browser->size($width, 900)->visit("/challenges/{$challenge->id}/findings")->settle();
            self::assertStringContainsString('Yes.', $browser->text('.answer-said'));
            self::assertStringContainsString('wheel diameter makes about', $browser->text('.shares-said'));
            self::assertCount(9, $browser->all('.figure .point'), 'every car is on the graph');
            self::assertGreaterThan(3, count($browser->all('.shares .shares-row')));
            self::assertLessThanOrEqual($width, $browser->driver->executeScript('return document.documentElement.scrollWidth'));
        }
        self::assertPiecesLieWithinTheirTape($browser);
        // Spellings are one kind on every page of findings.
        $browser->size(1280, 900)->visit("/challenges/{$challenge->id}/findings/choices")->settle();
        self::assertStringNotContainsString('cds', $browser->text('.choice-list'));
        self::assertStringNotContainsString('jar lid ', $browser->text('.choice-list'));
    }

    /** One after the other. */
    private static function assertPiecesLieWithinTheirTape(Browser $browser): void
    {
        $pieces = $browser->driver->executeScript(<<<'JS'
            return [...document.querySelectorAll('.shares-row')].map((row) => {
                const [lane, piece] = [row.querySelector('.shares-lane'), row.querySelector('.shares-piece')].map((each) => each.getBoundingClientRect());
                return [piece.left - lane.left, lane.right - piece.right];
            });
            JS);
        foreach ($pieces as [$before, $after]) {
            self::assertGreaterThanOrEqual(-1.0, $before);
            self::assertGreaterThanOrEqual(-3.0, $after);
        }
    }
}
