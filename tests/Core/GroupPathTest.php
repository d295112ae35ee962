<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Build\BuildStep;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Build\PowerMaking;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\Catalogue;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Forecast\AttachmentPrice;
use Skivo\Core\Forecast\ClassForecast;
use Skivo\Core\Forecast\Direction;
use Skivo\Core\Forecast\KeptInMemory;
use Skivo\Core\Forecast\Prediction;
use Skivo\Core\Forecast\State;
use Skivo\Core\Forecast\WarmUp;
use Skivo\Core\Forecast\WhatWouldChange;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Notebook\GroupPath;
use Skivo\Core\Notebook\Sketch;
use Skivo\Core\Notebook\Station;
use Skivo\Core\Simulation\CarModel;
use Skivo\Core\Simulation\EnergyStory;
use Skivo\Core\Simulation\Simulator;
use Tests\BuildsCars;

/** A group's own path: what comes next, what it draws, and what the model may tell it. */
final class GroupPathTest extends TestCase
{
    use BuildsCars;

    public function testOneThingAfterTheOther(): void
    {
        $next = static fn(mixed ...$facts): Station => (
            new GroupPath(
                ...$facts + [
                    'hasCar' => true, 'stepsLeft' => 0, 'isChecked' => true, 'fixes' => 0, 'hasGuessed' => true, 'runs' => 0,
                    'hasTriesLeft' => true, 'knowsWhy' => true,
                ],
            )
        )->next();
        self::assertSame(Station::Idea, $next(hasCar: false, stepsLeft: 9));
        self::assertSame(Station::Build, $next(stepsLeft: 1, isChecked: false));
        self::assertSame(Station::Check, $next(isChecked: false, hasGuessed: false));
        self::assertSame(Station::Check, $next(fixes: 1));
        self::assertSame(Station::Guess, $next(hasGuessed: false));
        self::assertSame(Station::Run, $next());
        self::assertSame(Station::Why, $next(runs: 1, knowsWhy: false, stepsLeft: 3), 'what ran was built');
        self::assertSame(Station::Guess, $next(runs: 1, hasGuessed: false));
        self::assertSame(Station::Run, $next(runs: 2));
        self::assertSame(Station::Why, $next(runs: 3, hasTriesLeft: false, knowsWhy: false));
        self::assertSame(Station::Change, $next(runs: 3, hasTriesLeft: false));
        $path = new GroupPath(true, 0, true, 0, false, 0, true, true, [Station::Run]);
        self::assertSame(
            [true, false, true, false],
            [$path->isOpen(Station::Guess), $path->isOpen(Station::Run), $path->isDone(Station::Check), $path->isDone(Station::Guess)],
        );
    }

    public function testAChangeTakesOnlyItsOwnSteps(): void
    {
        $kit = new Kit();
        $steps = BuildSteps::of(
            $kit,
            Layout::of($kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009)), $kit->catalogue(), $kit),
            new Making(power: new PowerMaking(0.12)),
        );
        $of = static fn(CarAttribute ...$changed): array => array_map(
            static fn(BuildTask $task): BuildStep => $task->step,
            $steps->ofChange(array_values($changed)),
        );
        self::assertSame([], $of());
        self::assertContains(BuildStep::CutNozzle, $of(CarAttribute::NozzleLength));
        self::assertContains(BuildStep::Airtight, $of(CarAttribute::NozzleLength), 'another nozzle is joined to its balloon again');
        self::assertNotContains(BuildStep::PierceWheels, $of(CarAttribute::NozzleLength));
        self::assertContains(BuildStep::SecondWheels, $of(CarAttribute::WheelKind));
        self::assertNotContains(BuildStep::JoinBalloon, $of(CarAttribute::WheelKind));
        self::assertContains(BuildStep::BearingsOn, $of(CarAttribute::ChassisLength), 'another chassis carries everything anew');
    }

    public function testASketchIsReadAndWrittenAndNothingElseIs(): void
    {
        $sketch = Sketch::read([['pen' => 'red', 'points' => [[0, 0], [1000, 700]]], ['pen' => 'ink', 'points' => [[5, 5]]]]);
        self::assertNotNull($sketch);
        $svg = simplexml_load_string($sketch->svg());
        self::assertNotFalse($svg);
        self::assertSame(['0,0 1000,700', '5,5 5,5'], [(string) $svg->polyline[0]['points'], (string) $svg->polyline[1]['points']]);
        $point = ['pen' => 'ink', 'points' => [[1, 1]]];
        foreach ([
            null, [], 'strokes', [[]], [['pen' => 'ink', 'points' => []]], [['pen' => 'url(#x)', 'points' => [[1, 1]]]],
            [['pen' => 'ink', 'points' => [[1001, 0]]]], [['pen' => 'ink', 'points' => [[0, 701]]]],
            [['pen' => 'ink', 'points' => [[-1, 0]]]], [['pen' => 'ink', 'points' => [['0"/><script>', 0]]]],
            [['pen' => 'ink', 'points' => [[1.5, 0]]]], [['pen' => 'ink', 'points' => [[1, 2, 3]]]],
            array_fill(0, Sketch::MOST_STROKES + 1, $point), [['pen' => 'ink', 'points' => array_fill(0, Sketch::MOST_POINTS + 1, [1, 1])]],
        ] as $no) {
            self::assertNull(Sketch::read($no));
        }
        self::assertNotNull(Sketch::read(array_fill(0, Sketch::MOST_STROKES, $point)));
        self::assertNotNull(Sketch::read([['pen' => 'ink', 'points' => array_fill(0, Sketch::MOST_POINTS, [1, 1])]]));
    }

    #[TestWith([1.0, 1.07, Direction::Same])]
    #[TestWith([1.0, 1.0701, Direction::Farther])]
    #[TestWith([1.0, 0.93, Direction::Same])]
    #[TestWith([1.0, 0.9299, Direction::LessFar])]
    public function testADirectionHasItsThreshold(float $before, float $after, Direction $direction): void
    {
        self::assertSame($direction, WarmUp::direction($before, $after));
    }

    /** Signs that anybody would expect of the usual kit: heavier and carpet go less far. */
    public function testTheWarmUpsAreAnsweredByTheRunModel(): void
    {
        $answers = WarmUp::answers($this->model(), $this->usual());
        self::assertCount(count(WarmUp::cases()), $answers);
        foreach (
            [
                [WarmUp::Heavier, Direction::LessFar], [WarmUp::Carpet, Direction::LessFar], [WarmUp::TwiceTheAir, Direction::Farther],
            ] as [$question, $direction]
        ) {
            self::assertSame($direction, WarmUp::direction(...$answers[$question->value]), $question->value);
        }
        self::assertSame($answers['heavier'][0], $answers['carpet'][0], 'all beside the same run');
    }

    /** What the push gave is in the balloon, moves or is warm, all the way; and the shares agree with the ledger. */
    public function testTheStoryOfTheEnergyCloses(): void
    {
        $run = Simulator::run(Prediction::begin($this->model()->settings, $this->usual())->design(), withTrajectory: true);
        $story = EnergyStory::of($run);
        self::assertNotNull($story);
        self::assertEqualsWithDelta(['at' => 0.0, 'balloon' => 1.0, 'moving' => 0.0, 'warm' => 0.0], $story->moments[0], 1e-9);
        self::assertEqualsWithDelta(
            ['at' => 1.0, 'balloon' => 0.0, 'moving' => 0.0, 'warm' => 1.0],
            $story->moments[count($story->moments) - 1],
            1e-9,
        );
        $before = 0.0;
        foreach ($story->moments as $moment) {
            self::assertEqualsWithDelta(1.0, $moment['balloon'] + $moment['moving'] + $moment['warm'], 1e-9);
            self::assertGreaterThanOrEqual($before, $moment['warm'] + 1e-9, 'warmth never becomes movement again');
            $before = $moment['warm'];
        }
        $most = max(array_column($story->moments, 'moving'));
        self::assertEqualsWithDelta($run->driveEnd?->distanceM / $run->distanceM, $story->limpAt, 1e-12);
        // The most of it that ever moved is the kinetic energy at the greatest speed, to what the trapezoids are off by.
        $mass = $this->model()->settings->design()->vehicle;
        $kinetic = 0.5 * ($mass->massKg + $mass->wheelEquivalentMassKg) * $run->peakSpeedMS ** 2;
        self::assertEqualsWithDelta($kinetic / $run->energy->push, $most, 0.06);
        self::assertNull(
            EnergyStory::of(Simulator::run($this->model(['mass' => 5000])->settings->design(), withTrajectory: true)),
            'a car that does not start has no story',
        );
    }

    /** A gain is only told from a tenth of the distance on. */
    public function testWhatWouldChangeIsToldOnlyWhereItIsWorthAWord(): void
    {
        $gains = WhatWouldChange::of($this->model()->settings, $this->usual(), 3.0);
        self::assertArrayHasKey('half_the_friction', $gains);
        self::assertSame($gains, (static function (array $sorted): array {
            arsort($sorted);

            return $sorted;
        })($gains), 'the most first');
        foreach ($gains as $gain) {
            self::assertGreaterThanOrEqual(WhatWouldChange::WORTH_SAYING * 3.0, $gain);
        }
        self::assertEqualsWithDelta(
            2 * $gains['half_the_friction'],
            WhatWouldChange::of($this->model()->settings, $this->usual(), 6.0)['half_the_friction'],
            1e-9,
            'in proportion to the run',
        );
        self::assertSame(
            [],
            WhatWouldChange::of($this->model(['mass' => 5000])->settings, $this->usual(), 3.0),
            'silent where the model says nothing',
        );
    }

    public function testAnAttachmentCostsWhatTheModelSays(): void
    {
        $price = AttachmentPrice::of($this->model(['mass' => 70]), $this->usual(), 0.010);
        $far = fn(float $kg): float => Simulator::run(
            Prediction::begin($this->model()->settings->with(CarAttribute::Mass, $kg), $this->usual())->design(),
        )->distanceM;
        self::assertNotNull($price);
        self::assertEqualsWithDelta($far(0.060) - $far(0.070), $price->distanceM, 1e-9);
        self::assertTrue($price->isWorthSaying());
        self::assertFalse($price->stops);
        self::assertNull(AttachmentPrice::of($this->model(['mass' => 10]), $this->usual(), 0.0099), 'nothing would be left of the car');
        self::assertFalse(AttachmentPrice::of($this->model(['mass' => 70]), $this->usual(), 0.00005)?->isWorthSaying());
    }

    /** @param array<string, float|int|string> $more */
    private function model(array $more = []): CarModel
    {
        return CarModel::of(
            self::car(
                $more + [
                    'nozzle_bore' => 6, 'nozzle_length' => 120, 'balloon_size' => 200, 'balloon_nominal' => 300, 'mass' => 60,
                    'wheel_kind' => 'bottle caps', 'wheel_diameter' => 32, 'bearing' => 'bamboo skewer in a plastic straw',
                    'chassis' => 'corrugated card',
                ],
            ),
            Catalogue::standard(),
        );
    }

    private function usual(): State
    {
        return ClassForecast::of([], Catalogue::standard(), null, null, null, new KeptInMemory())->usual();
    }
}
