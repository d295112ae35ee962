<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Models\Challenge;
use App\Record\ClassFindings;
use App\Record\ClassPlan;
use App\Record\ClassRecord;
use App\Record\DesignForecast;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Check\CheckItem;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What drives a car decides what is drawn, built, checked and computed of it; of an unknown drive nothing is computed. */
final class EnergySourceTest extends FeatureTestCase
{
    private const SHEET = <<<'CSV'
        group,source of energy,nozzle,nozzle bore (mm),balloon diameter (cm),bands in the chain,length of one band (cm),turns wound,tyres,height of the ramp (cm),length of the ramp along the floor (cm),mass (g),wheels,try,distance (cm)
        Bowline,balloon,,8,20,,,,,,,58,bottle caps,1,329
        Bowline,,,,,,,,,,,,,2,341
        Keel,elastic band,,,,2,6,14,rubber band,,,58,bottle caps,1,410
        Keel,,,,,,,,,,,,,2,395
        Reef,ramp,,,,,,,,15,60,58,bottle caps,1,120
        Reef,,,,,,,,,,,,,2,118
        Thimble,elastic band,,,,,,,,,,58,bottle caps,1,240
        Thimble,,,,,,,,,,,,,2,260
        Cleat,,elastic band drive,,,,,,,,,58,bottle caps,1,300
        Cleat,,,,,,,,,,,,,2,310
        CSV;

    public function testNothingIsPredictedOfACarWhoseDriveTheModelDoesNotHave(): void
    {
        $challenge = $this->withDrives();
        $record = ClassRecord::of($challenge);
        $forecast = ClassFindings::of($record)->found->forecast;
        $car = fn(string $name): int => (int) $this->named($challenge, $name)->newestCar()?->id;
        foreach (['Bowline', 'Keel', 'Reef'] as $name) {
            self::assertArrayHasKey($car($name), $forecast->forecasts, $name);
            $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, $name)->id}/car")
                ->assertOk()
                ->assertSee('One more try:');
        }
        self::assertSame([CarAttribute::ChainLength, CarAttribute::TurnsWound], $forecast->missing[$car('Thimble')]);
        $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, 'Thimble')->id}/car")
            ->assertOk()
            ->assertSee('Nothing can be said yet of how far it will go: length of the chain, unstretched and number of turns wound');
        foreach (['Cleat'] as $name) {
            self::assertArrayNotHasKey($car($name), $forecast->forecasts, $name);
            self::assertSame([], $forecast->beyond[$car($name)], $name);
            self::assertNull(
                DesignForecast::of($record, $this->named($challenge, $name)->newestCar()?->choices ?? throw new \LogicException()),
            );
            $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, $name)->id}/car")
                ->assertOk()
                ->assertSee('Nothing is predicted of this car');
        }
        // Their runs count as any other's, and have their places.
        self::assertSame((string) $this->named($challenge, 'Keel')->id, $record->standings()->leader()?->entrant->id);
        foreach (
            [
                '', '/findings', '/findings/choices', '/findings/choices?against=energy_source', '/findings/work', '/findings/sure',
                '/findings/beliefs', '/report', '/report/notebooks', '/bench', '/check', '/cars', '/groups', '/dry-run', '/plan/steps',
            ] as $page
        ) {
            $this->get("/challenges/{$challenge->id}{$page}")->assertOk();
        }
        foreach (['Keel', 'Reef'] as $name) {
            $group = $this->named($challenge, $name);
            foreach (
                [
                    '/steps', '/diagnosis', '/diagnosis?seen=veers', '/bench', '/check', '/own', '/at/idea', '/at/build', '/at/check',
                    '/at/guess', '/at/why', '/at/change', '/notebook',
                ] as $page
            ) {
                $this->get("/challenges/{$challenge->id}/groups/{$group->id}{$page}")->assertOk();
            }
        }
    }

    public function testABandIsDrawnWhereItIsAndNoBalloon(): void
    {
        $challenge = $this->withDrives();
        $page = function (string $name) use ($challenge): string {
            $html = (string) $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, $name)->id}/car")->getContent();
            self::assertSame(1, preg_match('#<svg\s+class="drawing car-drawing".*?</svg>#s', $html, $drawing));

            return $drawing[0];
        };
        self::assertStringContainsString('class="skin"', $page('Bowline'));
        self::assertStringNotContainsString('class="elastic"', $page('Bowline'));
        self::assertStringContainsString('class="elastic"', $page('Keel'));
        self::assertStringNotContainsString('class="skin"', $page('Keel'));
        self::assertStringNotContainsString('class="jet"', $page('Keel'));
        self::assertStringNotContainsString('class="skin"', $page('Reef'));
        self::assertStringNotContainsString('class="elastic"', $page('Reef'));
    }

    public function testItsStepsAndChecksAreThoseOfACarWithoutABalloon(): void
    {
        $challenge = $this->withDrives();
        $steps = fn(string $name): array => array_map(
            static fn(BuildTask $task): BuildStep => $task->step,
            ClassPlan::of($challenge)->stepsOfCar(
                $this->named($challenge, $name)->newestCar()?->choices ?? throw new \LogicException(),
            )->tasks,
        );
        self::assertContains(BuildStep::JoinBalloon, $steps('Bowline'));
        foreach (
            [BuildStep::JoinBalloon, BuildStep::StretchBalloon, BuildStep::Airtight, BuildStep::Clearance, BuildStep::CutNozzle] as $step
        ) {
            self::assertNotContains($step, $steps('Keel'));
        }
        self::assertContains(BuildStep::Roll, $steps('Keel'));
        self::assertContains(BuildStep::HookChain, $steps('Keel'));
        self::assertNotContains(BuildStep::HookChain, $steps('Reef'));
        $record = ClassRecord::of($challenge);
        $card = $record->card($record->groups->firstWhere('name', 'Keel') ?? throw new \LogicException());
        self::assertSame(CheckItem::askedOf(EnergySource::ElasticBand), $card?->items());
        self::assertNotContains(CheckItem::Airtight, $card?->items() ?? []);
        self::assertContains(CheckItem::PointsOff, $card?->items() ?? []);
        $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, 'Keel')->id}/check")
            ->assertDontSee('Joint airtight')
            ->assertSee('Wheels turn freely');
        $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, 'Bowline')->id}/check")->assertSee('Joint airtight');
    }

    public function testWoundBandsBringTheirCautionAndBenchTestsOfABalloonGo(): void
    {
        $challenge = $this->withDrives();
        $this->get("/challenges/{$challenge->id}/plan/safety")->assertSee('Wound bands')->assertSee('Never aim a band at anyone.');
        $this->get('/challenges/' . $this->class()->id . '/plan/safety')->assertDontSee('Wound bands');
        $bench = fn(string $name) => $this->get("/challenges/{$challenge->id}/groups/{$this->named($challenge, $name)->id}/bench");
        $bench('Keel')->assertDontSee('Push on a scale')
            ->assertSee('Ramp and roll-out')
            ->assertSee('Pull of the band')
            ->assertSee('Bands snap and fly');
        $bench('Reef')->assertDontSee('Pull of the band')->assertDontSee('Push on a scale');
        $bench('Bowline')->assertSee('Push on a scale');
    }

    public function testADiagnosisSpeaksOfTheCarsOwnDrive(): void
    {
        $challenge = $this->withDrives();
        $page = fn(string $name, string $seen) => $this->get(
            "/challenges/{$challenge->id}/groups/{$this->named($challenge, $name)->id}/diagnosis?seen={$seen}",
        )->assertOk();
        $page('Keel', 'does-not-start')->assertSee('mN')
            ->assertSee('The chain is too long')
            ->assertDontSee('It hisses')
            ->assertDontSee('Nozzle pinched');
        $page('Keel', 'short-run')->assertSee('% of');
        $page('Thimble', 'does-not-start')->assertDontSee('mN');
        $page('Thimble', 'short-run')->assertDontSee('% of');
        $page('Cleat', 'does-not-start')->assertDontSee('mN');
        $page('Reef', 'does-not-start')->assertSee('The ramp is too low')->assertDontSee('mN');
        $page('Bowline', 'does-not-start')->assertSee('mN');
    }

    public function testItIsRecordedOnTheBuildSheetAndStandsOnTheRunTable(): void
    {
        $challenge = $this->withDrives();
        $keel = $this->named($challenge, 'Keel')->newestCar();
        self::assertSame(EnergySource::ElasticBand, $keel?->choices->source());
        $this->get("/challenges/{$challenge->id}/sheet/csv")->assertSee('source of energy')->assertSee('elastic band');
        self::assertSame('elastic band', $keel?->choices->explanation(CarAttribute::EnergySource));
    }

    private function withDrives(): Challenge
    {
        return Scenario::withClass(Scenario::challenge($this->educator, ['tries' => 2]), self::SHEET);
    }
}
