<?php

declare(strict_types=1);

namespace App\Language;

use Carbon\CarbonImmutable;
use DateTimeInterface;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\HtmlString;

/** Moments: in UTC as they leave the server, in the reader's own time once the page is there. */
final readonly class Moment
{
    public static function of(DateTimeInterface $at): HtmlString
    {
        return self::local($at, 'd MMM HH:mm', '');
    }

    /** The time of the clock alone, of something today. */
    public static function clock(DateTimeInterface $at): HtmlString
    {
        return self::local($at, 'HH:mm', '="clock"');
    }

    private static function local(DateTimeInterface $at, string $pattern, string $as): HtmlString
    {
        $utc = gmdate('Y-m-d\TH:i:s\Z', $at->getTimestamp());

        return new HtmlString(
            '<time datetime="' . $utc . '" data-local' . $as . '>' . e(
                Text::of('frame.moment_utc', ['at' => self::format($at, $pattern, 'UTC')]),
            ) . '</time>',
        );
    }

    /** A minute of a session: the time of the clock where the session has one, else the minutes since it began. */
    public static function atMinute(?CarbonImmutable $start, float $minute): string
    {
        return $start === null
            ? (int) round($minute) . "\u{00A0}" . Text::of('frame.min')
            : $start->addSeconds((int) round(60 * $minute))->format('H:i');
    }

    /** A day, as the reader's language writes it. */
    public static function day(DateTimeInterface $at): string
    {
        return self::format($at, 'd MMMM y', $at->getTimezone()->getName());
    }

    /** A day and the time of the clock there, as the reader's language writes them. */
    public static function dayAndTime(DateTimeInterface $at): string
    {
        return self::format($at, 'd MMMM y, HH:mm', $at->getTimezone()->getName());
    }

    /** @param string $pattern of ICU */
    private static function format(DateTimeInterface $at, string $pattern, string $zone): string
    {
        // ICU knows an offset by another name.
        $zone = (string) preg_replace('/^(?=[+-])/', 'GMT', $zone);
        /** @var array<string, \IntlDateFormatter> $known */
        static $known = [];
        $locale = Lang::getLocale();
        $known["{$locale} {$zone} {$pattern}"] ??= new \IntlDateFormatter($locale, timezone: $zone, pattern: $pattern);
        $formatted = $known["{$locale} {$zone} {$pattern}"]->format($at);

        return $formatted === false ? $at->format('Y-m-d H:i') : $formatted;
    }
}
