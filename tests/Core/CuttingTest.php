<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Part\CutSizes;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Measurement\OutOfRangeException;
use Skivo\Core\Session\CutPlan;
use Skivo\Core\Session\CuttingStock;
use Skivo\Core\Session\DoesNotFitException;

final class CuttingTest extends TestCase
{
    use TestTrait;

    /** By hand: a 75 mm chassis, 3 mm bearing on each side, caps 14 mm thick, 1.5 mm play, 3 mm beyond each wheel. */
    public function testLengthsFollowFromChassisAndWheels(): void
    {
        $sizes = new CutSizes(0.075, 0.014, 0.0015, 0.003, 0.003);

        self::assertEqualsWithDelta(0.081, $sizes->bearingLengthM(), 1e-12);
        self::assertEqualsWithDelta(0.081 + 0.0015 + 0.028 + 0.006, $sizes->axleLengthM(), 1e-12);
        self::assertEqualsWithDelta(0.081 + 0.0015 + 0.014, $sizes->trackM(), 1e-12);
    }

    public function testTheRuleOfThumbStandsBesideTheComputedLength(): void
    {
        // Common practice, no source: an axle one inch longer than its straw. Thin wheels leave it loose, caps too short.
        self::assertEqualsWithDelta(0.1064, (new CutSizes(0.075, 0.014))->axleByRuleOfThumbM(), 1e-12);
        // One inch for two caps whose bottoms are 1.5 mm thick: it works, and sticks out; for wheels of 14 mm it does not reach.
        self::assertEqualsWithDelta((0.0254 - 0.0015) / 2 - 0.0015, (new CutSizes(0.075, 0.014))->overhangByRuleOfThumbM(0.0015), 1e-12);
        self::assertGreaterThan(0.0, (new CutSizes(0.075, 0.014))->overhangByRuleOfThumbM(0.0119));
        self::assertLessThan(0.0, (new CutSizes(0.075, 0.014))->overhangByRuleOfThumbM(0.012));
    }

    public function testSizesThatCannotBeAreRefused(): void
    {
        $this->expectException(OutOfRangeException::class);
        $this->expectExceptionMessage('wheel_thickness_m');
        new CutSizes(0.075, 0.5);
    }

    public function testAPieceYieldsWithTheLossOfEachCut(): void
    {
        self::assertSame(2, CuttingStock::yield(0.2, 0.0, 0.1));
        self::assertSame(2, CuttingStock::yield(0.2, 0.001, 0.0995), 'two pieces need one cut');
        self::assertSame(1, CuttingStock::yield(0.2, 0.002, 0.0995));
        self::assertSame(0, CuttingStock::yield(0.2, 0.001, 0.21));
        self::assertSame(1, CuttingStock::yield(0.2, 0.001, 0.2));
    }

    /** By hand: 20 cm straws give 2 × 8 cm, or 1 × 8 and 1 × 11; 4 of each need 4 straws, and 0.8 of 76 cm is not wasted. */
    public function testPiecesOfTwoLengthsShareAStraw(): void
    {
        $plan = CuttingStock::plan(0.2, 0.0, ['short' => [0.08, 4], 'long' => [0.11, 4]]);

        self::assertSame(4, $plan->count());
        self::assertTrue($plan->isLeast);
        self::assertEqualsWithDelta(1.0 - 0.76 / 0.8, $plan->waste(), 1e-12);
        self::assertSame(['long' => 1, 'short' => 1], $plan->cuts[0]['pieces']);
    }

    /** Longest first takes 7 + 2 and leaves the threes: three lengths of ten; the least is two (by hand: 7 + 3, 4 + 3 + 3). */
    public function testTheLeastIsFoundWhereTheFullestCutMisleads(): void
    {
        $plan = CuttingStock::plan(0.10, 0.0, ['seven' => [0.07, 1], 'four' => [0.04, 1], 'three' => [0.03, 3]]);

        self::assertSame(2, $plan->count());
        self::assertSame(0.0, round($plan->waste(), 9));
    }

    public function testAPieceLongerThanTheStrawIsNamed(): void
    {
        try {
            CuttingStock::plan(0.2, 0.0, ['Axle' => [0.21, 2], 'Bearing' => [0.1, 2]]);
            self::fail('It fits nowhere.');
        } catch (DoesNotFitException $doesNotFit) {
            self::assertSame(['Axle', 0.21, 0.2], [$doesNotFit->piece, $doesNotFit->lengthM, $doesNotFit->stockM]);
        }
    }

    public function testNothingToCutTakesNothing(): void
    {
        $plan = CuttingStock::plan(0.2, 0.001, ['Bearing' => [0.1, 0]]);

        self::assertSame([0, 0.0, true], [$plan->count(), $plan->waste(), $plan->isLeast]);
    }

    public function testEveryPieceIsCutOnceAndNoneIsLongerThanItsStraw(): void
    {
        $this->limitTo(60)->forAll(
            Generators::choose(20, 200),
            Generators::choose(20, 200),
            Generators::choose(0, 40),
            Generators::choose(0, 40),
            Generators::choose(0, 3),
        )->disableShrinking()->then(static function (int $a, int $b, int $countA, int $countB, int $kerf): void {
            $plan = CuttingStock::plan(0.2, $kerf / 1000, ['a' => [$a / 1000, $countA], 'b' => [$b / 1000, $countB]]);
            $cut = ['a' => 0, 'b' => 0];
            foreach ($plan->cuts as ['pieces' => $pieces, 'times' => $times]) {
                $length = 0.0;
                foreach ($pieces as $name => $count) {
                    $cut[$name] += $times * $count;
                    $length += $count * $plan->lengthsM[$name];
                }
                self::assertLessThanOrEqual(0.2 + 1e-5, $length + $kerf / 1000 * (array_sum($pieces) - 1));
            }
            self::assertSame(['a' => $countA, 'b' => $countB], $cut);
            self::assertGreaterThanOrEqual((int) ceil(($countA * $a + $countB * $b) / 200 - 1e-9), $plan->count());
        });
    }

    public function testTheFewestAreFoundAsByTryingEverything(): void
    {
        $this->limitTo(40)->forAll(
            Generators::choose(25, 120),
            Generators::choose(25, 120),
            Generators::choose(0, 4),
            Generators::choose(0, 4),
        )
            ->disableShrinking()->then(static function (int $a, int $b, int $countA, int $countB): void {
                $plan = CuttingStock::plan(0.2, 0.0, ['a' => [$a / 1000, $countA], 'b' => [$b / 1000, $countB]]);
                self::assertSame(self::fewest([...array_fill(0, $countA, $a), ...array_fill(0, $countB, $b)], []), $plan->count());
            });
    }

    public function testAClassCutsForItsSparesToo(): void
    {
        $plan = CutPlan::of(new Kit(), new CutSizes(0.075, 0.014), 0.2, 0.3, 0.001, 0.15, 1, 10);

        // Ten cars: 20 bearings of 81 mm, two a straw; 10 nozzles of 150 mm, one a straw; 20 axles, two a skewer.
        self::assertSame([20, 10], [$plan->straws->count(), $plan->axles->count()]);
        self::assertSame(['axle', 'bearing', 'nozzle'], array_keys($plan->pieces()));
        self::assertSame([0.15, 1], $plan->pieces()['nozzle']);
    }

    public function testAKitWithoutStrawsCutsNone(): void
    {
        $plan = CutPlan::of(
            new Kit(bearing: 'plastic hub on steel', nozzle: 'baster tube'),
            new CutSizes(0.075, 0.014),
            0.2,
            0.3,
            0.001,
            0.15,
            3,
            10,
        );

        self::assertSame([0, 10, null], [$plan->straws->count(), $plan->axles->count(), $plan->nozzleM]);
        self::assertSame(['axle'], array_keys($plan->pieces()));
    }

    /**
     * The fewest straws of 200 mm by trying every way.
     *
     * @param list<int> $pieces still to be placed
     * @param list<int> $room left in the straws begun
     */
    private static function fewest(array $pieces, array $room): int
    {
        if ($pieces === []) {
            return count($room);
        }
        $piece = array_shift($pieces);
        $best = self::fewest($pieces, [...$room, 200 - $piece]);
        foreach (array_unique($room) as $index => $left) {
            if ($left >= $piece) {
                $best = min($best, self::fewest($pieces, array_values(array_replace($room, [$index => $left - $piece]))));
            }
        }

        return $best;
    }

    /** Where the combinations are too many to try, plain first fit decreasing is never beaten by what is planned here. */
    public function testLargeCasesNeedNoMoreThanFirstFitDecreasing(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(44));
        $better = 0;
        for ($case = 0; $case < 60; $case++) {
            $pieces = [];
            foreach (range(1, $chance->getInt(4, 6)) as $kind) {
                $pieces["piece {$kind}"] = [$chance->getInt(30, 140) / 1000, $chance->getInt(15, 40)];
            }
            $plan = CuttingStock::plan(0.2, 0.001, $pieces);
            $fits = $this->firstFitDecreasing(200, 1, $pieces);
            self::assertLessThanOrEqual($fits, $plan->count(), json_encode($pieces, JSON_THROW_ON_ERROR));
            $better += $plan->count() < $fits ? 1 : 0;
            foreach ($pieces as $name => [, $number]) {
                self::assertSame(
                    $number,
                    array_sum(array_map(static fn(array $cut): int => $cut['times'] * ($cut['pieces'][$name] ?? 0), $plan->cuts)),
                );
            }
            $least = (int) ceil(
                array_sum(array_map(static fn(array $piece): float => $piece[1] * ($piece[0] + 0.001), $pieces)) / 0.201 - 1e-9,
            );
            self::assertTrue(!$plan->isLeast || $plan->count() === $least, 'the least is claimed only where it is proved');
        }
        self::assertGreaterThan(0, $better);
    }

    /** @param array<string, array{float, int}> $pieces */
    private function firstFitDecreasing(int $stockMm, int $kerfMm, array $pieces): int
    {
        $lengths = [];
        foreach ($pieces as [$length, $number]) {
            array_push($lengths, ...array_fill(0, $number, (int) round(1000 * $length)));
        }
        rsort($lengths);
        $left = [];
        foreach ($lengths as $length) {
            foreach ($left as $at => $room) {
                if ($room >= $length + $kerfMm) {
                    $left[$at] -= $length + $kerfMm;
                    continue 2;
                }
            }
            $left[] = $stockMm + $kerfMm - $length - $kerfMm;
        }

        return count($left);
    }
}
