<?php

declare(strict_types=1);

namespace Tests\Feature\Check;

use App\Actions\CarToRun;
use App\Models\Challenge;
use App\Models\Group;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Check\CheckItem;
use Skivo\Core\Car\Check\CheckVerdict;
use Skivo\Core\Diagnosis\Symptom;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class CheckTest extends FeatureTestCase
{
    public function testACardIsKeptAsTypedAndJudged(): void
    {
        [$challenge, $group, $path] = $this->group();
        CarToRun::of($group);
        $this->put("{$path}/car", ['track' => '80 mm', 'wheelbase' => '10 cm', 'mass' => '60'])->assertSessionHasNoErrors();
        $this->put(
            "{$path}/check",
            [
                'spin_first' => '0.4', 'end_play_first' => '1/16 in', 'parallel_first' => '98.8', 'parallel_second' => '100',
                'points_answer' => '1', 'nozzle_note' => 'a little bent', 'drift_first' => '', 'wobble_first' => '0',
            ],
        )->assertSessionHasNoErrors();
        $card = $group->refresh()->newestCar()?->checkCard($challenge->checkTolerances());

        self::assertSame('1/16 in', $card?->reading(CheckItem::EndPlay)?->first?->text);
        self::assertSame([
            CheckVerdict::Fix, CheckVerdict::Pass, CheckVerdict::Note, CheckVerdict::Pass, CheckVerdict::Note, CheckVerdict::Pass, null,
        ], array_map(
            static fn(CheckItem $item): ?CheckVerdict => $card->verdict($item),
            [
                CheckItem::Spin, CheckItem::EndPlay, CheckItem::Parallel, CheckItem::PointsOff, CheckItem::NozzleStraight,
                CheckItem::Wobble, CheckItem::Drift,
            ],
        ));
        $this->get("{$path}/check")->assertSee('Needs fixing:')->assertSee('wheels turn freely')->assertSee('0.86°');
        $this->get("/challenges/{$challenge->id}/check")
            ->assertSee('Needs fixing: wheels turn freely');
        $this->get("/challenges/{$challenge->id}")->assertSee('needs fixing');
        // What is emptied is gone; what was right stays.
        $this->put("{$path}/check", ['spin_first' => '', 'end_play_first' => '1/16 in'])->assertSessionHasNoErrors();
        self::assertSame(1, $group->newestCar()->checkReadings()->count());
    }

    public function testWrongReadingsAreNamed(): void
    {
        [, $group, $path] = $this->group();
        $this->put(
            "{$path}/check",
            [
                'spin_first' => '3 cm', 'end_play_first' => '30', 'parallel_first' => '99', 'drift_first' => '10', 'drift_second' => '0',
                'wobble_first' => '2 m', 'points_answer' => 'perhaps', 'nozzle_note' => str_repeat('x', 1001),
            ],
        )
            ->assertSessionHasErrors(['spin_first', 'parallel_second', 'drift_second', 'wobble_first', 'points_answer', 'nozzle_note']);
        self::assertFalse(session('errors')->has('end_play_first'));
        self::assertSame(0, $group->cars()->count(), 'nothing is half-saved');
    }

    public function testANewVersionIsCheckedAnew(): void
    {
        $challenge = $this->class();
        $group = $challenge->groups()->where('name', 'Halyard')->firstOrFail();
        $path = "/challenges/{$challenge->id}/groups/{$group->id}";
        $this->put("{$path}/check", ['points_answer' => '0']);
        $this->put(
            "{$path}/car",
            ['nozzle_bore' => '11', 'mass' => '52 g', 'wheel_kind' => 'jar lids', 'save_as' => 'version'],
        )->assertSessionHasNoErrors();

        self::assertSame(0, $group->newestCar()?->checkReadings()->count());
        self::assertSame(1, $group->cars()->where('version', 1)->firstOrFail()->checkReadings()->count());
    }

    public function testAChallengeSetsItsOwnLimits(): void
    {
        [$challenge, $group, $path] = $this->group();
        $this->put("{$path}/check", ['wobble_first' => '2', 'drift_first' => '20', 'drift_second' => '200'])->assertSessionHasNoErrors();
        $limits = "/challenges/{$challenge->id}/check/tolerances";
        $this->get($limits)->assertOk()->assertSee('Fix above');
        $this->put(
            $limits,
            [
                'wobble_goodTo' => '0.5', 'wobble_fixAbove' => '1 mm', 'drift_goodTo' => '20', 'drift_fixAbove' => '30',
                'spin_goodFrom' => '',
            ],
        )->assertSessionHasNoErrors();

        self::assertEqualsCanonicalizing(['wobble', 'drift'], array_keys($challenge->refresh()->tolerances));
        $card = $group->newestCar()?->checkCard($challenge->checkTolerances());
        self::assertSame([CheckVerdict::Fix, CheckVerdict::Pass], [$card?->verdict(CheckItem::Wobble), $card?->verdict(CheckItem::Drift)]);
        $this->get("{$path}/check")
            ->assertSee("Good up to 0.5\u{00A0}mm; fix it above 1\u{00A0}mm.")
            ->assertSee("Good up to 20\u{00A0}cm/m");
        $this->put(
            $limits,
            ['wobble_goodTo' => '3', 'wobble_fixAbove' => '1 mm', 'parallel_goodTo' => 'wide'],
        )->assertSessionHasErrors('parallel_goodTo');
        $this->put($limits, ['wobble_goodTo' => '3', 'wobble_fixAbove' => '1 mm'])->assertSessionHasErrors('wobble_goodTo');
        $this->put($limits, [])->assertSessionHasNoErrors();
        self::assertSame([], $challenge->refresh()->tolerances);
    }

    public function testADriftThatARunShowedIsDiagnosed(): void
    {
        [$challenge, $group, $path] = $this->group();
        $this->put("{$path}/car", ['track' => '8 cm', 'wheelbase' => '10 cm'])->assertSessionHasNoErrors();
        $this->get("{$path}/diagnosis")->assertOk()->assertSee('point to nothing yet');
        $this->log($challenge, $group->name, ['distance' => '200', 'drift' => '30', 'drift_side' => 'left'])->assertSessionHasNoErrors();
        $this->get("{$path}/diagnosis")
            ->assertSee("Drifts 30\u{00A0}cm left over 2\u{00A0}m")
            ->assertSee("move the right end of the front axle back by 1.2\u{00A0}mm");
        $this->get("{$path}/diagnosis?seen=veers&drift=12+in&side=right&over=5+ft")->assertSee('move the left end');
    }

    /** @return iterable<string, array{Symptom}> */
    public static function symptoms(): iterable
    {
        foreach (Symptom::cases() as $symptom) {
            yield $symptom->value => [$symptom];
        }
    }

    #[DataProvider('symptoms')]
    public function testEverySymptomHasItsPage(Symptom $symptom): void
    {
        [, , $path] = $this->group();
        $this->get("{$path}/diagnosis?seen={$symptom->value}")->assertOk()->assertSee('Tell it by')->assertSee('Cure');
    }

    public function testAnOddQuestionLeadsBack(): void
    {
        [, , $path] = $this->group();
        $this->get("{$path}/diagnosis?seen=nonsense")->assertRedirect("{$path}/diagnosis");
        $this->get("{$path}/diagnosis?seen=veers&drift=far&over=2")->assertSessionHasErrors('drift');
        $this->get("{$path}/diagnosis?seen=veers&drift=30")->assertSessionHasErrors('over');
    }

    public function testProgressSaysWhoIsStuckWhere(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore,mass,wheels,balloon diameter,chassis,axle diameter,try,distance\nReady,6,60,caps,20,card,3,,\nFull,6,60,caps,20,card,3,1,300\nFull,,,,,,,2,310\nFull,,,,,,,3,320\nBegun,6,,,,,,,\nNone,,,,,,,,\n",
        );
        $ready = $challenge->groups()->where('name', 'Ready')->firstOrFail();
        $all = [];
        foreach (CheckItem::cases() as $item) {
            $key = str_replace('-', '_', $item->value);
            $all += $item->isQuestion()
                ? ["{$key}_answer" => '1']
                : ["{$key}_first" => ['spin' => '5', 'end-play' => '1.5', 'parallel' => '100'][$item->value] ?? '0'];
        }
        $this->put(
            "/challenges/{$challenge->id}/groups/{$ready->id}/car",
            ['track' => '80 mm', 'nozzle_bore' => '6', 'mass' => '60', 'wheel_kind' => 'caps', 'balloon_size' => '20', 'chassis' => 'card'],
        )->assertSessionHasNoErrors();
        $this->put(
            "/challenges/{$challenge->id}/groups/{$ready->id}/check",
            $all + ['parallel_second' => '100', 'drift_second' => '200'],
        )->assertSessionHasNoErrors();

        $this->get("/challenges/{$challenge->id}/check")->assertSeeInOrder(
            [
                'Ready', 'Ready to run', 'Full', '0 of 9 looks done', 'Begun',
                'Not recorded: chassis, axles and 3 more', 'None', 'Record the car',
            ],
        );
        $this->get("/challenges/{$challenge->id}/groups/{$ready->id}/check")->assertSee('ready to run');
    }

    /** @return array{Challenge, Group, string} */
    private function group(): array
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel'])->assertSessionHasNoErrors();
        $group = $challenge->groups()->sole();

        return [$challenge, $group, "/challenges/{$challenge->id}/groups/{$group->id}"];
    }
}
