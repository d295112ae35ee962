<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Group;
use App\Pages\Plan\TimetableRequest;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Challenge\Age;
use Skivo\Core\Challenge\Goal;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A class is set on one screen, its cars in one table, and the next class is set like it. */
final class QuickStartTest extends FeatureTestCase
{
    public function testOneScreenSetsAClassThatIsReadyForTheLane(): void
    {
        $this->get('/challenges/new')
            ->assertOk()
            ->assertSeeInOrder(
                [
                    'What will they find out?', 'Free design', 'a wider bore', 'going farther', 'Groups', 'Lane length', 'Day and time',
                    'Minutes', '7 to 9 years', '10 to 14 years', 'Farthest', 'Safety', 'More rules', 'Tries per group', 'Set the challenge',
                ],
            );
        $this->post(
            '/challenges',
            [
                'asks' => 'nozzle_bore', 'groups' => '9', 'lane_length' => '6', 'starts_at' => '2026-12-01T09:30', 'session_min' => '90',
                'age' => '7-9', 'safety' => '1',
            ],
        )->assertSessionHasNoErrors();
        $challenge = $this->educator->challenges()->sole();
        $this->followRedirects($this->get("/challenges/{$challenge->id}/groups"))->assertSee('Group 9');
        self::assertSame('Balloon cars, 1 December 2026', $challenge->name, 'the day on which the class meets, whenever it was typed');
        self::assertSame(
            [Goal::Farthest, 3, '6 m', Age::SevenToNine],
            [$challenge->goal, $challenge->tries, $challenge->lane_length->text, $challenge->age],
        );
        self::assertSame([CarAttribute::NozzleBore, Outcome::Distance], [$challenge->asks, $challenge->asks_outcome]);
        self::assertSame(array_map(static fn(int $n): string => "Group {$n}", range(1, 9)), $challenge->groups()->pluck('name')->all());
        self::assertCount(9, array_unique($challenge->groups()->pluck('mark')->all()));
        self::assertNotNull($challenge->safety_read_at);
        self::assertSame(
            ['2026-12-01 09:30', 90, 9],
            [
                $challenge->sessionPlan()->starts_at?->format('Y-m-d H:i'), $challenge->sessionPlan()->session_min,
                $challenge->sessionPlan()->groups,
            ],
        );
        $this->log($challenge, 'Group 1', ['distance' => '212'])->assertSessionHasNoErrors();
        // The next one starts from what this class was like.
        $this->get('/challenges/new')->assertSee('value="7-9" checked', false);
    }

    public function testEveryPaperBearsTheDayOnWhichTheClassMeets(): void
    {
        $this->post(
            '/challenges',
            ['groups' => '3', 'lane_length' => '6 m', 'safety' => '1', 'starts_at' => '2027-03-09T09:30'],
        )->assertSessionHasNoErrors();
        $challenge = $this->educator->challenges()->sole();
        $this->log($challenge, 'Group 1', ['distance' => '212'])->assertSessionHasNoErrors();
        $this->log($challenge, 'Group 2', ['distance' => '190'])->assertSessionHasNoErrors();
        $bears = function (string $day) use ($challenge): void {
            foreach (['', '/plan', '/report', '/report/certificates', '/plan/brief/class'] as $page) {
                $this->get("/challenges/{$challenge->id}{$page}")->assertOk()->assertSee($day)->assertDontSee(now()->format('j F Y'));
            }
        };
        $bears('9 March 2027');
        // Put off by a week, and so is its name; one that was given by hand stays.
        $plan = [
            'groups' => 3, 'lanes' => 1, 'tries' => 3, 'session_min' => 90, 'heat_min' => 2, 'tries_again' => 1,
        ] + array_fill_keys(array_map(static fn($phase): string => "phase_{$phase->value}", TimetableRequest::phases()), '5');
        $this->put("/challenges/{$challenge->id}/plan/timetable", $plan + ['starts_at' => '2027-03-16T09:30'])->assertSessionHasNoErrors();
        $bears('16 March 2027');
        $challenge->refresh()->update(['name' => 'Across the hall']);
        $this->put("/challenges/{$challenge->id}/plan/timetable", $plan + ['starts_at' => '2027-03-23T09:30'])->assertSessionHasNoErrors();
        self::assertSame('Across the hall', $challenge->refresh()->name);
        $this->get("/challenges/{$challenge->id}/report")->assertSee('23 March 2027');
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertSee('Date: 23 March 2027');
    }

    public function testWhatIsWrongKeepsEverythingThatWasTyped(): void
    {
        $this->from('/challenges/new')->post(
            '/challenges',
            [
                'asks' => 'mass', 'asks_outcome' => 'time', 'groups' => '99', 'lane_length' => '', 'session_min' => '5', 'age' => '3',
                'starts_at' => 'soon', 'safety' => '1',
            ],
        )
            ->assertSessionHasErrors(['groups', 'lane_length', 'session_min', 'age', 'starts_at', 'timed_length']);
        self::assertSame(0, $this->educator->challenges()->count());
        $this->get('/challenges/new')
            ->assertSee('value="99"', false)
            ->assertSee('value="mass" checked', false)
            ->assertSee('value="time"', false);
    }

    public function testWithoutTheCautionsReadBuildingWaits(): void
    {
        $this->post('/challenges', ['groups' => '3', 'lane_length' => '6 m', 'safety' => '0']);
        $challenge = $this->educator->challenges()->sole();
        $this->get("/challenges/{$challenge->id}/cars")->assertRedirect("/challenges/{$challenge->id}/plan/safety");
        // Where the class comes on a sheet, the sheet brings its groups.
        $this->post('/challenges', ['then' => 'sheet', 'groups' => '8', 'lane_length' => '6 m', 'safety' => '1']);
        self::assertSame(0, $this->educator->challenges()->latest('id')->firstOrFail()->groups()->count());
    }

    public function testAllCarsAreRecordedInOneTable(): void
    {
        $challenge = $this->ready();
        [$one, $two] = $challenge->groups()->get()->all();
        $page = "/challenges/{$challenge->id}/cars";
        $this->get($page)
            ->assertOk()
            ->assertSeeInOrder(['All cars at once', 'Group', 'Wheel diameter', 'Filled balloon size', 'Nozzle bore', 'Mass', 'Group 1'])
            ->assertDontSee("wheelbase_{$one->id}", false);
        $this->get("{$page}?more_wheelbase=1")->assertSee("wheelbase_{$one->id}", false);

        $typed = [
            'columns' => 'nozzle_bore,mass', "name_{$one->id}" => 'Pistons', "name_{$two->id}" => 'Group 1',
            "nozzle_bore_{$one->id}" => '1/4 in', "mass_{$one->id}" => '58', "mass_{$two->id}" => '61',
        ];
        $this->put($page, $typed)->assertSessionHasNoErrors()->assertSessionHas('status', '2 cars are recorded.');
        $car = $one->refresh()->newestCar()?->choices;
        self::assertSame(
            ['Pistons', '1/4 in', 0.058],
            [$one->name, $car?->quantities['nozzle_bore']->text, $car?->number(CarAttribute::Mass)],
        );
        self::assertSame('Group 1', $two->refresh()->name, 'a name that another group had a moment ago');
        $this->put($page, $typed)->assertSessionHas('status', 'Nothing was changed on any car.');

        // What the table does not show stays; a cell that is emptied is not known any more.
        $this->put(
            "/challenges/{$challenge->id}/groups/{$one->id}/car",
            [
                'nozzle_bore' => '1/4 in', 'mass' => '58', 'chassis' => 'card', 'balloon_size' => '60',
                'balloon_measured_as' => 'circumference',
            ],
        );
        $this->put($page, ["mass_{$one->id}" => ''] + $typed)->assertSessionHas('status', 'One car is recorded.');
        $car = $one->refresh()->newestCar()?->choices;
        self::assertSame(['card', null], [$car?->kind(CarAttribute::Chassis), $car?->number(CarAttribute::Mass)]);
        self::assertEqualsWithDelta(0.191, (float) $car?->balloonDiameterM(), 0.001);

        // A car that ran becomes a new version where it is changed, and only there.
        $this->log($challenge, 'Pistons', ['distance' => '212']);
        $this->put($page, ["nozzle_bore_{$one->id}" => '7', 'save_as' => 'version'] + $typed);
        self::assertSame([2, 1], [$one->refresh()->cars()->count(), $two->refresh()->cars()->count()]);
    }

    public function testEachCellHasItsProblemAndNothingIsHalfSaved(): void
    {
        $challenge = $this->ready();
        [$one, $two] = $challenge->groups()->get()->all();
        $page = "/challenges/{$challenge->id}/cars";
        $typed = [
            'columns' => 'nozzle_bore,mass,nozzle_outlets', "name_{$one->id}" => 'Same', "name_{$two->id}" => 'same',
            "mass_{$one->id}" => '58', "mass_{$two->id}" => 'heavy', "nozzle_outlets_{$one->id}" => '1.5',
        ];
        $this->from($page)->put($page, $typed)->assertSessionHasErrors(["mass_{$two->id}", "name_{$two->id}", "nozzle_outlets_{$one->id}"]);
        self::assertNull($one->refresh()->newestCar());
        $this->get($page)
            ->assertSee('value="heavy"', false)
            ->assertSee("id=\"e-mass_{$two->id}\"", false)
            ->assertSee("nozzle_outlets_{$one->id}", false);
        // 85 is asked about once, and taken when it is sent again.
        $typed = ['columns' => 'mass', "name_{$one->id}" => 'A', "name_{$two->id}" => 'B', "mass_{$one->id}" => '2 kg'];
        $this->put($page, $typed)->assertSessionHasErrors("mass_{$one->id}");
        $this->put($page, $typed + ['confirmed' => session('asked')])->assertSessionHasNoErrors();
        // Somebody else was quicker: nobody's car is overwritten unseen, and no other row is saved.
        $stale = ["edition_{$one->id}" => '0', "mass_{$one->id}" => '59', "mass_{$two->id}" => '60'] + $typed;
        $this->put($page, $stale)->assertSessionHasErrors("name_{$one->id}");
        self::assertNull($two->refresh()->newestCar());
    }

    public function testARowIsDrawnWhileItIsFilledIn(): void
    {
        $challenge = $this->ready();
        $group = $challenge->groups()->firstOrFail();
        $this->get("/challenges/{$challenge->id}/cars/{$group->id}/drawing?balloon_size=20&wheel_diameter=1&nozzle_bore=nonsense")
            ->assertOk()
            ->assertSee('class="balloon"', false);
        self::assertNull($group->newestCar());
    }

    public function testNamesOfChildrenAreAskedAboutWhereverAGroupIsNamed(): void
    {
        $challenge = $this->ready();
        $group = $challenge->groups()->firstOrFail();
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Anna and Tom\nPistons"])->assertSessionHasErrors('names');
        self::assertSame(2, $challenge->groups()->count());
        $this->get("/challenges/{$challenge->id}/groups")->assertSee('Anna and Tom');
        $this->put("/challenges/{$challenge->id}/groups/{$group->id}/name", ['name' => 'Lena Schmidt'])->assertSessionHasErrors('name');
        $this->put(
            "/challenges/{$challenge->id}/cars",
            [
                'columns' => 'mass', "name_{$group->id}" => 'Lena Schmidt',
                'name_' . $challenge->groups()->reorder('id', 'desc')->value('id') => 'Group 2',
            ],
        )
            ->assertSessionHasErrors("name_{$group->id}");
        // It may be a name of a group all the same.
        $this->put("/challenges/{$challenge->id}/groups/{$group->id}/name", ['name' => 'Lena Schmidt', 'confirmed' => session('asked')]);
        $this->put("/challenges/{$challenge->id}/groups/{$group->id}/name", ['name' => 'Victoria Falls'])->assertSessionHasErrors('name');
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/name",
            ['name' => 'Victoria Falls', 'confirmed' => session('asked')],
        )->assertSessionHasNoErrors();
        self::assertSame('Victoria Falls', $group->refresh()->name);
    }

    public function testAHeldDesignAsksOnlyForWhatMayVary(): void
    {
        $challenge = $this->ready(['free_steps' => ['nozzle']]);
        $group = $challenge->groups()->firstOrFail();
        $page = $this->get("/challenges/{$challenge->id}/cars");
        foreach (['nozzle_bore', 'nozzle_outlets', 'nozzle_length', 'mass'] as $column) {
            $page->assertSee("name=\"{$column}_{$group->id}\"", false);
        }
        $page->assertDontSee("name=\"wheel_diameter_{$group->id}\"", false);
    }

    public function testTheNextClassIsSetLikeThisOne(): void
    {
        $challenge = $this->class();
        $this->put(
            "/challenges/{$challenge->id}/check/tolerances",
            ['wobble_good_to' => '0.5', 'wobble_fix_above' => '1'],
        )->assertSessionHasNoErrors();
        $this->post(
            "/challenges/{$challenge->id}/parts",
            ['kind' => 'wheel', 'name' => 'cork discs', 'wheel_diameter' => '30', 'wheel_mass' => '2', 'wheel_thickness' => '10'],
        )->assertSessionHasNoErrors();
        $challenge->materialLines()->create(['key' => 'wheels', 'amount' => 40, 'price' => 0.1]);
        $challenge->sessionPlan()->fill(['session_min' => 55, 'starts_at' => now(), 'kit_wheels' => 'cork discs'])->save();
        $this->post("/challenges/{$challenge->id}/copy")->assertRedirect();
        $copy = $this->educator->challenges()->latest('id')->firstOrFail();
        self::assertSame("{$challenge->name}, next class", $copy->name);
        self::assertEquals(
            [$challenge->refresh()->tolerances, $challenge->scoring, $challenge->lane_length, $challenge->age],
            [$copy->tolerances, $copy->scoring, $copy->lane_length, $copy->age],
        );
        self::assertSame(
            [55, null, 'cork discs'],
            [$copy->sessionPlan()->session_min, $copy->sessionPlan()->starts_at, $copy->sessionPlan()->kit_wheels],
        );
        self::assertSame(
            [1, 1, 0, 0],
            [$copy->ownParts()->count(), $copy->materialLines()->count(), $copy->groups()->count(), $copy->runs()->count()],
        );
        $this->post("/challenges/{$challenge->id}/copy", ['with_groups' => '1']);
        $second = $this->educator->challenges()->latest('id')->firstOrFail();
        self::assertEquals($challenge->groups()->pluck('mark', 'name')->all(), $second->groups()->pluck('mark', 'name')->all());
        self::assertSame(0, $second->runs()->count());
        // Nothing of the first one moved.
        self::assertGreaterThan(0, $challenge->runs()->count());
    }

    public function testAGroupNamesItselfAtItsTablet(): void
    {
        $challenge = $this->ready();
        [$one, $two] = $challenge->groups()->get()->all();
        [, $key] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $one);
        auth()->forgetGuards();
        auth('web')->logout();
        $as = function (string $path, string $name) use ($key): TestResponse {
            auth()->forgetGuards();

            return $this->withHeaders(['Authorization' => "Bearer {$key}"])->put($path, ['name' => $name]);
        };
        $own = "/challenges/{$challenge->id}/groups/{$one->id}/name";
        $as($own, '  The  Pistons ')->assertRedirect()->assertSessionHas('status', 'You are The Pistons now.');
        self::assertSame(['The Pistons', $one->mark], [$one->refresh()->name, $one->mark]);
        $as($own, 'group 2')->assertSessionHasErrors('name');
        $as($own, '')->assertSessionHasErrors('name');
        $as("/challenges/{$challenge->id}/groups/{$two->id}/name", 'Mine')->assertNotFound();
        DB::table('challenges')->where('id', $challenge->id)->update(['groups_are_locked' => true]);
        $as($own, 'Late')->assertForbidden();
    }

    public function testTheClassesOwnPagesAreAsPlainAsItsAge(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),mass (g),balloon diameter (cm),wheels,wheel diameter (mm),try,distance (cm)\nKeel,6,60,20,bottle caps,32,1,212\nReef,7,60,20,bottle caps,32,1,262\n",
        );
        $group = $challenge->groups()->where('name', 'Keel')->firstOrFail();
        $pages = [
            "/challenges/{$challenge->id}/groups/{$group->id}/why", "/challenges/{$challenge->id}/report/notebooks?group={$group->id}",
        ];
        foreach ($pages as $page) {
            $this->get($page)->assertOk()->assertSee('mN');
        }
        $this->get($pages[1])->assertSee('Ground clearance');
        $challenge->update(['age' => Age::SevenToNine]);
        foreach ($pages as $page) {
            $this->get($page)->assertOk()->assertDontSee('mN')->assertSee('it rolled');
        }
        $this->get($pages[1])->assertDontSee('Ground clearance')->assertDontSee('>track');
        // Whoever teaches sees all of it.
        $this->get("/challenges/{$challenge->id}/findings/work")->assertSee('mN');
    }

    /** @param array<string, mixed> $differently */
    private function ready(array $differently = []): Challenge
    {
        $challenge = Scenario::challenge($this->educator, $differently);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Group 1\nGroup 2"])->assertSessionHasNoErrors();
        self::assertCount(2, Group::query()->where('challenge_id', $challenge->id)->get());

        return $challenge;
    }
}
