<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** The middle of what a quantity may be, and the 95 % interval about it. In the unit of whatever it is of. */
final readonly class Likely
{
    public function __construct(
        public float $value,
        public float $low,
        public float $high,
    ) {}

    /**
     * @param non-empty-list<float> $draws equally likely
     */
    public static function ofDraws(array $draws): self
    {
        sort($draws);
        $last = count($draws) - 1;
        $at = static fn(float $share): float => $draws[(int) round($share * $last)];

        return new self($at(0.5), $at(0.025), $at(0.975));
    }

    /** Standard uncertainty of its logarithm. */
    public function relative(): float
    {
        return $this->low <= 0.0 ? 1.0 : log($this->high / $this->low) / 3.92;
    }
}
