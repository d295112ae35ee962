<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Challenge;
use App\Models\Group;
use App\Record\ClassForces;
use App\Record\ClassRecord;
use Tests\Scenario;

/** What is said of one car, or of one class, is the same on every page that says it. */
final class OneFactTest extends FeatureTestCase
{
    private const HEAD = "group,nozzle bore (mm),mass (g),balloon diameter (cm),wheels,wheel diameter (mm),try,distance (cm)\n";

    public function testAWalkThroughThePagesOfOneClassFindsOneFigureForEachFact(): void
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::HEAD
            . "Keel,7,124,20,bottle caps,32,1,230\nKeel,7,124,20,bottle caps,32,2,241\nReef,6,60,20,bottle caps,32,1,262\nReef,6,60,20,bottle caps,32,2,251\nCleat,8,74,21,bottle caps,32,1,310\n");
        $forces = new ClassForces(ClassRecord::of($challenge));
        foreach ($challenge->groups as $group) {
            $car = $group->newestCar();
            // The friction, on the car's measures and the class's.
            $friction = number_format((float) $forces->frictionOf($car), 3);
            foreach (["/groups/{$group->id}/bench", '/bench'] as $page) {
                self::assertStringContainsString("≈ {$friction}", $this->textOf($challenge, $page), "{$group->name} on {$page}");
            }
            // How heavy it may be before it starts no more: with ten grams more it starts, if what it should start below is more than that.
            $diagnosis = $this->textOf($challenge, "/groups/{$group->id}/diagnosis?seen=does-not-start");
            self::assertSame(1, preg_match('/it should start below ([\d.]+)/u', $diagnosis, $below), $diagnosis);
            $heaviest = (float) $below[1];
            $mass = 1000 * (float) $car?->choices->quantities['mass']->quantity->si();
            $stops = str_contains($this->textOf($challenge, "/groups/{$group->id}/car"), 'would not start any more');
            self::assertSame($mass < $heaviest && $mass + 10 >= $heaviest, $stops, "{$group->name}, {$mass} g, starts below {$heaviest} g");
            // Its forecast.
            preg_match('/One more try[^.]*?about ([\d,]+)/u', $this->textOf($challenge, "/groups/{$group->id}/car"), $sheet);
            preg_match('/One more try[^.]*?about ([\d,]+)/u', $this->textOf($challenge, "/groups/{$group->id}/bench"), $bench);
            self::assertSame($sheet[1] ?? null, $bench[1] ?? null);
        }
    }

    public function testAnAngleThatCannotBeToldIsToldNowhere(): void
    {
        [$challenge, $group] = $this->one();
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/check",
            [
                'parallel_first' => '80 mm', 'parallel_second' => '83 mm', 'drift_first' => '20', 'drift_second' => '300',
                'drift_side' => 'left',
            ],
        )->assertSessionHasNoErrors();
        self::assertStringContainsString('cannot be told yet', $this->textOf($challenge, "/groups/{$group->id}/check"));
        $said = $this->textOf($challenge, "/groups/{$group->id}/diagnosis?seen=veers");
        self::assertDoesNotMatchRegularExpression('/Measured, they are [\d.]+°/', $said);
        self::assertStringContainsString('Left and right differ by 3', $said);
        // 80 and 80 are parallel whatever lies between them.
        $this->put(
            "/challenges/{$challenge->id}/groups/{$group->id}/check",
            ['parallel_first' => '80 mm', 'parallel_second' => '80 mm'],
        )->assertSessionHasNoErrors();
        self::assertStringNotContainsString('cannot be told yet', $this->textOf($challenge, "/groups/{$group->id}/check"));
        self::assertStringContainsString(
            'Measured, they are parallel',
            $this->textOf($challenge, "/groups/{$group->id}/diagnosis?seen=veers"),
        );
    }

    public function testAPlanThatIsTooShortToBuildInDoesNotFit(): void
    {
        [$challenge] = $this->one();
        $challenge->sessionPlan()->fill(['session_min' => 105, 'groups' => 9, 'adults' => 1])->save();
        $page = $this->textOf($challenge->refresh(), '/plan/timetable');
        if (str_contains($page, 'Every car needs') || preg_match('/Until every car|Building takes/', $page) === 1) {
            self::assertStringContainsString('It does not fit', $page);
            self::assertStringNotContainsString('to spare', $page);
        } else {
            self::fail('This class needs more adults than it has.');
        }
    }

    public function testAKitsAxleByTheRuleOfThumbIsNotCalledTooShortForItsCaps(): void
    {
        [$challenge] = $this->one();
        $said = $this->textOf($challenge, '/plan/cuts');
        self::assertStringContainsString('By the rule of thumb', $said);
        self::assertStringContainsString('of axle outside on each side', $said);
    }

    /** @return array{Challenge, Group} */
    private function one(): array
    {
        $challenge = Scenario::withClass(Scenario::challenge($this->educator), self::HEAD . "Keel,7,60,20,bottle caps,32,1,230\n");

        return [$challenge, $challenge->groups()->sole()];
    }
}
