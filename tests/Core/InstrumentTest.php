<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Motion\Trace\GateTimes;
use Skivo\Core\Motion\Trace\Trace;
use Skivo\Core\Motion\Trace\UnreadableTraceException;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\LinearModel;
use Tests\Spoken;

final class InstrumentTest extends TestCase
{
    public function testGatesTellTheTimeFromTheStart(): void
    {
        $gates = GateTimes::of([[1.0, 11.2], [0.0, 10.0], [2.0, 12.1]]);

        self::assertEqualsWithDelta(1.2, (float) $gates->over(1.0), 1e-12);
        self::assertEqualsWithDelta(2.1, (float) $gates->over(2.0), 1e-12);
        self::assertNull($gates->over(3.0));
    }

    public function testAGateThatSeesACarTwiceCountsItOnce(): void
    {
        self::assertEqualsWithDelta(
            1.2,
            (float) GateTimes::of([[0.0, 10.0], [0.0, 10.04], [1.0, 11.2], [1.0, 11.23], [1.0, 11.2]])->over(1.0),
            1e-12,
        );
    }

    public function testHandsAtTheStartBeforeTheRunAreNoStart(): void
    {
        self::assertEqualsWithDelta(1.2, (float) GateTimes::of([[0.0, 3.0], [0.0, 10.0], [1.0, 11.2]])->over(1.0), 1e-12);
    }

    public function testWhatIsMissingLeavesTheTimeOut(): void
    {
        // Within half a second it is the same car; after that the one before was a hand.
        self::assertEqualsWithDelta(1.4, (float) GateTimes::of([[0.0, 10.0], [0.0, 10.45], [1.0, 11.4]])->over(1.0), 1e-12);
        self::assertEqualsWithDelta(0.85, (float) GateTimes::of([[0.0, 10.0], [0.0, 10.55], [1.0, 11.4]])->over(1.0), 1e-12);
        self::assertNull(GateTimes::of([[1.0, 11.2]])->over(1.0));
        self::assertNull(GateTimes::of([[0.0, 11.2]])->over(1.0));
        self::assertNull(GateTimes::of([[0.0, 11.2], [1.0, 11.21]])->over(1.0), 'no car is that fast');
        self::assertSame([], GateTimes::of([])->times);
    }

    /** A parabola is found exactly, with no error. */
    public function testALocalFitIsExactOnAParabola(): void
    {
        $points = array_map(static fn(int $i): array => [$i * 0.02, 0.3 + 1.2 * $i * 0.02 - 0.25 * ($i * 0.02) ** 2], range(0, 60));
        $trace = Trace::of($points);

        self::assertEqualsWithDelta(1.2 - 0.5 * 0.6, $trace->points[30]->speedMS, 1e-9);
        self::assertEqualsWithDelta(-0.5, $trace->points[30]->accelerationMS2, 1e-7);
        self::assertEqualsWithDelta(0.0, $trace->points[30]->speedError, 1e-9);
    }

    /** Against the run model: a car whose balloon is empty on the way, seen 50 times a second with 2 mm of noise. */
    public function testATraceOfTheRunModelGivesBackWhatWasPutIn(): void
    {
        $settings = Settings::of([])->with(CarAttribute::RollingCoefficient, 0.03)->with(CarAttribute::NozzleBore, 0.008);
        [$points, $run] = $this->seen($settings, 0.002);
        $trace = Trace::of($points);
        $end = $trace->endOfThrust();
        $coasting = $trace->coasting();

        self::assertNotNull($run->driveEnd);
        self::assertNotNull($end);
        self::assertNotNull($coasting);
        self::assertEqualsWithDelta($run->distanceM, $trace->distance(), 0.01);
        self::assertEqualsWithDelta($run->stopTimeS, $trace->duration(), 0.25);
        self::assertEqualsWithDelta($run->driveEnd->timeS, $end->timeS, 0.15);
        self::assertLessThanOrEqual($end->latestS, $end->timeS);
        self::assertGreaterThanOrEqual($end->earliestS, $end->timeS);
        // Air resistance is in it: at least f, and not much more for so small a speed.
        self::assertGreaterThan(0.025, $coasting->rollingCoefficient);
        self::assertLessThan(0.05, $coasting->rollingCoefficient);
        self::assertLessThan(0.01, $coasting->rollingHalf);
        self::assertEqualsWithDelta(
            $run->peakSpeedMS,
            max(array_map(static fn($point): float => $point->speedMS, $trace->points)),
            0.15 * $run->peakSpeedMS,
        );
    }

    public function testACoastingCarGivesItsFrictionExactly(): void
    {
        // 1.5 m/s, slowed by 0.4 m/s² from the first moment but for a short push before.
        $points = [];
        for ($i = 0; $i <= 260; $i++) {
            $t = $i * 0.02;
            $points[] = [$t, match (true) {
                $t < 0.5 => 0.0,
                $t < 1.0 => 1.5 * ($t - 0.5) ** 2,
                $t < 1.0 + 1.5 / 0.4 => 0.375 + 1.5 * ($t - 1.0) - 0.2 * ($t - 1.0) ** 2,
                default => 0.375 + 1.5 ** 2 / 0.8,
            }];
        }
        $trace = Trace::of($points);

        self::assertEqualsWithDelta(1.0, (float) $trace->endOfThrust()?->timeS, 0.05);
        self::assertEqualsWithDelta(0.4, (float) $trace->coasting()?->deceleration, 0.01);
        self::assertEqualsWithDelta(0.4 / 9.80665 * 1.1, (float) $trace->coasting(1.1)?->rollingCoefficient, 0.0015);
        self::assertEqualsWithDelta(0.375 + 1.5 ** 2 / 0.8, $trace->distance(), 1e-9);
        self::assertEqualsWithDelta(
            0.5 + (1.5 - sqrt(1.5 ** 2 - 0.8 * 0.625)) / 0.4,
            (float) $trace->timeOver(1.0),
            0.06,
            'the start is seen to a few hundredths',
        );
    }

    public function testNothingIsReadOutOfACarThatStands(): void
    {
        $trace = Trace::of(array_map(static fn(int $i): array => [$i * 0.02, 0.001 * ($i % 2)], range(0, 100)));

        self::assertFalse($trace->moves());
        self::assertNull($trace->endOfThrust());
        self::assertNull($trace->coasting());
    }

    public function testTooFewPointsAreRefused(): void
    {
        try {
            Trace::of(array_fill(0, 50, [0.0, 0.0]));
            self::fail('It was taken.');
        } catch (UnreadableTraceException $refused) {
            self::assertStringContainsString('at least 12 points', Spoken::say($refused));
        }
    }

    public function testColumnsThatCannotBeToldApartAreNotFitted(): void
    {
        self::assertNull(LinearModel::fit([[1.0, 2.0], [2.0, 4.0], [3.0, 6.0]], [1.0, 2.0, 3.0]));
        self::assertNull(LinearModel::fit([[1.0, 2.0], [2.0, 1.0]], [1.0, 2.0]));
        self::assertNull(LinearModel::fit([[0.0], [0.0]], [1.0, 2.0]));
        self::assertEqualsWithDelta([1.0, 2.0], LinearModel::polynomial([0.0, 1.0, 2.0], [1.0, 3.0, 5.0], 1)?->coefficients, 1e-12);
    }

    /** @return array{list<array{float, float}>, \Skivo\Core\Simulation\SimulatedRun} */
    private function seen(Settings $settings, float $noise): array
    {
        $run = Simulator::run($settings->design(), withTrajectory: true);
        $chance = new Randomizer(new Xoshiro256StarStar(7));
        $points = [];
        $j = 0;
        for ($t = -0.3; $t < $run->stopTimeS + 0.8; $t += 0.02) {
            while ($j + 1 < count($run->trajectory) && $run->trajectory[$j + 1]->timeS <= $t) {
                $j++;
            }
            $moment = $run->trajectory[$j];
            $x = $t <= 0.0
                ? 0.0
                : ($t >= $run->stopTimeS ? $run->distanceM : $moment->distanceM + ($t - $moment->timeS) * $moment->speedMS);
            $points[] = [$t, $x + $noise * ($chance->getInt(-1000, 1000) / 1000)];
        }

        return [$points, $run];
    }
}
