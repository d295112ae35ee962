<?php

declare(strict_types=1);

namespace App\Forms;

use Normalizer;

/** The name of a group or a car, as it was typed. */
final readonly class TypedName
{
    /** As it is stored: one form for each letter, no invisible differences, single spaces. */
    public static function tidy(string $name): string
    {
        $composed = Normalizer::normalize($name, Normalizer::FORM_C);

        return trim((string) preg_replace('/[\s\p{Z}\x{200B}\x{FEFF}]+/u', ' ', $composed === false ? $name : $composed));
    }
}
