<?php

declare(strict_types=1);

namespace Tests\Feature\Build;

use App\Models\Car;
use App\Models\Challenge;
use Skivo\Core\Car\Attribute\CarAttribute;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** A part that is called by several names is called by one, on the cars that have it, until that is taken back. */
final class NamesTest extends FeatureTestCase
{
    private const SHEET = <<<'CSV'
        group,wheels,try,distance (cm)
        Sail,hoop,1,310
        Buoy,hoopp,1,330
        Pier,jar lids,1,240
        Keel,old records,1,420
        CSV;

    public function testANameIsMergedAndTakenBack(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $at = "/challenges/{$challenge->id}/parts";
        $this->get($at)->assertOk()->assertSee('One part, one name')->assertSee('old records')
            // Nearest by its name is chosen already; what is listed is not asked about.
            ->assertSee('<option selected>hoop</option>', false)
            ->assertDontSee('name="from" value="jar lids"', false);
        $this->put($at . '/names', ['attribute' => 'wheel_kind', 'from' => 'hoopp', 'to' => 'optical discs'])->assertRedirect()
            ->assertSessionHas('status', '“hoopp” is now called “optical discs” on one car.');
        self::assertSame(['hoop', 'jar lids', 'old records', 'optical discs'], $this->names($challenge));
        // What it was stays on record, with who changed it.
        $car = Car::query()->whereHas('group', static fn($groups) => $groups->where('name', 'Buoy'))->firstOrFail();
        self::assertSame(['wheel_kind' => 'hoopp'], $car->changes()->latest('id')->firstOrFail()->before);
        // Back, on that car alone.
        $back = (string) session('putBack');
        $this->put($at . '/names', ['attribute' => 'wheel_kind', 'from' => 'hoop', 'to' => 'optical discs']);
        $this->post(str_replace(url('/'), '', $back))->assertRedirect();
        self::assertSame(['hoopp', 'jar lids', 'old records', 'optical discs'], $this->names($challenge));
    }

    public function testWhatIsNoNameIsRefused(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::SHEET);
        $at = "/challenges/{$challenge->id}/parts/names";
        foreach ([['to' => ''], ['to' => 'hoop'], ['attribute' => 'colour', 'to' => 'discs']] as $typed) {
            $this->put($at, $typed + ['attribute' => 'wheel_kind', 'from' => 'hoop'])->assertSessionHasErrors();
        }
        self::assertSame(['hoop', 'hoopp', 'jar lids', 'old records'], $this->names($challenge));
        $this->flushSession();
        $this->actingAs(Scenario::educator('Stranger'))
            ->put($at, ['attribute' => 'wheel_kind', 'from' => 'hoop', 'to' => 'discs'])
            ->assertNotFound();
    }

    /** @return list<string> what wheels are called, by the alphabet */
    private function names(Challenge $challenge): array
    {
        $names = Car::query()->whereHas('group', static fn($groups) => $groups->where('challenge_id', $challenge->id))->get()
            ->map(static fn(Car $car): string => (string) $car->choices->kind(CarAttribute::WheelKind))->all();
        sort($names);

        return array_values($names);
    }
}
