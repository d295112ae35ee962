<?php

declare(strict_types=1);

namespace App\Language;

/** Names in a row. */
final readonly class Lists
{
    /** @param list<string> $names */
    public static function and(array $names, int $most = 4): string
    {
        return self::joined('frame.lists.and', $names, $most);
    }

    /** @param list<string> $names */
    public static function or(array $names, int $most = 4): string
    {
        return self::joined('frame.lists.or', $names, $most);
    }

    /** @param list<string> $names */
    private static function joined(string $key, array $names, int $most): string
    {
        if (count($names) > $most) {
            $rest = count($names) - $most + 1;
            $names = [...array_slice($names, 0, $most - 1), Text::of('frame.lists.more', ['count' => $rest])];
        }
        $last = array_pop($names);

        return $names === [] ? (string) $last : Text::of($key, ['names' => implode(', ', $names), 'last' => $last]);
    }
}
