<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use App\Language\Label;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class FindingsTest extends FeatureTestCase
{
    public function testSaysInWordsFirstWhatDistanceGoesWith(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore")
            ->assertSee('A hint, worth a test: wider bores went farther here:')
            ->assertSee('cm for each mm more')
            ->assertSee('5 cars, nozzle bore from')
            ->assertSee('That is few')
            ->assertSee('Spearman’s ρ = +1.00')
            ->assertSee('to the power')
            ->assertSee('Reef');
        $this->get(
            "/challenges/{$challenge->id}/findings/choices?against=mass",
        )->assertSee('A hint, worth a test: lighter cars went farther here:');
        $this->get("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore&of=time")
            ->assertSee('No clear trend with nozzle bore.')
            ->assertSee('would fit these cars');
        $this->get("/challenges/{$challenge->id}/findings/choices?against=wheel_kind")
            ->assertSee('No clear difference by kind of wheels.')
            ->assertSee('analysis of variance over 5 cars');
    }

    public function testOpensWithTheNumberThatTellsMost(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}/findings/choices")->assertSee('A hint, worth a test: wider bores went farther here:');
    }

    public function testWithLittleDataItSaysWhatIsMissing(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->get("/challenges/{$challenge->id}/findings/choices")->assertSee('Nothing to set against each other yet.');

        Scenario::withClass($challenge, "group,nozzle bore (mm),try,distance\nA,5,1,100\nB,8,1,300\n");
        $this->get("/challenges/{$challenge->id}/findings/choices")
            ->assertSee('Too few cars to say.')
            ->assertSee('Two cars always lie on a line');

        Scenario::withClass($challenge, "group,nozzle bore (mm),try,distance\nC,8,1,110\nD,5,1,280\n");
        $this->get("/challenges/{$challenge->id}/findings/choices")->assertSee('No clear trend with nozzle bore.');
    }

    public function testQuickerIsLessTime(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),try,distance,time\nA,5,1,100,2.0\nB,6,1,110,1.6\nC,7,1,120,1.1\nD,8,1,130,0.7\n",
        );
        $this->get("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore&of=time")
            ->assertSee('Wider bores were quicker here:')
            ->assertSee("about −0.44\u{00A0}s for each mm more");
    }

    public function testAChoiceThatAllShareExplainsNothing(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,mass,chassis,try,distance\nA,58,card,1,100\nB,58,card,1,300\nC,58,card,1,200\n",
        );
        $this->get("/challenges/{$challenge->id}/findings/choices?against=mass")->assertSee('Every car has the same mass.');
        $this->get("/challenges/{$challenge->id}/findings/choices?against=chassis")->assertSee('Every car has the same chassis: card.');
    }

    public function testEveryFactorInBothUnits(): void
    {
        $challenge = $this->class();
        foreach (['metric', 'imperial'] as $units) {
            $this->put("/challenges/{$challenge->id}/units", ['units' => $units]);
            foreach (\Skivo\Core\Car\Attribute\CarAttribute::explaining() as $factor) {
                $this->get("/challenges/{$challenge->id}/findings/choices?against={$factor->value}")
                    ->assertOk()
                    ->assertSee(Label::of($factor));
            }
        }
    }
}
