<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\ViewModels\ClassFindings;
use App\ViewModels\ClassRecord;
use App\ViewModels\Counting;
use App\ViewModels\FloorState;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Tests\Scenario;

/** The findings beside the model. */
final class ModelPageTest extends FeatureTestCase
{
    /** Cars that start by the model, with times. */
    private const SHEET = <<<'CSV'
        group,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),try,distance (cm),time (s)
        A,6,36,bottle caps,32,1,310,1.9
        A,6,36,bottle caps,32,2,322,1.95
        B,7,40,bottle caps,32,1,355,1.6
        B,7,40,bottle caps,32,2,340,1.65
        C,8,44,bottle caps,32,1,402,1.35
        C,8,44,bottle caps,32,2,395,1.4
        D,9,48,bottle caps,32,1,420,1.2
        D,9,48,bottle caps,32,2,436,1.15
        E,7,52,bottle caps,32,1,240,1.85
        E,7,52,bottle caps,32,2,251,1.8
        CSV;

    public function testTheEnergyOfAnyCarIsShownAndAddsUp(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $findings = ClassFindings::of(ClassRecord::of($challenge));
        self::assertCount(5, $findings->energies);
        foreach ($findings->energies as $energy) {
            self::assertEqualsWithDelta($energy->thrustWork, $energy->rolling + $energy->drag + $energy->carriedOff, 1e-3 * $energy->stored);
            self::assertGreaterThan(0.0, $energy->thrustWork);
            self::assertLessThan($energy->stored, $energy->thrustWork);
        }
        $car = $challenge->groups()->where('name', 'C')->firstOrFail()->newestCar();
        $share = number_format(100 * $findings->energies[$car->id ?? 0]->thrustWork / $findings->energies[$car->id ?? 0]->stored, 1);
        $this->get("/challenges/{$challenge->id}/findings/model?car={$car?->id}")->assertOk()->assertSee("C moved on {$share} % of what its balloon held.")->assertSee('Over the class it is');
        $this->get("/challenges/{$challenge->id}/findings/model?car=999999")->assertOk()->assertSee('moved on');
        $this->get("/challenges/{$challenge->id}/findings/model?car[]=x")->assertOk();
    }

    public function testTheModelIsSetToTheClassAndToldHonestly(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['timed_length' => (new QuantityReader())->read('1 m', Unit::Metre)]), self::SHEET);
        $calibration = ClassFindings::of(ClassRecord::of($challenge))->calibration;
        self::assertNotNull($calibration);
        self::assertNotNull($calibration->frictionInterval);
        self::assertTrue($calibration->frictionInterval->contains($calibration->friction));
        self::assertGreaterThanOrEqual($calibration->missAfter, $calibration->missLeftOut);
        $page = $this->get("/challenges/{$challenge->id}/findings/model")->assertOk();
        $page->assertSee('Friction here is')->assertSee('for a car that it was not set by.')->assertSee('predicted without it')->assertSee('estimated');
        foreach ($challenge->groups()->get() as $group) {
            $this->put("/challenges/{$challenge->id}/groups/{$group->id}/bench/tilt", ['r0_0' => '6 cm', 'r0_1' => '1 m']);
        }
        $this->settle();
        $measured = ClassFindings::of(ClassRecord::of($challenge->fresh() ?? $challenge))->calibration;
        self::assertNull($measured?->frictionInterval, 'where all was measured, there is no factor to fit');
        $this->get("/challenges/{$challenge->id}/findings/model")->assertDontSee('Friction here is')->assertSee('measured');
    }

    public function testWithoutTimesItSaysWhatWouldTell(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), (string) preg_replace('/,[\d.]+$/m', ',', self::SHEET));
        $this->get("/challenges/{$challenge->id}/findings/model")->assertOk()->assertSee('Thrust is left as it is.')->assertSee('Times over a set length, or a push on the scale, would tell.');
    }

    public function testTheChosenTriesAreKeptFromPageToPage(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $this->get("/challenges/{$challenge->id}/findings?tries=void")->assertSee('findings/model?tries=void', false)->assertSee('findings/csv/class?tries=void', false);
        $this->get("/challenges/{$challenge->id}/findings/model?tries=outliers")->assertOk()->assertSee('findings?tries=outliers', false);
        foreach (Counting::cases() as $counting) {
            self::assertSame($counting, ClassFindings::of(ClassRecord::of($challenge), $counting)->counting, 'each is kept by itself');
        }
    }

    public function testCarsThatTheModelCannotMoveAreSaidToBeLeftOut(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET . "\nHeavy,3,400,bottle caps,32,1,50,\nHeavy,3,400,bottle caps,32,2,55,");
        $this->get("/challenges/{$challenge->id}/findings")->assertOk()->assertSee('Not drawn: Heavy. By the model it would not start at all');
        $this->get("/challenges/{$challenge->id}/findings/model")->assertOk();
        $this->get("/challenges/{$challenge->id}/report")->assertOk();
    }

    public function testTheStageLineFollowsTheBench(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        self::assertSame('0/5', FloorState::of($challenge, 'http://localhost')['stages']['bench']);
        $this->put("/challenges/{$challenge->id}/groups/{$challenge->groups()->value('id')}/bench/tilt", ['r0_0' => '6 cm', 'r0_1' => '1 m']);
        $this->settle();
        self::assertSame('1/5', FloorState::of($challenge->fresh() ?? $challenge, 'http://localhost')['stages']['bench']);
    }
}
