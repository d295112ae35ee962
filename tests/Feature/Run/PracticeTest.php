<?php

declare(strict_types=1);

namespace Tests\Feature\Run;

use App\Models\Challenge;
use App\Models\Group;
use App\Models\Run;
use App\Pages\Run\Floor;
use App\Pages\Run\NextRun;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Skivo\Core\Challenge\RunKind;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Practice, runs under other conditions, the far wall, one-tap voids, and a sweep over the fill. */
final class PracticeTest extends FeatureTestCase
{
    public function testPracticeIsKeptForForecastsAndNeverPlaced(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator),
            "group,nozzle bore (mm),balloon diameter (cm),mass (g),wheels\nKeel,6,20,60,bottle caps\nReef,6,20,60,bottle caps\n",
        );
        $keel = $this->named($challenge, 'Keel');
        $before = $this->middle($challenge, $keel);
        $this->log($challenge, 'Keel', ['distance' => '120', 'practice' => '1'])->assertSessionHasNoErrors();
        $this->log(
            $challenge,
            'Keel',
            ['distance' => '125', 'practice' => '1'],
        )->assertSessionHas('status', "Logged: Keel, practice 2, 125\u{00A0}cm.");
        $this->settle();
        $record = ClassRecord::of($challenge);
        self::assertNull($record->standings()->leader());
        self::assertSame('try 1 of 3', NextRun::of($record, $this->named($challenge, 'Keel'))->words);
        self::assertLessThan(
            abs($before - 1.22),
            abs($this->middle($challenge, $keel) - 1.22),
            'the forecast has moved towards what it did',
        );
        $this->get("/challenges/{$challenge->id}")->assertOk()->assertSee('practice 1')->assertSee('"aside":true', false);
        $this->log($challenge, 'Keel', ['distance' => '130'])->assertSessionHas('status', "Logged: Keel, try 1, 130\u{00A0}cm.");
        self::assertSame(1.3, ClassRecord::of($challenge)->standings()->leader()?->score);

        // Taken for a try by a correction, it gets a number that is free.
        $practised = $challenge->runs()->where('kind', RunKind::Practice)->orderBy('try')->firstOrFail();
        $this->put(
            "/challenges/{$challenge->id}/runs/{$practised->id}",
            ['kind' => 'try', 'edition' => $practised->edition],
        )->assertSessionHasNoErrors();
        self::assertSame([RunKind::Try, 2], [$practised->refresh()->kind, $practised->try]);
        $this->get("/challenges/{$challenge->id}/runs")->assertSee('kind of run practice → none')->assertSee('practice');
        // And undone, it is practice again.
        $this->post("/challenges/{$challenge->id}/undo")->assertSessionHasNoErrors();
        self::assertSame([RunKind::Practice, 1], [$practised->refresh()->kind, $practised->try]);
    }

    public function testTheFirstRunsMayBePracticeByRule(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator, ['practice_runs' => 1, 'tries' => 2]), "group\nKeel\nReef\n");
        $state = fn(): array => collect($this->getJson("/challenges/{$challenge->id}/floor")->assertOk()->json('groups'))->keyBy('name')
            ->map(static fn(array $group): array => [$group['try'], $group['practice']])
            ->all();
        self::assertSame(['practice 1 of 1', true], $state()['Keel']);
        $this->get("/challenges/{$challenge->id}")->assertSee('practice 1 of 1');
        $this->log($challenge, 'Keel', ['distance' => '120', 'practice' => '1']);
        $this->settle();
        self::assertSame(['try 1 of 2', false], $state()['Keel']);
        self::assertSame('Reef', (new Floor(ClassRecord::of($challenge)))->proposedGroup()?->name, 'everybody practises first');
        $this->log($challenge, 'Reef', ['distance' => '120', 'practice' => '1']);
        foreach (['Keel', 'Reef', 'Keel', 'Reef'] as $turn) {
            self::assertSame($turn, (new Floor(ClassRecord::of($challenge)))->proposedGroup()?->name);
            $this->log($challenge, $turn, ['distance' => '150']);
        }
        self::assertTrue((new Floor(ClassRecord::of($challenge)))->isOver);
        $this->get("/challenges/{$challenge->id}")->assertSee('See what the class found');
        $this->put("/challenges/{$challenge->id}/plan", ['practice_runs' => '9'])->assertSessionHasErrors(
            ['practice_runs' => 'Practice runs must be a whole number from 0 to 5.'],
        );
    }

    public function testOtherConditionsAreKeptApart(): void
    {
        $challenge = $this->class();
        $this->log(
            $challenge,
            'Reef',
            ['distance' => '90', 'surface' => 'a rug'],
        )->assertSessionHas('status', "Logged: Reef, try 1, 90\u{00A0}cm, on a rug.");
        $this->log($challenge, 'Reef', ['distance' => '300', 'ramp' => '10'])->assertSessionHas(
            'status',
            "Logged: Reef, try 2, 300\u{00A0}cm, from a ramp of 10\u{00A0}cm.",
        );
        $this->log($challenge, 'Reef', ['distance' => '300', 'ramp' => '4 m'])->assertSessionHasErrors(
            ['ramp' => "A ramp can be at most 300\u{00A0}cm high. Check the unit."],
        );
        $reef = $this->named($challenge, 'Reef');
        $record = ClassRecord::of($challenge);
        self::assertCount(1, $record->tries($record->groups->firstWhere('id', $reef->id)?->currentCar())->distances()->values ?? []);
        self::assertCount(2, $record->tries($record->groups->firstWhere('id', $reef->id)?->currentCar())->apart);
        // The class's own floor is no other one, and no ramp is none.
        $this->log(
            $challenge,
            'Reef',
            ['distance' => '170', 'surface' => ' ' . strtoupper((string) $challenge->surface) . ' ', 'ramp' => '0'],
        )->assertSessionHas('status', "Logged: Reef, try 2, 170\u{00A0}cm.");
        $this->get("/challenges/{$challenge->id}/runs")->assertSee('kept apart');
    }

    public function testTheFarWallIsPastTheEndAndATapSaysWhyATryIsVoid(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Reef', ['hit_wall' => '1'])->assertSessionHas(
            'status',
            "Logged: Reef, try 2, the far wall at 600\u{00A0}cm.",
        );
        $wall = $challenge->runs()->where('hit_wall', true)->sole();
        self::assertSame([true, 6.0], [$wall->past_end, $wall->distance?->quantity->si()]);
        $this->log($challenge, 'Keel', ['void_now' => 'wheel off'])->assertSessionHas('status', 'Logged: Keel, try 3, void: wheel off.');
        $this->log($challenge, 'Keel', ['void_now' => 'tired'])->assertSessionHasErrors('void');
        foreach (['No start', 'Hit something', 'Wheel off', 'Balloon off'] as $words) {
            $this->get("/challenges/{$challenge->id}")->assertSee($words);
        }
    }

    /** All that is new of a run goes out with the run table and comes in again. */
    public function testASheetTakesItAllAlong(): void
    {
        $challenge = $this->class();
        $this->log($challenge, 'Reef', ['distance' => '90', 'surface' => 'a rug', 'ramp' => '10']);
        $this->log($challenge, 'Reef', ['hit_wall' => '1']);
        $this->log($challenge, 'Keel', ['distance' => '99', 'practice' => '1']);
        $csv = (string) $this->get("/challenges/{$challenge->id}/sheet/csv")->assertOk()->getContent();
        $copy = Scenario::withClass(Scenario::challenge($this->educator), $csv);
        $what = static fn(Challenge $of): array => $of->runs()->get()->map(static fn(Run $run): array => [
            $run->try, $run->kind, $run->hit_wall, $run->past_end, $run->surface, $run->ramp?->quantity->si(),
            $run->distance?->quantity->si(),
        ])->sortBy(static fn(array $row): string => json_encode($row, JSON_THROW_ON_ERROR))->values()->all();
        self::assertEquals($what($challenge), $what($copy));
    }

    public function testASweepRunsAfterTheTriesAndFollowsAnUndo(): void
    {
        $challenge = Scenario::withClass(
            Scenario::challenge($this->educator, ['tries' => 1]),
            "group,try,distance (cm)\nKeel,1,200\nReef,1,210\n",
        );
        $keel = $this->named($challenge, 'Keel');
        $path = "/challenges/{$challenge->id}/sweep";
        $this->put($path, ['sweep_group' => $keel->id, 'measured' => 'diameter', 'small' => 'thin', 'medium' => '', 'full' => '20'])
            ->assertSessionHasErrors(['small', 'medium' => 'Say how large the medium fill is.']);
        $this->put(
            $path,
            ['sweep_group' => $keel->id, 'measured' => 'diameter', 'small' => '14', 'medium' => '17', 'full' => '20'],
        )->assertSessionHasNoErrors();
        $next = fn(): string => NextRun::of(ClassRecord::of($challenge), $this->named($challenge, 'Keel'))->words;
        self::assertSame('sweep 1 of 6: 14 cm', $next());
        foreach ([['14', '210'], ['17', '330'], ['20', '260'], ['20', '255'], ['17', '325'], ['14', '205']] as [$fill, $distance]) {
            self::assertSame('Keel', (new Floor(ClassRecord::of($challenge)))->proposedGroup()?->name);
            $this->log(
                $challenge,
                'Keel',
                ['distance' => $distance, 'practice' => '1', 'inflation_kind' => 'diameter', 'inflation_size' => $fill],
            )->assertSessionHasNoErrors();
        }
        self::assertTrue((new Floor(ClassRecord::of($challenge)))->isOver);
        $this->post("/challenges/{$challenge->id}/undo");
        self::assertSame('sweep 6 of 6: 14 cm', $next());
        $this->log($challenge, 'Keel', ['distance' => '204', 'practice' => '1', 'inflation_kind' => 'diameter', 'inflation_size' => '14']);
        $this->settle();
        self::assertEqualsWithDelta(0.172, ClassFindings::of(ClassRecord::of($challenge))->found->doses[0]->best, 0.01);
        self::assertSame('Reef', $this->leader($challenge), 'a sweep places nobody');
        $this->delete("/challenges/{$challenge->id}/groups/{$keel->id}/sweep")->assertSessionHasNoErrors();
        self::assertNull($keel->refresh()->sweep);
    }

    private function leader(Challenge $challenge): ?string
    {
        return $challenge->groups()->find(ClassRecord::of($challenge)->standings()->leader()?->entrant->id)?->name;
    }

    private function middle(Challenge $challenge, Group $group): float
    {
        $this->settle();
        $car = $group->refresh()->newestCar();

        return ClassFindings::of(ClassRecord::of($challenge->refresh()))->found->forecast->forecasts[(string) $car?->id]->medianM ?? 0.0;
    }
}
