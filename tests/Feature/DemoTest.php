<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\User;
use App\Presenters\FindingWords;
use App\ViewModels\ClassFindings;
use App\ViewModels\ClassForces;
use App\ViewModels\ClassRecord;
use App\ViewModels\PredictionsReading;
use Illuminate\Support\Facades\Artisan;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Findings\Effect;
use Tests\Scenario;

/** The demo class has something to find, and the README's tour of it tells the truth. */
final class DemoTest extends FeatureTestCase
{
    private Challenge $demo;

    protected function setUp(): void
    {
        parent::setUp();
        putenv('DEMO_PASSWORD=' . Scenario::PASSWORD);
        Artisan::call('skivo:demo');
        $user = User::query()->where('email', 'demo@skivo.example')->sole();
        $this->actingAs($user);
        $this->demo = $user->challenges()->sole();
    }

    public function testItsQuestionHasAnAnswer(): void
    {
        $record = ClassRecord::of($this->demo);
        $findings = ClassFindings::of($record);
        $bore = array_values(array_filter($findings->effects, static fn(Effect $effect): bool => $effect->factor === CarAttribute::NozzleBore))[0];
        self::assertTrue($bore->isClear());
        self::assertSame([3, 3], [$bore->ahead, count($bore->pairs)]);
        self::assertCount(1, array_filter($bore->pairs, static fn($pair): bool => $pair->isRebuilt()), 'one of them is a rebuilt car');
        $words = new FindingWords($record, $findings);
        self::assertSame('Yes.', $words->headline()->lead);
        self::assertStringStartsWith('A wider bore went farther in 3 of 3 fair pairs, by ', $words->headline()->rest);
        self::assertNotNull($findings->next);
        self::assertNotSame([], $findings->confounded, 'and something it can’t tell');
        self::assertSame([], array_filter($findings->cars, static fn($car): bool => $findings->ratioOf((int) $car->id) === null), 'every car that ran is on the figure');
    }

    public function testItsBenchIsMostlyDoneAndTheModelIsSetByIt(): void
    {
        $record = ClassRecord::of($this->demo);
        $forces = new ClassForces($record);
        self::assertSame(7, $record->carsMeasured());
        self::assertNotNull($forces->pump);
        self::assertEqualsWithDelta(250.0, 1e6 * $forces->pump->strokeM3, 60.0, 'a hand pump');
        $calibration = ClassFindings::of($record)->calibration;
        self::assertNotNull($calibration);
        self::assertNotNull($calibration->frictionInterval);
        self::assertNotNull($calibration->dischargeInterval, 'its times tell friction from thrust');
        self::assertTrue($calibration->dischargeInterval->contains(1.0), 'its runs are the model’s own');
        self::assertLessThan($calibration->missBefore, $calibration->missLeftOut);
        self::assertCount(4, ClassFindings::of($record)->marks, 'four cars have two marks');
    }

    public function testItsPredictionsMetTheirRuns(): void
    {
        $predictions = PredictionsReading::of(ClassRecord::of($this->demo));
        self::assertGreaterThan(4, count($predictions->foresights));
        self::assertNotSame([], $predictions->rows);
    }

    public function testEveryPageOfItOpensInEitherSystem(): void
    {
        $group = $this->demo->groups()->where('name', 'Reef')->sole();
        foreach (['metric', 'imperial'] as $units) {
            $this->demo->update(['units' => $units]);
            foreach (['', '/groups', '/check', '/bench', "/groups/{$group->id}/bench", "/groups/{$group->id}/bench?version=1", '/findings', '/findings/model', "/findings/model?car={$group->newestCar()?->id}", '/findings/awards', '/report', '/report/notebooks', '/report/certificates', '/what-if', "/groups/{$group->id}/car/versions"] as $page) {
                $content = (string) $this->get("/challenges/{$this->demo->id}{$page}")->assertOk()->getContent();
                self::assertStringNotContainsString($units === 'imperial' ? "\u{00A0}cm<" : "\u{00A0}in<", $content, $page);
            }
        }
    }
}
