<?php

declare(strict_types=1);

namespace Skivo\Core\Session;

/** How small pages lie on sheets that are printed on both sides, folded once in the middle and laid into each other. */
final readonly class Booklet
{
    /**
     * @param positive-int $pages
     *
     * @return list<array{int|null, int|null}> a side of a sheet each, front and back by turns: the page on its left and on its right, from 1; null for an empty one
     */
    public static function sides(int $pages): array
    {
        $all = (int) (ceil($pages / 4) * 4);
        $page = static fn(int $number): ?int => $number <= $pages ? $number : null;
        $sides = [];
        for ($sheet = 0; $sheet < $all / 4; $sheet++) {
            $sides[] = [$page($all - 2 * $sheet), $page(1 + 2 * $sheet)];
            $sides[] = [$page(2 + 2 * $sheet), $page($all - 1 - 2 * $sheet)];
        }

        return $sides;
    }
}
