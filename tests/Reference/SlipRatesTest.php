<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Forecast\ExpectedDistance;
use Skivo\Core\Forecast\Forecast;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Simulation\Settings;
use Skivo\Core\Simulation\Simulator;
use Skivo\Core\Statistics\Interval;

/**
 * What is asked about at the lane: slips nearly always, ordinary runs hardly ever. The classes are cars of the run model with hands of
 * their own, whose runs end early now and then; the weights of the judge were set by other classes, whose cars were drawn otherwise.
 */
final class SlipRatesTest extends TestCase
{
    private const CLASSES = 120;

    public function testSlipsAreCaughtAndOrdinaryRunsAreLeftAlone(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(7919));
        $uniform = static fn(float $low, float $high): float => $low + ($high - $low) * $chance->getInt(0, 1_000_000) / 1_000_000;
        $normal = static fn(): float => sqrt(-2.0 * log($uniform(1e-6, 1.0))) * cos(2.0 * M_PI * $uniform(0.0, 1.0));
        $asked = $ordinary = 0;
        $caught = $slips = ['metres or feet' => 0, 'ten times' => 0, 'a tenth' => 0, 'the point' => 0];
        $first = [0, 0];
        for ($class = 0; $class < self::CLASSES; $class++) {
            $unit = $class % 3 === 0 ? Unit::Inch : Unit::Centimetre;
            $friction = $uniform(0.02, 0.06);
            $truths = array_map(static fn(): float => Simulator::run(Settings::of([
                CarAttribute::NozzleBore->value => $uniform(0.005, 0.01), CarAttribute::Mass->value => $uniform(0.045, 0.11),
                CarAttribute::BalloonSize->value => $uniform(0.16, 0.22),
                CarAttribute::RollingCoefficient->value => $friction * exp(0.25 * $normal()),
            ])->design(), 1e-4)->distanceM, range(1, 9));
            // The lane is laid for the farthest, in whole metres.
            $lane = max(3.0, ceil(max($truths) * $uniform(1.0, 1.4)));
            $scatter = $uniform(0.04, 0.18);
            $runs = array_fill(0, 9, []);
            for ($try = 0; $try < 3; $try++) {
                foreach ($truths as $car => $truth) {
                    $metres = $truth * exp($scatter * $normal()) * ($uniform(0.0, 1.0) < 0.04 ? $uniform(0.15, 0.9) : 1.0);
                    $typed = round($metres / $unit->inSiRoughly(), $unit === Unit::Inch ? 1 : 0);
                    if ($metres > $lane || $typed < 1.0) {
                        continue;
                    }
                    $middle = $truth * exp(0.3 * $normal());
                    // Half of the classes recorded their cars first, so that something is predicted of them.
                    $forecast = $class % 2 === 0
                        ? null
                        : new Forecast(
                            0.0,
                            $middle,
                            new Interval(0.8 * $middle, 1.25 * $middle),
                            new Interval(0.5 * $middle, 2.0 * $middle),
                            0.05,
                            1.0,
                        );
                    $expected = ExpectedDistance::of($runs[$car], $forecast, array_merge(...array_diff_key($runs, [$car => true])), $lane);
                    $asks = static fn(float $number): bool => $number * $unit->inSiRoughly() > 1.25 * $lane
                        || $expected->slip($number * $unit->inSiRoughly(), $unit) !== null;
                    $ordinary++;
                    $asked += $asks($typed) ? 1 : 0;
                    foreach ([
                        'metres or feet' => round($typed * $unit->inSiRoughly() / ($unit === Unit::Inch ? 0.3048 : 1.0), 2),
                        'ten times' => 10.0 * $typed, 'a tenth' => $typed / 10.0, 'the point' => 100.0 * $typed,
                    ] as $kind => $number) {
                        $slips[$kind]++;
                        $caught[$kind] += $asks($number) ? 1 : 0;
                        if ($runs === array_fill(0, 9, [])) {
                            $first = [$first[0] + ($asks($number) ? 1 : 0), $first[1] + 1];
                        }
                    }
                    $runs[$car][] = $metres;
                }
            }
        }
        self::assertGreaterThan(2500, $ordinary);
        self::assertLessThan(0.02, $asked / $ordinary, 'of ordinary runs');
        foreach ($slips as $kind => $all) {
            self::assertGreaterThan(0.9, $caught[$kind] / $all, $kind);
        }
        self::assertGreaterThan(0.95, array_sum($caught) / array_sum($slips), 'of all slips');
        self::assertGreaterThan(0.85, $first[0] / $first[1], 'of the very first run of a class');
    }

    public function testTheSlipsThatClassesMadeAreNamed(): void
    {
        // Nothing has run; of the car between 295 and 468 cm are predicted: 3.18 in centimetres was metres.
        $forecast = new Forecast(0.0, 3.7, new Interval(3.4, 4.1), new Interval(2.95, 4.68), 0.04, 1.0);
        $slip = ExpectedDistance::of([], $forecast, [], 6.0)->slip(0.0318, Unit::Centimetre);
        self::assertSame(Unit::Metre, $slip?->in);
        self::assertEqualsWithDelta(3.18, $slip->meant ?? 0.0, 1e-9);
        // 11.5 among 111 to 125 in: feet. 9.9 after three tries near 119 in: feet, or a digit that is lost.
        $inches = array_map(static fn(float $in): float => 0.0254 * $in, [111.0, 118.0, 125.0, 121.0]);
        self::assertSame(Unit::Foot, ExpectedDistance::of([], null, $inches, 6.0)->slip(0.0254 * 11.5, Unit::Inch)?->in);
        self::assertNotNull(
            ExpectedDistance::of(
                array_map(static fn(float $in): float => 0.0254 * $in, [119.0, 120.0, 118.0]),
                null,
                $inches,
                6.0,
            )->slip(0.0254 * 9.9, Unit::Inch),
        );
        // 4.88 in the place of 415 cm.
        self::assertSame(Unit::Metre, ExpectedDistance::of([4.0, 4.3], null, [], 6.0)->slip(0.0488, Unit::Centimetre)?->in);
        // What is as it may be is not asked about: a short run, a long one, a first one on a long lane.
        self::assertNull(ExpectedDistance::of([4.0, 4.3], null, [], 6.0)->slip(1.6, Unit::Centimetre));
        self::assertNull(ExpectedDistance::of([4.0, 4.3], null, [], 6.0)->slip(5.6, Unit::Centimetre));
        self::assertNull(ExpectedDistance::of([], null, [], 15.0)->slip(2.4, Unit::Centimetre));
    }
}
