<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Bench\WorkBalance;
use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Challenge\Foresight;
use Skivo\Core\Forecast\Calibration;
use Skivo\Core\Forecast\Observation;
use Skivo\Core\Simulation\EnergyLedger;
use Skivo\Core\Simulation\Regime;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Estimate;

/** Thrust over resistance by work and energy, and what rests on it. */
final class WorkBalanceTest extends TestCase
{
    /** @return iterable<string, array{array<string, float>}> */
    public static function designs(): iterable
    {
        yield 'a usual car' => [[]];
        yield 'a light one on little friction' => [['mass' => 0.035, 'rolling_coefficient' => 0.02]];
        yield 'a wide nozzle' => [['nozzle_bore' => 0.009, 'rolling_coefficient' => 0.06]];
        yield 'a bundle that is soon empty' => [['nozzle_outlets' => 3.0, 'rolling_coefficient' => 0.1]];
        yield 'a heavy one that just moves' => [['mass' => 0.09, 'nozzle_bore' => 0.008, 'rolling_coefficient' => 0.05]];
    }

    /** @param array<string, float> $values */
    #[DataProvider('designs')]
    public function testTheRatioIsTheMeanPushOverTheMeanResistanceAlongTheRun(array $values): void
    {
        $settings = Settings::of($values);
        $run = Simulator::run($settings->design(), 1e-8, true);
        // Integrated by trapezoids along the floor, straight from the forces of the trajectory.
        $push = $resistance = 0.0;
        $before = null;
        foreach ($run->trajectory as $moment) {
            if ($before !== null) {
                $step = $moment->distanceM - $before->distanceM;
                $push += $step * ($moment->thrustN + $before->thrustN) / 2;
                $resistance += $step * ($moment->resistanceN + $moment->dragN + $before->resistanceN + $before->dragN) / 2;
            }
            $before = $moment;
        }
        $stretch = $run->balloonEmpty->distanceM ?? $run->distanceM;
        $balance = WorkBalance::of($settings, 0.1, 0.1);
        self::assertNotNull($balance);
        // What the air in the balloon carried off counts as resistance: a few percent of a fast light car's.
        self::assertEqualsWithDelta(($push / $stretch) / ($resistance / $run->distanceM), $balance->ratio, 0.05 * $balance->ratio);
        self::assertEqualsWithDelta($stretch, $balance->stretchM, 1e-3 * $stretch);
        // Work and energy: distance = ratio × stretch, since the push's work is all spent.
        self::assertEqualsWithDelta($run->distanceM, $balance->ratio * $balance->stretchM, 0.01 * $run->distanceM);
        self::assertTrue($balance->interval->contains($balance->ratio));
        self::assertTrue($balance->distanceInterval->contains($balance->distanceM));
        self::assertGreaterThanOrEqual(1.0, $balance->interval->low);
    }

    /** The four runs beside the middle one, done one by one. */
    public function testAnIntervalIsWhatEachForceMakesOfItAlone(): void
    {
        $settings = Settings::of(['rolling_coefficient' => 0.05]);
        $at = static function (float $friction, float $pressure) use ($settings): WorkBalance {
            $balance = WorkBalance::of(
                $settings->with(CarAttribute::RollingCoefficient, 0.05 * $friction)->with(CarAttribute::BalloonPressure, $pressure),
                0.1,
                0.1,
            );
            self::assertNotNull($balance);

            return $balance;
        };
        $middle = $at(1.0, 1.0);
        $balance = WorkBalance::of($settings, 0.2, 0.1);
        self::assertNotNull($balance);
        foreach (['ratio' => 'interval', 'distanceM' => 'distanceInterval'] as $value => $interval) {
            $down = hypot($middle->{$value} - $at(1.2, 1.0)->{$value}, $middle->{$value} - $at(1.0, 0.9)->{$value});
            $up = hypot($at(0.8, 1.0)->{$value} - $middle->{$value}, $at(1.0, 1.1)->{$value} - $middle->{$value});
            self::assertEqualsWithDelta($middle->{$value} - $down, $balance->{$interval}->low, 1e-9);
            self::assertEqualsWithDelta($middle->{$value} + $up, $balance->{$interval}->high, 1e-9);
        }
    }

    public function testSurerForcesLeaveANarrowerInterval(): void
    {
        $wide = WorkBalance::of(Settings::of([]), 0.25, 0.2);
        $narrow = WorkBalance::of(Settings::of([]), 0.05, 0.05);
        self::assertNotNull($wide);
        self::assertNotNull($narrow);
        self::assertLessThan($wide->interval->high - $wide->interval->low, $narrow->interval->high - $narrow->interval->low);
        self::assertLessThan($wide->distanceInterval->high - $wide->distanceInterval->low, $narrow->distanceInterval->high - $narrow->distanceInterval->low);
        self::assertNull(WorkBalance::of(Settings::of(['mass' => 0.4, 'rolling_coefficient' => 0.2]), 0.1, 0.1), 'a car that does not start');
        // One that would not start with a little more friction may go nowhere at all.
        $edge = Settings::of(['mass' => 0.09, 'nozzle_bore' => 0.007, 'rolling_coefficient' => 0.06]);
        $balance = WorkBalance::of($edge, 0.9, 0.6);
        self::assertNotNull($balance);
        self::assertSame(0.0, $balance->distanceInterval->low);
    }

    public function testTwoMarksGiveTheRatioByHand(): void
    {
        // Limp at 1.2 m and stop at 3.0: the push was two and a half times the resistance.
        $one = WorkBalance::ofMarks([[1.2, 3.0]]);
        self::assertNotNull($one);
        self::assertEqualsWithDelta(2.5, $one->value, 1e-12);
        // The limp mark within 5 cm: 2.5·0.05/√3/1.2, the tape within 1 cm.
        self::assertEqualsWithDelta(hypot(2.5 * 0.05 / sqrt(3) / 1.2, 0.01 / sqrt(3) / 1.2), $one->standardUncertainty, 1e-3);
        $three = WorkBalance::ofMarks([[1.2, 3.0], [1.25, 3.2], [1.1, 2.9]]);
        self::assertEqualsWithDelta((3.0 / 1.2 + 3.2 / 1.25 + 2.9 / 1.1) / 3, (float) $three?->value, 1e-12);
        self::assertNull(WorkBalance::ofMarks([]));
    }

    public function testARegimeIsWhatTakesMostOfTheWork(): void
    {
        $ledger = static fn(float $rolling, float $drag): EnergyLedger => new EnergyLedger(1.0, $rolling + $drag, $rolling, $drag, 0.0, 0.0);
        self::assertSame(Regime::Rolling, Regime::of($ledger(0.7, 0.3)));
        self::assertSame(Regime::Air, Regime::of($ledger(0.3, 0.7)));
        self::assertSame(Regime::Both, Regime::of($ledger(0.5, 0.5)));
        self::assertSame(Regime::DoesNotStart, Regime::of($ledger(0.0, 0.0)));
    }

    public function testTheTimeAtAPlaceIsThatOfTheRun(): void
    {
        $run = Simulator::run(Settings::of(['rolling_coefficient' => 0.03])->design(), 1e-8, true);
        $empty = $run->balloonEmpty;
        self::assertNotNull($empty);
        self::assertEqualsWithDelta($empty->timeS, (float) $run->timeAt($empty->distanceM), 0.02);
        self::assertNull($run->timeAt($run->distanceM + 0.1), 'it never came so far');
        self::assertNull(Simulator::run(Settings::of([])->design())->timeAt(0.5), 'no trajectory was asked for');
        self::assertLessThan((float) $run->timeAt(1.0), (float) $run->timeAt(0.5));
        // From rest under a steady push, half the distance takes 1/√2 of the time, and longer as the push fades.
        self::assertEqualsWithDelta(sqrt(2.0), (float) $run->timeAt(0.2) / (float) $run->timeAt(0.1), 0.08);
    }

    public function testForesightIsTheMissWithoutItsSign(): void
    {
        $sight = new Foresight([1 => 0.5, 2 => -0.3, 3 => 0.1]);
        self::assertEqualsWithDelta(0.3, (float) $sight->typicalMiss(), 1e-12);
        self::assertEqualsWithDelta(0.4, (float) $sight->improvement(), 1e-12);
        self::assertEqualsWithDelta(-0.1, (float) (new Foresight([1 => 0.1, 4 => -0.2]))->improvement(), 1e-12);
        self::assertNull((new Foresight([2 => 0.1]))->improvement(), 'one miss can’t grow smaller');
        self::assertNull((new Foresight([]))->typicalMiss());
        self::assertSame([1 => 0.35, 2 => 0.3, 3 => 0.1], array_map(static fn(float $miss): float => round($miss, 9), Foresight::byTry([$sight, new Foresight([1 => -0.2])])));
    }

    public function testACarForetoldFromTheOthersDoesNotSeeItself(): void
    {
        // Five cars alike and one that went half as far: with it left out, it is foretold as far as the others.
        $settings = Settings::of([]);
        $far = Simulator::run($settings->design(2.0))->distanceM;
        $observations = array_map(static fn(int $id): Observation => new Observation("{$id}", $settings, $far * (1 + 0.01 * $id), pressureIsMeasured: true), [-2, -1, 0, 1, 2]);
        $odd = new Observation('odd', $settings, 0.5 * $far, pressureIsMeasured: true);
        $calibration = Calibration::of([...$observations, $odd]);
        self::assertNotNull($calibration);
        self::assertNull($calibration->dischargeInterval);
        self::assertFalse($calibration->areInseparable, 'thrust was measured on all of them');
        self::assertGreaterThan($calibration->after['odd'], $calibration->leftOut['odd']);
        self::assertEqualsWithDelta($far, $calibration->leftOut['odd'], 0.12 * $far);
        self::assertGreaterThan($calibration->missAfter, $calibration->missLeftOut, 'nobody is fooled by the fit');
    }

    public function testAnEstimateNeedsAnUncertainty(): void
    {
        foreach ([[1.0, -0.1], [NAN, 0.1], [1.0, INF]] as [$value, $uncertainty]) {
            try {
                new Estimate($value, $uncertainty);
                self::fail("{$value} ± {$uncertainty} was taken.");
            } catch (\DomainException $refused) {
                self::assertStringContainsString('uncertainty', $refused->getMessage());
            }
        }
        self::assertEqualsWithDelta(0.2, (new Estimate(1.0, 0.1))->times(-2.0)->standardUncertainty, 1e-12);
        self::assertSame(CarAttribute::BalloonPressure->ruler()->typical, 1.0);
    }
}
