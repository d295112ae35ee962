<?php

declare(strict_types=1);

namespace Tests\Feature\Check;

use App\Models\BenchReading;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\PumpReading;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class BenchTest extends FeatureTestCase
{
    public function testThreeRollOutsGiveTheFrictionAndTakeThePlaceOfTheEstimate(): void
    {
        [$challenge, $group] = $this->signedIn();
        $page = $this->get("/challenges/{$challenge->id}/groups/{$group->id}/bench")->assertOk();
        $page->assertSee('estimated from the parts')->assertSee('Ramp and roll-out')->assertSee('Two marks');

        // The height is typed once; the rows below take it from above, and an empty row is none.
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/bench/ramp",
            ['r0_0' => '12 cm', 'r0_1' => '1.1 m', 'r1_1' => '101', 'r2_1' => '103', 'r3_0' => '', 'r3_1' => ''],
        )
            ->assertRedirect("/challenges/{$challenge->id}/groups/{$group->id}/bench?version=1#ramp");
        $held = BenchReading::query()->where('car_id', $group->newestCar()?->id)->get();
        self::assertCount(3, $held);
        self::assertSame(['12 cm', '103 cm'], $held[2]->texts());
        self::assertSame([0.12, 1.1], $held[0]->values());

        $this->settle();
        $forces = (new ClassForces(ClassRecord::of($challenge->fresh() ?? $challenge)))->of($group->newestCar());
        self::assertNotNull($forces);
        self::assertEqualsWithDelta((0.12 / 1.1 + 0.12 / 1.01 + 0.12 / 1.03) / 3, $forces->friction->value, 1e-12);
        $this->get("/challenges/{$challenge->id}/groups/{$group->id}/bench")
            ->assertSee('measured: ramp and roll-out')
            ->assertSee('f = 0.115 ±');
        $this->get("/challenges/{$challenge->id}/bench")->assertSee('One car’s friction is measured');
        $this->get("/challenges/{$challenge->id}/check")->assertSee("11\u{00A0}g: a lot")
            ->assertSee('not measured');
        // Dry run starts from it.
        $this->get("/challenges/{$challenge->id}/dry-run?car={$group->newestCar()?->id}")
            ->assertOk()
            ->assertSee('"workmanship":0.', false)
            ->assertDontSee('"rolling_coefficient":0.', false);

        $csv = (string) $this->get("/challenges/{$challenge->id}/bench/csv")->assertOk()->getContent();
        self::assertStringContainsString('Bowline,1,"Ramp and roll-out",2,"Release to stop, level","101 cm",1.01', $csv);

        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/bench/ramp",
            ['r0_0' => ''],
        )->assertSessionHas('status', 'Ramp and roll-out: cleared.');
        self::assertSame(0, BenchReading::query()->count());
    }

    public function testWhatCannotBeIsNamedWithItsFieldAndNothingIsHalfSaved(): void
    {
        [$challenge, $group] = $this->signedIn();
        $address = "/challenges/{$challenge->id}/groups/{$group->id}/bench";
        $this->put("{$address}/ramp", ['r0_0' => '12 cm', 'r0_1' => '1 m']);
        $this->from($address)
            ->put("{$address}/ramp", ['test' => 'ramp', 'r0_0' => '12 cm', 'r0_1' => '1 m', 'r1_0' => '12 m', 'r1_1' => 'far'])
            ->assertSessionHasErrors(['r1_0', 'r1_1']);
        self::assertStringContainsString('Release height: from 0.2', (string) session('errors')->first('r1_0'));
        self::assertSame(1, BenchReading::query()->count(), 'what stood there still stands');
        $this->get($address)->assertSee('value="far"', false)->assertSee('2 things to look at');
        $this->put("{$address}/ramp", ['r0_1' => '1 m'])->assertSessionHasErrors(['r0_0' => 'Release height is missing in the first row.']);
        $this->put("{$address}/nonsense", [])->assertNotFound();
        $this->put("{$address}/pull", ['r0_0' => '-3 g'])->assertSessionHasErrors('r0_0');
        $this->put("{$address}/pull", ['r0_0' => str_repeat('1', 70)])->assertSessionHasErrors('r0_0');
    }

    public function testThePumpServesEveryCarWhoseStrokesWereCounted(): void
    {
        [$challenge] = $this->signedIn("group,pump strokes,mass (g),try,distance (cm)\nCounted,12,60,1,200\n");
        $size = static fn(): float => (new ClassForces(ClassRecord::of($challenge)))->of(
            $challenge->groups()->firstOrFail()->newestCar(),
        )?->model->settings->get(CarAttribute::BalloonSize) ?? 0.0;
        $usual = $size();
        $this->put(
            "/challenges/{$challenge->id}/bench/pump",
            [
                'measured_as' => 'circumference', 'strokes_0' => '10', 'size_0' => '50', 'strokes_1' => '20', 'size_1' => '63',
                'strokes_2' => '', 'size_2' => '',
            ],
        )
            ->assertRedirect("/challenges/{$challenge->id}/bench#pump");
        self::assertSame(2, PumpReading::query()->count());
        $this->settle();
        self::assertNotEqualsWithDelta($usual, $size(), 1e-3);
        $volume = static fn(float $around): float => M_PI / 6 * ($around / M_PI) ** 3;
        self::assertEqualsWithDelta(0.8 * $volume(0.5) + 0.2 * $volume(0.63), M_PI / 6 * $size() ** 3, 1e-9);
        $this->get("/challenges/{$challenge->id}/bench")->assertSee('A stroke holds');

        $this->put(
            "/challenges/{$challenge->id}/bench/pump",
            ['measured_as' => 'diameter', 'strokes_0' => '10', 'size_0' => '', 'strokes_1' => 'x', 'size_1' => '900 m'],
        )
            ->assertSessionHasErrors(
                ['size_0' => 'How large was it then?', 'strokes_1' => 'Strokes: a whole number from 1 to 500.', 'size_1'],
            );
        self::assertSame(2, PumpReading::query()->count());
        $this->put("/challenges/{$challenge->id}/bench/pump", ['measured_as' => 'diameter', 'strokes_0' => '10', 'size_0' => '20']);
        $this->get("/challenges/{$challenge->id}/bench")->assertSee('two different numbers of strokes');
    }

    public function testEachVersionHasItsOwnTests(): void
    {
        [$challenge] = $this->signedIn();
        $reef = $challenge->groups()->where('name', 'Reef')->firstOrFail();
        $this->put("/challenges/{$challenge->id}/groups/{$reef->id}/bench/pull", ['version' => 1, 'r0_0' => '3 g']);
        $this->put("/challenges/{$challenge->id}/groups/{$reef->id}/bench/static-thrust", ['r0_0' => '12']);
        self::assertSame(
            [1, 2],
            $reef->cars()->get()->map(static fn($car): int => $car->benchReadings()->count() === 1 ? $car->version : 0)->all(),
        );
        $this->get("/challenges/{$challenge->id}/groups/{$reef->id}/bench?version=1")
            ->assertSee('measured: steady pull')
            ->assertSee('version 2');
        $this->get("/challenges/{$challenge->id}/groups/{$reef->id}/bench")
            ->assertDontSee('measured: steady pull')
            ->assertSee('measured: push on a scale');
    }

    public function testAClassInInchesMeasuresInInches(): void
    {
        [$challenge, $group] = $this->signedIn();
        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        $address = "/challenges/{$challenge->id}/groups/{$group->id}/bench";
        $this->get($address)->assertSee('<span class="small">in</span>', false);
        $this->put("{$address}/ramp", ['r0_0' => '4 3/4', 'r0_1' => '3 ft 4 in', 'r1_1' => '1 m'])->assertSessionHasNoErrors();
        $held = BenchReading::query()->orderBy('id')->get();
        self::assertEqualsWithDelta([4.75 * 0.0254, 40 * 0.0254], $held[0]->values(), 1e-12);
        self::assertEqualsWithDelta([4.75 * 0.0254, 1.0], $held[1]->values(), 1e-12);
        $this->put("{$address}/static-thrust", ['r0_0' => '0.25']);
        $this->settle();
        $this->get($address)->assertSee('oz on a scale')->assertSee('value="4 3/4 in"', false);
        $this->put("{$address}/ramp", ['r0_0' => '100', 'r0_1' => '40'])->assertSessionHasErrors('r0_0');
        self::assertStringContainsString("to 78.74\u{00A0}in", (string) session('errors')->first('r0_0'));
    }

    public function testWhatWasTypedOverStaysOnRecordAndComesBack(): void
    {
        [$challenge, $group] = $this->signedIn();
        $address = "/challenges/{$challenge->id}/groups/{$group->id}/bench";
        $values = static fn(): array => BenchReading::query()->orderBy('id')
            ->get()
            ->map(static fn(BenchReading $reading): array => $reading->values())
            ->all();
        $this->put("{$address}/spin", ['r0_0' => '4', 'r1_0' => '5'])->assertSessionMissing('putBack');
        $this->travel(2)->seconds();
        $this->put("{$address}/spin", ['r0_0' => '9'])->assertSessionHas('putBack');
        self::assertSame([[9.0]], $values());
        self::assertSame(3, BenchReading::query()->withTrashed()->count(), 'nothing is lost');
        $this->travel(2)->seconds();
        $this->post("{$address}/spin/restore?version=1")->assertSessionHas('status', "Wheel spin of {$group->name} is as it was.");
        self::assertSame([[4.0], [5.0]], $values());
        $this->travel(2)->seconds();
        $this->post("{$address}/spin/restore?version=1");
        self::assertSame([[9.0]], $values(), 'and back again');
        $this->post("{$address}/tilt/restore")->assertSessionHas('status', 'Tilt: there was nothing before.');
        $this->put("{$address}/spin", ['r0_0' => '']);
        $this->get("/challenges/{$challenge->id}/bench")->assertSee('0/4');
    }

    public function testAnUnknownVersionIsTheNewestAndAnothersCarIsNone(): void
    {
        [$challenge, $group] = $this->signedIn();
        $this->get("/challenges/{$challenge->id}/groups/{$group->id}/bench?version=99")->assertOk();
        $other = Scenario::withClass(Scenario::challenge(Scenario::educator('Somebody else')));
        $theirs = $other->groups()->firstOrFail();
        $this->get("/challenges/{$other->id}/bench")->assertNotFound();
        $this->get("/challenges/{$challenge->id}/groups/{$theirs->id}/bench")->assertNotFound();
        $this->put("/challenges/{$challenge->id}/groups/{$theirs->id}/bench/ramp", ['r0_0' => '12', 'r0_1' => '100'])->assertNotFound();
        self::assertSame(0, BenchReading::query()->count());
    }

    public function testAThrustThatNoBalloonGivesIsQuestioned(): void
    {
        [$challenge, $group] = $this->signedIn();
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/bench/static-thrust",
            ['r0_0' => '2 kg'],
        )->assertSessionHasErrors('r0_0');
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/bench/static-thrust",
            ['r0_0' => '2 kg', 'confirmed' => session('asked')],
        )->assertSessionHasNoErrors();
        $this->get("/challenges/{$challenge->id}/groups/{$group->id}/bench")->assertOk()->assertSee('is not one of this balloon');
    }

    public function testAClassWithoutGroupsIsToldWhatToDo(): void
    {
        $educator = Scenario::educator();
        $challenge = Scenario::challenge($educator);
        $this->actingAs($educator)->get("/challenges/{$challenge->id}/bench")->assertOk()->assertSee('There are no groups yet');
        $bare = $challenge->groups()->create(['name' => 'Bare', 'mark' => 'sail-solid', 'position' => 1]);
        $this->settle();
        $this->get("/challenges/{$challenge->id}/bench")->assertOk()->assertSee('nothing recorded of its car yet');
        $this->get("/challenges/{$challenge->id}/groups/{$bare->id}/bench")->assertOk();
        $this->put("/challenges/{$challenge->id}/groups/{$bare->id}/bench/spin", ['r0_0' => '4.5'])->assertRedirect();
        $this->settle();
        $this->get("/challenges/{$challenge->id}/groups/{$bare->id}/bench")->assertOk()->assertSee('4.5 ±');
    }

    /** @return array{Challenge, Group} */
    private function signedIn(string $sheet = Scenario::SHEET): array
    {
        $educator = Scenario::educator();
        $challenge = Scenario::withClass(Scenario::challenge($educator), $sheet);
        $this->actingAs($educator);

        return [$challenge, $challenge->groups()->orderBy('position')->firstOrFail()];
    }
}
