<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

/**
 * Of what lies between the cars with the least and the most of an attribute, what each thing makes: by the run model and the class
 * together, for these very cars. Factors on the outcome become lengths in proportion to their logarithms, so that they add up.
 */
final readonly class Shares
{
    /** What makes less than so much of what lies between is told with the rest. */
    private const WORTH_SAYING = 0.05;

    /** @var list<AllowedFor> what else differs makes, where it is worth a word */
    public array $others;

    /** The rest. */
    public float $hands;

    /**
     * @param float $least mean outcome of the cars with the least of it
     * @param float $most of those with the most
     * @param float $own what the attribute makes of that
     * @param list<AllowedFor> $others what all else that differs makes
     */
    public function __construct(
        public float $least,
        public float $most,
        public float $own,
        array $others,
    ) {
        $this->others = array_values(array_filter(
            $others,
            fn(AllowedFor $each): bool => abs($each->makes) >= self::WORTH_SAYING * abs($this->total()),
        ));
        $said = array_sum(array_map(static fn(AllowedFor $each): float => $each->makes, $this->others));
        $this->hands = $this->total() - $own - $said;
    }

    /** What lies between them. */
    public function total(): float
    {
        return $this->most - $this->least;
    }
}
