<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Actions\AdmitDevices;
use App\Models\Challenge;
use App\Models\Group;
use App\Models\Prediction;
use App\Pages\Findings\PredictionsReading;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\Mark;
use Skivo\Core\People\DeviceRole;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What a group says before its try, beside what happens. */
final class PredictionTest extends FeatureTestCase
{
    private Challenge $challenge;

    private Group $keel;

    protected function setUp(): void
    {
        parent::setUp();
        $this->challenge = $this->class();
        $this->keel = $this->challenge->groups()->where('name', 'Keel')->firstOrFail();
    }

    public function testAVoidTryIsMadeAgainUnderItsPrediction(): void
    {
        $this->foretell($this->keel, '140');
        $this->log($this->challenge, 'Keel', ['void' => 'no start']);
        self::assertSame([], $this->read()->foresights, 'a void try is no result');
        self::assertArrayHasKey($this->keel->id, $this->read()->open, 'what was said still stands');
        $this->log($this->challenge, 'Keel', ['distance' => '150']);
        self::assertEqualsWithDelta(0.1, $this->read()->foresights[$this->keel->id]->typicalMiss(), 1e-9);
    }

    public function testARebuiltCarStartsAnew(): void
    {
        $reef = $this->challenge->groups()->where('name', 'Reef')->firstOrFail();
        $this->foretell($reef, '200');
        self::assertSame(
            [2, 2],
            [Prediction::query()->sole()->try, Prediction::query()->sole()->car->version],
            'of the second try of the second version',
        );
        $reef->cars()->create(['version' => 3]);
        $this->foretell($reef, '300');
        self::assertSame(
            [1, 3],
            [Prediction::query()->latest('id')->firstOrFail()->try, Prediction::query()->latest('id')->firstOrFail()->car->version],
        );
        self::assertSame([$reef->id], array_keys($this->read()->open));
        self::assertSame('300 cm', $this->read()->open[$reef->id]->distance->text);
    }

    public function testAGroupWithoutACarMayForetellToo(): void
    {
        $new = $this->challenge->groups()->create(['name' => 'New', 'mark' => Mark::all()[9], 'position' => 9]);
        $this->foretell($new, '1 m');
        self::assertSame(1, Prediction::query()->sole()->try);
        $this->get("/challenges/{$this->challenge->id}/findings/awards")->assertOk()->assertSee('New, try 1');
    }

    public function testAHelperMayWriteItDown(): void
    {
        [, $key] = AdmitDevices::join($this->challenge, DeviceRole::Log, 'helper');
        auth()->forgetGuards();
        auth('web')->logout();
        $this->withHeaders(['Authorization' => "Bearer {$key}"])
            ->put("/challenges/{$this->challenge->id}/groups/{$this->keel->id}/prediction", ['predicted' => '140'])
            ->assertRedirect();
        self::assertSame(1, Prediction::query()->count());
    }

    public function testAnothersClassIsNoneOfTheirs(): void
    {
        $other = Scenario::withClass(Scenario::challenge(Scenario::educator('Somebody else')));
        $theirs = $other->groups()->firstOrFail();
        $this->put("/challenges/{$other->id}/groups/{$theirs->id}/prediction", ['predicted' => '140'])->assertNotFound();
        $this->put("/challenges/{$this->challenge->id}/groups/{$theirs->id}/prediction", ['predicted' => '140'])->assertNotFound();
        self::assertSame(0, Prediction::query()->count());
    }

    public function testItIsReadInTheUnitsOfTheClassAndKeptAsTyped(): void
    {
        $this->put("/challenges/{$this->challenge->id}/units", ['units' => 'imperial']);
        $this->foretell($this->keel, '4 ft 6 in');
        $held = Prediction::query()->sole();
        self::assertEqualsWithDelta(54 * 0.0254, $held->distance->quantity->si(), 1e-12);
        $this->get("/challenges/{$this->challenge->id}/findings/awards")->assertSee('value="4 ft 6 in"', false);
        $this->foretell($this->keel, '60');
        self::assertEqualsWithDelta(60 * 0.0254, Prediction::query()->sole()->distance->quantity->si(), 1e-12, 'a bare number is inches');
    }

    public function testTheMostAccurateComesFirstAndTheClassImproves(): void
    {
        $bowline = $this->challenge->groups()->where('name', 'Bowline')->firstOrFail();
        foreach ([[$this->keel, [[1, '218'], [3, '141']]], [$bowline, [[1, '379'], [2, '346'], [3, '352']]]] as [$group, $said]) {
            foreach ($said as [$try, $distance]) {
                $run = $group->runs()->where('try', $try)->whereNull('void_reason')->first();
                $group->newestCar()
                    ?->predictions()
                    ->create(
                        [
                            'try' => $try, 'distance' => Scenario::entry("{$distance} cm"),
                            'made_at' => ($run->logged_at ?? now())->subMinute(),
                        ],
                    );
            }
        }
        $this->log($this->challenge, 'Keel', ['distance' => '131']);
        $read = $this->read();
        self::assertSame([$bowline->id, $this->keel->id], array_keys($read->foresights));
        // Bowline: 50, 5 and 0 cm off; Keel: 100 and 10.
        self::assertEqualsWithDelta(0.55 / 3, $read->foresights[$bowline->id]->typicalMiss(), 1e-9);
        self::assertEqualsWithDelta(0.5, $read->foresights[$bowline->id]->improvement(), 1e-9);
        self::assertEqualsWithDelta(0.9, $read->foresights[$this->keel->id]->improvement(), 1e-9);
        $this->get("/challenges/{$this->challenge->id}/findings/awards")
            ->assertSeeText('Bowline predicted best,')
            ->assertSee("90\u{00A0}cm closer")
            ->assertSee("75\u{00A0}cm on the first");
    }

    public function testTheTabletOfAGroupShowsWhatItSaid(): void
    {
        $this->get("/challenges/{$this->challenge->id}/groups/{$this->keel->id}/own")
            ->assertOk()
            ->assertSee('How far will try 3 go?')
            ->assertSee('That is our prediction');
        $this->foretell($this->keel, '140');
        $this->get("/challenges/{$this->challenge->id}/groups/{$this->keel->id}/own")
            ->assertSee('Change our prediction')
            ->assertSee('value="140 cm"', false);
    }

    private function foretell(Group $group, string $distance): void
    {
        $this->put("/challenges/{$this->challenge->id}/groups/{$group->id}/prediction", ['predicted' => $distance])
            ->assertRedirect()
            ->assertSessionHasNoErrors();
    }

    private function read(): PredictionsReading
    {
        return PredictionsReading::of(ClassRecord::of($this->challenge->fresh() ?? $this->challenge));
    }
}
