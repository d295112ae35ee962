<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Measurement\Dimension;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\Scale;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnitSystem;
use Skivo\Core\Measurement\WrongDimensionException;
use Tests\Spoken;

final class UnitSystemTest extends TestCase
{
    public function testShowsEachScaleInItsUnit(): void
    {
        self::assertSame("8\u{00A0}mm", UnitSystem::Metric->show(0.008, Scale::Part));
        self::assertSame("0.315\u{00A0}in", UnitSystem::Imperial->show(0.008, Scale::Part));
        self::assertSame("318\u{00A0}cm", UnitSystem::Metric->show(3.18, Scale::Distance));
        self::assertSame("125.2\u{00A0}in", UnitSystem::Imperial->show(3.18, Scale::Distance));
        self::assertSame("6\u{00A0}m", UnitSystem::Metric->show(6.0, Scale::Lane));
        self::assertSame("20\u{00A0}ft", UnitSystem::Imperial->show(6.096, Scale::Lane));
        self::assertSame("2\u{00A0}oz", UnitSystem::Imperial->show(0.05669904625, Scale::Weight));
        self::assertSame("2.80\u{00A0}s", UnitSystem::Metric->show(2.8, Scale::Stopwatch));
        self::assertSame("50.3\u{00A0}mm²", UnitSystem::Metric->show(M_PI * 0.004 ** 2, Scale::Area));
        self::assertSame('12', UnitSystem::Metric->show(12.0, Scale::Count));
        self::assertSame('0', UnitSystem::Metric->figure(-0.001, Scale::Distance));
    }

    public function testRefusesUnitsOfAnotherKind(): void
    {
        $this->expectException(WrongDimensionException::class);

        Quantity::of(3, Unit::Metre)->in(Unit::Gram);
    }

    public function testAFloatFromTheDatabaseComesBackAsItWas(): void
    {
        foreach ([0.2159, 1 / 3, 3.18, 0.05669904625] as $si) {
            self::assertSame($si, Quantity::fromSi($si, Dimension::Length)->si());
        }
        self::assertSame(21.59, Quantity::fromSi(0.2159, Dimension::Length)->in(Unit::Centimetre));
    }

    public function testAChoiceOutsideItsRangeIsNamedWithTheRangeInTheUnitsInUse(): void
    {
        self::assertNull(CarAttribute::NozzleBore->complaint(0.008));
        self::assertSame(
            "Nozzle bore must be from 0.5\u{00A0}mm to 100\u{00A0}mm. Check the unit.",
            Spoken::say(CarAttribute::NozzleBore->complaint(0.8) ?? self::fail('Nothing was said.')),
        );
        self::assertStringContainsString(
            'oz',
            Spoken::say(CarAttribute::Mass->complaint(58.0) ?? self::fail('Nothing was said.'), UnitSystem::Imperial),
        );
    }
}
