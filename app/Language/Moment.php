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

    /** A day with or without its time, as it stands in a field, from what a date field would send; anything else as it is. */
    public static function inField(?string $held): string
    {
        $at = match (preg_match('/^\d{4}-\d\d-\d\d(T\d\d:\d\d)?$/D', (string) $held, $time)) {
            1 => CarbonImmutable::parse((string) $held, 'UTC'),
            default => null,
        };

        return match (true) {
            $at === null => (string) $held, isset($time[1]) => self::dayAndTime($at), default => self::day($at),
        };
    }

    /**
     * What a date field would send ("2026-05-04", "2026-05-04T09:00") for a day as people write it in the reader's language, with its
     * month as a word, so that no reader takes a month for a day; what can't be read stays as it was typed.
     */
    public static function read(string $typed): string
    {
        $clean = trim((string) preg_replace('/[\s,]+/u', ' ', $typed));
        foreach (['d MMMM y', 'd MMM y', 'MMMM d y', 'MMM d y'] as $day) {
            foreach (['' => 'Y-m-d', ' HH:mm' => 'Y-m-d\TH:i', ' h:mm a' => 'Y-m-d\TH:i'] as $time => $sent) {
                $at = 0;
                $format = new \IntlDateFormatter(Lang::getLocale(), timezone: 'UTC', pattern: $day . $time);
                $format->setLenient(false);
                $parsed = $format->parse($clean, $at);
                if (is_int($parsed) && $at === strlen($clean) && $parsed > 0) {
                    return gmdate($sent, $parsed);
                }
            }
        }

        return $typed;
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
