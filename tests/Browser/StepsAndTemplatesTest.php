<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\TestWith;
use Skivo\Core\Measurement\UnitSystem;

/** The steps of the build, their booklet, and templates that come out of a printer at full size. */
final class StepsAndTemplatesTest extends BrowserTestCase
{
    private const DPI = 300;

    /** As thick as the line is that is cut along. */
    private const CUT_LINE_MM = 0.3;

    public function testTheStepsFollowWhatTheCarIsMadeOfAndHowItIsHeld(): void
    {
        $challenge = $this->class();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/plan/steps");
        $steps = fn(): array => array_map(
            static fn($step): string => trim((string) preg_replace('/^\d+|\d+ min$/', '', str_replace("\u{00A0}", ' ', $step->getText()))),
            $browser->all('.build-step h3'),
        );
        self::assertSame('Points off', $steps()[0]);
        self::assertNotContains('Decorate it', $steps());
        // A step is one tap: its picture and its name stand in front.
        self::assertStringNotContainsString('Cut two straws', $browser->text('.build-steps'));
        $browser->press('Cut the bearings');
        self::assertStringContainsString('Cut two straws, each 8.1 cm long.', str_replace("\u{00A0}", ' ', $browser->text('.build-steps')));
        $browser->pick('decoration', 'first')
            ->pick('decorated_with', 'paint')
            ->pick('bearings_by', 'hot glue')
            ->fill('adults', '2')
            ->press('Save how it is built');
        self::assertStringContainsString('The steps follow', $browser->text('.flash'));
        self::assertContains('Let it dry', $steps());
        self::assertLessThan(array_search('Balloon on the car', $steps(), true), array_search('Let it dry', $steps(), true));
        $browser->press('Let it set');
        self::assertMatchesRegularExpression('/Meanwhile: step \d+, /', $browser->text('.build-step.waits'));
        self::assertSame([], $browser->accessibilityProblems());

        // The timetable takes both, and each proposal is one click.
        $browser->visit("/challenges/{$challenge->id}/plan/timetable");
        $text = $browser->text('.remedies');
        self::assertStringContainsString('Glue and paint need', $text);
        $browser->press('Take it');
        self::assertStringNotContainsString(explode("\n", $text)[0], $browser->text('main'));
    }

    public function testTheBookletFoldsOntoFewSheetsInTheRightOrder(): void
    {
        $challenge = $this->class();
        $file = $this->printed("/challenges/{$challenge->id}/plan/steps/booklet");
        self::assertMatchesRegularExpression(
            '/Pages:\s+4\n/',
            (string) shell_exec('pdfinfo ' . escapeshellarg($file)),
            'eight small pages on two sheets',
        );
        self::assertMatchesRegularExpression(
            '/Page size:\s+84\d\.\d+ x 59\d/',
            (string) shell_exec('pdfinfo ' . escapeshellarg($file)),
            'lying',
        );
        $half = static fn(int $side, bool $right): string => (string) preg_replace(
            '/[\s\x{00A0}]+/u',
            ' ',
            (string) shell_exec(
                sprintf('pdftotext -f %1$d -l %1$d -x %2$d -y 0 -W 421 -H 596 %3$s -', $side, $right ? 421 : 0, escapeshellarg($file)),
            ),
        );
        self::assertStringContainsString('Build your car', $half(1, true));
        self::assertStringContainsString('Points off', $half(2, false));
        foreach (
            [[2, false, '2'], [3, true, '3'], [4, false, '4'], [4, true, '5'], [3, false, '6'], [2, true, '7']] as [$side, $right, $page]
        ) {
            self::assertStringContainsString("{$page} ", substr($half($side, $right), -4) . ' ', "page {$page}");
        }
        unlink($file);
    }

    #[TestWith([UnitSystem::Metric, 200.0, 250.0])]
    #[TestWith([UnitSystem::Imperial, 203.2, 254.0])]
    public function testTemplatesComeOutAtFullSize(UnitSystem $units, float $barMm, float $stripMm): void
    {
        $challenge = $this->class();
        $challenge->update(['units' => $units]);
        $file = $this->printed("/challenges/{$challenge->id}/plan/steps/templates");
        $pages = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -');
        self::assertStringContainsString('Measure me', $pages);
        self::assertStringNotContainsString('Menu', $pages);
        // The bar, on the chassis' sheet and on the centre finder's; the board itself; and a strip of the lane's tape.
        self::assertEqualsWithDelta($barMm, $this->longestLineMm($file, 1), 0.2);
        self::assertEqualsWithDelta(150.0 + self::CUT_LINE_MM, $this->longestLineMm($file, 1, 0.45), 0.2, 'the board is 15 cm long');
        self::assertEqualsWithDelta($barMm, $this->longestLineMm($file, 3), 0.2);
        self::assertEqualsWithDelta($stripMm + self::CUT_LINE_MM, $this->longestLineMm($file, 4), 0.25);
        unlink($file);
    }

    public function testAGroupsTabletShowsTheStepsOfItsOwnCar(): void
    {
        $challenge = $this->class();
        $group = $challenge->groups()->firstOrFail();
        $browser = $this->signIn()->visit("/challenges/{$challenge->id}/groups/{$group->id}/car")->press('Chassis');
        $browser->pick('chassis_form', 'bottle')->pick('save_as', 'version')->press('Record this car');
        foreach ([1280, 820, 390] as $width) {
            $browser->size($width, 900)->visit("/challenges/{$challenge->id}/groups/{$group->id}/steps");
            self::assertStringContainsString('Pierce two holes into each side', $browser->text('.build-steps'));
            self::assertSame([], $browser->accessibilityProblems());
            self::assertTrue($browser->driver->executeScript('return document.documentElement.scrollWidth <= innerWidth'), "{$width} wide");
        }
    }

    private function printed(string $page): string
    {
        $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
        $this->signIn()->visit($page)->print($file);

        return $file;
    }

    /** The longest level line on a sheet (mm), of those in its upper part where one is named. */
    private function longestLineMm(string $pdf, int $page, float $upper = 1.0): float
    {
        $stem = tempnam(sys_get_temp_dir(), 'sheet');
        shell_exec(
            sprintf(
                'pdftoppm -r %d -gray -png -singlefile -f %2$d -l %2$d %3$s %4$s',
                self::DPI,
                $page,
                escapeshellarg($pdf),
                escapeshellarg((string) $stem),
            ),
        );
        $image = imagecreatefrompng("{$stem}.png");
        unlink("{$stem}.png");
        self::assertNotFalse($image);
        $longest = 0;
        for ($y = 0; $y < imagesy($image) * $upper; $y++) {
            for ($x = $run = 0; $x < imagesx($image); $x++) {
                // As dark as ink where a thin line is smoothed.
                $run = (imagecolorat($image, $x, $y) & 0xFF) < 190 ? $run + 1 : 0;
                $longest = max($longest, $run);
            }
        }

        return 25.4 * $longest / self::DPI;
    }
}
