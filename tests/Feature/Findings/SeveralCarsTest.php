<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A group with more than one car: one of them counts for awards, all of them in findings. */
final class SeveralCarsTest extends FeatureTestCase
{
    public function testAGroupAddsACarWhichHasItsNameItsMarkAndRunsOfItsOwn(): void
    {
        $challenge = $this->class();
        $keel = $this->named($challenge, 'Keel');
        $own = "/challenges/{$challenge->id}/groups/{$keel->id}/own";
        [$tablet] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $keel);
        $this->atDevice($tablet)->get($own)->assertOk()->assertSee('More than one car?');
        $this->from($own)
            ->post("/challenges/{$challenge->id}/groups/{$keel->id}/cars", ['car_name' => ''])
            ->assertSessionHasErrors(['car_name' => 'Give the car a name, such as Arrow.']);
        $this->from($own)
            ->post("/challenges/{$challenge->id}/groups/{$keel->id}/cars", ['car_name' => ' Arrow '])
            ->assertRedirect($own)
            ->assertSessionHas('status', 'Keel · Arrow is in. It has a build sheet and runs of its own.');
        $this->from($own)
            ->post("/challenges/{$challenge->id}/groups/{$keel->id}/cars", ['car_name' => 'arrow'])
            ->assertSessionHasErrors(['car_name' => 'This group has a car of that name. Choose another name.']);
        $arrow = $this->named($challenge, 'Keel · Arrow');
        self::assertSame([$keel->mark, $keel->id, false], [$arrow->mark, $arrow->of_group_id, $arrow->is_nominated]);

        // Its tablet sees it, records it, logs its runs, and comes back to it.
        $this->get("/challenges/{$challenge->id}/groups/{$arrow->id}/own")->assertOk()->assertSee('Keel · Arrow');
        $this->log($challenge, 'Keel · Arrow', ['distance' => '433'])->assertRedirect(
            "/challenges/{$challenge->id}/groups/{$arrow->id}/own",
        );
        // Another group's does not.
        $reef = $this->named($challenge, 'Reef');
        [$other] = AdmitDevices::join($challenge, DeviceRole::Group, 'tablet', $reef);
        $this->atDevice($other)->get("/challenges/{$challenge->id}/groups/{$arrow->id}/own")->assertNotFound();
        $this->put("/challenges/{$challenge->id}/groups/{$arrow->id}/nominate")->assertNotFound();

        for ($car = 3; $car <= 4; $car++) {
            $this->asEducator()
                ->post("/challenges/{$challenge->id}/groups/{$arrow->id}/cars", ['car_name' => "Car {$car}"])
                ->assertSessionHasNoErrors();
        }
        $this->post(
            "/challenges/{$challenge->id}/groups/{$keel->id}/cars",
            ['car_name' => 'One more'],
        )->assertSessionHasErrors(['car_name' => 'A group has 4 cars at most.']);
    }

    public function testOnlyTheNominatedCarHasAPlace(): void
    {
        [$challenge, $keel, $arrow] = $this->withArrow();
        $ranks = fn(): array => collect(ClassRecord::of($challenge)->lines())->mapWithKeys(
            static fn($line): array => [$line->group->name => $line->standing->rank],
        )->all();
        self::assertSame(['Halyard' => 1, 'Bowline' => 2, 'Reef' => 3, 'Keel' => 4, 'Keel · Arrow' => null], $ranks());
        $this->get("/challenges/{$challenge->id}")->assertOk()->assertSee('Keel · Arrow');

        $this->put("/challenges/{$challenge->id}/groups/{$arrow->id}/nominate")->assertSessionHas(
            'status',
            'Keel · Arrow is the car that counts for awards.',
        );
        self::assertSame(['Keel · Arrow' => 1, 'Halyard' => 2, 'Bowline' => 3, 'Reef' => 4, 'Keel' => null], $ranks());
        $this->get("/challenges/{$challenge->id}/findings/awards")->assertOk()->assertSee('Keel · Arrow');
        $this->get("/challenges/{$challenge->id}/report/certificates")->assertOk()->assertSee('Keel · Arrow');
        self::assertSame([false, true], [$keel->refresh()->is_nominated, $arrow->refresh()->is_nominated]);

        // Removed, the car of the group itself counts again; brought back, it is in as before.
        $this->delete("/challenges/{$challenge->id}/groups/{$arrow->id}")->assertRedirect();
        self::assertTrue($keel->refresh()->is_nominated);
    }

    public function testAllCarsOfOneGroupAreOneWitness(): void
    {
        [$challenge, $keel, $arrow] = $this->withArrow();
        $this->put("/challenges/{$challenge->id}/groups/{$arrow->id}/nominate");
        $cars = ClassFindings::data(ClassRecord::of($challenge))->cars;
        $byCar = collect($cars)->mapWithKeys(static fn($car): array => [$car->id => [$car->group, $car->version, $car->isNominated]]);
        self::assertSame([(string) $arrow->id, 1, false], $byCar[(string) $keel->newestCar()?->id]);
        self::assertSame([(string) $arrow->id, 2, true], $byCar[(string) $arrow->newestCar()?->id]);
        self::assertCount(4, array_unique(array_map(static fn($car): string => $car->group, $cars)));
        foreach (
            [
                'findings', 'findings/choices', 'findings/work', 'findings/sure', 'report', 'groups', 'room', 'devices/cards', 'cars',
                "groups/{$arrow->id}", "groups/{$arrow->id}/at/why",
            ] as $page
        ) {
            $this->get("/challenges/{$challenge->id}/{$page}")->assertOk();
        }
        $this->get("/challenges/{$challenge->id}/devices/cards")->assertDontSee('Arrow');
    }

    public function testARenamedGroupRenamesItsCars(): void
    {
        [$challenge, $keel, $arrow] = $this->withArrow();
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}",
            ['name' => 'Rudder', 'mark' => 'star-open'],
        )->assertSessionHasNoErrors();
        self::assertSame(['Rudder · Arrow', 'star-open'], [$arrow->refresh()->name, $arrow->mark]);
        $this->put(
            "/challenges/{$challenge->id}/groups/{$arrow->id}",
            ['name' => 'Rudder · Dart', 'mark' => 'star-open'],
        )->assertSessionHasNoErrors();
        self::assertSame('Rudder · Dart', $arrow->refresh()->name);
        // With its cars a group goes, and comes back.
        $this->delete("/challenges/{$challenge->id}/groups/{$keel->id}");
        self::assertSoftDeleted($arrow);
        $this->post("/challenges/{$challenge->id}/groups/{$keel->id}/restore");
        self::assertNotSoftDeleted($arrow);
    }

    public function testASheetAndAListOfNamesKnowCarsOfAGroup(): void
    {
        $challenge = $this->class();
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Keel · Arrow\nFender\nFender · Dart"])->assertSessionHasNoErrors();
        self::assertSame($this->named($challenge, 'Keel')->id, $this->named($challenge, 'Keel · Arrow')->of_group_id);
        self::assertSame($this->named($challenge, 'Fender')->id, $this->named($challenge, 'Fender · Dart')->of_group_id);
        $copy = Scenario::withClass(Scenario::challenge($this->educator), "group,distance\nKeel,300\nKeel · Arrow,310\n");
        self::assertSame($this->named($copy, 'Keel')->id, $this->named($copy, 'Keel · Arrow')->of_group_id);
    }

    /** @return array{Challenge, Group, Group} */
    private function withArrow(): array
    {
        $challenge = $this->class();
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel · Arrow'])->assertSessionHasNoErrors();
        foreach (['455', '460', '470'] as $distance) {
            $this->log($challenge, 'Keel · Arrow', ['distance' => $distance])->assertSessionHasNoErrors();
        }

        return [$challenge, $this->named($challenge, 'Keel'), $this->named($challenge, 'Keel · Arrow')];
    }
}
