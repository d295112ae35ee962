<?php

declare(strict_types=1);

namespace App\Wording;

use Illuminate\Support\Str;
use Skivo\Core\Measurement\Unit;

/** Small pieces of English: counts, possessives, units spelled out. */
final readonly class Phrase
{
    /** As in "1 group" and "8 groups". */
    public static function count(int $count, string $one, ?string $many = null): string
    {
        return "{$count} " . ($count === 1 ? $one : $many ?? Str::plural($one));
    }

    /** As in "Keel’s" and "the Pistons’". */
    public static function possessive(string $name): string
    {
        return preg_match('/[sS]$/', $name) === 1 ? "{$name}’" : "{$name}’s";
    }

    /** A unit spelled out, in the plural: "in" beside a sentence is a word of it. */
    public static function unit(Unit $unit): string
    {
        return match ($unit) {
            Unit::Millimetre => 'millimetres',
            Unit::Centimetre => 'centimetres',
            Unit::Metre => 'metres',
            Unit::Inch => 'inches',
            Unit::Foot => 'feet',
            Unit::Gram => 'grams',
            Unit::Kilogram => 'kilograms',
            Unit::Ounce => 'ounces',
            Unit::Second => 'seconds',
            default => $unit->value,
        };
    }
}
