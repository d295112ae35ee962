<?php

declare(strict_types=1);

namespace Database\Seeders;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance that falls the same way every time. */
final readonly class Chance
{
    private Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** A draw from the standard normal distribution (Box & Muller, Ann. Math. Stat. 29, 610, 1958). */
    public function normal(): float
    {
        $uniform = fn(): float => $this->randomizer->getInt(1, 1_000_000) / 1_000_001;

        return sqrt(-2.0 * log($uniform())) * cos(2 * M_PI * $uniform());
    }

    /** About 1, scattered by a share. */
    public function around(float $share): float
    {
        return 1.0 + $share * $this->normal();
    }
}
