<?php

declare(strict_types=1);

namespace Tests\Feature\Plan;

use App\Pages\Plan\Shape;
use App\Pages\Plan\StepDrawing;
use App\Pages\Plan\StepWords;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Build\BuildSteps;
use Skivo\Core\Car\Build\BuildTask;
use Skivo\Core\Car\Build\Making;
use Skivo\Core\Car\Geometry\Layout;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\UnitSystem;
use Tests\Core\WaysToBuildTest;
use Tests\Feature\FeatureTestCase;
use Tests\SampledCar;

/** Every way in which a car is built has its words and its drawing, at its own sizes. */
final class WaysToBuildPagesTest extends FeatureTestCase
{
    /** So far a drawing may reach beyond its frame (px): a balloon of a car that nobody would build. */
    private const BEYOND = 40.0;

    /** Lengths that a drawing says, where it says any. */
    private const DRAWN = [
        'length', 'width', 'rear', 'front', 'bearing', 'rear_bearing', 'axle', 'rear_axle', 'nozzle', 'hub', 'neck', 'chain',
    ];

    /**
     * @param array<string, float|string> $own
     * @param list<string> $expected
     */
    #[DataProviderExternal(WaysToBuildTest::class, 'ways')]
    #[DataProviderExternal(WaysToBuildTest::class, 'furtherWays')]
    public function testEachWayIsToldStepByStep(Kit $kit, Making $making, array $own, array $expected): void
    {
        $car = $kit->car(UnitSystem::Metric, new CutSizes(0.075, 0.009));
        foreach ($own as $attribute => $value) {
            $car = $car->with(CarAttribute::from($attribute), $value);
        }
        $layout = Layout::of($car, $kit->catalogue(), $kit);
        $steps = BuildSteps::of($kit, $layout, $making);
        $said = [];
        foreach ($steps->tasks as $task) {
            $said[] = $this->assertIsTold($steps, $task, $layout, UnitSystem::Metric);
        }
        self::assertCount(count($expected), array_unique($said), 'each says something of its own, but waits of one kind');
    }

    public function testWhateverComesTogetherIsToldAndDrawnAtItsOwnSizes(): void
    {
        foreach (SampledCar::many(400, 23) as $i => $sampled) {
            $steps = $sampled->steps();
            foreach ($steps->tasks as $task) {
                $this->assertIsTold($steps, $task, $sampled->layout, $i % 2 === 0 ? UnitSystem::Metric : UnitSystem::Imperial);
            }
        }
    }

    private function assertIsTold(BuildSteps $steps, BuildTask $task, Layout $layout, UnitSystem $units): string
    {
        $words = new StepWords($steps, $units);
        $name = rtrim("{$task->step->value} {$task->how}");
        $said = $words->say($task);
        self::assertStringNotContainsString('steps.', $said, "{$name} has no words");
        self::assertDoesNotMatchRegularExpression('/:[a-z_]+/', $said, "{$name} lacks a length");
        self::assertMatchesRegularExpression('/^[A-Z].*[.!]$/u', $said, "{$name} is told in sentences");
        self::assertSame($task->step->waits(), $words->doneWhen($task) === null, "one sees when {$name} is done");
        $shapes = (new StepDrawing($layout, $task, $units))->shapes();
        self::assertGreaterThan(1, count($shapes), $name);
        $texts = array_filter(array_map(static fn(Shape $shape): ?string => $shape->text, $shapes));
        foreach (self::DRAWN as $what) {
            $m = $task->lengthsM[$what] ?? null;
            if ($m !== null && $texts !== [] && !in_array($name, ['top_plate', 'snap_stick'], true)) {
                self::assertContains($units->show($m, Scale::Body), $texts, "{$name} is drawn with its {$what}");
            }
        }
        foreach ($shapes as $shape) {
            foreach (['x', 'cx', 'y', 'cy'] as $axis) {
                $at = (float) ($shape->attributes[$axis] ?? 0.0);
                $most = str_ends_with($axis, 'x') ? StepDrawing::WIDTH : StepDrawing::HEIGHT;
                self::assertTrue($at > -self::BEYOND && $at < $most + self::BEYOND, "{$name}: {$axis} = {$at}");
            }
        }

        return $said;
    }
}
