<?php

declare(strict_types=1);

namespace App\Wording;

/** Names in a row, as English says them. */
final readonly class Lists
{
    /** @param list<string> $names */
    public static function and(array $names, int $most = 4): string
    {
        if (count($names) > $most) {
            $rest = count($names) - $most + 1;
            $names = [...array_slice($names, 0, $most - 1), "{$rest} more"];
        }
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names) . " and {$last}";
    }
}
