<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/** What a group is called: a name of its own, never the names of its children. */
final readonly class GroupName
{
    /**
     * One a line, without accents. From memory; it is no list of all: what it misses is not asked about, and what it hits is only asked.
     */
    private const GIVEN = __DIR__ . '/given-names.txt';

    /** Letters with accents as the list has them. */
    private const PLAIN = [
        'á' => 'a', 'à' => 'a', 'â' => 'a', 'ã' => 'a', 'ä' => 'a', 'å' => 'a', 'é' => 'e', 'è' => 'e', 'ê' => 'e', 'ë' => 'e', 'í' => 'i',
        'ï' => 'i', 'î' => 'i',
        'ó' => 'o', 'ô' => 'o', 'õ' => 'o', 'ö' => 'o', 'ø' => 'o', 'ú' => 'u', 'ü' => 'u', 'ç' => 'c', 'ñ' => 'n', 'ş' => 's', 'š' => 's',
        'ž' => 'z', 'ł' => 'l',
    ];

    /** Whether it may be the names of two children or more, or of one with its family name. */
    public static function mayBePeople(string $name): bool
    {
        $parts = preg_split('~\s*(?:[,;/&+]|\b(?:and|und|et|y|e|och|og|en)\b)\s*~iu', trim($name), -1, PREG_SPLIT_NO_EMPTY);
        $parts = $parts === false ? [] : $parts;
        $people = array_filter($parts, static function (string $part): bool {
            $words = preg_split('/\s+/u', $part, -1, PREG_SPLIT_NO_EMPTY);
            $words = $words === false ? [] : $words;
            $isNamed = array_filter(
                $words,
                static fn(string $word): bool => preg_match('/^\p{Lu}[\p{L}\'’-]*\.?$/u', $word) === 1,
            ) === $words;

            return $words !== [] && count($words) <= 3 && $isNamed && self::isGiven($words[0]);
        });

        // One with a family name, or two at least of which each may be called so.
        return count($people) >= 2 || count($people) === 1 && count($parts) === 1 && preg_match('/\s/u', trim($name)) === 1;
    }

    private static function isGiven(string $word): bool
    {
        /** @var array<string, true>|null $given */
        static $given = null;
        $given ??= array_fill_keys(explode("\n", trim((string) file_get_contents(self::GIVEN))), true);

        return isset($given[strtr(mb_strtolower((string) preg_replace('/[\'’.-].*$/u', '', $word)), self::PLAIN)]);
    }
}
