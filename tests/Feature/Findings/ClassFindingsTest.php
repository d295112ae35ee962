<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Actions\AdmitDevices;
use App\Models\Car;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Prediction;
use App\Pages\Findings\PredictionsReading;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use App\Record\Counting;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\GeneratedClass;
use Tests\Scenario;

/** What a class found out, as its pages say it. */
final class ClassFindingsTest extends FeatureTestCase
{
    private const HEAD = "group,nozzle bore (mm),mass (g),wheels,balloon diameter (cm),try,distance (cm)\n";

    public function testAClassWhereBoreMattersAndMassDoesNotSaysSo(): void
    {
        $challenge = $this->generated();
        $page = $this->get("/challenges/{$challenge->id}/findings")->assertOk();
        $page->assertSeeInOrder(
            [
                'The class asked', 'Does a wider nozzle carry the car farther?', 'Yes.',
                "With 9\u{00A0}mm instead of 6\u{00A0}mm a car goes about", 'farther, somewhere between', 'How we know.',
                '8 groups ran cars that differ in nozzle bore.', 'Why.',
            ],
        );
        $this->get("/challenges/{$challenge->id}/findings/beliefs")
            ->assertOk()
            ->assertSeeInOrder(['A wide nozzle beats one that blows longer', 'supported here']);
        // Every claim leads to its runs.
        preg_match('~/runs\?cars=([0-9%C]+)"~', (string) $page->getContent(), $found);
        $this->get("/challenges/{$challenge->id}/runs?cars={$found[1]}")
            ->assertOk()
            ->assertSee('The runs behind a finding')
            ->assertSee('Every run on record');
    }

    public function testAClassWithConfoundedChoicesIsRefusedAndToldTheNextTest(): void
    {
        $challenge = $this->withSheet(
            self::HEAD . $this->rows([[5, 150, 110], [6, 100, 190], [7, 70, 180], [8, 45, 300], [9, 30, 270], [10, 20, 360]]),
        );
        $page = $this->get("/challenges/{$challenge->id}/findings")->assertOk();
        $page->assertSee('It looks like it.')
            ->assertSee('But mass changed together with nozzle bore, so it may be that instead.')
            ->assertSee('and nothing else.')
            ->assertSee('an effect of');
        $this->get("/challenges/{$challenge->id}/findings/beliefs")->assertDontSee('>supported here', false);
    }

    public function testLittleDataIsNotMadeMoreOf(): void
    {
        $none = Scenario::challenge($this->educator);
        $this->get("/challenges/{$none->id}/findings")->assertOk()->assertSee('Nothing to say yet.')->assertSee('log the first runs');
        foreach (
            [
                '/findings/work', '/findings/beliefs', '/findings/sure', '/findings/awards', '/findings/choices', '/report',
                '/report/notebooks', '/report/certificates', '/findings/csv/answer', '/findings/csv/work', '/findings/csv/choice',
                '/findings/csv/model', '/bench/csv',
            ] as $page
        ) {
            $this->get("/challenges/{$none->id}{$page}")->assertOk();
        }
        $two = $this->withSheet(self::HEAD . $this->rows([[6, 60, 200], [8, 60, 300]]));
        $this->get("/challenges/{$two->id}/findings")->assertSee('Two cars make no finding.')->assertDontSee('somewhere between');
        $three = $this->withSheet(self::HEAD . $this->rows([[6, 60, 200], [8, 60, 300], [10, 250, 350]]));
        $this->get("/challenges/{$three->id}/findings")->assertSee('Can’t tell yet.')->assertDontSee('somewhere between');
    }

    public function testVoidTriesAndOutliersAreLeftOutVisiblyAndShownByOneClick(): void
    {
        $sheet = "group,nozzle bore (mm),mass (g),try,distance (cm),void\n";
        foreach ([[6, 60], [8, 60], [8, 90]] as $index => [$bore, $mass]) {
            foreach ([1, 2, 3, 4, 5] as $try) {
                $distance = 200 + 40 * $index + $try + ($index === 0 && $try === 5 ? 90 : 0);
                $sheet .= "G{$index},{$bore},{$mass},{$try},{$distance},\n";
            }
        }
        $sheet .= "G1,8,60,6,900,pushed\n";
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 5]), $sheet);
        $page = $this->get("/challenges/{$challenge->id}/findings")->assertOk();
        $page->assertSee('One void try was measured, and left out by the rule.')
            ->assertSee('One try of G0 lies far from its others:')
            ->assertSee('What happened? Write it beside the run.')
            ->assertSee('It counts all the same.');
        $odd = $challenge->runs()->whereBetween('distance_m', [2.9, 3.0])->firstOrFail();
        $odd->forceFill(['note' => 'It hit a shoe'])->save();
        Cache::flush();
        $this->get("/challenges/{$challenge->id}/findings")->assertSee('Beside the run stands: “It hit a shoe”');
        $this->get("/challenges/{$challenge->id}/findings?tries=void")->assertSee('is in here.');
        $this->get("/challenges/{$challenge->id}/findings?tries=outliers")->assertSee('It is left out below.');
        $means = static fn(Counting $counting): array => array_map(
            static fn($car): float => round($car->sample->mean(), 3),
            ClassFindings::of(ClassRecord::of($challenge), $counting)->found->cars,
        );
        self::assertSame([2.21, 2.43, 2.83], $means(Counting::Rule));
        self::assertSame([2.21, 3.525, 2.83], $means(Counting::WithVoid));
        self::assertSame([2.025, 2.43, 2.83], $means(Counting::WithoutOutliers));
        $this->get("/challenges/{$challenge->id}/findings?tries[]=x")->assertOk();
    }

    public function testWhatIsKeptIsMadeAnewWhenSomethingChanges(): void
    {
        $challenge = $this->class();
        $first = ClassFindings::of(ClassRecord::of($challenge));
        self::assertSame($first, ClassFindings::of(ClassRecord::of($challenge)) === $first ? $first : null, 'kept while nothing changes');
        $this->log($challenge, 'Keel', ['distance' => '1 m']);
        $this->settle();
        $challenge->refresh();
        self::assertNotEquals($first->found->cars, ClassFindings::of(ClassRecord::of($challenge->fresh() ?? $challenge))->found->cars);
    }

    public function testTheFigureComesAsNumbersInTheUnitsOfTheClass(): void
    {
        $challenge = $this->generated();
        $csv = $this->get("/challenges/{$challenge->id}/findings/csv/work")->assertOk()->getContent();
        self::assertStringContainsString('push (mN)', (string) $csv);
        self::assertStringContainsString('distance (cm)', (string) $csv);
        self::assertSame(9, substr_count((string) $csv, "\r\n"), 'a head and eight cars');
        $answer = (string) $this->get("/challenges/{$challenge->id}/findings/csv/answer")->assertOk()->getContent();
        self::assertSame(8, substr_count($answer, ',yes'), 'all of them compared');
        $choice = $this->get("/challenges/{$challenge->id}/findings/csv/choice?against=nozzle_bore")->assertOk()->getContent();
        self::assertStringContainsString('nozzle bore (mm)', (string) $choice);
        self::assertSame(9, substr_count((string) $choice, "\r\n"), 'a head and eight cars');
        self::assertSame(
            9,
            substr_count((string) $this->get("/challenges/{$challenge->id}/findings/csv/model")->assertOk()->getContent(), "\r\n"),
        );
        $this->get("/challenges/{$challenge->id}/findings/csv/nonsense")->assertNotFound();
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        self::assertStringContainsString(
            'distance (in)',
            (string) $this->get("/challenges/{$challenge->id}/findings/csv/work")->getContent(),
        );
    }

    public function testAGroupForetellsItsTryAndIsHeldToIt(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        $this->from('/x')
            ->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => ''])
            ->assertSessionHasErrors(['predicted' => 'How far will it go?']);
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/prediction",
            ['predicted' => 'far'],
        )->assertSessionHasErrors('predicted');
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/prediction",
            ['predicted' => '900 m'],
        )->assertSessionHasErrors('predicted');
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/prediction",
            ['predicted' => '1.5 m'],
        )->assertSessionHas('status', 'Keel expects 1.5 m of try 3.');
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '140']);
        self::assertSame(1, Prediction::query()->count(), 'changed, not said twice');
        $this->log($challenge, 'Keel', ['distance' => '152']);
        $reading = PredictionsReading::of(ClassRecord::of($challenge->fresh() ?? $challenge));
        self::assertEqualsWithDelta(0.12, $reading->foresights[$keel->id]->typicalMiss(), 1e-9);

        // Said after the run, it is no prediction.
        $late = $reef->newestCar()?->runs()->orderByDesc('logged_at')->firstOrFail();
        $late?->car->predictions()->create(['try' => $late->try, 'distance' => $late->distance, 'made_at' => now()->addHour()]);
        self::assertArrayNotHasKey($reef->id, PredictionsReading::of(ClassRecord::of($challenge->fresh() ?? $challenge))->foresights);
        $this->get("/challenges/{$challenge->id}/findings/awards")
            ->assertSeeText('Keel predicted best,')
            ->assertSee("12\u{00A0}cm off on average");
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertSee('Best prediction');
    }

    public function testAGroupsTabletMayForetellItsOwnTriesOnly(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        [, $key] = AdmitDevices::join($challenge, DeviceRole::Group, 'Keel’s tablet', $keel);
        $as = fn(string $path, array $typed): TestResponse => $this->withHeaders(['Authorization' => "Bearer {$key}"])->put($path, $typed);
        auth()->forgetGuards();
        auth('web')->logout();
        $as("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '140'])->assertRedirect();
        self::assertSame(1, Prediction::query()->count());
        auth()->forgetGuards();
        $as("/challenges/{$challenge->id}/groups/{$reef->id}/prediction", ['predicted' => '140'])->assertNotFound();
        DB::table('challenges')->where('id', $challenge->id)->update(['groups_are_locked' => true]);
        auth()->forgetGuards();
        $as("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '150'])->assertForbidden();
    }

    public function testEveryChoiceHasItsVerdictItsLikeCarsAndWhatItChangesTogetherWith(): void
    {
        $challenge = $this->generated();
        $page = $this->get("/challenges/{$challenge->id}/findings/choices")->assertOk();
        $page->assertSeeInOrder(['data-choice="nozzle_bore"', 'A wider bore goes farther.', 'the runs of these'], false);
        self::assertGreaterThanOrEqual(8, substr_count((string) $page->getContent(), '<circle'), 'every like car is a point');
        $this->get("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore#one")->assertSeeInOrder(
            ['Distance against nozzle bore', 'A wider bore goes farther.', '8 groups ran cars that differ in nozzle bore.'],
        );

        $confounded = $this->withSheet(
            self::HEAD . $this->rows([[5, 150, 110], [6, 100, 190], [7, 70, 180], [8, 45, 300], [9, 30, 270], [10, 20, 360]]),
        );
        $this->get("/challenges/{$confounded->id}/findings/choices")->assertSee('changes together with mass')->assertSee(
            'changes together with nozzle bore',
        );
    }

    public function testTellingTheClassShowsTheAnswerOnTheBoardAndOnTheTabletsUntilItIsTakenBack(): void
    {
        $challenge = $this->generated();
        $group = $challenge->groups()->firstOrFail();
        [, $board] = AdmitDevices::join($challenge, DeviceRole::Board, 'board');
        $path = "/challenges/{$challenge->id}";
        $own = "{$path}/groups/{$group->id}/own";
        $this->get("/board/{$board}")->assertOk()->assertDontSee('Yes.');
        $this->get($own)->assertDontSee('See it');
        $this->get("{$path}/groups/{$group->id}/answer")->assertSee('The answer is not told yet.')->assertDontSee('Yes.');
        $this->put("{$path}/findings/tell", ['tell' => '1'])->assertRedirect("{$path}/findings");
        $this->get("/board/{$board}")->assertSeeInOrder(['Does a wider nozzle carry the car farther?', 'Yes.', 'farther']);
        self::assertStringContainsString('Yes.', (string) $this->get("/board/{$board}/state")->json('html.board'));
        $this->get($own)->assertSee('See it');
        $this->get("{$path}/groups/{$group->id}/answer")->assertSeeInOrder(['Yes.', 'How we know.']);
        $this->put("{$path}/findings/tell", ['tell' => '0'])->assertRedirect("{$path}/findings");
        $this->get("/board/{$board}")->assertDontSee('Yes.');
        $this->get($own)->assertDontSee('See it');
    }

    public function testTheFigureOfWhyEachCarStoppedIsAFileOfItsOwn(): void
    {
        $challenge = $this->generated();
        $answer = $this->get("/challenges/{$challenge->id}/findings/work.svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
        $svg = simplexml_load_string((string) $answer->getContent());
        self::assertNotFalse($svg);
        self::assertCount(
            2 * count(ClassFindings::of(ClassRecord::of($challenge))->found->works),
            $svg->xpath('//*[local-name()="rect"][@fill-opacity]') ?: [],
        );
    }

    public function testAGroupSeesWhyItsOwnCarStoppedOnItsPageAndItsSheet(): void
    {
        $challenge = $this->generated();
        $group = $challenge->groups()->firstOrFail();
        $this->get("/challenges/{$challenge->id}/groups/{$group->id}/own")->assertSee('Why it stopped there');
        $own = (string) $this->get("/challenges/{$challenge->id}/groups/{$group->id}/why")
            ->assertOk()
            ->assertSee('Why our car stopped where it did')
            ->assertSee('since both areas are equal')
            ->getContent();
        self::assertSame($group->cars()->count(), substr_count($own, 'class="work-row" data-car='), 'no car of another group');
        $this->get("/challenges/{$challenge->id}/report/notebooks?group={$group->id}")->assertSeeInOrder(
            ['Our runs', 'Why it stopped where it did', 'push, while the balloon blew'],
        );
        $empty = $challenge->groups()->create(['name' => 'Idle', 'mark' => 'ring-9', 'position' => 99]);
        $this->get("/challenges/{$challenge->id}/groups/{$empty->id}/why")->assertSee('Nothing to draw yet');
    }

    public function testAwardsSayHowLikelyTheFirstIsFirst(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}/findings/awards")
            ->assertOk()
            ->assertSeeInOrder(['Farthest', 'Halyard', "> 99\u{00A0}%", 'first', 'Bowline', "< 1\u{00A0}%", 'clearly shorter'])
            ->assertSee("423\u{00A0}cm")
            ->assertSee("166.5\u{00A0}in");
        $this->get("/challenges/{$challenge->id}/report/certificates")
            ->assertOk()
            ->assertSeeInOrder(['First: farthest', 'Halyard', "423\u{00A0}cm"]);
    }

    public function testTheReportHoldsTheQuestionTheTableAndTheFindingsInFewWords(): void
    {
        $challenge = $this->generated();
        foreach (['cm', 'in'] as $unit) {
            $this->put("/challenges/{$challenge->id}/units", ['units' => $unit === 'cm' ? 'metric' : 'imperial']);
            $page = $this->get("/challenges/{$challenge->id}/report")->assertOk();
            $page->assertSeeInOrder(
                [
                    'Does a wider nozzle carry the car farther?', 'Yes.', 'Every car', "Mean ({$unit})",
                    'Why each car stopped where it did', 'What we found', 'Next questions',
                ],
            );
            preg_match('~<article class="sheet report">(.*)</article>~s', (string) $page->getContent(), $report);
            $words = preg_match_all('/[\pL’]{2,}/u', html_entity_decode(strip_tags($report[1] ?? '')));
            self::assertGreaterThan(100, $words);
            self::assertLessThanOrEqual(550, $words);
            $this->get("/challenges/{$challenge->id}/report/notebooks")
                ->assertOk()
                ->assertSee("\u{00A0}{$unit}")
                ->assertSee('What would we change next');
        }
        $group = $challenge->groups()->firstOrFail();
        $one = $this->get("/challenges/{$challenge->id}/report/notebooks?group={$group->id}")->assertOk();
        self::assertSame(1, substr_count((string) $one->getContent(), 'class="sheet notebook"'));
    }

    /** A guess about the kit is judged by the simulated run, and by the class's own cars once they can say it. */
    public function testWarmUpsAreJudgedByTheClassWhereItCanSay(): void
    {
        putenv('DEMO_PASSWORD=' . Scenario::PASSWORD);
        Artisan::call('skivo:demo');
        $challenge = Challenge::query()->where('name', 'Cross the Slipway')->firstOrFail();
        $this->actingAs($challenge->user);
        $halyard = $challenge->groups()->where('name', 'Halyard')->firstOrFail();
        $page = fn(): string => (string) $this->get("/challenges/{$challenge->id}/groups/{$halyard->id}/at/idea")
            ->assertOk()
            ->assertSee('In a simulated run')
            ->getContent();
        self::assertSame(1, substr_count($page(), 'own cars show it'), 'of nozzles alone');
        self::assertStringContainsString('own cars show it: farther.', $page());
        $challenge->groups()
            ->where('name', '<>', 'Halyard')
            ->with('cars')
            ->get()
            ->each(static fn(Group $group) => $group->cars->each(static fn(Car $car) => $car->runs()->delete()));
        $this->settle();
        self::assertStringNotContainsString('own cars show it', $page());
    }

    public function testAFullClassIsReadWithFewQueries(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 4]), Scenario::sheet(20, 4));
        $this->get("/challenges/{$challenge->id}/findings");
        DB::enableQueryLog();
        foreach (
            [
                '/findings', '/findings/work', '/findings/sure', '/findings/beliefs', '/findings/choices', '/findings/awards', '/report',
                '/report/notebooks', '/bench',
            ] as $page
        ) {
            DB::flushQueryLog();
            $this->get("/challenges/{$challenge->id}{$page}")->assertOk();
            self::assertLessThan(22, count(DB::getQueryLog()), $page);
        }
    }

    /** Eight cars alike but for the bore: a metre by that. */
    private function generated(): Challenge
    {
        $class = new GeneratedClass(11, fromCarToCar: 0.06, fromTryToTry: 0.04);
        $sheet = self::HEAD;
        foreach ([60, 60, 61, 61] as $index => $mass) {
            foreach ([6 => 2.0, 9 => 3.0] as $bore => $truth) {
                $own = $truth + 0.06 * $class->normal();
                foreach ($class->tries($own)->values as $try => $distance) {
                    $sheet .= "G{$bore}-{$index},{$bore},{$mass},bottle caps,20," . ($try + 1) . ',' . number_format(
                        100 * $distance,
                        0,
                        '.',
                        '',
                    ) . "\n";
                }
            }
        }

        return $this->withSheet($sheet);
    }

    private function withSheet(string $sheet): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator), $sheet);
    }

    /** @param list<array{int, int, int}> $cars bore, mass, distance */
    private function rows(array $cars): string
    {
        $rows = '';
        foreach ($cars as $index => [$bore, $mass, $distance]) {
            foreach ([1, 2, 3] as $try) {
                $rows .= "G{$index},{$bore},{$mass},bottle caps,20,{$try}," . ($distance + 4 * $try) . "\n";
            }
        }

        return $rows;
    }
}
