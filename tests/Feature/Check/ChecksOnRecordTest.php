<?php

declare(strict_types=1);

namespace Tests\Feature\Check;

use App\Models\Challenge;
use App\Record\ClassFindings;
use App\Record\ClassRecord;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Skivo\Core\Forecast\Forecast;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** What failed checks did to the cars of one class is expected of those of the next, and of nobody else's. */
final class ChecksOnRecordTest extends FeatureTestCase
{
    private const HEAD = "group,nozzle bore (mm),mass (g),balloon diameter (cm),wheels,wheel diameter (mm),try,distance (cm)\n";

    public function testTheNextClassExpectsItOfCarsThatFailed(): void
    {
        $first = $this->classOf(
            ['A' => [420, 430], 'B' => [400, 410], 'C' => [430, 420], 'D' => [150, 160], 'E' => [140, 130], 'F' => [160, 150]],
        );
        foreach (['A' => '0.5', 'B' => '0.4', 'C' => '0.6', 'D' => '2', 'E' => '3', 'F' => '2.5'] as $name => $wobble) {
            $this->wobbles($first, $name, $wobble);
        }
        $next = $this->classOf(['G' => [], 'H' => [], 'I' => [300, 310]]);
        $this->wobbles($next, 'G', '0.5');
        $this->wobbles($next, 'H', '2');
        // Whether anybody looked at the first class, or Skivo was started again, makes no difference.
        $this->settle();
        self::assertLessThan(0.95 * $this->forecast($next, 'G')->medianM, $this->forecast($next, 'H')->medianM);
        $this->get("/challenges/{$next->id}/findings/sure")
            ->assertSee('Failed checks change what is expected of a car.')
            ->assertSee('By 6 cars of your other classes')
            ->assertSee('for “Wheels square and centred”');
        // The same by command.
        $json = json_decode((string) $this->get("/challenges/{$next->id}/findings/class.json")->getContent(), true);
        self::assertGreaterThan(0.1, $json['check_shifts']['wobble']);
        self::assertSame([[], ['wobble'], null], array_map(static fn(array $car): ?array => $car['failed_checks'] ?? null, $json['cars']));

        // What it says is written down, and follows the class: a caches' end changes nothing, a change of the class does.
        $before = $this->forecast($next, 'H')->medianM;
        Cache::flush();
        self::assertSame($before, $this->forecast($next, 'H')->medianM);
        self::assertSame(1, DB::table('check_lessons')->where('challenge_id', $first->id)->count());
        foreach (['D', 'E', 'F'] as $name) {
            $this->wobbles($first, $name, '0.5');
        }
        $this->settle();
        self::assertEquals($this->forecast($next, 'G'), $this->forecast($next, 'H'));

        // Another educator's class knows nothing of it.
        $this->actingAs(Scenario::educator('Another'));
        $other = $this->classOf(['G' => [], 'H' => [], 'I' => [300, 310]], auth()->user());
        $this->wobbles($other, 'H', '2');
        self::assertEquals($this->forecast($other, 'G'), $this->forecast($other, 'H'));
    }

    /** @param array<string, list<int>> $distances of each group's car (cm) */
    private function classOf(array $distances, ?\App\Models\User $educator = null): Challenge
    {
        $sheet = self::HEAD;
        foreach ($distances as $name => $tries) {
            foreach ($tries === [] ? [null] : $tries as $index => $distance) {
                $sheet .= "{$name},7,60,20,bottle caps,32," . ($distance === null ? '' : $index + 1) . ',' . ($distance ?? '') . "\n";
            }
        }

        return Scenario::withClass(Scenario::challenge($educator ?? $this->educator), $sheet);
    }

    private function wobbles(Challenge $challenge, string $name, string $millimetres): void
    {
        $group = $challenge->groups()->where('name', $name)->firstOrFail();
        $this->put("/challenges/{$challenge->id}/groups/{$group->id}/check", ['wobble_first' => $millimetres])->assertSessionHasNoErrors();
    }

    private function forecast(Challenge $challenge, string $name): Forecast
    {
        $car = $challenge->groups()->where('name', $name)->firstOrFail()->newestCar();

        return ClassFindings::of(ClassRecord::of($challenge->refresh()))->found->forecast->forecasts[$car->id ?? 0];
    }
}
