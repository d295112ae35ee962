<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Measurement\Quantity;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Statistics\Sample;

final class UnitsTest extends TestCase
{
    /**
     * NIST Special Publication 811 (2008), appendix B.8: factors in bold, which are exact.
     *
     * @return iterable<string, array{Unit, string, float}>
     */
    public static function factorsOfSp811(): iterable
    {
        yield 'inch to metre' => [Unit::Inch, '1', 2.54e-2];
        yield 'foot to metre' => [Unit::Foot, '1', 3.048e-1];
        yield 'yard to metre' => [Unit::Yard, '1', 9.144e-1];
        yield 'pound (avoirdupois) to kilogram' => [Unit::Pound, '1', 4.5359237e-1];
        yield 'minute to second' => [Unit::Minute, '1', 60.0];
    }

    #[DataProvider('factorsOfSp811')]
    public function testFactorsOfSp811(Unit $unit, string $count, float $si): void
    {
        self::assertSame($si, Quantity::of($count, $unit)->si());
    }

    public function testTheOunceOfSp811(): void
    {
        // SP 811 prints the ounce (avoirdupois) rounded: 2.834952 E-02 kg; it is a sixteenth of a pound exactly.
        self::assertEqualsWithDelta(2.834952e-2, Quantity::of(1, Unit::Ounce)->si(), 5e-9);
        self::assertSame('1', (string) Quantity::of(16, Unit::Ounce)->exactlyIn(Unit::Pound));
    }

    public function testConversionsThereAndBackLoseNothing(): void
    {
        foreach (Unit::cases() as $unit) {
            self::assertSame('17/7', (string) Quantity::of('17/7', $unit)->exactlyIn($unit), $unit->name);
        }
    }

    /** The trade's slip: averages turned from inches to centimetres by eye. Common practice, no source. */
    public function testTheAverageOfEightAndAHalfTenAndTenInches(): void
    {
        $reader = new QuantityReader();
        $tries = new Sample(array_map(
            static fn(string $typed): float => $reader->read($typed, Unit::Inch)->quantity->si(),
            ['8 1/2', '10', '10 in'],
        ));

        self::assertEqualsWithDelta(9.5, $tries->mean() / 0.0254, 1e-12);
        self::assertEqualsWithDelta(0.2413, $tries->mean(), 1e-12);
        self::assertSame('24.1', number_format($tries->mean() * 100, 1));
    }
}
