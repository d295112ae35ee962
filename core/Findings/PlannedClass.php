<?php

declare(strict_types=1);

namespace Skivo\Core\Findings;

use Skivo\Core\Challenge\Design;

/** Who builds what, and how often it runs, as far as it decides whether the class gets an answer. */
final readonly class PlannedClass
{
    public const MOST_TRIES = 20;

    /**
     * @param int $groups at least 1
     * @param int $tries of each car, at least 1
     * @param int $triesAgain after the asked thing was changed, where each group changes it
     * @param float $goesAlong ln of what goes along with the other of the two makes of the outcome, by the run model, as a heavier wheel
     * makes a heavier car; 0 where the two are alike in all else
     */
    public function __construct(
        public Design $design,
        public int $groups,
        public int $tries,
        public int $triesAgain = 0,
        public float $goesAlong = 0.0,
    ) {}

    /** @return list<int> tries of each version of a group’s car */
    public function versions(): array
    {
        $tries = min(self::MOST_TRIES, $this->tries);

        return $this->design->isRebuilt() ? [$tries, min(self::MOST_TRIES, max(1, $this->triesAgain))] : [$tries];
    }

    /**
     * What else might be planned.
     *
     * @return array<string, self>
     */
    public function alternatives(): array
    {
        $with = fn(
            Design $design,
            ?int $tries = null,
            ?int $triesAgain = null,
            ?float $goesAlong = null,
        ): self => new self(
            $design,
            $this->groups,
            $tries ?? $this->tries,
            $triesAgain ?? $this->triesAgain,
            $goesAlong ?? $this->goesAlong,
        );

        return array_filter([
            'another_try' => $this->tries < self::MOST_TRIES ? $with($this->design, $this->tries + 1) : null,
            'even_mass' => $this->goesAlong === 0.0 ? null : $with($this->design, goesAlong: 0.0),
            'half_and_half' => $this->design->isDivided() ? null : $with(Design::HalfAndHalf),
            'change_one_thing' => $this->design->isRebuilt() ? null : $with(Design::ChangeOneThing, triesAgain: $this->tries),
        ]);
    }
}
