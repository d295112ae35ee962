<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Forecast\Calibration;
use Skivo\Core\Forecast\Observation;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Tests\GeneratedClass;

/** The model set to a class, on classes whose factors are known. */
final class CalibrationTest extends TestCase
{
    public function testWithoutTimesFrictionIsFittedAloneAndSaysSo(): void
    {
        $chance = new GeneratedClass(5);
        $observations = array_map(
            static fn(Observation $each): Observation => new Observation($each->id, $each->settings, $each->distanceM),
            GeneratedClass::observations(1.8, 1.0, fn(): float => 1.0 + 0.05 * $chance->normal()),
        );
        $calibration = Calibration::of($observations);
        self::assertNotNull($calibration);
        self::assertTrue($calibration->areInseparable);
        self::assertSame(1.0, $calibration->discharge);
        self::assertNull($calibration->dischargeInterval);
        self::assertEqualsWithDelta(1.8, $calibration->friction, 0.25);
    }

    public function testMeasuredFrictionLeavesOnlyTheJetToFit(): void
    {
        $observations = array_map(
            static function (Observation $each): Observation {
                // What the bench found is the truth: f of the car that ran.
                $settings = $each->settings->with(CarAttribute::RollingCoefficient, 1.4 * $each->settings->rollingCoefficient());

                return new Observation($each->id, $settings, $each->distanceM, null, $each->timeS, 1.0, frictionIsMeasured: true);
            },
            GeneratedClass::observations(1.4, 0.92, static fn(): float => 1.0),
        );
        $calibration = Calibration::of($observations);
        self::assertNotNull($calibration);
        self::assertNull($calibration->frictionInterval);
        self::assertSame(1.0, $calibration->friction);
        self::assertEqualsWithDelta(0.92, $calibration->discharge, 0.003);
        self::assertFalse($calibration->areInseparable);
        self::assertSame($observations[0]->settings->rollingCoefficient(), $calibration->applyTo($observations[0])->rollingCoefficient(), 'no factor touches what was measured');
        self::assertEqualsWithDelta(0.92 ** 2, $calibration->applyTo($observations[0])->get(CarAttribute::BalloonPressure), 0.006);
    }

    public function testACarThatDoesNotStartByTheModelDoesNotStopTheFit(): void
    {
        $heavy = Settings::of([CarAttribute::Mass->value => 0.3, CarAttribute::RollingCoefficient->value => 0.2]);
        self::assertFalse(Simulator::run($heavy->design())->moves);
        $observations = GeneratedClass::observations(1.3, 1.0, static fn(): float => 1.0);
        $with = Calibration::of([...$observations, new Observation('heavy', $heavy, 1.0, null, 3.0, 1.0)]);
        self::assertNotNull($with);
        self::assertSame(0.0, $with->before['heavy']);
        self::assertTrue(is_finite($with->missAfter));
        // One whose distance is nothing says nothing.
        $without = Calibration::of([...$observations, new Observation('still', $heavy, 0.0)]);
        self::assertEqualsWithDelta(1.3, (float) $without?->friction, 0.01);
        self::assertArrayNotHasKey('still', $without->after ?? []);
    }

    public function testAClassThatTheModelCannotMoveIsLeftAlone(): void
    {
        $heavy = Settings::of([CarAttribute::Mass->value => 0.4, CarAttribute::RollingCoefficient->value => 0.5, CarAttribute::NozzleBore->value => 0.003]);
        self::assertNull(Calibration::of(array_map(static fn(int $id): Observation => new Observation("{$id}", $heavy, 1.0 + $id / 10), range(1, 6))));
        self::assertNull(Calibration::of([]));
    }

    public function testTheSameClassGivesTheSameFactors(): void
    {
        $chance = new GeneratedClass(8);
        $observations = GeneratedClass::observations(1.6, 0.9, fn(): float => 1.0 + 0.03 * $chance->normal());
        $one = Calibration::of($observations);
        $other = Calibration::of(array_reverse($observations));
        self::assertEqualsWithDelta((float) $one?->friction, (float) $other?->friction, 1e-3);
        self::assertEqualsWithDelta((float) $one?->discharge, (float) $other?->discharge, 1e-3);
        self::assertEqualsWithDelta((float) $one?->missLeftOut, (float) $other?->missLeftOut, 1e-3);
    }
}
