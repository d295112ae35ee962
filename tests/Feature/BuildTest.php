<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Group;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Build\Choice;
use Tests\Scenario;

final class BuildTest extends FeatureTestCase
{
    public function testSeveralGroupsAtOnceEachWithAMarkOfItsOwn(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Bowline\r\n\r\n  Halyard \nKeel"])->assertSessionHasNoErrors();

        self::assertSame(['Bowline', 'Halyard', 'Keel'], $challenge->groups()->pluck('name')->all());
        self::assertCount(3, array_unique($challenge->groups()->pluck('mark')->all()));
        $this->get("/challenges/{$challenge->id}/groups")->assertSee('The car is not recorded yet.');
    }

    /** @return iterable<string, array{string}> */
    public static function oddNames(): iterable
    {
        yield 'markup' => ['<script>alert(1)</script>'];
        yield 'two hundred letters' => [str_repeat('Længde', 33) . 'aa'];
        yield 'emoji' => ['🚗💨 Team 👩‍🔧'];
        yield 'right to left' => ['קבוצה אדומה'];
        yield 'quotes' => ["\"Bow\" & 'Line'"];
        yield 'a number' => ['12'];
    }

    #[DataProvider('oddNames')]
    public function testOddNamesAreShownAsTheyAre(string $name): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => $name])->assertSessionHasNoErrors();
        $this->log($challenge, $name, ['distance' => '300'])->assertSessionHasNoErrors();

        foreach (['', '/groups', '/runs', '/findings', '/plan', '/sheet'] as $page) {
            $html = $this->get("/challenges/{$challenge->id}{$page}")->assertOk()->getContent();
            self::assertStringNotContainsString('<script>alert', (string) $html);
        }
        $this->get("/challenges/{$challenge->id}/groups")->assertSee($name);
        $csv = (string) $this->get("/challenges/{$challenge->id}/sheet/csv")->getContent();
        $copy = Scenario::withClass(Scenario::challenge($this->educator), $csv);
        self::assertSame($name, $copy->groups()->sole()->name);
    }

    public function testNamesThatWouldBeMixedUpAreRefusedByLine(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel'])->assertSessionHasNoErrors();
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Reef\nkeel\nReef\n" . str_repeat('x', 201)])->assertSessionHasErrors('names');

        $said = implode("\n", session('errors')->get('names'));
        self::assertStringContainsString('Name 2: there is a group “keel” already', $said);
        self::assertStringContainsString('Name 3: “Reef” is in the list twice', $said);
        self::assertStringContainsString('Name 4', $said);
        self::assertSame(1, $challenge->groups()->count(), 'none of them is stored');
    }

    public function testAClassHasRoomForAsManyGroupsAsThereAreMarks(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => implode("\n", range(1, 40))])->assertSessionHasNoErrors();
        $this->get("/challenges/{$challenge->id}")->assertOk();
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'One more'])->assertSessionHasErrors('names');
        self::assertSame(40, $challenge->groups()->count());
    }

    public function testACarIsRecordedAsTyped(): void
    {
        [$path, $group] = $this->group();
        $this->put("{$path}/car", [
            'nozzle_kind' => 'bundle of straws', 'nozzle_bore' => '1/4"', 'nozzle_outlets' => '3', 'nozzle_length' => '12',
            'balloon_nominal' => '11 in', 'balloon_size' => '62,5 cm', 'balloon_measured_as' => 'circumference', 'pump_strokes' => '14',
            'mass' => '2 oz', 'wheel_kind' => 'jar lids', 'wheel_diameter' => '58', 'wheel_mount' => 'spinning on the axle',
            'chassis' => 'foam board', 'surface' => '', 'note' => 'Axle a little long',
        ])->assertSessionHasNoErrors();

        $car = $group->cars()->sole()->choices;
        self::assertSame(0.00635, $car->number(Choice::NozzleBore));
        self::assertSame('1/4"', $car->quantities['nozzle_bore']->text);
        self::assertSame(0.12, $car->number(Choice::NozzleLength));
        self::assertSame('12 cm', $car->quantities['nozzle_length']->text);
        self::assertSame(0.05669904625, $car->number(Choice::Mass));
        self::assertSame(14.0, $car->number(Choice::PumpStrokes));
        self::assertSame('circumference', $car->balloonMeasuredAs?->value);
        self::assertNull($car->kind(Choice::Surface));
        $this->get("{$path}/car")->assertSee('1/4&quot;', false)->assertSee('62,5 cm');
        $this->get(dirname($path))->assertSee("filled to 62.5\u{00A0}cm around");
    }

    public function testFaultsAreNamedAndNothingTypedIsLost(): void
    {
        [$path, $group] = $this->group();
        $this->from("{$path}/car")->put("{$path}/car", ['nozzle_bore' => '80 cm', 'mass' => 'light', 'pump_strokes' => '1.5', 'wheel_mount' => 'glued', 'chassis' => 'card'])
            ->assertRedirect("{$path}/car")
            ->assertSessionHasErrors([
                'nozzle_bore' => "Nozzle bore must be from 0.5\u{00A0}mm to 100\u{00A0}mm. Check the unit.",
                'mass' => '“light” is not a mass. Type a number and a unit, such as 58 g or 2 oz.',
                'pump_strokes' => 'Pump strokes must be a whole number from 1 to 500.',
                'wheel_mount' => 'Choose one of the two ways of mounting wheels.',
            ]);
        $this->get("{$path}/car")->assertSee('80 cm')->assertSee('light')->assertSee('4 things to mend');
        self::assertSame(0, $group->cars()->count());
    }

    public function testACarThatHasRunBecomesANewVersionUnlessOnlyTheRecordWasWrong(): void
    {
        [$path, $group] = $this->group();
        $this->put("{$path}/car", ['nozzle_bore' => '6 mm'])->assertSessionHasNoErrors();
        $this->put("{$path}/car", ['nozzle_bore' => '7 mm'])->assertSessionHasNoErrors();
        self::assertSame(1, $group->cars()->count(), 'before it has run, the record is simply changed');
        $this->log($group->challenge, $group->name, ['distance' => '200'])->assertSessionHasNoErrors();

        $this->get("{$path}/car")->assertSee('make it version 2');
        $this->put("{$path}/car", ['nozzle_bore' => '8 mm', 'save_as' => 'version', 'reason' => 'It started too slowly.'])->assertSessionHasNoErrors();
        $this->put("{$path}/car", ['nozzle_bore' => '9 mm', 'save_as' => 'correction', 'reason' => 'It started too slowly.'])->assertSessionHasNoErrors();

        self::assertSame([0.007, 0.009], $group->cars()->get()->map(static fn($car): ?float => $car->choices->number(Choice::NozzleBore))->all());
        $this->get(dirname($path))->assertSee("nozzle bore 7 to 9\u{00A0}mm")->assertSee('It started too slowly.');
    }

    public function testOneCarAfterTheOther(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Keel\nReef"]);
        [$keel, $reef] = $challenge->groups()->get()->all();

        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/car", ['mass' => '58', 'then_next' => '1'])
            ->assertRedirect("/challenges/{$challenge->id}/groups/{$reef->id}/car");
    }

    public function testNameAndMarkAreChangedWithinWhatIsFree(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $reef = $challenge->groups()->where('name', 'Reef')->sole();

        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}", ['name' => 'REEF', 'mark' => $reef->mark])
            ->assertSessionHasErrors(['name' => 'Another group has this name. Tell them apart, for instance with a number.', 'mark' => 'Another group has this mark. Choose one that is free.']);
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}", ['name' => ' Keel  one ', 'mark' => 'star-ringed'])->assertSessionHasNoErrors();
        self::assertSame(['Keel one', 'star-ringed'], [$keel->refresh()->name, $keel->mark]);
    }

    public function testARemovedGroupComesBackWithItsRuns(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $this->delete("/challenges/{$challenge->id}/groups/{$keel->id}");
        $this->get("/challenges/{$challenge->id}")->assertDontSee('Keel</bdi>', false);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Thimble']);
        self::assertSame($keel->mark, $challenge->groups()->where('name', 'Thimble')->value('mark'), 'its mark was free');

        $this->post("/challenges/{$challenge->id}/groups/{$keel->id}/restore")->assertSessionHasNoErrors();

        self::assertSame(5, $challenge->groups()->pluck('mark')->unique()->count());
        $this->get("/challenges/{$challenge->id}")->assertSee('Keel')->assertSee('125');
    }

    public function testARemovedGroupWaitsWhileItsNameIsTaken(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        $this->delete("/challenges/{$challenge->id}/groups/{$keel->id}");
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel']);

        $this->post("/challenges/{$challenge->id}/groups/{$keel->id}/restore")->assertSessionHasErrors('names');
        self::assertTrue($keel->refresh()->trashed());
    }

    /** @return array{string, Group} */
    private function group(): array
    {
        $challenge = Scenario::challenge($this->educator);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel']);
        $group = $challenge->groups()->sole();

        return ["/challenges/{$challenge->id}/groups/{$group->id}", $group];
    }
}
