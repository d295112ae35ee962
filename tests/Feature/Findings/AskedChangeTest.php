<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Design;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** The next test becomes the plan of the rest of the session by one tap; a class that changes one thing is led to it by its plan. */
final class AskedChangeTest extends FeatureTestCase
{
    public function testOneTapAsksTheGroupsForTheChangeAndTakesItBack(): void
    {
        $challenge = $this->challenge();
        $at = "/challenges/{$challenge->id}";
        $next = ClassFindings::of(ClassRecord::of($challenge))->found->next;
        self::assertNotNull($next);
        $this->get("{$at}/findings")->assertSee('Run this test next');
        $this->put("{$at}/findings/next")->assertRedirect("{$at}/findings")
            ->assertSessionHas('putBack', url("{$at}/findings/next/drop"));
        $this->get("{$at}/findings")->assertSee('Asked for a change')->assertDontSee('Run this test next');
        $asked = $challenge->groups()->whereNotNull('asked_attribute')->get();
        self::assertCount(count($next->changes), $asked);
        // Its tablet says what, and nothing else; the lane waits for it.
        $group = $asked->firstOrFail();
        $from = $group->newestCar()?->choices->number(CarAttribute::NozzleBore);
        $this->get("{$at}/groups/{$group->id}/at/change")->assertOk()->assertSee('We have changed it')->assertSee('Nozzle bore: from');
        $this->get($at)->assertSee('Then again, once their cars are changed')->assertSee($group->name);
        $this->get("{$at}/groups/" . $challenge->groups()->whereNull('asked_attribute')->firstOrFail()->id . '/at/change')
            ->assertOk()->assertDontSee('We have changed it');
        // One tap more, and the changed car is on record with nothing else changed.
        $this->put("{$at}/groups/{$group->id}/changed")->assertRedirect("{$at}/groups/{$group->id}/at/build");
        $car = $group->refresh()->newestCar();
        self::assertSame(2, $car?->version);
        self::assertNotSame($from, $car->choices->number(CarAttribute::NozzleBore));
        self::assertSame(0.06, $car->choices->number(CarAttribute::Mass));
        $this->get("{$at}/groups/{$group->id}/at/change")->assertOk()->assertDontSee('We have changed it');
        $this->put("{$at}/groups/{$group->id}/changed")->assertSessionHas('status', 'Nobody asks you for a change now.');
        self::assertSame(2, $group->refresh()->newestCar()?->version);
        $this->post("{$at}/findings/next/drop")->assertRedirect();
        self::assertSame(0, $challenge->groups()->whereNotNull('asked_attribute')->count());
    }

    public function testTheNextTestIsSaidToFitInTheSessionOrToBeForTheNextOne(): void
    {
        $challenge = $this->challenge();
        $at = "/challenges/{$challenge->id}/findings";
        // Brought in by a table, all at once: nobody is at the lane.
        $this->get($at)->assertSee('running them again takes about')->assertDontSee('left for runs');
        $last = $challenge->runs()->latest('runs.id')->firstOrFail();
        \DB::table('runs')->where('id', '!=', $last->id)->whereIn('car_id', $challenge->runs()->select('runs.car_id'))
            ->update(['logged_at' => now()->subMinutes(5)]);
        $this->get($at)->assertSee('running them again takes about')->assertSee('are left for runs.')->assertDontSee('for the next one');
        $this->travel(80)->minutes();
        $this->get($at)->assertSee('this session has')->assertSee('so keep the test for the next one.');
        $this->travel(1)->days();
        $this->get($at)->assertSee('running them again takes about')->assertDontSee('left for runs');
    }

    public function testAPlanThatChangesOneThingAsksForItAfterTheTries(): void
    {
        $challenge = $this->challenge([
            'asks' => CarAttribute::WheelDiameter, 'design' => Design::ChangeOneThing, 'is_mass_even' => true,
        ]);
        $challenge->groups()->update(['builds_other' => false]);
        /** @var Group $group */
        $group = $challenge->groups()->firstOrFail();
        $at = "/challenges/{$challenge->id}/groups/{$group->id}";
        $this->get("{$at}/at/change")->assertOk()->assertSee('Kind of wheels: from bottle caps to jar lids.');
        $this->put("{$at}/changed")->assertRedirect();
        $car = $group->refresh()->newestCar();
        self::assertSame('jar lids', $car?->choices->kind(CarAttribute::WheelKind));
        self::assertNull($car->choices->number(CarAttribute::WheelDiameter), 'the size of the caps is not that of the lids');
        self::assertSame(0.06, $car->choices->number(CarAttribute::Mass), 'coins keep it');
        // Before its tries are in, a group is asked nothing.
        $group->cars()->where('version', 2)->delete();
        $group->cars()->firstOrFail()->runs()->orderBy('try')->firstOrFail()->delete();
        $this->get("{$at}/at/change")->assertOk()->assertDontSee('from bottle caps');
    }

    public function testWhoMayOnlyLookPlansNothing(): void
    {
        $challenge = $this->challenge();
        $this->actingAs(Scenario::educator('Stranger'))->put("/challenges/{$challenge->id}/findings/next")->assertNotFound();
        self::assertSame(0, $challenge->groups()->whereNotNull('asked_attribute')->count());
    }

    /** @param array<string, mixed> $rules */
    private function challenge(array $rules = []): Challenge
    {
        $challenge = Scenario::challenge($this->educator, ['tries' => 2] + $rules);
        $csv = "group,nozzle bore (mm),mass (g),wheels,wheel diameter (mm),balloon diameter (cm),try,distance (cm)\n";
        foreach ([300, 241, 268, 342, 262, 309] as $index => $distance) {
            $bore = $index % 2 === 0 ? 6 : 8;
            foreach ([1, 2] as $try) {
                $far = $distance + 8 * $try;
                $csv .= "Group {$index},{$bore},60,bottle caps,30,20,{$try},{$far}\n";
            }
        }
        Scenario::withClass($challenge, $csv);
        $challenge->forceFill(['safety_read_at' => now()])->save();

        return $challenge;
    }
}
