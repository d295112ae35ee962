<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Skivo\Core\Car\Attribute\CarAttribute;
use Skivo\Core\Car\Attribute\PartKind;
use Skivo\Core\Car\Part\Contrast;
use Skivo\Core\Car\Part\Kit;
use Skivo\Core\Challenge\Design;
use Skivo\Core\Measurement\UnitSystem;

/** The two that a class compares, and who builds which. */
final class ContrastTest extends TestCase
{
    /** @return iterable<string, array{CarAttribute, float|string, float|string}> */
    public static function usual(): iterable
    {
        yield 'wheels by their size' => [CarAttribute::WheelDiameter, 'bottle caps', 'jar lids'];
        yield 'wheels by their kind' => [CarAttribute::WheelKind, 'bottle caps', 'jar lids'];
        yield 'nozzles, of straw both' => [CarAttribute::NozzleBore, 'drinking straw', 'wide straw'];
        yield 'a number' => [CarAttribute::BalloonSize, 0.2, 0.2 * 4 / 3];
        yield 'things counted' => [CarAttribute::Balloons, 1.0, 2.0];
    }

    #[DataProvider('usual')]
    public function testTheUsualTwoAreTheKitsAndOneThatIsMostLikeIt(CarAttribute $attribute, float|string $one, float|string $other): void
    {
        $contrast = Contrast::usual($attribute, new Kit(), null);
        self::assertNotNull($contrast);
        self::assertEqualsWithDelta([$one, $other], [$contrast->one, $contrast->other], 1e-12);
        self::assertTrue($contrast->differs());
    }

    public function testEachGetsItsOwnKit(): void
    {
        $contrast = new Contrast(CarAttribute::WheelDiameter, 'bottle caps', 'jar lids', new Kit());
        self::assertSame('jar lids', $contrast->kit(true)->name(PartKind::Wheel));
        self::assertSame('bottle caps', $contrast->kit(false)->name(PartKind::Wheel));
        self::assertSame([0.03, 0.06], [$contrast->size(false), $contrast->size(true)]);
        // Four wheels of 10 g in place of four of 2.5 g.
        self::assertEqualsWithDelta(0.03, $contrast->heavierByKg(), 1e-9);
        self::assertSame('optical discs', $contrast->farther()?->other);
        self::assertNull($contrast->farther()->farther());
        $number = new Contrast(CarAttribute::NozzleLength, 0.06, 0.12, new Kit());
        self::assertEqualsWithDelta(0.16, $number->farther()?->other, 1e-9);
        $car = $number->carOf((new Kit())->car(UnitSystem::Metric), true);
        self::assertSame(0.12, $car->number(CarAttribute::NozzleLength));
        self::assertSame(0.0, $number->heavierByKg());
    }

    public function testWhatWasTypedIsAPartOrASize(): void
    {
        $read = static fn(CarAttribute $attribute, string $typed, UnitSystem $units = UnitSystem::Metric): float|string|null
            => Contrast::read($attribute, $typed, new Kit(), $units);
        self::assertSame('jar lids', $read(CarAttribute::WheelDiameter, 'Jar lid'));
        self::assertSame('optical discs', $read(CarAttribute::WheelDiameter, 'discs'));
        self::assertSame(0.008, $read(CarAttribute::NozzleBore, '8 mm'));
        self::assertEqualsWithDelta(0.0254, $read(CarAttribute::WheelDiameter, '1 in', UnitSystem::Imperial), 1e-9);
        self::assertSame(2.0, $read(CarAttribute::Balloons, '2'));
        foreach ([[CarAttribute::NozzleBore, 'a bit wider'], [CarAttribute::NozzleBore, '8 g'], [CarAttribute::NozzleBore, '9 m'],
            [CarAttribute::Balloons, 'two'], [CarAttribute::Balloons, '40']] as [$attribute, $typed]) {
            self::assertNull($read($attribute, $typed), $typed);
        }
        self::assertFalse((new Contrast(CarAttribute::WheelKind, 'jar lids', 'Jar lid', new Kit()))->differs());
    }

    public function testLotsComeOutEvenAndAreFair(): void
    {
        $first = 0;
        for ($seed = 0; $seed < 200; $seed++) {
            $chance = new Randomizer(new Xoshiro256StarStar($seed));
            foreach ([1, 2, 5, 8] as $groups) {
                $others = count(array_filter(Design::draw($groups, $chance)));
                self::assertLessThanOrEqual(1, abs($groups - 2 * $others));
            }
            // Who comes later evens out what was told before.
            self::assertSame([true, true], Design::draw(2, $chance, ones: 3, others: 1));
            $first += (int) Design::draw(8, $chance)[0];
        }
        // 200 throws of a coin lie within 60 and 140 but for one time in 10⁷.
        self::assertGreaterThan(60, $first);
        self::assertLessThan(140, $first);
    }
}
