<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Findings\CategoryRelation;
use Skivo\Core\Findings\NumberRelation;
use Skivo\Core\Findings\Point;
use Skivo\Core\Findings\Trend;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Spearman;

final class RelationTest extends TestCase
{
    public function testTwoCarsAreNeverATrend(): void
    {
        self::assertSame(Trend::TooFewCars, $this->numbers([[1, 1], [2, 9]])->trend);
        self::assertSame(Trend::NothingYet, $this->numbers([])->trend);
    }

    public function testAChoiceThatNobodyVariedExplainsNothing(): void
    {
        $relation = $this->numbers([[5, 1], [5, 2], [5, 3]]);

        self::assertSame(Trend::AllTheSame, $relation->trend);
        self::assertNull($relation->line);
        self::assertNull($relation->spearman);
    }

    public function testRisesFallsOrNeither(): void
    {
        self::assertSame(Trend::Rises, $this->numbers([[1, 1.0], [2, 2.1], [3, 2.9], [4, 4.0]])->trend);
        self::assertSame(Trend::Falls, $this->numbers([[1, 4.0], [2, 2.9], [3, 2.1], [4, 1.0]])->trend);
        self::assertSame(Trend::NotClear, $this->numbers([[1, 3.0], [2, 1.0], [3, 4.0], [4, 2.0]])->trend);
    }

    public function testAPowerLawIsFoundAsASlopeOfLogarithms(): void
    {
        $relation = $this->numbers(array_map(static fn(int $x): array => [$x, 0.3 * $x ** 1.5], range(1, 8)));

        self::assertEqualsWithDelta(1.5, $relation->logLog?->slope, 1e-12);
    }

    public function testNoLogarithmsOfZero(): void
    {
        self::assertNull($this->numbers([[0, 1], [1, 2], [2, 3]])->logLog);
        self::assertNull($this->numbers([[1, 0], [1.5, 2], [2, 3]])->logLog);
    }

    public function testBandsAreNarrowestAtTheMeanAndWiderForOneMoreCar(): void
    {
        $line = LeastSquares::fit([1.0, 2.0, 3.0, 4.0, 5.0], [1.1, 1.9, 3.2, 3.9, 5.1]);
        $width = static fn($interval): float => $interval->high - $interval->low;

        self::assertNotNull($line);
        self::assertLessThan($width($line->lineInterval(5.0)), $width($line->lineInterval(3.0)));
        self::assertLessThan($width($line->predictionInterval(3.0)), $width($line->lineInterval(3.0)));
    }

    public function testTwoPointsHaveALineButNoIntervals(): void
    {
        $line = LeastSquares::fit([1.0, 2.0], [1.0, 3.0]);

        self::assertSame(2.0, $line?->slope);
        self::assertNull($line->slopeInterval());
        self::assertNull($line->lineInterval(1.5));
    }

    public function testEveryXNeedsItsY(): void
    {
        $this->expectException(\DomainException::class);

        LeastSquares::fit([1.0, 2.0], [1.0]);
    }

    public function testRanksGoTogetherWhateverTheCurve(): void
    {
        self::assertSame(1.0, Spearman::of([1.0, 2.0, 3.0, 4.0], [1.0, 8.0, 27.0, 64.0])?->rho);
        self::assertSame(-1.0, Spearman::of([1.0, 2.0], [2.0, 1.0])?->rho);
        self::assertNull(Spearman::of([1.0, 2.0], [2.0, 1.0])?->pValue);
        self::assertNull(Spearman::of([1.0, 2.0], [2.0, 2.0]));
    }

    public function testKindsAreComparedByTheirCars(): void
    {
        $relation = $this->kinds([['caps', 1.0], ['caps', 1.1], ['lids', 3.0], ['lids', 3.1]]);

        self::assertSame(Trend::Differs, $relation->trend);
        self::assertSame(['lids', 'caps'], array_keys($relation->kinds), 'farthest first');
        self::assertSame(Trend::NotClear, $this->kinds([['caps', 1.0], ['caps', 3.0], ['lids', 1.5], ['lids', 3.1]])->trend);
    }

    public function testKindsWithOneCarEachCannotBeJudged(): void
    {
        self::assertSame(Trend::TooFewCars, $this->kinds([['a', 1.0], ['b', 2.0], ['c', 3.0]])->trend);
        self::assertSame(Trend::AllTheSame, $this->kinds([['a', 1.0], ['a', 2.0], ['a', 3.0]])->trend);
    }

    public function testAKindMayBeNamedLikeANumber(): void
    {
        self::assertSame(Trend::Differs, $this->kinds([['1', 1.0], ['1', 1.1], ['3', 3.0], ['3', 3.1]])->trend);
    }

    public function testFactorsFollowFromChoices(): void
    {
        $car = new Car(
            [
                CarAttribute::NozzleBore->value => new Entry(Quantity::of(6, Unit::Millimetre), '6 mm'),
                CarAttribute::BalloonSize->value => new Entry(Quantity::of(60, Unit::Centimetre), '60 cm'),
            ],
            [CarAttribute::NozzleOutlets->value => 3],
            [CarAttribute::WheelKind->value => 'bottle caps'],
            SizeMeasure::Circumference,
        );

        self::assertEqualsWithDelta(3 * M_PI * 0.003 ** 2, $car->explanation(CarAttribute::OutletArea), 1e-15);
        self::assertEqualsWithDelta(0.6 / M_PI, $car->explanation(CarAttribute::BalloonSize), 1e-15);
        self::assertSame('3', $car->explanation(CarAttribute::NozzleOutlets));
        self::assertSame('bottle caps', $car->explanation(CarAttribute::WheelKind));
        self::assertNull($car->explanation(CarAttribute::Mass));
        foreach (CarAttribute::explaining() as $factor) {
            self::assertNull((new Car())->explanation($factor), $factor->value);
        }
    }

    /** @param list<array{int|float, int|float}> $points */
    private function numbers(array $points): NumberRelation
    {
        return new NumberRelation(
            array_map(static fn(array $point): Point => new Point('car', (float) $point[0], (float) $point[1]), $points),
        );
    }

    /** @param list<array{string, float}> $points */
    private function kinds(array $points): CategoryRelation
    {
        return new CategoryRelation(array_map(static fn(array $point): Point => new Point('car', $point[0], $point[1]), $points));
    }
}
