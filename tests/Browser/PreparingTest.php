<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverSelect;

/** Planning a class, building a car, checking it and finding out what is wrong, through the real interface. */
final class PreparingTest extends BrowserTestCase
{
    public function testAClassOfNineGroupsIsPlannedFromTheIdeaToTheSafetySheet(): void
    {
        $browser = $this->signIn()->visit('/challenges/new')->fill('groups', '')->fill('lane_length', '5 m')
            ->press('More rules')->fill('name', 'Nine at the quay')
                ->fill('lanes', '2')
                ->pick('award_fastest', '1')
                ->fill('timed_length', '2 m')
                ->press('Set the challenge');

        self::assertStringContainsString('To buy or collect', $browser->text());
        $browser->fill('groups', '9')->fill('learners', '36')->press('Save the materials');
        self::assertStringContainsString('For 36 learners in 9 groups, with 20 % spares', $browser->text());
        self::assertSame('44', $browser->text('tr:has([name=amount_wheels]) .big-figure'));
        // Another wheel is chosen, and the list follows by itself.
        $browser->press('What cars are made of');
        $browser->follow(fn() => (new WebDriverSelect($browser->find('[name=kit_wheels]')))->selectByVisibleText('bought wheels'));
        self::assertStringContainsString('Wheels: bought wheels', $browser->text('table.materials'));
        self::assertStringNotContainsString('Start collecting now', $browser->text());
        $browser->find('.prices input')->click();
        $browser->fill('price_wheels', '0.5')->press('Save the materials');
        self::assertStringContainsString('22.00', $browser->text('table.materials tfoot'));

        $browser->press('To the cut sizes')
            ->fill('wheel_thickness', '1/2 in')
            ->fill('straw_length', '24 cm')
            ->press('Update the sizes');
        self::assertStringContainsString('11.4 cm', $browser->text('.answers'));
        // 11 cars: a nozzle and a bearing from each of 11 straws, the other 11 bearings two by two from 6.
        self::assertStringContainsString('17 straws of 24 cm', $browser->text());

        $browser->press('To the timetable')->fill('session_min', '105')->press('Update the timetable');
        self::assertStringContainsString('It does not fit', $browser->text());
        self::assertStringContainsString('Run on', $browser->text('.remedies'));
        $browser->fill('session_min', '240')
            ->fill('phase_build', '140')
            ->fill('lanes', '3')
            ->fill('phase_redesign', '0')
            ->press('Update the timetable');
        self::assertStringContainsString('It fits', $browser->text());
        self::assertCount(9, $browser->all('.run-order tbody tr'), '27 runs on three lanes');

        $browser->press('Build');
        self::assertStringContainsString('Latex', $browser->text());
        self::assertStringNotContainsString('Hot glue', $browser->text());
        $browser->press('I have read it')
            ->fill('names', implode("\n", ['One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine']))
            ->press('Add groups');
        self::assertStringContainsString('9 groups have been added', $browser->text('.flash'));
    }

    public function testACarThatRubsIsSeenOnTheDrawingAndMended(): void
    {
        $challenge = $this->class(sheet: "group\nKeel\nReef\n");
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $browser = $this->signIn()
            ->visit("/challenges/{$challenge->id}/groups/{$keel->id}/car")
            ->press('Fill in from the kit')
            ->press('Everything');
        self::assertStringContainsString('nothing is recorded yet', $browser->text());
        $browser->fill('track', '88 mm');
        $browser->wait(fn(): bool => str_contains($browser->text('[data-drawing]'), 'rub on the chassis'));
        self::assertGreaterThanOrEqual(2, count($browser->all('.fault-mark')));
        self::assertStringContainsString('The rear wheels rub', $browser->text('.faults'));

        $browser->fill('track', '97 mm');
        $browser->wait(fn(): bool => str_contains($browser->text('[data-drawing]'), 'Nothing on record speaks against it'));
        $browser->fill('nozzle_angle', '180');
        $browser->wait(fn(): bool => str_contains($browser->text('[data-drawing]'), 'The nozzle points forward'));
        $browser->fill('nozzle_angle', '5')->fill('mass', '2 oz')->press('Record this car');
        self::assertStringContainsString('is recorded', $browser->text('.flash'));
        self::assertStringNotContainsString('will not work', $browser->text());
        self::assertSame('97 mm', $keel->newestCar()?->choices->quantities['track']->text);
    }

    public function testAFailedCheckLeadsToItsCauseAndCure(): void
    {
        $challenge = $this->class(sheet: "group\nKeel\n");
        $keel = $challenge->groups()->sole();
        $browser = $this->signIn()
            ->visit("/challenges/{$challenge->id}/groups/{$keel->id}/car")
            ->press('Everything')
            ->fill('wheelbase', '10 cm')
            ->fill('track', '8 cm')
            ->press('Record this car');
        $browser->press('To the checks')->press('Check Keel')
            ->fill('spin_first', '4')->fill('parallel_first', '98')
                ->fill('parallel_second', '100')
                ->fill('drift_first', '40')
                ->fill('drift_second', '200')
                ->pick('points_answer', '1')
            ->press('Save the card');
        self::assertSame('fix', $browser->text('#parallel .verdict-word'));
        self::assertStringContainsString('1.43°', $browser->text('#parallel'));
        self::assertSame(
            ['pass', 'fix', 'pass'],
            array_map(static fn(string $item): string => $browser->text("{$item} .verdict-word"), ['#spin', '#drift', '#points']),
        );

        $browser->press('What is wrong with it?');
        self::assertStringContainsString('It veers or circles', $browser->text('[name=seen]'));
        self::assertStringContainsString('Axles not parallel', $browser->text('.causes li:first-child'));
        self::assertStringContainsString('what is recorded shows it', $browser->text('.causes li:first-child'));
        self::assertMatchesRegularExpression(
            '/move the right end of the front axle back by 1\.\d mm/',
            $browser->text('.causes li:first-child'),
        );
        $browser->visit("/challenges/{$challenge->id}");
        self::assertStringContainsString('needs fixing', $browser->text('.floor'));
    }

    public function testWhatIsPrintedHoldsTheWorkAndNotTheControls(): void
    {
        $challenge = $this->class();
        $halyard = $challenge->groups()->where('name', 'Halyard')->sole();
        $this->signIn();
        foreach ([
            '/plan/materials' => ['To buy or collect', 'Drinking straws', 'Wheels: bottle caps', '20'],
            '/plan/materials/labels' => ['Bowline', 'Halyard', 'Keel', 'Reef', 'Bearing, 8.1 cm'],
            '/plan/cuts' => ['Bearing', '11.7 cm', 'By the rule of thumb', 'straws of 20 cm'],
            '/plan/timetable' => ['Run order', 'try 3', 'Build'],
            '/plan/safety' => ['Latex', 'own risk assessment'],
            '/plan/brief/class' => ['Does a wider nozzle carry the car farther?', 'Your kit', 'Take care'],
            '/plan/brief/helpers' => ['At the lane', 'Run order', 'Halyard'],
            "/groups/{$halyard->id}/check" => ['Check card of Halyard', 'End play', 'Points cut off'],
        ] as $page => $words) {
            $file = tempnam(sys_get_temp_dir(), 'print') . '.pdf';
            $this->browser->visit("/challenges/{$challenge->id}{$page}")->print($file);
            $text = (string) preg_replace(
                '/[\s\x{00A0}]+/u',
                ' ',
                (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -'),
            );
            unlink($file);
            foreach ($words as $word) {
                self::assertStringContainsString($word, $text, $page);
            }
            foreach (['Menu', 'Update the', 'Save the card', 'Print', 'Rules Materials'] as $control) {
                self::assertStringNotContainsString($control, $text, $page);
            }
        }
    }
}
