<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Car;
use Skivo\Core\Measurement\Entry;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Physics\SizeMeasure;
use Skivo\Core\Statistics\LeastSquares;
use Skivo\Core\Statistics\Spearman;

final class RelationTest extends TestCase
{
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
}
