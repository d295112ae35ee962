<?php

declare(strict_types=1);

namespace App\Language;

use Illuminate\Contracts\Support\Htmlable;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\HtmlString;

/** Sentences and labels from lang/, with what belongs in their places. */
final readonly class Text
{
    /**
     * @param array<string, scalar|null> $values by the name of their place
     *
     * @throws \LogicException where lang/ has no such line
     */
    public static function of(string $key, array $values = []): string
    {
        /** @var array<string, array<string, string>> $lines by locale and key: a page says the same of every run */
        static $lines = [];
        $locale = Lang::getLocale();
        $line = $lines[$locale][$key] ??= self::line($key);
        if ($values === []) {
            return $line;
        }

        return strtr(
            $line,
            array_combine(array_map(static fn(string $place): string => ":{$place}", array_keys($values)), array_map(strval(...), $values)),
        );
    }

    private static function line(string $key): string
    {
        $line = __($key);

        return is_string($line) && $line !== $key ? $line : throw new \LogicException("{$key} is no line of lang/.");
    }

    /**
     * The one of several forms that goes with a count; the count itself stands at :count.
     *
     * @param array<string, scalar|null> $values by the name of their place
     *
     * @throws \LogicException where lang/ has no such line
     */
    public static function plural(string $key, int|float|null $count, array $values = []): string
    {
        self::line($key);

        return trans_choice($key, (int) $count, $values);
    }

    /**
     * A sentence with markup of its own. What goes in its places is escaped, unless it is markup itself.
     *
     * @param array<string, scalar|Htmlable|null> $values by the name of their place
     */
    public static function html(string $key, array $values = []): HtmlString
    {
        return new HtmlString(
            self::of($key, array_map(static fn(mixed $value): string => e($value instanceof Htmlable ? $value : (string) $value), $values)),
        );
    }
}
