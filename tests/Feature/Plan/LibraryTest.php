<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Models\Challenge;
use Illuminate\Support\Facades\Cache;
use PHPUnit\Framework\Attributes\DataProvider;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Findings\Outcome;
use Skivo\Core\Library\LessonPlan;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\People\MemberRole;
use Skivo\Core\Simulation\CarModel;
use Tests\Feature\FeatureTestCase;
use Tests\Scenario;

/** Plans that are ready to be set, and several classes together. */
final class LibraryTest extends FeatureTestCase
{
    /** @return iterable<string, array{LessonPlan, string}> */
    public static function plans(): iterable
    {
        yield 'wider' => [LessonPlan::WiderNozzle, 'Yes.'];
        yield 'lighter' => [LessonPlan::LighterCar, 'Yes.'];
        yield 'fuller' => [LessonPlan::FullerBalloon, 'Yes.'];
        yield 'shorter' => [LessonPlan::ShorterStraw, 'No, the other way round.'];
        yield 'faster' => [LessonPlan::FasterNozzle, 'Yes.'];
        yield 'wheels' => [LessonPlan::BiggerWheels, 'Yes.'];
        yield 'balloons' => [LessonPlan::SecondBalloon, 'Cars with 2 balloons go farther.'];
        yield 'band' => [LessonPlan::BalloonOrBand, 'Cars with a balloon go farther.'];
    }

    #[DataProvider('plans')]
    public function testAPlanIsSetAndComesToItsAnswer(LessonPlan $plan, string $says): void
    {
        $this->get('/library')->assertOk()->assertSee('Set this one');
        $this->post("/library/{$plan->value}")->assertSessionHasNoErrors();
        $challenge = $this->educator->challenges()->latest('id')->firstOrFail();
        self::assertSame($plan->question()->attribute, $challenge->asks);
        self::assertSame($plan->groups(), $challenge->groups()->count());
        self::assertSame($plan->sessionsMin()[0], $challenge->sessionPlan()->session_min);
        foreach (['plan', 'plan/materials', 'plan/timetable', 'plan/safety', 'plan/steps'] as $page) {
            $this->get("/challenges/{$challenge->id}/{$page}")->assertOk();
        }
        $challenge->forceFill(['safety_read_at' => now()])->save();
        Scenario::withClass($challenge, self::sheet($challenge, $plan));
        Cache::flush();
        $this->get("/challenges/{$challenge->id}/findings")->assertOk()->assertSee("answer-word\"><bdi>{$says}", false);
    }

    public function testClassesThatAskedTheSameArePutTogether(): void
    {
        $plan = LessonPlan::WiderNozzle;
        $classes = [];
        foreach ([0, 1, 2] as $number) {
            $this->post("/library/{$plan->value}");
            $classes[] = $challenge = $this->educator->challenges()->latest('id')->firstOrFail();
            $challenge->forceFill(
                ['safety_read_at' => now(), 'name' => "Class {$number}", 'created_at' => now()->subYears($number === 0 ? 1 : 0)],
            )->save();
            Scenario::withClass($challenge, self::sheet($challenge, $plan, $number + 1));
        }
        Cache::flush();
        $address = "/challenges/{$classes[2]->id}/findings/classes";
        $this->get($address)
            ->assertOk()
            ->assertSee('Over 3 classes, on average')
            ->assertSee('A wider bore goes farther.')
            ->assertSee('Class 0')
            ->assertSee(now()->year . ' against ' . (now()->year - 1));
        $this->get("{$address}?class_{$classes[2]->id}=1&class_{$classes[1]->id}=1")
            ->assertOk()
            ->assertSee('Over 2 classes, on average')
            ->assertDontSee('against');
        // A colleague sees those that they were let into, and no others.
        $colleague = Scenario::educator('Colleague');
        $classes[2]->members()->create(['user_id' => $colleague->id, 'role' => MemberRole::Observer]);
        $this->flushSession();
        $this->actingAs($colleague)
            ->get($address)
            ->assertOk()
            ->assertSee('No other class that you work with asks the same yet.')
            ->assertDontSee('Class 0');
        $this->get("/challenges/{$classes[1]->id}/findings/classes")->assertNotFound();
    }

    /** What a class would record that held to the plan, its cars the run model's. */
    private static function sheet(Challenge $challenge, LessonPlan $plan, int $seed = 1): string
    {
        $sizes = [
            CarAttribute::NozzleBore->value => 0.007, CarAttribute::NozzleLength->value => 0.12, CarAttribute::Mass->value => 0.06,
            CarAttribute::BalloonSize->value => 0.2,
        ];
        $columns = [
            'nozzle_bore' => 'nozzle bore (mm)', 'nozzle_length' => 'nozzle length (mm)', 'mass' => 'mass (g)',
            'balloon_size' => 'balloon diameter (mm)',
        ];
        $drives = $plan === LessonPlan::BalloonOrBand
            ? ',source of energy,turns wound,bands in the chain,length of one band (mm),width of the band (mm),thickness of the band (mm),tyres'
            : '';
        $csv = 'group,version,' . implode(',', $columns) . ",balloons,wheels,try,distance (cm),time (s){$drives}\n";
        foreach ($challenge->groups()->orderBy('position')->get() as $index => $group) {
            $own = 1.0 + 0.08 * sin(3.7 * ($index + 1) * $seed);
            foreach ($plan->design()->isRebuilt() ? [0, 1] : [$index % 2] as $which) {
                $contrast = $plan->contrast();
                $car = $contrast->kit($which === 1)->car(UnitSystem::Metric);
                foreach ($sizes as $key => $si) {
                    $car = $car->with(CarAttribute::from($key), $si);
                }
                $car = $contrast->carOf($car, $which === 1);
                $isWound = $car->source()?->winds() === true;
                $car = $isWound ? $car->with(CarAttribute::TurnsWound, 20.0) : $car;
                $run = CarModel::of($car, Catalogue::standard())->settings->with(CarAttribute::Workmanship, 0.05)->run(1e-6, true);
                $time = 0.0;
                foreach ($run->trajectory as $moment) {
                    $time = $moment->distanceM <= ($plan->timedM() ?? 2.0) ? $moment->timeS : $time;
                }
                for ($try = 1; $try <= $plan->tries(); $try++) {
                    $noise = $own * (1.0 + 0.03 * sin(11.3 * $try * ($index + 2) * ($which + 1) * $seed));
                    $cells = array_map(
                        static fn(string $key): string => (string) round(1000 * ($car->number(CarAttribute::from($key)) ?? 0.0), 1),
                        array_keys($columns),
                    );
                    $csv .= implode(
                        ',',
                        [
                            $group->name, $plan->design()->isRebuilt() ? $which + 1 : 1, ...$cells,
                            $car->number(CarAttribute::Balloons), $car->kind(CarAttribute::WheelKind), $try,
                            min(100 * $challenge->lane_length->quantity->si() - 1, round(100 * $run->distanceM * $noise, 1)),
                            $plan->question()->outcome === Outcome::Time ? round($time * $noise, 2) : '',
                            ...match (true) {
                                $drives === '' => [], $isWound => ['elastic band', 20, 2, 60, 1, 0.8, 'rubber band'],
                                default => ['balloon', '', '', '', '', '', ''],
                            },
                        ],
                    ) . "\n";
                }
            }
        }

        return $csv;
    }
}
