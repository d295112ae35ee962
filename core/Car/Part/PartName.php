<?php

declare(strict_types=1);

namespace Skivo\Core\Car\Part;

/** What people call a part, in whatever way they spell it: case, plurals and a slip of the finger make no other part. */
final readonly class PartName
{
    /** So many letters may be off in names of so many letters and more. From trial. */
    private const ONE_OFF_FROM = 4;
    private const TWO_OFF_FROM = 9;

    /** The name without what makes no difference: capitals, dashes, double spaces, plurals. */
    public static function key(string $name): string
    {
        $plain = mb_strtolower(trim((string) preg_replace('/[\s_\-–.,]+/u', ' ', $name)));

        return implode(' ', array_map(
            static fn(string $word): string => mb_strlen($word) > 2 && str_ends_with($word, 's') && !str_ends_with($word, 'ss')
                ? mb_substr($word, 0, -1)
                : $word,
            explode(' ', $plain),
        ));
    }

    /** Whether two names are most likely one, spelt in two ways. Names that differ in a number never are. */
    public static function isNearly(string $one, string $other): bool
    {
        [$one, $other] = [self::key($one), self::key($other)];
        if ($one === $other) {
            return $one !== '';
        }
        if (self::numbers($one) !== self::numbers($other)) {
            return false;
        }
        $letters = min(mb_strlen($one), mb_strlen($other));
        $most = $letters >= self::TWO_OFF_FROM ? 2 : ($letters >= self::ONE_OFF_FROM ? 1 : 0);

        return $most > 0 && levenshtein(self::ascii($one), self::ascii($other)) <= $most;
    }

    /**
     * Of the names that are known, the one that a typed one most likely is.
     *
     * @param iterable<string> $known
     *
     * @return string|null null where it is none of them, or is nearly two
     */
    public static function among(string $name, iterable $known): ?string
    {
        $nearly = [];
        foreach ($known as $each) {
            if (self::key($each) === self::key($name)) {
                return $each;
            }
            if (self::isNearly($name, $each)) {
                $nearly[self::key($each)] = $each;
            }
        }

        return count($nearly) === 1 ? array_values($nearly)[0] : null;
    }

    private static function numbers(string $name): string
    {
        return (string) preg_replace('/\D+/', ' ', $name);
    }

    /** One byte a letter, as levenshtein() counts them. */
    private static function ascii(string $name): string
    {
        return (string) preg_replace('/[^\x20-\x7e]/u', '?', $name);
    }
}
