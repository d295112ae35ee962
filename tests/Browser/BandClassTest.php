<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverSelect;
use Illuminate\Support\Facades\Cache;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\EnergySource;
use Tests\Scenario;

/** A class whose cars are driven by wound bands, from Set a challenge to its answer. */
final class BandClassTest extends BrowserTestCase
{
    public function testAClassForBandsGoesFromItsPlanToItsAnswer(): void
    {
        $browser = $this->signIn()->visit('/challenges/new')->fill('groups', '6')->fill('lane_length', '8 m')
            ->press('More rules')->fill('name', 'Wound up')->press('Set the challenge');
        $challenge = $this->educator->challenges()->latest('id')->firstOrFail();

        // The kit, and what follows from it.
        $browser->visit("/challenges/{$challenge->id}/plan/materials")->press('What cars are made of');
        $browser->follow(fn() => (new WebDriverSelect($browser->find('[name=kit_source]')))->selectByVisibleText('wound elastic band'));
        $list = $browser->text('table.materials');
        self::assertStringContainsString('Rubber bands to drive the car', $list);
        self::assertStringContainsString('Paper clips, for the hooks', $list);
        foreach (['Balloons', 'Nozzle', 'Balloon pump'] as $blown) {
            self::assertStringNotContainsString($blown, $list);
        }
        $browser->visit("/challenges/{$challenge->id}/plan/steps")->press('Knot the bands');
        $steps = $browser->text('.build-steps');
        self::assertStringContainsString('Loop bands through each other', $steps);
        foreach (['Stretch the balloon', 'Balloon on', 'Cut the nozzle', 'Does it leak?'] as $blown) {
            self::assertStringNotContainsString($blown, $steps);
        }
        $browser->visit("/challenges/{$challenge->id}/plan/print?brief=1&helpers=1&booklet=1&labels=1&size=a4");
        $paper = $browser->text('.pack');
        self::assertStringContainsString('Build a car that a wound band drives.', $paper);
        self::assertStringContainsString('Wind the band as the group has noted', $paper);
        self::assertStringNotContainsString('Fill the balloon', $paper);

        // Its cautions are read before Build opens.
        $browser->press('Build');
        self::assertStringContainsString('Wound bands', $browser->text('main'));
        self::assertStringNotContainsString('Bursting balloons', $browser->text('main'));
        $browser->press('I have read it');

        // Who runs before anything is recorded has a band all the same.
        $browser->press('Run')->fill('distance', '212')->logRun();
        $car = $challenge->groups()->firstOrFail()->newestCar();
        self::assertSame(EnergySource::ElasticBand, $car?->choices->source());

        // The question, the rest of the runs, and the answer.
        $challenge->runs()->delete();
        $challenge->groups()->each(static fn($group) => $group->cars()->delete());
        $challenge->refresh()->update(['asks' => CarAttribute::TurnsWound, 'question' => 'Does winding further carry the car farther?']);
        $csv = "group,turns wound,mass (g),try,distance (cm)\n";
        for ($index = 0; $index < 6; $index++) {
            $turns = $index % 2 === 0 ? 12 : 20;
            for ($try = 1; $try <= 3; $try++) {
                $went = round(($turns === 12 ? 180 : 430) * (1.0 + 0.05 * sin(7.0 * $index + $try)), 1);
                $csv .= 'Group ' . ($index + 1) . ",{$turns},60,{$try},{$went}\n";
            }
        }
        Scenario::withClass($challenge, $csv);
        Cache::flush();
        $browser->visit("/challenges/{$challenge->id}/findings")->settle();
        self::assertStringContainsString('Yes.', $browser->text('main'));
        foreach ($challenge->groups()->get() as $group) {
            self::assertSame(EnergySource::ElasticBand, $group->newestCar()?->choices->source(), $group->name);
        }
        self::assertSame([], $browser->accessibilityProblems());
    }
}
