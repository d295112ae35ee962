<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Pages\Run\FloorDrawing;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Simulation\Beyond;
use Tests\Scenario;

/** What a first day of use must not get wrong: slips are questioned, lists follow, nothing leads nowhere. */
final class FirstDayTest extends FeatureTestCase
{
    public function testAnUnusualLengthIsAskedAboutOnceAndItsFieldShowsTheUnit(): void
    {
        $plan = ['name' => 'Hall', 'goal' => 'farthest', 'scoring' => 'mean', 'tries' => '3', 'units' => 'imperial', 'lane_length' => '5'];
        $this->get('/challenges/new')->assertSee('data-imperial="ft"', false);
        $this->post('/challenges', $plan)->assertSessionHasErrors(
            ['lane_length' => "5\u{00A0}ft is short for a lane. Is the unit right? If it is right, save it again as it stands."],
        );
        self::assertSame(0, $this->educator->challenges()->count());
        $asked = session('asked');
        $this->post(
            '/challenges',
            ['lane_length' => '4', 'confirmed' => $asked] + $plan,
        )->assertSessionHasErrors('lane_length', 'another value is asked about again');
        $this->post('/challenges', ['confirmed' => $asked] + $plan)->assertSessionHasNoErrors();
        self::assertSame('5 ft', $this->educator->challenges()->sole()->lane_length->text);

        // What is timed may be as short as the slowest car goes.
        $short = ['goal' => 'fastest', 'timed_length' => '10 cm', 'lane_length' => '6 m', 'units' => 'metric'] + $plan;
        $this->post('/challenges', $short)->assertSessionHasErrors('timed_length');
        $this->post('/challenges', ['confirmed' => session('asked')] + $short)->assertSessionHasNoErrors();
        $this->post('/challenges', ['timed_length' => '9 cm'] + $short)->assertSessionHasErrors('timed_length');
    }

    public function testACarThatHardlyCanBeIsAskedAboutAndAnEmptySheetIsNotRecorded(): void
    {
        $challenge = Scenario::challenge($this->educator, ['units' => UnitSystem::Imperial]);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Pistons']);
        $group = $challenge->groups()->sole();
        $path = "/challenges/{$challenge->id}/groups/{$group->id}/car";

        $this->put($path, ['note' => ''])
            ->assertRedirect($path)
            ->assertSessionHas('status', 'Nothing is filled in, so nothing is recorded yet.');
        self::assertSame(0, $group->cars()->count());
        $this->put($path, ['chassis' => 'paper cup', 'mass' => '85'])->assertSessionHasErrors(
            ['mass' => "Mass: 85\u{00A0}oz is far more than 17.64\u{00A0}oz, the most that cars like this have. Is the unit right? If it is right, save it again as it stands."],
        );
        $asked = (string) session('asked');
        $this->get($path)
            ->assertSee('data-problem="mass"', false)
            ->assertSee('href="#f-mass"', false)
            ->assertSee('value="85"', false)
            ->assertSee("name=\"confirmed\" value=\"{$asked}\"", false);
        $this->put($path, ['chassis' => 'paper cup', 'mass' => '85', 'confirmed' => $asked])
            ->assertSessionHasNoErrors()
            ->assertSessionHas('status', 'Pistons’ car is recorded.');
        $mass = $group->newestCar()?->choices->number(\Skivo\Core\Car\Attribute\CarAttribute::Mass);
        self::assertEqualsWithDelta(2.41, (float) $mass, 0.01);
        $this->put($path, ['save_as' => 'version'])->assertSessionHas(
            'status',
            'Nothing is filled in, so the record stays as it was. Type what the car is like, or leave the page.',
        );
        self::assertSame(1, $group->cars()->count());
        $this->get($path)->assertSee('in inches')->assertDontSee('in in unless');
    }

    public function testADistanceInAnotherUnitIsQuestionedFromTheThirdRunOn(): void
    {
        $challenge = Scenario::challenge($this->educator, ['units' => UnitSystem::Imperial]);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => 'Keel']);
        foreach (['120', '111'] as $distance) {
            $this->log($challenge, 'Keel', ['distance' => $distance])->assertSessionMissing('questions');
        }
        $this->log($challenge, 'Keel', ['distance' => '3.18'])->assertSessionHas('questions');
        self::assertSame(2, $challenge->runs()->count());
    }

    public function testTheMaterialsFollowTheKitThatWasChosen(): void
    {
        $challenge = Scenario::challenge($this->educator, ['free_steps' => ['nozzle']]);
        $kit = [
            'groups' => '9', 'learners' => '27', 'spares_percent' => '0', 'by_mouth' => '1', 'latex_free' => '0',
            'kit_chassis' => 'paper cup', 'kit_wheels' => 'bottle caps', 'kit_bearing' => 'bamboo skewer in a plastic straw',
            'kit_nozzle' => 'wide straw', 'kit_balloon' => 'round 30 cm', 'kit_joint' => 'elastic band',
        ];
        $path = "/challenges/{$challenge->id}/plan/materials";
        $this->put($path, $kit)->assertSessionHasNoErrors();
        $list = fn(): string => strip_tags((string) $this->get($path)->getContent());

        self::assertStringContainsString('Nozzle: wide straw', $list());
        self::assertStringContainsString('Drinking straws, for bearings', $list());
        self::assertStringNotContainsString('Drinking straws, for bearings and nozzles', $list());
        foreach (['Push pins', 'Pens and pencils', 'Paper to sketch on'] as $line) {
            self::assertStringContainsString($line, $list());
        }
        self::assertStringNotContainsString('Balloon pump', $list(), 'they are filled by mouth');
        self::assertStringNotContainsString('Ballast', $list(), 'the mass is not theirs to vary');
        $challenge->update(['free_steps' => ['nozzle', 'mass']]);
        $this->put($path, ['by_mouth' => '0'] + $kit);
        self::assertStringContainsString('Balloon pump', $list());
        self::assertStringContainsString('Ballast', $list());
        // More have come than were planned for.
        $this->post(
            "/challenges/{$challenge->id}/groups",
            ['names' => implode("\n", array_map(static fn(int $n): string => "Group {$n}", range(1, 10)))],
        );
        self::assertStringContainsString('For 27 learners in 10 groups', $list());

        foreach (['$0.10', '0,10 €', '£ 0.1', '0.10'] as $price) {
            $this->put($path, ['price_wheels' => $price] + $kit)->assertSessionHasNoErrors();
            self::assertSame(0.1, $challenge->materialLines()->where('key', 'wheels')->sole()->price, $price);
        }
        $this->put($path, ['price_wheels' => 'cheap'] + $kit)->assertSessionHasErrors('price_wheels');
    }

    public function testAWheelOfOnesOwnNeedsOnlyWhatCanBeMeasured(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->get("/challenges/{$challenge->id}/parts?kind=wheel")->assertSee('left empty: 0.7, as usual');
        $this->post(
            "/challenges/{$challenge->id}/parts",
            ['kind' => 'wheel', 'name' => 'cork discs', 'wheel_diameter' => '30', 'wheel_mass' => '2', 'wheel_thickness' => '10'],
        )->assertSessionHasNoErrors();
        $part = $challenge->ownParts()->sole()->toCore();
        self::assertSame(
            [0.7, 0.006, 0.01],
            [$part->value(CarAttribute::WheelInertia), $part->value(CarAttribute::WheelLoss), $part->value(CarAttribute::WheelHub)],
        );
        $this->post(
            "/challenges/{$challenge->id}/parts",
            ['kind' => 'wheel', 'name' => 'no size'],
        )->assertSessionHasErrors(['wheel_diameter', 'wheel_mass', 'wheel_thickness']);
    }

    /** 600 g and 25 mm are what they are; what the model can't compute with is said, and nothing is foretold of it. */
    public function testWhatIsRecordedIsNeverChangedOnItsWayToTheModel(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),mass (g),outlets,wheels,try,distance (cm)\nHeavy,6,600,1,bottle caps,1,60\nWide,25,60,1,bottle caps,1,300\nMany,6,60,40,bottle caps,1,250\n",
        );
        $forces = new ClassForces(ClassRecord::of($challenge));
        $car = static fn(string $group) => $challenge->groups()->where('name', $group)->sole()->newestCar();

        self::assertSame(0.6, $forces->of($car('Heavy'))?->model->settings->get(CarAttribute::Mass));
        self::assertSame(0.025, $forces->of($car('Wide'))?->model->settings->get(CarAttribute::NozzleBore));
        self::assertNull($forces->of($car('Many')));
        self::assertSame(
            [$car('Many')?->id => ['nozzle_outlets' => 40.0]],
            array_map(static fn(array $each): array => array_map(static fn(Beyond $of): float => $of->value, $each), $forces->beyond),
        );
        $this->get("/challenges/{$challenge->id}/bench")->assertOk()->assertSee('Number of outlets 40 (it takes 1 to 20)');
        $this->get("/challenges/{$challenge->id}/groups/{$car('Many')?->group_id}/car")
            ->assertOk()
            ->assertSee('nothing is predicted of this car');
        foreach (['/findings', '/findings/work', '/findings/beliefs', '/findings/sure', '/report', '/dry-run'] as $page) {
            $this->get("/challenges/{$challenge->id}{$page}")->assertOk();
        }
        $this->get("/challenges/{$challenge->id}/dry-run?car={$car('Heavy')?->id}")->assertSee('"mass":0.6', false);
    }

    public function testTheFloorKeepsItsScaleAndItsWhiskersInBounds(): void
    {
        $challenge = Scenario::challenge($this->educator, ['lane_length' => Scenario::entry('30 m')]);
        $this->post("/challenges/{$challenge->id}/groups", ['names' => "Keel\nReef"]);
        $drawn = static fn(Challenge $challenge): array => (new FloorDrawing(ClassRecord::of($challenge)))->data();
        $start = $drawn($challenge)['max'];
        $this->log($challenge, 'Keel', ['distance' => '100']);
        self::assertSame($start, $drawn($challenge)['max'], 'the first run changes nothing');
        $this->log($challenge, 'Keel', ['distance' => '300']);
        $this->log($challenge, 'Reef', ['distance' => '110']);
        self::assertLessThan($start, $drawn($challenge)['max']);
        self::assertGreaterThan(300, $drawn($challenge)['max']);

        self::assertSame([null, null], array_column($drawn($challenge)['rows'], 'interval'), 'whiskers from wall to wall say nothing');
        $alike = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,try,distance\nKeel,1,200\nKeel,2,210\nReef,1,110\nReef,2,114\nFender,1,150\n",
        );
        foreach (array_column($drawn($alike)['rows'], 'interval') as $row => $interval) {
            self::assertNotNull($interval, "a car with one try has its classmates' ({$row})");
            self::assertGreaterThan(0.0, $interval[0]);
        }
    }

    public function testWaysThatWereMissing(): void
    {
        $this->get('/challenges')->assertSee('bring the sheet in')->assertSee('/challenges/new?then=sheet', false);
        $this->post(
            '/challenges',
            [
                'name' => 'Hall', 'goal' => 'farthest', 'scoring' => 'mean', 'tries' => '3', 'units' => 'metric', 'lane_length' => '6 m',
                'then' => 'sheet',
            ],
        );
        $challenge = $this->educator->challenges()->sole();
        $this->get("/challenges/{$challenge->id}/sheet")->assertOk();

        // Joining: this machine alone, and then the network.
        config(['skivo.host' => '127.0.0.1']);
        $this->get("/challenges/{$challenge->id}/devices")->assertSee('Tablets can’t reach Skivo yet')
            ->assertSee('bin/skivo start --tablets');
        config(['skivo.host' => '192.168.7.9', 'skivo.port' => 8484, 'skivo.name' => 'lane.skivo.example']);
        $this->get("/challenges/{$challenge->id}/devices")
            ->assertSee('lane.skivo.example:8484/join')
            ->assertSee('192.168.7.9:8484/join')
            ->assertDontSee('localhost/join');
        $this->post("/challenges/{$challenge->id}/devices/codes", ['for' => 'log']);
        $this->get("/challenges/{$challenge->id}/devices")->assertSee('data-qr="http://lane.skivo.example:8484/join/', false);
    }

    public function testAGroupsTabletHasNoDeadEnd(): void
    {
        $challenge = $this->class();
        $keel = $challenge->groups()->where('name', 'Keel')->sole();
        [$device] = AdmitDevices::join($challenge, \Skivo\Core\People\DeviceRole::Group, 'tablet', $keel);
        \Illuminate\Support\Facades\Auth::forgetGuards();
        \Illuminate\Support\Facades\Auth::shouldUse('device');
        $this->actingAs($device, 'device');
        $own = "/challenges/{$challenge->id}/groups/{$keel->id}/own";
        // Every page that a group may open is crawled: no link leads where it may not go.
        $open = ['/joined' => ''];
        $seen = [];
        while ($open !== []) {
            [$page, $from] = [array_key_first($open), reset($open)];
            unset($open[$page]);
            $seen[$page] = true;
            $answer = $this->get($page);
            $leads = (string) $answer->headers->get('Location');
            self::assertContains(
                $answer->getStatusCode(),
                [200, 302],
                "{$from} leads to {$page}: " . substr((string) $answer->exception?->getMessage(), 0, 300),
            );
            self::assertStringNotContainsString('sign-in', $leads, "{$from} leads to {$page}");
            $links = [[], [], $leads === '' ? [] : [$leads]];
            if ($answer->getStatusCode() === 200 && str_contains((string) $answer->headers->get('Content-Type'), 'html')) {
                preg_match_all('~href="(http://localhost)?(/[^"#]*)["#]~', (string) $answer->getContent(), $links);
            }
            foreach ($links[2] as $link) {
                $link = html_entity_decode(str_replace('http://localhost', '', $link));
                if (!isset($seen[$link]) && !str_starts_with($link, '/build/') && $link !== '/icon.svg') {
                    $open[$link] ??= (string) $page;
                }
            }
        }
        self::assertGreaterThan(20, count($seen));
        self::assertArrayHasKey("/challenges/{$challenge->id}/groups/{$keel->id}/at/why", $seen);
        self::assertArrayHasKey("/challenges/{$challenge->id}/groups/{$keel->id}/notebook", $seen);
        // The try that was asked about has been run meanwhile: nothing is noted under another number.
        $this->put("/challenges/{$challenge->id}/groups/{$keel->id}/prediction", ['predicted' => '150', 'try' => '2'])->assertSessionHas(
            'status',
            'Try 2 has been run in the meantime, so the prediction was not kept. Predict the next one.',
        );
        self::assertSame(0, $keel->newestCar()?->predictions()->count());
        $this->get($own)->assertSee('name="try" value="3"', false);
    }
}
