<?php

declare(strict_types=1);

namespace Skivo\Core\Challenge;

/**
 * The signs that tell groups apart on the floor: a shape with its own colour, filled in one of four ways,
 * so that each can be read without colour. A class has room for as many groups as there are marks.
 */
final readonly class Mark
{
    /** In the order in which they are given out: neighbours differ most. */
    public const SHAPES = ['sail', 'buoy', 'pennant', 'block', 'dome', 'cross', 'hull', 'drop', 'anvil', 'star'];

    public const FILLS = ['solid', 'open', 'half', 'ringed'];

    public static function isMark(string $mark): bool
    {
        return in_array($mark, self::all(), true);
    }

    /** @return list<string> such as sail-solid, in the order in which they are given out */
    public static function all(): array
    {
        $marks = [];
        foreach (self::FILLS as $fill) {
            foreach (self::SHAPES as $shape) {
                $marks[] = "{$shape}-{$fill}";
            }
        }

        return $marks;
    }

    /**
     * The first mark that no other group has.
     *
     * @param list<string> $taken
     */
    public static function firstFree(array $taken): ?string
    {
        return array_values(array_diff(self::all(), $taken))[0] ?? null;
    }

    /** In words, as in "open sail". */
    public static function inWords(string $mark): string
    {
        [$shape, $fill] = explode('-', $mark);

        return "{$fill} {$shape}";
    }
}
