<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/** Who meets whom in a knockout: the best two as late as can be, and whoever has no opponent goes on. */
final readonly class Bracket
{
    /**
     * @return list<array{int, int|null}> the pairs of the first round by their seeds from 0, in the order in which their winners meet; null for no opponent
     */
    public static function firstRound(int $entrants): array
    {
        $order = [0];
        while (count($order) < $entrants) {
            $next = [];
            $seats = 2 * count($order);
            foreach ($order as $seed) {
                array_push($next, $seed, $seats - 1 - $seed);
            }
            $order = $next;
        }
        $pairs = [];
        foreach (array_chunk($order, 2) as $pair) {
            // Of two seeds the better one is below the half, so it is always there.
            $pairs[] = [min($pair), max($pair) < $entrants ? max($pair) : null];
        }

        return $pairs;
    }

    public static function rounds(int $entrants): int
    {
        return (int) ceil(log($entrants, 2));
    }
}
