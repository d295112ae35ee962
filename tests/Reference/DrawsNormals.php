<?php

declare(strict_types=1);

namespace Tests\Reference;

use Random\Engine\PcgOneseq128XslRr64;
use Random\Randomizer;
use Tests\Long;

/** Chance of its own for simulated classes: another engine and another method than the code that is tested has. */
trait DrawsNormals
{
    private Randomizer $chance;

    private function seed(int $seed): void
    {
        $this->chance = new Randomizer(new PcgOneseq128XslRr64($seed));
    }

    /** How many classes to simulate: a third of them in every run of the tests, and more by --classes, where somebody has the time. */
    private static function many(int $usual): int
    {
        return Long::or(intdiv($usual, 3), $usual) * max(1, (int) getenv('SKIVO_CLASSES'));
    }

    /** From the standard normal distribution, by the polar method of Marsaglia. */
    private function normal(): float
    {
        do {
            [$u, $v] = [$this->chance->getInt(-1_000_000, 1_000_000) / 1e6, $this->chance->getInt(-1_000_000, 1_000_000) / 1e6];
            $s = $u * $u + $v * $v;
        } while ($s >= 1.0 || $s === 0.0);

        return $u * sqrt(-2.0 * log($s) / $s);
    }
}
