<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Challenge\Run;
use Skivo\Core\Findings\ComparedCar;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Outlier;
use Skivo\Core\Statistics\Sample;
use Tests\GeneratedClass;

/**
 * Do intervals that say 95 % cover the truth 95 times of a hundred? Over thousands of classes whose truth is known, made by
 * the run model with scatter. With 4,000 classes the share itself is uncertain by 0.34 %.
 */
final class CoverageTest extends TestCase
{
    private const CLASSES = 4000;

    public function testIntervalsCoverTheTruthAsOftenAsTheySay(): void
    {
        $class = new GeneratedClass(20260508, fromCarToCar: 0.2);
        // Close enough together for the curve to be as good as straight.
        $bores = [6.0, 6.0, 6.5, 6.5, 7.0, 7.0];
        $x = array_map(static fn(float $bore): float => $bore / 1000, $bores);
        // What a straight line through the model's own distances has for its slope.
        $slope = LeastSquares::fit($x, array_map(static fn(float $bore): float => $class->distance($bore), $bores))?->slope;
        $covered = ['mean' => 0, 'slope' => 0];
        for ($i = 0; $i < self::CLASSES; $i++) {
            $narrow = $class->distance(6.0) + 0.2 * $class->normal();
            $first = $class->tries($narrow);
            $covered['mean'] += (int) $first->meanInterval()?->contains($narrow);

            $cars = [];
            foreach ($bores as $index => $bore) {
                $cars[] = $class->car("{$index}", $bore, 60.0, $class->distance($bore));
            }
            $line = LeastSquares::fit($x, array_map(static fn(ComparedCar $car): float => $car->sample->mean(), $cars));
            $covered['slope'] += (int) $line?->slopeInterval()?->contains((float) $slope);
        }
        foreach ($covered as $what => $times) {
            self::assertGreaterThanOrEqual(0.935, $times / self::CLASSES, $what);
            self::assertLessThanOrEqual(0.965, $times / self::CLASSES, $what);
        }
    }

    public function testInAClassWithoutOddTriesOneIsNamedInOneOfTwentyAtMost(): void
    {
        $class = new GeneratedClass(1935);
        $wrongOutliers = 0;
        for ($i = 0; $i < self::CLASSES; $i++) {
            $samples = array_map(static fn(): Sample => $class->tries($class->distance(7.0)), range(1, 8));
            $wrongOutliers += (int) (Outlier::among($samples) !== []);
        }
        // 5 %, and three standard errors of a share so estimated.
        $most = 0.05 + 3 * sqrt(0.05 * 0.95 / self::CLASSES);
        self::assertLessThanOrEqual($most, $wrongOutliers / self::CLASSES);
    }
}
