<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Language\ForecastWords;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use App\Record\Counting;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** The findings beside the model. */
final class ModelPageTest extends FeatureTestCase
{
    /** Cars that start by the model, with times. */
    private const SHEET = <<<'CSV'
        group,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),balloon diameter (cm),try,distance (cm),time (s)
        A,6,36,bottle caps,32,20,1,310,1.9
        A,6,36,bottle caps,32,20,2,322,1.95
        B,7,40,bottle caps,32,20,1,355,1.6
        B,7,40,bottle caps,32,20,2,340,1.65
        C,8,44,bottle caps,32,20,1,402,1.35
        C,8,44,bottle caps,32,20,2,395,1.4
        D,9,48,bottle caps,32,20,1,420,1.2
        D,9,48,bottle caps,32,20,2,436,1.15
        E,7,52,bottle caps,32,20,1,240,1.85
        E,7,52,bottle caps,32,20,2,251,1.8
        CSV;

    public function testTheEnergyOfAnyCarIsShownAndAddsUp(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $findings = ClassFindings::of(ClassRecord::of($challenge));
        self::assertCount(5, $findings->found->works);
        foreach ($findings->found->works as $work) {
            $energy = $work->energy;
            self::assertEqualsWithDelta($energy->push, $energy->rolling + $energy->drag + $energy->carriedOff, 0.01 * $energy->push);
            self::assertGreaterThan(0.0, $energy->push);
            self::assertLessThan($energy->stored, $energy->push);
        }
        $car = $challenge->groups()->where('name', 'C')->firstOrFail()->newestCar();
        $share = number_format(
            100 * $findings->found->works[$car->id ?? 0]->energy->push / $findings->found->works[$car->id ?? 0]->energy->stored,
            1,
        );
        $this->get("/challenges/{$challenge->id}/findings/sure?car={$car?->id}")
            ->assertOk()
            ->assertSee("C moved on {$share} % of what its balloon held.")
            ->assertSee('Over the class it is');
        $this->get("/challenges/{$challenge->id}/findings/sure?car=999999")->assertOk()->assertSee('moved on');
        $this->get("/challenges/{$challenge->id}/findings/sure?car[]=x")->assertOk();
    }

    public function testEveryCarIsPredictedBeforeItsRunsAndToldHonestly(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)]),
            self::SHEET,
        );
        $page = $this->get("/challenges/{$challenge->id}/findings/sure")->assertOk();
        $page->assertSee('Hands add')
            ->assertSee('A usual balloon here gives')
            ->assertSee('5 of 5 cars whose friction was not measured stopped inside their band,')
            ->assertSee('Predicted before its runs')
            ->assertSee('estimated');
        $before = ClassFindings::of(ClassRecord::of($challenge))->found->forecast;
        foreach ($challenge->groups()->get() as $group) {
            $this->put("/challenges/{$challenge->id}/groups/{$group->id}/bench/tilt", ['r0_0' => '6 cm', 'r0_1' => '1 m']);
        }
        $this->settle();
        $after = ClassFindings::of(ClassRecord::of($challenge->fresh() ?? $challenge))->found->forecast;
        foreach ($challenge->groups()->get() as $group) {
            $id = $group->newestCar()->id ?? 0;
            self::assertLessThan(
                $before->beforeRuns[$id]->band95->high - $before->beforeRuns[$id]->band95->low,
                $after->beforeRuns[$id]->band95->high - $after->beforeRuns[$id]->band95->low,
                'a bench test narrows it',
            );
            self::assertArrayHasKey($id, $before->onceMeasured);
            self::assertArrayNotHasKey($id, $after->onceMeasured);
        }
        $this->get("/challenges/{$challenge->id}/findings/sure")->assertDontSee('estimated')->assertSee('measured');
    }

    /** The bench, the build sheet, Dry run and Plan say of a car what the findings do, to the digit. */
    public function testThereIsOneForecastOfACar(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $group = $challenge->groups()->where('name', 'C')->firstOrFail();
        $car = $group->newestCar() ?? self::fail('It has a car.');
        $forecast = ClassFindings::of(ClassRecord::of($challenge))->found->forecast->forecasts[$car->id];
        $words = new ForecastWords($challenge->units);
        foreach (["groups/{$group->id}/bench", "groups/{$group->id}/car"] as $page) {
            $this->get("/challenges/{$challenge->id}/{$page}")->assertOk()->assertSee($words->said($forecast), false);
        }
        $this->get("/challenges/{$challenge->id}/bench")->assertOk()->assertSee($words->figures($forecast), false);
        $page = (string) $this->get("/challenges/{$challenge->id}/dry-run?car={$car->id}")->assertOk()->getContent();
        preg_match('~<script type="application/json">(\{"settings".*?)</script>~s', $page, $found);
        $bench = json_decode($found[1] ?? '', true, 32, JSON_THROW_ON_ERROR);
        $design = implode(
            ',',
            array_map(
                static fn(string $key, float $value): string => "{$key}:{$value}",
                array_keys($bench['designs']['a']),
                $bench['designs']['a'],
            ),
        );
        $answer = $this->get($bench['sources'][0]['run'] . '&d=' . urlencode($design))->assertOk()->json();
        self::assertSame($words->distance($forecast->medianM), $answer['shown']['distance']);
        self::assertSame($words->band($forecast), $answer['shown']['band']);
        self::assertSame($words->whereItStops($forecast), $answer['shown']['stops']);
        // A design for which the page's own knowledge is not held any more is refused in words.
        parse_str((string) parse_url($bench['sources'][0]['run'], PHP_URL_QUERY), $query);
        Cache::forget('state:' . (is_string($query['state']) ? $query['state'] : ''));
        $this->get($bench['sources'][0]['run'] . '&d=' . urlencode($design))
            ->assertStatus(422)
            ->assertJson(['message' => 'This page has been open for too long. Load it again, and turn on.']);
    }

    public function testPlanSaysWhetherTheLaneIsLongEnough(): void
    {
        $heavy = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $this->get("/challenges/{$heavy->id}/plan")->assertOk()->assertSee('a usual car of this kit would hardly start', false);
        $challenge = Scenario::challenge($this->educator, ['lane_length' => Scenario::entry('2 m')]);
        $this->get("/challenges/{$challenge->id}/plan")
            ->assertOk()
            ->assertSee('How far a usual car of this kit goes is not known yet.')
            ->assertSee('log runs as past the end');
        $challenge->update(['lane_length' => Scenario::entry('80 m')]);
        $this->get("/challenges/{$challenge->id}/plan")->assertOk()->assertSee('That is long enough.');
    }

    public function testACarIsSaidToBeShortOnlyOutsideItsBand(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $group = $challenge->groups()->where('name', 'E')->firstOrFail();
        $this->get("/challenges/{$challenge->id}/groups/{$group->id}/diagnosis?seen=short-run")
            ->assertOk()
            ->assertSee('Too little is known of such cars to call that short.');
    }

    public function testTheChosenTriesAreKeptFromPageToPage(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $this->get("/challenges/{$challenge->id}/findings/work?tries=void")
            ->assertSee('findings/curious?tries=void', false)
            ->assertSee('findings/csv/work?tries=void', false);
        $this->get("/challenges/{$challenge->id}/findings/sure?tries=outliers")->assertOk()->assertSee('findings?tries=outliers', false);
        foreach (Counting::cases() as $counting) {
            self::assertSame($counting, ClassFindings::of(ClassRecord::of($challenge), $counting)->counting, 'each is kept by itself');
        }
    }

    public function testACarThatTheModelCannotMoveIsNotDrawn(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            self::SHEET . "\nHeavy,3,900,bottle caps,32,20,1,0,\nHeavy,3,900,bottle caps,32,20,2,0,",
        );
        foreach (['findings', 'findings/work', 'findings/sure', 'report'] as $page) {
            $this->get("/challenges/{$challenge->id}/{$page}")->assertOk();
        }
        $heavy = $challenge->groups()->where('name', 'Heavy')->firstOrFail()->newestCar()->id ?? 0;
        self::assertArrayNotHasKey($heavy, ClassFindings::of(ClassRecord::of($challenge))->found->works);
        self::assertGreaterThan(0.9, ClassFindings::of(ClassRecord::of($challenge))->found->forecast->forecasts[$heavy]->noStart);
    }
}
