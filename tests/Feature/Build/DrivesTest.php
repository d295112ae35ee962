<?php

declare(strict_types=1);

namespace Tests\Feature\Build;

use App\Models\BenchReading;
use App\Models\Challenge;
use App\Models\Run;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\InflationKind;
use Skivo\Core\Challenge\VoidReason;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Balloon, band and ramp from the bench to the findings. */
final class DrivesTest extends FeatureTestCase
{
    private const SHEET = <<<'CSV'
        group,source of energy,nozzle bore (mm),balloon diameter (cm),bands in the chain,length of one band (cm),width of the band (mm),turns wound,tyres,mass (g),wheels,try,distance (cm),time (s)
        Bowline,balloon,8,20,,,,,,58,bottle caps,1,329,1.3
        Bowline,,,,,,,,,,,2,341,1.28
        Keel,elastic band,,,2,6,1,20,rubber band,57,bottle caps,1,410,1.0
        Keel,,,,,,,,,,,2,395,1.02
        Cleat,balloon,7,20,,,,,,60,bottle caps,1,280,1.5
        Cleat,,,,,,,,,,,2,290,1.48
        CSV;

    public function testABandsBenchGivesItsPullGripAndEnergy(): void
    {
        $challenge = $this->withDrives();
        $keel = $this->named($challenge, 'Keel');
        $bench = "/challenges/{$challenge->id}/groups/{$keel->id}/bench";
        $this->put(
            "{$bench}/load-share",
            ['test' => 'load-share', 'version' => 1, 'r0_0' => '30 g', 'r0_1' => '27 g'],
        )->assertSessionHasNoErrors();
        $this->put("{$bench}/grip", ['test' => 'grip', 'version' => 1, 'r0_0' => '27 g', 'r0_1' => '22 g'])->assertSessionHasNoErrors();
        $this->from($bench)
            ->put("{$bench}/band-pull", ['test' => 'band-pull', 'version' => 1, 'r0_0' => 'many', 'r0_1' => '120 g', 'r0_2' => '95 g'])
            ->assertSessionHasErrors(['r0_0' => '“many” is not a number of turns. Type a number, such as 8 or 8.5.']);
        $this->put(
            "{$bench}/band-pull",
            [
                'test' => 'band-pull', 'version' => 1, 'r0_0' => '6', 'r0_1' => '70 g', 'r0_2' => '55 g', 'r1_0' => '12.5 turns',
                'r1_1' => '120 g', 'r1_2' => '95 g', 'r2_0' => '20', 'r2_1' => '180 g', 'r2_2' => '145 g',
            ],
        )->assertSessionHasNoErrors();
        self::assertSame(
            [[6.0, 0.07, 0.055], [12.5, 0.12, 0.095], [20.0, 0.18, 0.145]],
            BenchReading::query()->where('test', 'band-pull')
                ->orderBy('id')
                ->get()
                ->map(static fn(BenchReading $reading): array => $reading->values())
                ->all(),
        );
        $this->get($bench)
            ->assertOk()
            ->assertSee('times the usual band’s pull')
            ->assertSee('class="drawing band-curve"', false)
            ->assertSee('warms the rubber')
            ->assertSee('First push, at the rims')
            ->assertSee('% of the weight');
        $this->get("/challenges/{$challenge->id}/bench")->assertOk();
    }

    public function testARunSaysByHowManyTurnsAndWhyItIsVoid(): void
    {
        $challenge = $this->withDrives();
        $this->get("/challenges/{$challenge->id}")
            ->assertOk()
            ->assertSee('Band off')
            ->assertSee('Balloon off')
            ->assertSee('wound, by turns')
            ->assertSee('&quot;kind&quot;:&quot;turns&quot;,&quot;size&quot;:&quot;&quot;,&quot;strokes&quot;:&quot;20&quot;', false);
        $this->log($challenge, 'Keel', ['distance' => '412', 'inflation_kind' => 'turns'])->assertSessionHasErrors('inflation_strokes');
        $this->log(
            $challenge,
            'Keel',
            ['distance' => '412', 'inflation_kind' => 'turns', 'inflation_strokes' => '22'],
        )->assertSessionHasNoErrors();
        $run = Run::query()->where('inflation_kind', 'turns')->sole();
        self::assertSame([InflationKind::Turns, 22, 22.0], [$run->inflation_kind, $run->inflation_strokes, $run->toCore()->turns]);
        $this->log($challenge, 'Keel', ['void' => 'wheels spun'])->assertSessionHasNoErrors();
        self::assertSame(VoidReason::WheelsSpun, Run::query()->whereNotNull('void_reason')->sole()->void_reason);
        $this->get("/challenges/{$challenge->id}/sheet/csv")->assertSee('22 turns')->assertSee('wheels spun');
        $copy = Scenario::withClass(
            Scenario::challenge($this->educator, ['tries' => 2]),
            (string) $this->get("/challenges/{$challenge->id}/sheet/csv")->getContent(),
        );
        self::assertSame(
            22,
            Run::query()->whereIn('car_id', $copy->groups()->get()->flatMap(static fn($group) => $group->cars()->pluck('id')))
                ->where('inflation_kind', 'turns')
                ->sole()->inflation_strokes,
        );
        // A class of balloons is not asked about bands.
        $this->get('/challenges/' . $this->class()->id)->assertDontSee('Band off')->assertDontSee('by turns');
        $group = $this->named($challenge, 'Keel');
        $this->put(
            "/challenges/{$challenge->id}/sweep",
            ['sweep_group' => $group->id, 'measured' => 'turns', 'small' => '10', 'medium' => '18', 'full' => '26'],
        )->assertSessionHasNoErrors();
        $this->get("/challenges/{$challenge->id}")->assertSee('sweep 1 of 6: 10 turns');
    }

    public function testSourcesStandSideBySideWhereThereAreSeveral(): void
    {
        $challenge = $this->withDrives();
        $this->get("/challenges/{$challenge->id}/findings/curious")->assertOk()->assertSee('Balloon or band');
        $this->get("/challenges/{$challenge->id}/findings/sources")->assertOk()
            ->assertSeeInOrder(
                [
                    'Balloon', '2 groups', 'Wound elastic band', '1 group', 'Distance', 'Energy put in', 'Of that, what moved the car',
                    'Distance for each joule', 'Energy for each stretch of way',
                ],
            )->assertSee('J/m')->assertDontSee('not known');
        $this->get("/challenges/{$challenge->id}/findings/work")->assertSee('push, while balloon or band lasted')->assertSee('20 turns');
        $keel = $this->named($challenge, 'Keel')->newestCar();
        $this->get("/challenges/{$challenge->id}/findings/sure?car={$keel?->id}")
            ->assertSee('of what was wound up')
            ->assertSee('warmth in the rubber');
        $this->get("/challenges/{$challenge->id}/findings/beliefs")
            ->assertSee('A wound band carries a car farther than a balloon')
            ->assertSee('The more turns, the farther');
        $plain = $this->class();
        $this->get("/challenges/{$plain->id}/findings/curious")->assertSee('All choices')->assertDontSee('Balloon or band');
        $this->get("/challenges/{$plain->id}/findings/sources")
            ->assertOk()
            ->assertSee('All cars here are driven by the same source of energy.');
        $this->get("/challenges/{$plain->id}/findings/beliefs")->assertDontSee('The more turns');
    }

    public function testWhyAGroupsCarStoppedSpeaksOfItsOwnDrive(): void
    {
        $challenge = $this->withDrives();
        foreach (
            [
                'Keel' => ['The wheels push the floor back', 'in the band'], 'Bowline' => ['The air is pushed back', 'push still to come'],
            ] as $name => $words
        ) {
            $page = $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, $name)->id}/at/why")->assertOk();
            foreach ($words as $said) {
                $page->assertSee($said);
            }
        }
    }

    public function testADesignWithABandIsRunInDryRun(): void
    {
        $challenge = $this->withDrives();
        $keel = $this->named($challenge, 'Keel')->newestCar();
        $page = (string) $this->get("/challenges/{$challenge->id}/dry-run?car={$keel?->id}")
            ->assertOk()
            ->assertSee('Driven by')
            ->assertSee('"energy_source":1', false)
            ->getContent();
        self::assertSame(1, preg_match('~"sources":(\[.*?\]),"tape"~s', $page, $found));
        $band = json_decode($found[1], true, 16, JSON_THROW_ON_ERROR)[1];
        $run = $this->getJson("{$band['run']}&d=energy_source:1,turns_wound:20,band_width:0.001,grip:0.8")->assertOk();
        self::assertStringContainsString('Energy wound up', $run->json('energySaid.0'));
        self::assertSame([null, null, ''], [$run->json('shown.jet'), $run->json('shown.pressure'), $run->json('clearance')]);
        self::assertStringContainsString('class="elastic"', $run->json('side'));
        $spins = $this->getJson("{$band['run']}&d=energy_source:1,turns_wound:30,grip:0.3")->assertOk()->json('said');
        self::assertStringContainsString('Its driven wheels spin.', json_encode($spins, JSON_THROW_ON_ERROR));
        $this->getJson("{$band['run']}&d=energy_source:1,turns_wound:400")->assertStatus(422);
        $sweep = $this->getJson("{$band['sweep']}&d=energy_source:1,turns_wound:12&x=nozzle_bore&y=")->assertOk();
        self::assertStringContainsString('turns', $sweep->json('xLabel'), 'what it does not have is not swept');
        $ramp = json_decode($found[1], true, 16, JSON_THROW_ON_ERROR)[2];
        self::assertStringContainsString(
            'Energy lifted',
            $this->getJson("{$ramp['run']}&d=energy_source:2,ramp_height:0.2")->assertOk()->json('energySaid.0'),
        );
    }

    public function testHowLargeItCouldBeIsWorkedOutOnPaper(): void
    {
        $challenge = $this->class();
        $page = "/challenges/{$challenge->id}/plan/larger";
        $this->get($page)
            ->assertOk()
            ->assertSee('It would not start.')
            ->assertSee("40\u{00A0}kg on it")
            ->assertSee('no compressed-gas cylinders')
            ->assertSee('Nobody rides on a car');
        $this->get("{$page}?scale=1&rider=0+kg&pump=10")->assertOk()->assertSee('On paper it would just start.');
        $this->get("{$page}?scale=20&rider=75+kg")->assertOk()->assertSee('20 times as large');
        $this->get("{$page}?scale=400")
            ->assertRedirect($page)
            ->assertSessionHasErrors(['scale' => 'How many times as large: a number from 1 to 40.']);
        $this->get("{$page}?rider=heavy")->assertRedirect($page)->assertSessionHasErrors('rider');
        $this->get("{$page}?rider=500+kg")->assertSessionHasErrors(['rider' => 'Somebody on it: up to 120 kg.']);
    }

    /** What was checked and noted of a balloon goes into its forecast: a leak, a pinched tube. */
    public function testALeakShortensTheForecast(): void
    {
        $challenge = $this->withDrives();
        $bowline = $this->named($challenge, 'Bowline');
        $model = fn(): float => ClassFindings::of(
            ClassRecord::of($challenge->refresh()),
        )->found->forecast->models[(int) $bowline->newestCar()?->id]->settings->get(CarAttribute::Leak);
        self::assertSame(0.0, $model());
        $this->put("/challenges/{$challenge->id}/groups/{$bowline->id}/check", ['airtight_first' => '8 mm'])->assertSessionHasNoErrors();
        // All of a test is one transaction, and a class's number counts those.
        Cache::flush();
        self::assertGreaterThan(1e-7, $model());
    }

    private function withDrives(): Challenge
    {
        return Scenario::withClass(
            Scenario::challenge($this->educator, ['tries' => 2, 'timed_length' => Scenario::entry('1 m')]),
            self::SHEET,
        );
    }
}
