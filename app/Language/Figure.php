<?php

declare(strict_types=1);

namespace App\Language;

/** Plain numbers as the reader's language writes them. Quantities with a unit are shown by the class's system of units. */
final readonly class Figure
{
    /** With as many decimals as it has, at most six. */
    public static function of(float $number): string
    {
        return rtrim(rtrim(number_format($number, 6, '.', ''), '0'), '.');
    }

    /** To three digits, as in 13.3, 0.221 or 1,280. */
    public static function threeDigits(float $number): string
    {
        $decimals = $number === 0.0 ? 0 : max(0, 2 - (int) floor(log10(abs($number))));

        return self::grouped(number_format($number, $decimals));
    }

    private static function grouped(string $number): string
    {
        return str_contains($number, '.') ? rtrim(rtrim($number, '0'), '.') : $number;
    }

    /** As in "12 min". */
    public static function minutes(float $minutes): string
    {
        return self::of(round($minutes, 1)) . "\u{00A0}" . Text::of('frame.min');
    }

    /** As in "+12 %" and "−3 %". */
    public static function signedPercent(float $share): string
    {
        return ($share < 0 ? '−' : '+') . number_format(100 * abs($share)) . "\u{00A0}%";
    }

    /** A share in percent, without the sign: its words have it. */
    public static function percent(float $share, int $decimals = 0): string
    {
        return number_format(100 * $share, $decimals);
    }

    /** Of a chance, which is never so small that it is none, nor so large that it is certain. */
    public static function chance(float $chance): string
    {
        $percent = match (true) {
            $chance < 0.005 => '< 1',
            $chance > 0.994 => '> 99',
            default => number_format(100 * $chance),
        };

        return "{$percent}\u{00A0}%";
    }

    /** To so many decimals. */
    public static function to(float $number, int $decimals): string
    {
        return number_format($number, $decimals);
    }
}
