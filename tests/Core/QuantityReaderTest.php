<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Skivo\Core\Measurement\DecimalMark;
use Skivo\Core\Measurement\QuantityReader;
use Skivo\Core\Measurement\Unit;
use Skivo\Core\Measurement\UnreadableQuantityException;
use Tests\Spoken;

final class QuantityReaderTest extends TestCase
{
    /** @return iterable<string, array{string, Unit, float, string}> typed, bare unit, SI, kept */
    public static function readable(): iterable
    {
        yield 'inches and a fraction' => ['8 1/2 in', Unit::Centimetre, 0.2159, '8 1/2 in'];
        yield 'the inch sign' => ['8.5"', Unit::Centimetre, 0.2159, '8.5"'];
        yield 'a vulgar fraction' => ['8½ in', Unit::Centimetre, 0.2159, '8½ in'];
        yield 'a vulgar fraction alone' => ['½"', Unit::Centimetre, 0.0127, '½"'];
        yield 'a fraction with a hyphen' => ['8-1/2 in', Unit::Centimetre, 0.2159, '8-1/2 in'];
        yield 'centimetres' => ['21.6 cm', Unit::Inch, 0.216, '21.6 cm'];
        yield 'no space' => ['216mm', Unit::Inch, 0.216, '216mm'];
        yield 'ounces' => ['2 oz', Unit::Gram, 0.05669904625, '2 oz'];
        yield 'pounds and ounces' => ['1 lb 2 oz', Unit::Gram, 0.51029141625, '1 lb 2 oz'];
        yield 'feet and inches' => ["5' 3\"", Unit::Centimetre, 1.6002, "5' 3\""];
        yield 'feet and bare inches' => ['6 ft 2', Unit::Centimetre, 1.8796, '6 ft 2'];
        yield 'feet, inches and a fraction' => ['5 ft 3 1/2 in', Unit::Centimetre, 1.6129, '5 ft 3 1/2 in'];
        yield 'metres and centimetres' => ['3 m 18', Unit::Centimetre, 3.18, '3 m 18'];
        yield 'a decimal comma' => ['21,6 cm', Unit::Inch, 0.216, '21,6 cm'];
        yield 'a bare number' => ['318', Unit::Centimetre, 3.18, '318 cm'];
        yield 'a bare number in inches' => ['12.25', Unit::Inch, 0.31115, '12.25 in'];
        yield 'no digit before the point' => ['.5 in', Unit::Centimetre, 0.0127, '.5 in'];
        yield 'no-break space' => ["318\u{00A0}cm", Unit::Inch, 3.18, '318 cm'];
        yield 'seconds' => ['2.84 s', Unit::Second, 2.84, '2.84 s'];
        yield 'a clock' => ['1:02.5', Unit::Second, 62.5, '1:02.5'];
        yield 'capitals' => ['58 G', Unit::Gram, 0.058, '58 G'];
        yield 'digits of another script' => ['٣١٨ cm', Unit::Inch, 3.18, '٣١٨ cm'];
        yield 'zero' => ['0', Unit::Centimetre, 0.0, '0 cm'];
    }

    #[DataProvider('readable')]
    public function testReadsWhatPeopleWrite(string $typed, Unit $bareUnit, float $si, string $kept): void
    {
        $entry = (new QuantityReader())->read($typed, $bareUnit);

        self::assertSame($si, $entry->quantity->si());
        self::assertSame($kept, $entry->text);
    }

    /** @return iterable<string, array{string, Unit, string}> typed, bare unit, part of the message */
    public static function unreadable(): iterable
    {
        yield 'nothing' => ['  ', Unit::Centimetre, 'Nothing was typed'];
        yield 'a word' => ['far', Unit::Centimetre, 'such as 20.5 cm or 8 1/4 in'];
        yield 'a mass for a length' => ['58 g', Unit::Centimetre, 'not a unit of length here. Use mm, cm, m, in or ft'];
        yield 'an unknown unit' => ['3 cubits', Unit::Centimetre, '“cubits” is not a unit of length'];
        yield 'a comma that could be either' => ['1,250 mm', Unit::Centimetre, 'could mean 1.250 or 1250'];
        yield 'thousands' => ['1,234.5', Unit::Centimetre, 'without separators between thousands'];
        yield 'below zero' => ['-5 cm', Unit::Centimetre, 'below zero'];
        yield 'a real minus' => ['−5 cm', Unit::Centimetre, 'below zero'];
        yield 'division by zero' => ['1/0 in', Unit::Centimetre, 'divides by zero'];
        yield 'units in the wrong order' => ['3 in 2 ft', Unit::Centimetre, 'mixes units'];
        yield 'two systems' => ['3 in 2 cm', Unit::Centimetre, 'mixes units'];
        yield 'something after it' => ['8 in?', Unit::Centimetre, 'is not a length'];
        yield 'too long' => [str_repeat('9', 60), Unit::Centimetre, 'too long'];
        yield 'an exponent' => ['1e3', Unit::Centimetre, 'is not a unit'];
    }

    #[DataProvider('unreadable')]
    public function testSaysWhatToTypeInstead(string $typed, Unit $bareUnit, string $message): void
    {
        try {
            (new QuantityReader())->read($typed, $bareUnit);
            self::fail('It was read.');
        } catch (UnreadableQuantityException $unreadable) {
            self::assertStringContainsString($message, Spoken::say($unreadable));
        }
    }

    public function testKnowsACommaForADecimalOneWhereTheSheetSaysSo(): void
    {
        self::assertSame(0.00125, (new QuantityReader(DecimalMark::Comma))->read('1,250', Unit::Millimetre)->quantity->si());
    }

    public function testKeepsAThirdOfAnInchExactly(): void
    {
        $third = (new QuantityReader())->read('1/3 in', Unit::Inch)->quantity;

        self::assertSame('1', (string) $third->plus($third)->plus($third)->exactlyIn(Unit::Inch));
    }
}
