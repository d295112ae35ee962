<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Measurement\Unit;

/** Small pieces of sentences: possessives, units spelled out. */
final readonly class Phrase
{
    /** As in "Keel’s" and "the Pistons’". */
    public static function possessive(string $name): string
    {
        return Text::of(preg_match('/[sS]$/', $name) === 1 ? 'frame.phrase.possessive_s' : 'frame.phrase.possessive', ['name' => $name]);
    }

    /** A unit spelled out, in the plural: "in" beside a sentence is a word of it. */
    public static function unit(Unit $unit): string
    {
        return Text::of("frame.unit.{$unit->value}");
    }
}
