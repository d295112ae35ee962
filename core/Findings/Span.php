<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/** From the least of an attribute that compared cars have to the most. */
final readonly class Span
{
    /** Whether the attribute goes by its logarithm: sizes that are never nothing. */
    private bool $isByFactors;

    /**
     * @param float $least SI; 0 for the one of two kinds
     * @param float $most above it; 1 for the other
     */
    public function __construct(public float $least, public float $most, bool $neverNothing)
    {
        $this->isByFactors = $neverNothing && $least > 0.0;
    }

    /** From −½ at the least to ½ at the most. */
    public function place(float $x): float
    {
        return $this->isByFactors
            ? log($x / sqrt($this->least * $this->most)) / log($this->most / $this->least)
            : ($x - ($this->least + $this->most) / 2) / ($this->most - $this->least);
    }
}
