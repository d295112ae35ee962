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
    private const CARS = [[6, 40, 0.006], [7, 50, 0.01], [8, 55, 0.02], [9, 62, 0.015], [6, 60, 0.004], [8, 70, 0.02], [7, 45, 0.012], [9, 50, 0.03]];

    public function testScatterWidensTheIntervalsAndTheTruthStaysInside(): void
    {
        $covered = 0;
        $chance = new GeneratedClass(99);
        for ($class = 0; $class < 12; $class++) {
            $observations = $this->observations(1.5, 0.95, fn(): float => 1.0 + 0.05 * $chance->normal());
            $calibration = Calibration::of($observations);
            self::assertNotNull($calibration);
            $covered += (int) $calibration->frictionInterval?->contains(1.5);
        }
        // A dozen classes can’t tell 95 of a hundred from 85; they can tell it from half.
        self::assertGreaterThanOrEqual(9, $covered);
    }

    public function testWithoutTimesFrictionIsFittedAloneAndSaysSo(): void
    {
        $chance = new GeneratedClass(5);
        $observations = array_map(
            static fn(Observation $each): Observation => new Observation($each->id, $each->settings, $each->distanceM),
            $this->observations(1.8, 1.0, fn(): float => 1.0 + 0.05 * $chance->normal()),
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
            $this->observations(1.4, 0.92, static fn(): float => 1.0),
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
        $observations = $this->observations(1.3, 1.0, static fn(): float => 1.0);
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
        $observations = $this->observations(1.6, 0.9, fn(): float => 1.0 + 0.03 * $chance->normal());
        $one = Calibration::of($observations);
        $other = Calibration::of(array_reverse($observations));
        self::assertEqualsWithDelta((float) $one?->friction, (float) $other?->friction, 1e-3);
        self::assertEqualsWithDelta((float) $one?->discharge, (float) $other?->discharge, 1e-3);
        self::assertEqualsWithDelta((float) $one?->missLeftOut, (float) $other?->missLeftOut, 1e-3);
    }

    /**
     * @param \Closure(): float $scatter
     *
     * @return list<Observation>
     */
    private function observations(float $friction, float $discharge, \Closure $scatter): array
    {
        $observations = [];
        foreach (self::CARS as $index => [$bore, $mass, $loss]) {
            $settings = Settings::of([CarAttribute::NozzleBore->value => $bore / 1000, CarAttribute::Mass->value => $mass / 1000, CarAttribute::WheelLoss->value => $loss]);
            $run = Simulator::run($settings->design($friction, $discharge ** 2), 1e-6, true);
            $observations[] = new Observation("{$index}", $settings, $run->distanceM * $scatter(), null, (float) $run->timeAt(1.0) * $scatter(), 1.0);
        }

        return $observations;
    }
}
