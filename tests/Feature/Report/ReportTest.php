<?php

declare(strict_types=1);

namespace Tests\Feature\Report;

use App\Models\Challenge;
use App\Pages\Findings\FigureSheet;
use App\Record\ClassFindings;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Challenge\Scoring;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What is printed and what leaves as a file. */
final class ReportTest extends FeatureTestCase
{
    public function testATieIsSharedAndACloseCallIsSaid(): void
    {
        $tied = $this->of("group,try,distance\nA,1,300\nA,2,310\nB,1,310\nB,2,300\nC,1,100\nC,2,101\n");
        $page = (string) $this->get("/challenges/{$tied->id}/report/certificates")
            ->assertOk()
            ->assertSee('side by side with B')
            ->assertSee('side by side with A')
            ->getContent();
        self::assertSame(3, substr_count($page, 'class="certificate"'), 'two that share the first place, and the third');
        self::assertStringNotContainsString('Second', $page);

        $close = $this->of("group,try,distance\nA,1,300\nA,2,330\nB,1,310\nB,2,300\nC,1,100\nC,2,101\n");
        $this->get("/challenges/{$close->id}/report/certificates")
            ->assertSee('side by side with B')
            ->assertSee('side by side with A')
            ->assertDontSee('too close');
        $clear = $this->of("group,try,distance\nA,1,300\nA,2,301\nB,1,100\nB,2,101\n");
        $this->get("/challenges/{$clear->id}/report/certificates")->assertDontSee('side by side');
    }

    public function testEveryAwardHasItsCertificateInTheUnitsOfTheClass(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, [
                'awards' => [Goal::Fastest->value, Goal::Straightest->value],
                'timed_length' => (new QuantityReader())->read('1 m', Unit::Metre),
            ]),
            "group,try,distance (cm),time (s)\nA,1,300,1.5\nA,2,304,1.4\nB,1,250,0.9\nB,2,246,0.8\n",
        );
        $page = $this->get("/challenges/{$challenge->id}/report/certificates")->assertOk();
        $page->assertSeeInOrder(
            ['First: farthest', 'A', "302\u{00A0}cm", 'Second: farthest', 'B', 'First: fastest over', 'B', "0.85\u{00A0}s"],
        );
        self::assertSame(4, substr_count((string) $page->getContent(), 'class="certificate"'), 'nobody’s drift was measured');
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertSee("118.9\u{00A0}in");
    }

    public function testStrengthsAndAwardsOfTheEducatorsOwn(): void
    {
        $challenge = $this->of(
            "group,version,try,distance,void\nA,1,1,300,\nA,1,2,304,\nA,2,1,400,\nA,2,2,404,\nB,1,1,,wheel off\nB,1,1,250,\nB,1,2,246,\n",
        );
        $page = "/challenges/{$challenge->id}/report/certificates";
        $this->get($page)->assertSeeInOrder(
            [
                'First: farthest', 'Second: farthest', 'Most improved', 'A', "from 302\u{00A0}cm to 402\u{00A0}cm", 'Best repair', 'B',
                "first wheel off, then 250\u{00A0}cm",
            ],
        );
        $b = $challenge->groups()->where('name', 'B')->sole();
        $this->from($page)
            ->put("/challenges/{$challenge->id}/report/awards", ['award_title' => '', 'award_group' => $b->id])
            ->assertSessionHasErrors(['award_title' => 'Say what the award is for.']);
        $this->from($page)
            ->put(
                "/challenges/{$challenge->id}/report/awards",
                ['award_title' => 'Best teamwork', 'award_group' => $this->class()->groups()->value('id')],
            )
            ->assertSessionHasErrors(['award_group' => 'Choose a group of this class.']);
        $this->put(
            "/challenges/{$challenge->id}/report/awards",
            ['award_title' => 'Best <teamwork>', 'award_group' => $b->id],
        )->assertRedirect($page);
        $this->get($page)->assertSee('Best <teamwork>')->assertDontSee('Best <teamwork>', false);
        $this->put("/challenges/{$challenge->id}/report/awards", ['remove' => '0'])->assertRedirect($page);
        self::assertSame([], $challenge->refresh()->own_awards);
    }

    public function testADistanceThatIsABoundIsToldAsOne(): void
    {
        $challenge = $this->of("group,try,distance\nA\nB,1,250\nB,2,246\n");
        $this->log($challenge, 'A', ['past_end' => '1'])->assertSessionHasNoErrors();
        $this->log($challenge, 'A', ['past_end' => '1'])->assertSessionHasNoErrors();
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertSee('at least ');
    }

    public function testANotebookSheetHoldsVersionsReasonsRunsAndBlanks(): void
    {
        $challenge = $this->class();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        $reef->cars()->where('version', 2)->update(['reason' => 'The old straw was too thin.']);
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $page = $this->get("/challenges/{$challenge->id}/report/notebooks?group={$reef->id}")->assertOk();
        $page->assertSeeInOrder(
            [
                'Reef', 'Our car, version 2', 'What we changed, and why', 'ozzle bore 6 to 7', 'The old straw was too thin.', 'Our runs',
                "168\u{00A0}cm", 'v2, 1', "233\u{00A0}cm", 'Why did it go as far',
            ],
        );
        $page->assertDontSee($keel->name . '</span></h2>', false);
        $this->get("/challenges/{$challenge->id}/report/notebooks?group={$keel->id}")
            ->assertSee('void: no start')
            ->assertSee('Nothing since the first run.');
        // A group that recorded nothing gets a sheet to draw on.
        $bare = Scenario::withClass(Scenario::challenge($this->educator), "group\nEmpty\n");
        $this->get("/challenges/{$bare->id}/report/notebooks")->assertSee('Draw it here.');
        // Another class's group is none of this one.
        $this->get("/challenges/{$challenge->id}/report/notebooks?group={$bare->groups()->value('id')}")
            ->assertOk()
            ->assertDontSee('Our car');
    }

    public function testAReportOfNothingSaysWhatToDo(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->get("/challenges/{$challenge->id}/report")
            ->assertOk()
            ->assertSee('Nothing to say yet.')
            ->assertSee('Which car goes farther when one thing on it is changed?');
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertOk()->assertSee('No award has a first yet');
        $this->get("/challenges/{$challenge->id}/report/notebooks")->assertOk()->assertSee('There are no groups yet.');
    }

    public function testNoCellOfAFileIsRunAsAFormula(): void
    {
        $challenge = $this->class();
        $challenge->groups()->where('name', 'Bowline')->update(['name' => '=1+1']);
        foreach (['findings/csv/choice?against=nozzle_bore', 'findings/csv/model'] as $file) {
            $csv = (string) $this->get("/challenges/{$challenge->id}/{$file}")
                ->assertOk()
                ->assertHeader('Content-Type', 'text/csv; charset=UTF-8')
                ->getContent();
            self::assertStringContainsString("'=1+1,1,", $csv, $file);
        }
        $this->put(
            "/challenges/{$challenge->id}/groups/{$challenge->groups()->where('name', '=1+1')->value('id')}/bench/spin",
            ['r0_0' => '4'],
        );
        self::assertStringContainsString(
            "'=1+1,1,\"Wheel spin\",1,\"Turns for\",\"4 s\",4",
            (string) $this->get("/challenges/{$challenge->id}/bench/csv")->getContent(),
        );
    }

    public function testTheNumbersOfAFileAreThoseOfThePage(): void
    {
        $challenge = $this->class();
        $record = ClassRecord::of($challenge);
        $lines = explode("\r\n", trim((new FigureSheet($record))->ofModel(ClassFindings::of($record))));
        self::assertCount(6, $lines, 'a head and five cars that ran');
        self::assertStringStartsWith('Bowline,1,340.7,', $lines[1]);

        $whole = $this->of("group,nozzle bore (mm),balloon diameter (cm),mass (g),wheels,wheel diameter (mm),try,distance (cm)\n"
            . "A,7,20,60,bottle caps,32,1,280\nB,8,20,62,bottle caps,32,1,300\nC,8,21,58,bottle caps,32,1,320\n");
        $lines = explode("\r\n", trim((new FigureSheet($record = ClassRecord::of($whole)))->ofModel(ClassFindings::of($record))));
        $explained = 0;
        foreach (array_slice($lines, 1) as $line) {
            [, , , , , , $stored, $pushed, $rolling, $air] = array_pad(str_getcsv($line, escape: ''), 10, '');
            if ($stored !== '') {
                self::assertEqualsWithDelta((float) $pushed, (float) $rolling + (float) $air, 2e-5, 'what pushed the car is spent');
                self::assertGreaterThan((float) $pushed, (float) $stored);
                $explained++;
            }
        }
        self::assertSame(3, $explained);
    }

    public function testTheRuleDecidesPlacesButNotWhatIsClear(): void
    {
        $sheet = "group,try,distance\nLucky,1,500\nLucky,2,200\nLucky,3,210\nSteady,1,350\nSteady,2,352\nSteady,3,354\n";
        foreach ([[Scoring::Best, 'Lucky'], [Scoring::Mean, 'Steady'], [Scoring::Median, 'Steady']] as [$scoring, $first]) {
            $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['scoring' => $scoring]), $sheet);
            $record = ClassRecord::of($challenge);
            $leader = $record->standings()->leader()?->entrant->id;
            self::assertSame($first, $challenge->groups()->whereKey($leader)->value('name'), $scoring->value);
            $this->get("/challenges/{$challenge->id}/findings/awards")->assertSee('too close to call');
        }
    }

    public function testWhatIsHereIsAtLeastAsNewAsItsRevision(): void
    {
        $challenge = $this->class();
        DB::enableQueryLog();
        $record = ClassRecord::of($challenge);
        $queries = array_column(DB::getQueryLog(), 'query');
        self::assertStringContainsString('"revisions"', $queries[0], 'the revision is read before anything else');
        self::assertSame($challenge->revision(), $record->revision);
    }

    public function testForcesOfOlderVersionsStayTheirs(): void
    {
        $challenge = $this->class();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        $this->put("/challenges/{$challenge->id}/groups/{$reef->id}/bench/tilt", ['version' => 1, 'r0_0' => '6 cm', 'r0_1' => '1 m']);
        $record = ClassRecord::of($challenge->fresh() ?? $challenge);
        $forces = new ClassForces($record);
        [$old, $new] = $record->groups->firstWhere('name', 'Reef')?->cars->all() ?? [null, null];
        self::assertTrue($forces->of($old)?->frictionIsMeasured());
        self::assertFalse($forces->of($new)?->frictionIsMeasured());
        self::assertNull($forces->of(null));
        $this->get("/challenges/{$challenge->id}/bench")->assertSee('version 1')->assertSee('version 2');
    }

    private function of(string $sheet): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator), $sheet);
    }
}
