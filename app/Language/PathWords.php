<?php

declare(strict_types=1);

namespace App\Language;

use Skivo\Core\Challenge\Age;
use Skivo\Core\Notebook\Station;
use Skivo\Core\Simulation\Regime;

/** What a group's own pages say, in one of two sets of words by the age of its class. */
final readonly class PathWords
{
    private string $level;

    public function __construct(Age $age)
    {
        $this->level = $age->seesTerms() ? 'older' : 'young';
    }

    /** @param array<string, scalar|null> $values by the name of their place */
    public function say(string $key, array $values = []): string
    {
        return Text::of("path.{$this->level}.{$key}", $values);
    }

    /** The next thing to do. */
    public function next(Station $station): string
    {
        return $this->say("next.{$station->value}");
    }

    public function heldBack(Regime $regime): string
    {
        return $this->say($regime === Regime::Air ? 'why.air_most' : 'why.rolling_most');
    }
}
