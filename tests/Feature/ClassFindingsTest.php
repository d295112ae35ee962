<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\Device;
use App\Models\Prediction;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassRecord;
use App\ViewModels\Counting;
use App\ViewModels\PredictionsReading;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Skivo\Core\Challenge\DeviceRole;
use Tests\GeneratedClass;
use Tests\Scenario;

/** What a class found out, as its pages say it. */
final class ClassFindingsTest extends FeatureTestCase
{
    public function testAClassWhereBoreMattersAndMassDoesNotSaysSo(): void
    {
        $challenge = $this->generated();
        $page = $this->get("/challenges/{$challenge->id}/findings")->assertOk();
        $page->assertSeeInOrder(['A wider bore went farther', 'in 4 of 4 fair pairs, by 1']);
        $page->assertSee('No clear effect of mass.')->assertSee('supported here')->assertDontSee('go along with each other:');
        // Every claim leads to its runs.
        preg_match('~/runs\?cars=([0-9%C]+)"~', (string) $page->getContent(), $found);
        $this->get("/challenges/{$challenge->id}/runs?cars={$found[1]}")->assertOk()->assertSee('The runs behind a finding')->assertSee('Every run on record');
    }

    public function testAClassWithConfoundedChoicesIsRefusedAndToldTheNextTest(): void
    {
        $challenge = $this->withSheet("group,nozzle bore (mm),mass (g),try,distance (cm)\n" . $this->rows([[5, 92, 110], [6, 80, 160], [7, 70, 215], [8, 60, 260], [9, 50, 310]]));
        $page = $this->get("/challenges/{$challenge->id}/findings")->assertOk();
        $page->assertSee('Can’t tell yet.')->assertSee('Nozzle bore and mass go along with each other here')->assertSee('Next fair test:')->assertSee('takes nozzle bore and mass apart best');
        $page->assertDontSee('went farther</strong>', false)->assertDontSee('>supported here', false);
    }

    public function testLittleDataIsNotMadeMoreOf(): void
    {
        $none = Scenario::challenge($this->educator);
        $this->get("/challenges/{$none->id}/findings")->assertOk()->assertSee('Nothing to say yet.')->assertSee('log the first runs');
        foreach (['/findings/model', '/findings/awards', '/findings/choices', '/report', '/report/notebooks', '/report/certificates', '/findings/csv/class', '/findings/csv/choice', '/findings/csv/model', '/bench/csv'] as $page) {
            $this->get("/challenges/{$none->id}{$page}")->assertOk();
        }
        $two = $this->withSheet("group,nozzle bore (mm),mass (g),try,distance (cm)\n" . $this->rows([[6, 60, 200], [8, 60, 300]]));
        $this->get("/challenges/{$two->id}/findings")->assertSee('Two cars make no finding.')->assertDontSee('What mattered')->assertDontSee('cm more');
        $this->get("/challenges/{$two->id}/findings/model")->assertSee('Too few cars to set the model');
        $three = $this->withSheet("group,nozzle bore (mm),mass (g),try,distance (cm)\n" . $this->rows([[6, 60, 200], [8, 60, 300], [10, 75, 350]]));
        $this->get("/challenges/{$three->id}/findings")->assertSee('Can’t tell yet.')->assertSee('two cars make no finding about the choice');
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
        $page->assertSee('One void try was measured, and left out by the rule.')->assertSee('One try of G0 lies far from its others:')->assertSee('Studentized residual')->assertSee('It counts all the same.');
        $this->get("/challenges/{$challenge->id}/findings?tries=void")->assertSee('is in here.');
        $this->get("/challenges/{$challenge->id}/findings?tries=outliers")->assertSee('It is left out below.');
        $means = static fn(Counting $counting): array => array_map(static fn($car): float => round($car->sample->mean(), 3), ClassFindings::of(ClassRecord::of($challenge), $counting)->cars);
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
        self::assertNotEquals($first->cars, ClassFindings::of(ClassRecord::of($challenge->fresh() ?? $challenge))->cars);
    }

    public function testTheFigureComesAsNumbersInTheUnitsOfTheClass(): void
    {
        $challenge = $this->generated();
        $csv = $this->get("/challenges/{$challenge->id}/findings/csv/class")->assertOk()->getContent();
        self::assertStringContainsString('mean distance (cm)', $csv);
        self::assertGreaterThan(4, substr_count($csv, "\n"));
        $choice = $this->get("/challenges/{$challenge->id}/findings/csv/choice?against=nozzle_bore")->assertOk()->getContent();
        self::assertStringContainsString('nozzle bore (mm)', (string) $choice);
        self::assertSame(9, substr_count((string) $choice, "\r\n"), 'a head and eight cars');
        self::assertSame(9, substr_count((string) $this->get("/challenges/{$challenge->id}/findings/csv/model")->assertOk()->getContent(), "\r\n"));
        $this->get("/challenges/{$challenge->id}/findings/csv/nonsense")->assertNotFound();
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        self::assertStringContainsString('mean distance (in)', $this->get("/challenges/{$challenge->id}/findings/csv/class")->getContent());
    }

    public function testAGroupForetellsItsTryAndIsHeldToIt(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        $this->from('/x')->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => ''])->assertSessionHasErrors(['predicted' => 'How far will it go?']);
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => 'far'])->assertSessionHasErrors('predicted');
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '900 m'])->assertSessionHasErrors('predicted');
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '1.5 m'])->assertSessionHas('status', 'Keel expects 1.5 m of try 3.');
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '140']);
        self::assertSame(1, Prediction::query()->count(), 'changed, not said twice');
        $this->log($challenge, 'Keel', ['distance' => '152']);
        $reading = PredictionsReading::of(ClassRecord::of($challenge->fresh() ?? $challenge));
        self::assertEqualsWithDelta(0.12, $reading->foresights[$keel->id]->typicalMiss(), 1e-9);

        // Said after the run, it is no prediction.
        $late = $reef->newestCar()?->runs()->orderByDesc('logged_at')->firstOrFail();
        $late?->car->predictions()->create(['try' => $late->try, 'distance' => $late->distance, 'made_at' => now()->addHour()]);
        self::assertArrayNotHasKey($reef->id, PredictionsReading::of(ClassRecord::of($challenge->fresh() ?? $challenge))->foresights);
        $this->get("/challenges/{$challenge->id}/findings/awards")->assertSeeText('Keel predicted best,')->assertSee("12\u{00A0}cm off on average");
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertSee('Best prediction');
    }

    public function testAGroupsTabletMayForetellItsOwnTriesOnly(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        [, $key] = Device::join($challenge, DeviceRole::Group, 'Keel’s tablet', $keel);
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

    public function testAwardsSayHowLikelyTheFirstIsFirst(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}/findings/awards")->assertOk()->assertSeeInOrder(['Farthest', 'Halyard', "> 99\u{00A0}%", 'first', 'Bowline', "< 1\u{00A0}%", 'clearly shorter']);
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertOk()->assertSeeInOrder(['Farthest', 'Halyard', "423\u{00A0}cm"]);
    }

    public function testTheReportHoldsTheQuestionTheTableTheFindingsAndTheCautions(): void
    {
        $challenge = $this->generated();
        foreach (['cm', 'in'] as $unit) {
            $this->put("/challenges/{$challenge->id}/units", ['units' => $unit === 'cm' ? 'metric' : 'imperial']);
            $page = $this->get("/challenges/{$challenge->id}/report")->assertOk();
            $page->assertSeeInOrder(['Does a wider nozzle carry the car farther?', 'What was varied', 'Nozzle bore and mass', 'Every car', "Mean ({$unit})", 'What we found', 'A wider bore went farther', 'Next questions', 'Cautions that held', 'qualified staff come first']);
            $this->get("/challenges/{$challenge->id}/report/notebooks")->assertOk()->assertSee("\u{00A0}{$unit}")->assertSee('What would we change next');
        }
        $group = $challenge->groups()->firstOrFail();
        $one = $this->get("/challenges/{$challenge->id}/report/notebooks?group={$group->id}")->assertOk();
        self::assertSame(1, substr_count((string) $one->getContent(), 'class="sheet notebook"'));
    }

    public function testAFullClassIsReadWithFewQueries(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 4]), Scenario::sheet(20, 4));
        $this->get("/challenges/{$challenge->id}/findings");
        DB::enableQueryLog();
        foreach (['/findings', '/findings/model', '/findings/awards', '/report', '/report/notebooks', '/bench'] as $page) {
            DB::flushQueryLog();
            $this->get("/challenges/{$challenge->id}{$page}")->assertOk();
            self::assertLessThan(22, count(DB::getQueryLog()), $page);
        }
    }

    /** Four pairs of cars alike but for the bore, and pairs alike but for the mass: a metre by the bore, nothing by the mass. */
    private function generated(): Challenge
    {
        $class = new GeneratedClass(11, fromCarToCar: 0.06, fromTryToTry: 0.04);
        $sheet = "group,nozzle bore (mm),mass (g),try,distance (cm)\n";
        foreach ([50, 60, 72, 88] as $index => $mass) {
            foreach ([6 => 2.0, 9 => 3.0] as $bore => $truth) {
                $own = $truth + 0.06 * $class->normal();
                foreach ($class->tries($own)->values as $try => $distance) {
                    $sheet .= "G{$bore}-{$index},{$bore},{$mass}," . ($try + 1) . ',' . number_format(100 * $distance, 0, '.', '') . "\n";
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
                $rows .= "G{$index},{$bore},{$mass},{$try}," . ($distance + 4 * $try) . "\n";
            }
        }

        return $rows;
    }
}
