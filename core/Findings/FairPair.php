<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Car\CarAttribute;
use Skivo\Core\Statistics\WelchComparison;

/** Two cars that differ in one choice only. */
final readonly class FairPair
{
    /**
     * @param ComparedCar $less has less of it; of two kinds, the one that comes first in the alphabet
     * @param ComparedCar $more has more of it
     */
    public function __construct(
        public CarAttribute $factor,
        public ComparedCar $less,
        public ComparedCar $more,
    ) {}

    /** How much farther the one with more of it went, mean less mean (m, or s). */
    public function difference(): float
    {
        return $this->more->sample->mean() - $this->less->sample->mean();
    }

    /** What the tries of these two say by themselves. */
    public function comparison(): WelchComparison
    {
        return WelchComparison::of($this->more->sample, $this->less->sample);
    }

    /** Whether one is the other rebuilt: then all that nobody recorded stayed the same, too. */
    public function isRebuilt(): bool
    {
        return $this->less->group === $this->more->group;
    }
}
