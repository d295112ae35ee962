<?php

declare(strict_types=1);

namespace Skivo\Core\Measurement;

use Brick\Math\BigDecimal;

/**
 * The units people write on a build sheet or a tape.
 *
 * The factors to SI are exact by definition: NIST Special Publication 811 (2008), appendix B.8
 * (1 in = 0.0254 m, 1 ft = 0.3048 m, 1 yd = 0.9144 m, 1 lb = 0.45359237 kg, 1 oz = 1/16 lb).
 */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Inch = 'in';
    case Foot = 'ft';
    case Yard = 'yd';
    /** From hole to hole of a brick kit's beams. From memory, no source. */
    case Stud = 'stud';
    case Gram = 'g';
    case Kilogram = 'kg';
    case Ounce = 'oz';
    case Pound = 'lb';
    case Second = 's';
    case Minute = 'min';
    case Turn = 'turns';

    public function dimension(): Dimension
    {
        return match ($this) {
            self::Millimetre, self::Centimetre, self::Metre, self::Inch, self::Foot, self::Yard, self::Stud => Dimension::Length,
            self::Gram, self::Kilogram, self::Ounce, self::Pound => Dimension::Mass,
            self::Second, self::Minute => Dimension::Time,
            self::Turn => Dimension::Turns,
        };
    }

    /** The size of one of this unit in the SI unit of its dimension, exactly. */
    public function inSi(): BigDecimal
    {
        return BigDecimal::of($this->factor());
    }

    /** The same as the nearest float, for what is only shown. */
    public function inSiRoughly(): float
    {
        return (float) $this->factor();
    }

    /** @return numeric-string */
    private function factor(): string
    {
        return match ($this) {
            self::Millimetre => '0.001',
            self::Centimetre => '0.01',
            self::Metre => '1',
            self::Inch => '0.0254',
            self::Foot => '0.3048',
            self::Yard => '0.9144',
            self::Stud => '0.008',
            self::Gram => '0.001',
            self::Kilogram => '1',
            self::Ounce => '0.028349523125',
            self::Pound => '0.45359237',
            self::Second => '1',
            self::Minute => '60',
            self::Turn => '1',
        };
    }

    /**
     * The smaller unit that may follow this one in one entry, as in 5 ft 3 in.
     */
    public function continuesWith(): ?self
    {
        return match ($this) {
            self::Yard => self::Foot,
            self::Foot => self::Inch,
            self::Metre => self::Centimetre,
            self::Pound => self::Ounce,
            self::Minute => self::Second,
            default => null,
        };
    }

    /**
     * The unit a person means by a word or sign, or null if it is none of ours.
     */
    public static function fromWriting(string $word): ?self
    {
        return match (rtrim(mb_strtolower(trim($word)), '.')) {
            'mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters' => self::Millimetre,
            'cm', 'cms', 'centimetre', 'centimetres', 'centimeter', 'centimeters' => self::Centimetre,
            'm', 'metre', 'metres', 'meter', 'meters' => self::Metre,
            'in', 'ins', 'inch', 'inches', '"', '″', '”', '“', "''", '′′', '’’' => self::Inch,
            'ft', 'foot', 'feet', "'", '′', '’' => self::Foot,
            'yd', 'yds', 'yard', 'yards' => self::Yard,
            'stud', 'studs' => self::Stud,
            'g', 'gr', 'gram', 'grams', 'gramme', 'grammes' => self::Gram,
            'kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms' => self::Kilogram,
            'oz', 'ozs', 'ounce', 'ounces' => self::Ounce,
            'lb', 'lbs', 'pound', 'pounds' => self::Pound,
            's', 'sec', 'secs', 'second', 'seconds' => self::Second,
            'min', 'mins', 'minute', 'minutes' => self::Minute,
            'turn', 'turns' => self::Turn,
            default => null,
        };
    }
}
