<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Device;
use App\Models\GroupPlace;
use App\Record\ClassRecord;
use App\Record\NextStep;
use App\Record\NextThing;
use Skivo\Core\Notebook\Station;
use Skivo\Core\People\DeviceRole;
use Tests\Scenario;

/** On every page of a class stands the one thing that it waits for, from its first sheet to its report. */
final class NextThingTest extends FeatureTestCase
{
    public function testItFollowsTheClassFromItsFirstSheetToItsReport(): void
    {
        $challenge = Scenario::challenge($this->educator, ['tries' => 1, 'safety_read_at' => null]);
        $at = "/challenges/{$challenge->id}";
        $says = function (string $said, NextStep $step) use ($challenge, $at): void {
            self::assertSame($step, NextThing::of(ClassRecord::of($challenge->refresh()))->step);
            foreach (['/plan', '', '/findings'] as $page) {
                $this->get("{$at}{$page}")->assertOk()->assertSee($said);
            }
        };
        $says('Next: read the safety sheet once.', NextStep::ReadSafety);
        $challenge->forceFill(['safety_read_at' => now()])->save();
        $says('Next: add the groups.', NextStep::AddGroups);
        $this->post("{$at}/groups", ['names' => "Keel\nReef"])->assertSessionHasNoErrors();
        $says('2 cars are not recorded yet.', NextStep::RecordCars);
        [$keel, $reef] = $challenge->groups()->get()->all();
        $this->put("{$at}/groups/{$keel->id}/car", ['nozzle_bore' => '6'])->assertSessionHasNoErrors();
        $says('One car is not recorded yet.', NextStep::RecordCars);
        $this->put("{$at}/groups/{$reef->id}/car", ['nozzle_bore' => '8'])->assertSessionHasNoErrors();
        $says('Next: look at the cars before they run.', NextStep::CheckCars);
        // Looking is no duty: who goes to the lane is asked for tries.
        $this->log($challenge, 'Keel', ['distance' => '300'])->assertSessionHasNoErrors();
        $says('One try of 2 is still to run.', NextStep::RunTries);
        // A car that calls for more care than the sheet had is read about first.
        $this->put("{$at}/plan/safety")->assertRedirect();
        $challenge->refresh()->update(['safety_read' => array_values(array_diff($challenge->safety_read, ['knives']))]);
        $this->put("{$at}/groups/{$keel->id}/car", ['nozzle_bore' => '6', 'chassis' => 'foam board'])->assertSessionHasNoErrors();
        $says('Something is new on the safety sheet: read it.', NextStep::ReadNewCautions);
        $this->get("{$at}/plan/safety")->assertOk()->assertSee('Craft knife, saw and drill');
        $this->put("{$at}/plan/safety")->assertRedirect();
        $says('One try of 2 is still to run.', NextStep::RunTries);
        // Whoever waits for an adult comes first.
        GroupPlace::query()->updateOrCreate(
            ['group_id' => $reef->id],
            ['station' => Station::Run, 'since' => now(), 'wants_adult_at' => now()],
        );
        $says('Reef waits for you.', NextStep::HelpGroup);
        Device::query()->forceCreate([
            'challenge_id' => $challenge->id, 'group_id' => $keel->id, 'name' => 'Tablet', 'role' => DeviceRole::Group,
            'token_hash' => hash('sha256', 'x'), 'is_waiting' => true,
        ]);
        $says('A tablet asks to join as Keel.', NextStep::AllowTablet);
        Device::query()->delete();
        GroupPlace::query()->delete();
        $this->log($challenge, 'Reef', ['distance' => '320'])->assertSessionHasNoErrors();
        $says('All 2 tries are in: see the answer.', NextStep::SeeAnswer);
        $this->put("{$at}/findings/tell", ['tell' => '1'])->assertRedirect();
        $says('The class has its answer: print the report.', NextStep::PrintReport);
        $this->get("{$at}/report")->assertSee('<bdi>The class has its answer: print the report.</bdi></p>', false);
    }

    /** A class that ran before it recorded anything, and never recorded one of its cars. */
    public function testACarThatIsNeverRecordedKeepsNoClassFromItsAnswer(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['tries' => 1]),
            "group,nozzle bore,try,distance\nKeel,,1,300\nReef,,1,320\nCleat,,,\n",
        );
        $step = static fn(): NextStep => NextThing::of(ClassRecord::of($challenge->refresh()))->step;
        self::assertSame(NextStep::RecordCars, $step());
        $this->log($challenge, 'Cleat', ['distance' => '280'])->assertSessionHasNoErrors();
        self::assertSame(NextStep::RecordCars, $step(), 'nothing is known of any car');
        $keel = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}/car",
            ['nozzle_bore' => '6', 'save_as' => 'correction'],
        )->assertSessionHasNoErrors();
        self::assertSame(NextStep::SeeAnswer, $step());
    }

    public function testWhoOnlyLooksOnIsAskedForNothing(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $observer = Scenario::educator('Observer');
        $challenge->members()->create(['user_id' => $observer->id, 'role' => 'observer']);
        $this->actingAs($observer)->get("/challenges/{$challenge->id}/findings")->assertOk()->assertDontSee('class-next', false);
    }
}
