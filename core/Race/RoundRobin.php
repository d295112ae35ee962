<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

/**
 * Everyone against everyone, by the circle method: one stays, the others move on by one from round to round. Each pair meets
 * once, nobody twice in a round; with an odd number each rests once (Kirkman 1847; common in league tables).
 */
final readonly class RoundRobin
{
    /** @return list<list<array{int, int}>> rounds of pairs, by their place from 0 */
    public static function rounds(int $entrants): array
    {
        $seats = $entrants + $entrants % 2;
        $rounds = [];
        for ($round = 0; $round < $seats - 1; $round++) {
            $pairs = [];
            for ($seat = 0; $seat < $seats / 2; $seat++) {
                [$a, $b] = [self::at($seat, $round, $seats), self::at($seats - 1 - $seat, $round, $seats)];
                if ($a < $entrants && $b < $entrants) {
                    // Who stands on the first lane changes, so that no lane is anybody's own.
                    $pairs[] = ($seat === 0 ? $round : $seat) % 2 === 0 ? [$a, $b] : [$b, $a];
                }
            }
            $rounds[] = $pairs;
        }

        return $rounds;
    }

    /** Who sits on a seat of the circle: the last one keeps it. */
    private static function at(int $seat, int $round, int $seats): int
    {
        return $seat === $seats - 1 ? $seats - 1 : ($seat + $round) % ($seats - 1);
    }
}
