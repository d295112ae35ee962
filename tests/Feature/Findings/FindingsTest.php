<?php

declare(strict_types=1);

namespace Tests\Feature\Findings;

use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

final class FindingsTest extends FeatureTestCase
{
    public function testSaysOfEachChoiceWhatItDoes(): void
    {
        $challenge = $this->class();
        $this->get("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore")
            ->assertSeeInOrder(['Distance against nozzle bore', 'With 9', 'ran cars that differ in nozzle bore']);
        $this->get("/challenges/{$challenge->id}/findings/choices?against=wheel_kind&of=time")->assertSee('Time against kind of wheels');
        // What is not there opens with the surest.
        $this->get("/challenges/{$challenge->id}/findings/choices?against=lip_cut")->assertSee('Distance against ');
    }

    public function testWithLittleDataItSaysWhatIsMissing(): void
    {
        $challenge = Scenario::challenge($this->educator);
        $this->get("/challenges/{$challenge->id}/findings/choices")->assertSee('No two cars that ran differ in anything');
        Scenario::withClass($challenge, "group,nozzle bore (mm),try,distance\nA,5,1,100\nB,8,1,300\n");
        $this->settle();
        $this->get("/challenges/{$challenge->id}/findings/choices")
            ->assertSee('Nozzle bore: too few groups to say.')
            ->assertSee('It takes four groups');
        Scenario::withClass($challenge, "group,nozzle bore (mm),try,distance\nC,8,1,110\nD,5,1,280\n");
        $this->settle();
        $this->get("/challenges/{$challenge->id}/findings/choices")->assertSee('Nozzle bore: can’t tell yet.');
    }

    public function testQuickerIsLessTime(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),try,distance,time\nA,5,1,100,2.0\nB,6,1,110,1.6\nC,7,1,120,1.1\nD,8,1,130,0.7\nE,5,1,101,1.9\nF,8,1,128,0.75\n",
        );
        $this->get("/challenges/{$challenge->id}/findings/choices?against=nozzle_bore&of=time")
            ->assertSee('Time against nozzle bore')
            ->assertSee('takes about');
    }

    public function testAChoiceThatAllShareExplainsNothing(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,mass,chassis,try,distance\nA,58,card,1,100\nB,58,card,1,300\nC,58,card,1,200\n",
        );
        $this->get("/challenges/{$challenge->id}/findings/choices")->assertSee('The same on every car: mass and chassis.');
    }

    public function testEveryChoiceInBothUnits(): void
    {
        $challenge = $this->class();
        foreach (['metric', 'imperial'] as $units) {
            $this->put("/challenges/{$challenge->id}/units", ['units' => $units]);
            foreach (\Skivo\Core\Findings\Difference::compared() as $factor) {
                $this->get("/challenges/{$challenge->id}/findings/choices?against={$factor->value}")
                    ->assertOk()
                    ->assertSee('Distance against ');
            }
        }
    }
}
