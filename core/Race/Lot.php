<?php

declare(strict_types=1);

namespace Skivo\Core\Race;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** An order drawn by lot. Its number is told, so that anybody can draw it again and find the same. */
final readonly class Lot
{
    public const GREATEST = 99_999;

    /**
     * @param list<string> $entrants in an order that does not depend on who draws
     *
     * @return list<string> the same, drawn
     */
    public static function order(array $entrants, int $number): array
    {
        return (new Randomizer(new Xoshiro256StarStar($number)))->shuffleArray($entrants);
    }
}
