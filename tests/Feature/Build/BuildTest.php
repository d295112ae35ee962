<?php

declare(strict_types=1);

namespace Tests\Feature\Build;

use App\Actions\AddGroups;
use App\Actions\NoMarkIsLeftException;
use App\Models\Group;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\Dimension;
use Tests\Feature\FeatureTestCase;
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
        $this->post(
            "/challenges/{$challenge->id}/groups",
            ['names' => "Reef\nkeel\nReef\n" . str_repeat('x', 201)],
        )->assertSessionHasErrors('names');

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
        // Somebody who was a moment quicker took the last mark.
        $this->expectException(NoMarkIsLeftException::class);
        app(AddGroups::class)($challenge, ['One more']);
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
        self::assertSame(0.00635, $car->number(CarAttribute::NozzleBore));
        self::assertSame('1/4"', $car->quantities['nozzle_bore']->text);
        self::assertSame(0.12, $car->number(CarAttribute::NozzleLength));
        self::assertSame('12 cm', $car->quantities['nozzle_length']->text);
        self::assertSame(0.05669904625, $car->number(CarAttribute::Mass));
        self::assertSame(14.0, $car->number(CarAttribute::PumpStrokes));
        self::assertSame('circumference', $car->balloonMeasuredAs?->value);
        self::assertNull($car->kind(CarAttribute::Surface));
        $this->get("{$path}/car")->assertSee('1/4&quot;', false)->assertSee('62,5 cm');
        $this->get(dirname($path))->assertSee("filled to 62.5\u{00A0}cm around");
    }

    public function testFaultsAreNamedAndNothingTypedIsLost(): void
    {
        [$path, $group] = $this->group();
        $this->from("{$path}/car")->put(
            "{$path}/car",
            ['nozzle_bore' => '80 cm', 'mass' => 'light', 'pump_strokes' => '1.5', 'wheel_mount' => 'glued', 'chassis' => 'card'],
        )
            ->assertRedirect("{$path}/car")
            ->assertSessionHasErrors([
                'nozzle_bore' => "Nozzle bore must be from 0.5\u{00A0}mm to 100\u{00A0}mm. Check the unit.",
                'mass' => '“light” is not a mass. Type a number and a unit, such as 58 g or 2 oz.',
                'pump_strokes' => 'Pump strokes must be a whole number from 1 to 500.',
                'wheel_mount' => 'Choose one of those offered for the wheel mounting, or none.',
            ]);
        $this->get("{$path}/car")->assertSee('80 cm')->assertSee('light')->assertSee('4 things to look at');
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
        $this->put(
            "{$path}/car",
            ['nozzle_bore' => '8 mm', 'save_as' => 'version', 'reason' => 'It started too slowly.'],
        )->assertSessionHasNoErrors();
        $this->put(
            "{$path}/car",
            ['nozzle_bore' => '9 mm', 'save_as' => 'correction', 'reason' => 'It started too slowly.'],
        )->assertSessionHasNoErrors();

        self::assertSame(
            [0.007, 0.009],
            $group->cars()->get()->map(static fn($car): ?float => $car->choices->number(CarAttribute::NozzleBore))->all(),
        );
        $this->get(dirname($path))->assertSee("nozzle bore 7 to 9\u{00A0}mm")->assertSee('It started too slowly.');
    }

    public function testAWholeCarIsRecordedAndTravelsInTheSheet(): void
    {
        [$path, $group] = $this->group();
        $typed = [
            'chassis' => 'foam board', 'bearing' => 'steel rod in a plastic straw', 'joint' => 'tape', 'balloons' => '2',
            'band_turns' => '4', 'nozzle_angle' => '-15', 'pump_strokes' => '12',
        ];
        foreach (array_filter(CarAttribute::recorded(), static fn(CarAttribute $attribute): bool => $attribute->isQuantity()) as $choice) {
            $typed[$choice->value] = $choice->dimension() === Dimension::Mass ? '1/2 oz' : '1 1/2 in';
        }
        $typed = [
            'band_thickness' => '1', 'ramp_length' => '60 cm', 'band_width' => '3', 'chain_length' => '20 cm', 'winding_diameter' => '4 mm',
            'axle_diameter' => '3', 'bearing_bore' => '0.2 in', 'nozzle_bore' => '6',
        ] + $typed;
        $this->put("{$path}/car", $typed)->assertSessionHasNoErrors();

        $car = $group->cars()->sole()->choices;
        self::assertSame([-15, 2, 4], [$car->counts['nozzle_angle'], $car->counts['balloons'], $car->counts['band_turns']]);
        self::assertSame(['1 1/2 in', 0.0381], [$car->quantities['wheelbase']->text, $car->number(CarAttribute::Wheelbase)]);
        foreach (CarAttribute::recorded() as $choice) {
            self::assertSame(isset($typed[$choice->value]), $car->has($choice), $choice->value);
        }
        $this->get("{$path}/car")->assertOk()->assertSee('2 in')->assertSee('Rear axle, if it differs, and mass');
        $csv = (string) $this->get("/challenges/{$group->challenge_id}/sheet/csv")->getContent();
        $copy = Scenario::withClass(Scenario::challenge($this->educator), $csv);
        self::assertSame([], $copy->groups()->sole()->cars()->sole()->choices->contradictions($car));
        self::assertSame([], $copy->groups()->sole()->cars()->sole()->choices->changesTo($car));
    }

    public function testTheKitFillsInWhatIsEmptyAndNothingElse(): void
    {
        [$path, $group] = $this->group();
        $this->put("{$path}/car", ['chassis_length' => '21 cm'])->assertSessionHasNoErrors();
        $this->get("{$path}/car")->assertSee('placeholder="7.5 cm"', false)->assertDontSee('value="7.5 cm"', false);
        $this->get("{$path}/car?kit=1")
            ->assertSee('value="21 cm"', false)
            ->assertSee('value="7.5 cm"', false)
            ->assertSee('value="bamboo skewer in a plastic straw"', false);
        self::assertSame(1, count($group->cars()->sole()->choices->quantities), 'nothing is recorded by looking');
    }

    public function testTheDrawingFollowsWhatIsTyped(): void
    {
        [$path] = $this->group();
        $this->get(
            "{$path}/car/drawing?" . http_build_query(
                ['chassis_width' => '75', 'wheel_thickness' => '14 mm', 'track' => '88 mm', 'mass' => 'heavy', 'nozzle_bore' => '900 m'],
            ),
        )
            ->assertOk()->assertSeeInOrder(['<svg', 'class="drawing'], false)
                ->assertDontSee('rub on the chassis')
                ->assertDontSee('<html', false);
        $this->get(
            "{$path}/car/drawing?" . http_build_query(
                ['chassis_width' => '7.5 cm', 'wheel_thickness' => '14', 'track' => '8.8 cm', 'chassis_mass' => '20'],
            ),
        )
            ->assertSee('The front wheels rub on the chassis')->assertSee('fault-mark')->assertSee('Mass by its parts:');
        $this->get("{$path}/car/drawing")->assertOk()->assertSee('Nothing on record speaks against it');
    }

    public function testWhatBreaksTheRulesIsFlaggedAndMayBeAllowed(): void
    {
        [$path, $group] = $this->group();
        $group->challenge->update(['most_balloons' => 1, 'free_steps' => ['nozzle', 'mass']]);
        $this->put("{$path}/car", ['balloons' => '2', 'wheel_diameter' => '60', 'mass' => '58'])->assertSessionHasNoErrors();
        $this->get("{$path}/car")->assertSee('It has 2 balloons; the rules allow 1.')->assertSee('Against the rules');
        $this->get(dirname($path))->assertSee('against 3 rules');
        $this->put("{$path}/car/allowances/balloons", ['allow_reason' => ''])->assertSessionHasErrors('allow_reason');
        $this->put("{$path}/car/allowances/balloons", ['allow_reason' => 'The other one burst.'])->assertSessionHasNoErrors();
        $this->get("{$path}/car")->assertSee('The other one burst.')->assertSee($this->educator->name);
        $this->get(dirname($path))->assertSee('against 2 rules');
        $this->delete("{$path}/car/allowances/balloons");
        $this->get(dirname($path))->assertSee('against 3 rules');
        $this->put("{$path}/car/allowances/NO!", ['allow_reason' => 'x'])->assertNotFound();
    }

    public function testVersionsAreShownAsDifferencesAndCorrectionsAreKept(): void
    {
        [$path, $group] = $this->group();
        $this->put("{$path}/car", ['nozzle_bore' => '6 mm', 'mass' => '62 g'])->assertSessionHasNoErrors();
        $this->put("{$path}/car", ['nozzle_bore' => '6 mm', 'mass' => '61 g'])->assertSessionHasNoErrors();
        $this->log($group->challenge, $group->name, ['distance' => '200'])->assertSessionHasNoErrors();
        $this->put("{$path}/car", ['nozzle_bore' => '8 mm', 'mass' => '57 g', 'reason' => 'More push.', 'save_as' => 'version'])
            ->assertSessionHas(
                'status',
                "Keel’s car is version 2 now. Nozzle bore 6 to 8\u{00A0}mm; mass 61 to 57\u{00A0}g. More than one thing changed (nozzle bore and mass): the results will not tell which one did it.",
            );
        $this->log($group->challenge, $group->name, ['distance' => '250'])->assertSessionHasNoErrors();
        $this->put("{$path}/car", ['nozzle_bore' => '8 mm', 'mass' => '57 g'])->assertSessionHas(
            'status',
            'Nothing was changed, so Keel’s car stays version 2.',
        );

        self::assertSame(2, $group->cars()->count());
        $this->get("{$path}/car/versions")->assertSeeInOrder(
            [
                'Version 1', "one try, 200\u{00A0}cm", 'Record corrected by', 'mass 62 g to 61 g', 'Version 2',
                "Nozzle bore 6 to 8\u{00A0}mm", 'More push.',
            ],
        );
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
            ->assertSessionHasErrors(
                [
                    'name' => 'Another group has this name. Tell them apart, for instance with a number.',
                    'mark' => 'Another group has this mark. Choose one that is free.',
                ],
            );
        $this->put(
            "/challenges/{$challenge->id}/groups/{$keel->id}",
            ['name' => ' Keel  one ', 'mark' => 'star-ringed'],
        )->assertSessionHasNoErrors();
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
