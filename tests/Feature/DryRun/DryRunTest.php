<?php

declare(strict_types=1);

namespace Tests\Feature\DryRun;

use App\Models\Challenge;
use App\Models\OwnPart;
use Illuminate\Support\Facades\URL;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Exchange\DesignReader;
use Skivo\Core\Exchange\RunReport;
use Skivo\Core\Simulation\Simulator;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class DryRunTest extends FeatureTestCase
{
    private const DESIGN = '{"balloon":{"relaxed_diameter_m":0.06,"film_thickness_m":0.00025,"inflated_diameter_m":0.2},'
        . '"nozzle":{"segments":[{"bore_m":0.006,"length_m":0.15}]},"car":{"mass_kg":0.06,"rolling_coefficient":0.03}}';

    public function testTheBenchOpensWithAUsualCarOrAGroups(): void
    {
        $challenge = $this->class();
        $car = $challenge->groups()->where('name', 'Halyard')->sole()->cars()->sole();

        $this->get("/challenges/{$challenge->id}/dry-run")
            ->assertOk()
            ->assertSee('Halyard')
            ->assertSee('"workmanship":0.0', false)
            ->assertSee('"balloon_pressure":', false);
        $this->get("/challenges/{$challenge->id}/dry-run?car={$car->id}")->assertOk()
            ->assertSee('2 of 33 values measured', false)->assertSee('"nozzle_bore":0.009', false)->assertSee('Which is which');
        $this->get("/challenges/{$challenge->id}/dry-run?a=nozzle_bore:0.007&b=nonsense&c=nozzle_bore:9")
            ->assertOk()
            ->assertSee('"designs":{"a":{"nozzle_bore":0.007,', false)
            ->assertDontSee('nonsense');
    }

    public function testADesignIsRunInTheUnitsOfTheClass(): void
    {
        $challenge = $this->class();
        $answer = $this->ask($challenge, 'run', 'd=nozzle_bore:0.008,mass:0.05')->assertOk()->json();
        $run = Simulator::run(\App\Pages\DryRun\DryRun::read('nozzle_bore:0.008,mass:0.05')->design());

        self::assertEqualsWithDelta($run->distanceM * 100, $answer['distance'], 0.01);
        self::assertLessThan($answer['distance'], $answer['low']);
        self::assertGreaterThan($answer['distance'], $answer['high']);
        self::assertStringContainsString('push', $answer['said'][0][0]);
        self::assertCount(122, $answer['trajectory']);

        $this->put("/challenges/{$challenge->id}/units", ['units' => 'imperial']);
        self::assertEqualsWithDelta(
            $run->distanceM / 0.0254,
            $this->ask($challenge, 'run', 'd=nozzle_bore:0.008,mass:0.05')->json('distance'),
            0.01,
        );
    }

    public function testASchoolIsRightForTheCarInHand(): void
    {
        $challenge = $this->class();
        $said = fn(string $design): string => json_encode(
            $this->ask($challenge, 'run', "d={$design}")->json('said'),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
        );

        self::assertStringContainsString('Rolling takes most of the push', $said('rolling_coefficient:0.1'));
        self::assertStringContainsString(
            'a wider nozzle helps',
            $this->ask($challenge, 'sweep', 'd=rolling_coefficient:0.1')->json('schools')[1],
        );
        self::assertStringContainsString('Air takes most of the push', $said('rolling_coefficient:0.004,mass:0.02,balloon_size:0.3'));
        self::assertStringContainsString('It does not start.', $said('rolling_coefficient:0.4,mass:0.3'));
    }

    public function testADesignThatCannotBeIsSaid(): void
    {
        $challenge = $this->class();
        $this->ask($challenge, 'run', 'd=nozzle_bore:9')
            ->assertStatus(422)
            ->assertJsonPath(
                'message',
                "Nozzle bore must be from 1\u{00A0}mm to 100\u{00A0}mm on this car. Turn it back, or change what limits it.",
            );
        $this->ask($challenge, 'run', 'd=wings:2')->assertStatus(422);
        $this->ask($challenge, 'sweep', 'd=bore:NAN')->assertStatus(422);
    }

    public function testSweeps(): void
    {
        $challenge = $this->class();
        $curve = $this->ask($challenge, 'sweep', 'x=mass')->assertOk()->json();
        self::assertCount(40, $curve['curve']);
        self::assertSame('Mass, g', $curve['xLabel']);
        self::assertNotSame([], $curve['sensitivities']);

        $field = $this->ask($challenge, 'sweep', 'x=bore&y=mass')->assertOk()->json();
        self::assertCount(18 * 12, $field['distances']);
        self::assertStringContainsString(' and ', $field['best']['shown']);
    }

    public function testAPartOfOnesOwnServesTheModel(): void
    {
        $challenge = $this->class();
        $path = "/challenges/{$challenge->id}/parts";
        $part = [
            'kind' => 'wheel', 'name' => 'Bottle caps', 'wheel_diameter' => '2,9 cm', 'wheel_mass' => '2', 'wheel_inertia' => '0.7',
            'wheel_loss' => '0,02', 'wheel_thickness' => '14',
        ];
        $this->post($path, $part)->assertSessionHasNoErrors();
        $this->post($path, $part)->assertSessionHasErrors('name');
        $this->post(
            $path,
            ['name' => 'Others', 'wheel_mass' => '2 m', 'wheel_loss' => '7'] + $part,
        )->assertSessionHasErrors(['wheel_mass', 'wheel_loss']);

        $own = OwnPart::query()->where('challenge_id', $challenge->id)->sole();
        self::assertSame(0.029, $own->values['wheel_diameter']);
        $this->get($path)->assertSee('your own')->assertSee('from memory');
        self::assertSame(0.02, $challenge->refresh()->catalogue()->named($own->kind, 'bottle caps')?->value(CarAttribute::WheelLoss));
        $this->delete("{$path}/{$own->id}")->assertSessionHasNoErrors();
        self::assertSame(0.006, $challenge->refresh()->catalogue()->named($own->kind, 'bottle caps')?->value(CarAttribute::WheelLoss));
    }

    public function testPartsOfAnotherChallengeAreLeftAlone(): void
    {
        $foreign = Scenario::challenge($this->educator);
        $part = $foreign->ownParts()->create(
            ['kind' => 'surface', 'name' => 'Ice', 'values' => ['added_loss' => 0.0], 'origin' => 'your own'],
        );

        $this->delete('/challenges/' . $this->class()->id . "/parts/{$part->id}")->assertNotFound();
        self::assertTrue($part->exists());
    }

    public function testTheCommandRunsADesign(): void
    {
        [$status, $said] = $this->simulate(self::DESIGN);
        self::assertSame(0, $status, $said);
        $report = json_decode($said, true, 16, JSON_THROW_ON_ERROR);
        self::assertEqualsWithDelta(Simulator::run(DesignReader::read(self::DESIGN))->distanceM, $report['distance_m'], 1e-9);
        self::assertArrayNotHasKey('trajectory', $report);
        self::assertCount(122, json_decode($this->simulate(self::DESIGN, '--trajectory')[1], true, 16, JSON_THROW_ON_ERROR)['trajectory']);

        foreach (
            [
                '{"balloon":{}}' => 'nozzle is missing', '' => 'not JSON',
                str_replace('0.06,"rolling', '60,"rolling', self::DESIGN) => 'car.mass_kg must be from',
            ] as $design => $message
        ) {
            [$status, $said] = $this->simulate((string) $design);
            self::assertSame(2, $status);
            self::assertStringContainsString($message, $said);
        }
        self::assertSame(2, $this->simulate(self::DESIGN, '--fast')[0]);
    }

    public function testTheSchemasDescribeWhatGoesInAndOut(): void
    {
        $validator = new Validator();
        $schema = static fn(string $name): string => (string) file_get_contents(dirname(__DIR__, 3) . "/docs/{$name}.schema.json");
        $run = json_decode(
            json_encode(RunReport::of(Simulator::run(DesignReader::read(self::DESIGN), withTrajectory: true)), JSON_THROW_ON_ERROR),
            false,
        );

        self::assertTrue($validator->validate(json_decode(self::DESIGN), $schema('design'))->isValid());
        self::assertTrue($validator->validate($run, $schema('run'))->isValid());
        foreach ([['"mass_kg":0.06', '"mass_kg":60'], ['"bore_m":0.006', '"bore_m":"6"'], ['"mass_kg"', '"weight"']] as [$part, $instead]) {
            self::assertFalse($validator->validate(json_decode(str_replace($part, $instead, self::DESIGN)), $schema('design'))->isValid());
        }
        unset($run->distance_m);
        self::assertFalse($validator->validate($run, $schema('run'))->isValid());
    }

    public function testTheCommandRunsACarWithAWoundBand(): void
    {
        $design
            = '{"elastic":{"relaxed_length_m":0.24,"section_area_m2":3e-6,"installed_length_m":0.2,"turns":8},"drive":{"axle_radius_m":0.002,"wheel_radius_m":0.02,"driven_load_share":0.6},"car":{"mass_kg":0.07,"rolling_coefficient":0.01}}';
        [$status, $said] = $this->simulate($design);
        self::assertSame(0, $status, $said);
        $validator = new Validator();
        $schema = static fn(string $name): string => (string) file_get_contents(dirname(__DIR__, 3) . "/docs/{$name}.schema.json");
        self::assertTrue($validator->validate(json_decode($design), $schema('elastic-design'))->isValid());
        self::assertTrue($validator->validate(json_decode($said), $schema('elastic-run'))->isValid());
        self::assertGreaterThan(1.0, json_decode($said, true, 16, JSON_THROW_ON_ERROR)['distance_m']);
        [$status, $said] = $this->simulate(str_replace('"turns":8', '"turns":-8', $design));
        self::assertSame(2, $status);
        self::assertStringContainsString('elastic.turns must be from 0', $said);
        // What the schema leaves out is what the reader takes.
        $written = json_decode($design, true, 16, JSON_THROW_ON_ERROR);
        foreach (json_decode($schema('elastic-design'), true, 32, JSON_THROW_ON_ERROR)['properties'] as $part => $has) {
            foreach ($has['properties'] as $key => $value) {
                if (array_key_exists('default', $value)) {
                    $written[$part][$key] ??= $value['default'];
                }
            }
        }
        self::assertEquals(DesignReader::readElastic($design), DesignReader::readElastic(json_encode($written, JSON_THROW_ON_ERROR)));
    }

    public function testOnlyAPageThatWasOpenedMayAsk(): void
    {
        $this->getJson('/dry-run/metric/run?d=')->assertForbidden();
        $this->travel(25)->hours();
        $old = URL::temporarySignedRoute('dry-run.run', now()->subHour(), ['units' => 'metric'], false);
        $this->getJson("{$old}&d=")->assertForbidden();
    }

    public function testItsAddressesDieWithTheSignOut(): void
    {
        $challenge = $this->class();
        $page = (string) $this->get("/challenges/{$challenge->id}/dry-run")->getContent();
        self::assertSame(1, preg_match('~"run":"([^"]+)"~', $page, $found));
        $address = json_decode("\"{$found[1]}\"") . '&d=';
        $this->getJson($address)->assertOk();
        $this->getJson(preg_replace('/by=\w+/', 'by=another', $address))->assertForbidden();

        $this->post('/sign-out');
        $this->getJson($address)
            ->assertForbidden()
            ->assertJsonPath('message', 'This page is signed out, or has been open for more than a day. Open it again.');
    }

    private function ask(Challenge $challenge, string $what, string $query): TestResponse
    {
        $page = (string) $this->get("/challenges/{$challenge->id}/dry-run")->getContent();
        self::assertSame(1, preg_match("~\"{$what}\":\"([^\"]+)\"~", $page, $found));

        return $this->getJson(json_decode("\"{$found[1]}\"") . "&{$query}");
    }

    /** @return array{int, string} */
    private function simulate(string $design, string ...$options): array
    {
        $process = proc_open(
            [dirname(__DIR__, 3) . '/bin/skivo', 'simulate', '-', ...$options],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $design);
        fclose($pipes[0]);
        $said = stream_get_contents($pipes[1]) . stream_get_contents($pipes[2]);

        return [proc_close($process), $said];
    }
}
